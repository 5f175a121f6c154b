/** A place in a document: names of fields and places in lists. A place behind the last one of a list: one more. */
export type Place = ReadonlyArray<string | number>;

/** A place that both sides changed, each in its own way. Absent values: it is not there on that side. */
export interface MergeClash {
  readonly place: Place;
  readonly before?: unknown;
  readonly theirs?: unknown;
  readonly yours?: unknown;
}

export interface Merged<T> {
  /** What both sides made of it; at a clash, theirs. */
  readonly merged: T;
  readonly clashes: readonly MergeClash[];
}

type Fields = Readonly<Record<string, unknown>>;

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Whether two documents say the same; a field that is absent and one that is undefined are alike. */
export const isSame = (a: unknown, b: unknown): boolean => {
  if (Object.is(a, b)) return true;
  if (Array.isArray(a) && Array.isArray(b))
    return a.length === b.length && a.every((each, i) => isSame(each, b[i]));
  if (!isFields(a) || !isFields(b)) return false;
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].every((key) => isSame(a[key], b[key]));
};

/** How many of its fields two things of a list share, 0 to 1. */
const likeness = (a: unknown, b: unknown): number => {
  if (!isFields(a) || !isFields(b)) return isSame(a, b) ? 1 : 0;
  const keys = [...new Set([...Object.keys(a), ...Object.keys(b)])];
  return keys.filter((key) => isSame(a[key], b[key])).length / Math.max(1, keys.length);
};

/** Less alike than this, one thing is not the other changed. */
const LEAST_LIKE = 0.5;
/** Longer lists than this are not looked through for what is like what. */
const MOST_PAIRED = 40;

/** What became of each thing of a list on one side, and what came anew there. */
interface ListChange {
  /** By its place before: kept, gone, or what it is now. */
  readonly fate: ReadonlyArray<{ readonly is: 'kept' | 'gone' } | { readonly is: 'changed'; now: unknown }>;
  readonly added: readonly unknown[];
}

const listChange = (before: readonly unknown[], after: readonly unknown[]): ListChange => {
  const places = new Map<string, number[]>();
  const keyOf = (value: unknown) =>
    isFields(value) ? JSON.stringify(Object.entries(value).sort()) : JSON.stringify(value);
  after.forEach((each, i) => places.set(keyOf(each), [...(places.get(keyOf(each)) ?? []), i]));
  const used = new Set<number>();
  const fate: Array<ListChange['fate'][number]> = before.map((each) => {
    const at = places.get(keyOf(each))?.shift();
    if (at === undefined) return { is: 'gone' };
    used.add(at);
    return { is: 'kept' };
  });
  const gone = fate.flatMap(({ is }, i) => (is === 'gone' ? [i] : []));
  const left = () => after.flatMap((_, i) => (used.has(i) ? [] : [i]));
  if (gone.length <= MOST_PAIRED && left().length <= MOST_PAIRED)
    for (const i of gone) {
      const best = left()
        .map((at) => ({ at, like: likeness(before[i], after[at]) + (at === i ? 0.01 : 0) }))
        .sort((a, b) => b.like - a.like)[0];
      if (!best || best.like < LEAST_LIKE) continue;
      used.add(best.at);
      fate[i] = { is: 'changed', now: after[best.at] };
    }
  return { fate, added: left().map((at) => after[at]) };
};

const mergeLists = (
  before: readonly unknown[],
  yours: readonly unknown[],
  theirs: readonly unknown[],
  place: Place,
  clashes: MergeClash[],
): unknown[] => {
  const mine = listChange(before, yours);
  const other = listChange(before, theirs);
  const merged: unknown[] = [];
  const gone: MergeClash[] = [];
  before.forEach((was, i) => {
    const my = mine.fate[i];
    const its = other.fate[i];
    if (!my || !its) return;
    const here = [...place, merged.length];
    if (my.is === 'changed' && its.is === 'changed')
      merged.push(mergeValues(was, my.now, its.now, here, clashes));
    else if (my.is === 'changed' && its.is === 'gone') gone.push({ place, before: was, yours: my.now });
    else if (my.is === 'changed') merged.push(my.now);
    else if (its.is === 'changed') {
      if (my.is === 'gone') clashes.push({ place: here, before: was, theirs: its.now });
      merged.push(its.now);
    } else if (my.is === 'kept' && its.is === 'kept') merged.push(was);
  });
  merged.push(...other.added);
  merged.push(...mine.added.filter((each) => !other.added.some((there) => isSame(each, there))));
  // What they took out and you changed has no place among theirs: it would be one more.
  gone.forEach((clash, i) => clashes.push({ ...clash, place: [...place, merged.length + i] }));
  return merged;
};

const mergeValues = (
  before: unknown,
  yours: unknown,
  theirs: unknown,
  place: Place,
  clashes: MergeClash[],
): unknown => {
  if (isSame(yours, theirs) || isSame(before, yours)) return theirs;
  if (isSame(before, theirs)) return yours;
  const sides = [before, yours, theirs];
  // A list or a group of fields that is not there is an empty one: what the other added or changed in it is looked at.
  if (sides.every((side) => side == null || Array.isArray(side))) {
    const [was = [], mine = [], other = []] = sides.map((side) => (side ?? []) as unknown[]);
    const merged = mergeLists(was, mine, other, place, clashes);
    return merged.length === 0 ? theirs : merged;
  }
  if (sides.every((side) => side == null || isFields(side))) {
    const [was = {}, mine = {}, other = {}] = sides.map((side) => side ?? {});
    const merged = Object.fromEntries(
      [...new Set([...Object.keys(other), ...Object.keys(mine)])]
        .map((key) => [key, mergeValues(was[key], mine[key], other[key], [...place, key], clashes)] as const)
        .filter(([, value]) => value !== undefined),
    );
    return Object.keys(merged).length === 0 ? theirs : merged;
  }
  clashes.push({ place, before, theirs, yours });
  return theirs;
};

/**
 * Puts together what two sides made of one document: what only one of them changed is as that one left it, lists hold
 * what either added and neither took out, and what both changed differently is told, with both values.
 */
export const mergeThree = <T>(before: T, yours: T, theirs: T): Merged<T> => {
  const clashes: MergeClash[] = [];
  return { merged: mergeValues(before, yours, theirs, [], clashes) as T, clashes };
};

const put = (document: unknown, [step, ...rest]: Place, value: unknown): unknown => {
  if (step === undefined) return value;
  if (Array.isArray(document)) {
    const list = [...(document as unknown[])];
    const at = Math.min(Number(step), list.length);
    const next = put(list[at], rest, value);
    if (next === undefined) list.splice(at, 1);
    else list[at] = next;
    return list;
  }
  const fields = isFields(document) ? document : {};
  const { [String(step)]: was, ...others } = fields;
  const next = put(was, rest, value);
  return next === undefined ? others : { ...fields, [String(step)]: next };
};

/** The merged document with your value at the places that were chosen so. */
export const settleClashes = <T>(merged: T, chosen: readonly MergeClash[]): T =>
  // From the end of a list to its beginning, so that what is taken out moves nothing that is still to come.
  [...chosen]
    .sort((a, b) => Number(b.place.at(-1)) - Number(a.place.at(-1)) || 0)
    .reduce<unknown>((document, { place, yours }) => put(document, place, yours), merged) as T;

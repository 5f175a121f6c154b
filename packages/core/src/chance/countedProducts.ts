/**
 * A polynomial in the number of faulty wheel ends, by its coefficients; beside it the same with one of its wheel ends
 * marked as the corner complained of, where a corner is looked for.
 */
export interface Counted {
  readonly plain: number[];
  readonly marked: number[] | null;
}

/** A wheel end as such a polynomial: `sound + faulty z`. */
export interface CountedEnd {
  readonly sound: number;
  readonly faulty: number;
}

/** What later groups made of the weights. */
interface Weighed {
  readonly plain: readonly number[];
  readonly marked: readonly number[] | null;
}

/** Plain lists: of three numbers each they are made far faster than typed ones. */
const noughts = (length: number): number[] => {
  const out: number[] = [];
  for (let i = 0; i < length; i++) out.push(0);
  return out;
};

/** The polynomial one, with room for `ends` wheel ends to be multiplied in. */
export const countedOne = (ends: number, marks: boolean): Counted => {
  const plain = noughts(ends + 1);
  plain[0] = 1;
  return { plain, marked: marks ? noughts(ends + 1) : null };
};

/** Makes it the polynomial one again: of thousands that are used once, one is kept and used anew. */
export const oneAgain = ({ plain, marked }: Counted): void => {
  plain.fill(0);
  plain[0] = 1;
  marked?.fill(0);
};

/** Multiplies one more wheel end in, in place: as any other, and as the one that is marked. */
export const countIn = (
  { plain, marked }: Counted,
  asAny: CountedEnd,
  asMarked: CountedEnd | undefined,
): void => {
  for (let i = plain.length - 1; i >= 0; i--) {
    const [own, below] = [plain[i] as number, i > 0 ? (plain[i - 1] as number) : 0];
    if (marked && asMarked)
      marked[i] =
        (marked[i] as number) * asAny.sound +
        (i > 0 ? (marked[i - 1] as number) * asAny.faulty : 0) +
        own * asMarked.sound +
        below * asMarked.faulty;
    plain[i] = own * asAny.sound + below * asAny.faulty;
  }
};

/** Sum of `values[i + from] x by[i]`; beyond their end values are nought. */
export const along = (values: readonly number[], by: readonly number[], from: number): number => {
  let sum = 0;
  const end = Math.min(by.length, values.length - from);
  for (let i = 0; i < end; i++) sum += (values[i + from] as number) * (by[i] as number);
  return sum;
};

/** The same with at most one mark among both. */
export const alongMarked = (values: Weighed, by: Counted, from: number): number =>
  (values.marked ? along(values.marked, by.plain, from) : 0) +
  (by.marked ? along(values.plain, by.marked, from) : 0);

/**
 * For each of several groups of wheel ends: what all the others come to, if `j` of its own are faulty, for every such `j`.
 * With P the product of the others' polynomials, `plain[j]` is the sum over i of P[i] x weights[i + j]; `marked[j]` the same
 * with the mark among the others.
 *
 * Products before a group are kept as polynomials, those after it as what they make of the weights: so all groups cost
 * what one walk forth and one walk back do.
 */
export const weighedOthers = (groups: readonly Counted[], weights: readonly number[]): Counted[] => {
  const marks = groups.some(({ marked }) => marked !== null);
  const empty = () => noughts(weights.length);
  /** What a further polynomial makes of values that later ones already made. */
  const folded = (values: readonly number[], by: readonly number[], into: number[]): number[] => {
    for (let m = 0; m < into.length; m++) into[m] = (into[m] as number) + along(values, by, m);
    return into;
  };
  const after: Weighed[] = [];
  let later: Weighed = { plain: weights, marked: marks ? empty() : null };
  for (let g = groups.length - 1; g >= 0; g--) {
    after[g] = later;
    const { plain, marked } = groups[g] as Counted;
    const whole = folded(later.plain, plain, empty());
    const withMark = later.marked && folded(later.marked, plain, empty());
    later = {
      plain: whole,
      marked: withMark && (marked ? folded(later.plain, marked, withMark) : withMark),
    };
  }
  const product = (x: readonly number[], y: readonly number[], into: number[]): number[] => {
    for (let i = 0; i < x.length; i++) {
      const p = x[i] as number;
      for (let j = 0; j < y.length && i + j < into.length; j++)
        into[i + j] = (into[i + j] as number) + p * (y[j] as number);
    }
    return into;
  };
  let before: Counted = countedOne(0, marks);
  return groups.map((group, g): Counted => {
    const size = group.plain.length;
    const rest = after[g] as Weighed;
    const plain = noughts(size);
    const marked = marks ? noughts(size) : null;
    for (let j = 0; j < size; j++) {
      plain[j] = along(rest.plain, before.plain, j);
      if (marked) marked[j] = alongMarked(rest, before, j);
    }
    const room = () => noughts(before.plain.length + size - 1);
    const withMark = before.marked && product(before.marked, group.plain, room());
    before = {
      plain: product(before.plain, group.plain, room()),
      marked: withMark && (group.marked ? product(before.plain, group.marked, withMark) : withMark),
    };
    return { plain, marked };
  });
};

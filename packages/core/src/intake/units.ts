import { lexicon, type Hit } from '../text/lexicon.ts';
import type { Token } from '../text/tokens.ts';
import type { LocatedPosition } from '../positions/readPositions.ts';
import type { NumberSaid } from './numbers.ts';
import type { Item } from './words/item.ts';

/** An item where it stands. */
export type Said = Hit<Item>;
/** A number where it stands, in tokens as well. */
export type NumberAt = NumberSaid & { readonly from: number; readonly to: number };

/** Wheels named together: joined by "and" they are all meant, by "or" one of them. */
export interface PlaceGroup {
  readonly from: number;
  readonly to: number;
  readonly places: readonly LocatedPosition[];
  readonly choice: boolean;
}

/** A clause that speaks of one place at most, with everything that was heard in it. */
export interface Unit {
  readonly index: number;
  readonly from: number;
  readonly to: number;
  readonly sentence: number;
  /** What stands before it. */
  readonly opener: 'start' | 'comma' | 'and' | 'but' | 'colon' | 'since' | 'split';
  readonly group: PlaceGroup | null;
  /** A place that heads what follows: `front left:`. */
  readonly label: boolean;
  readonly items: readonly Said[];
  readonly numbers: readonly NumberAt[];
}

const KEPT_TOGETHER = lexicon<true>([
  [
    'top and bottom|twelve and six|12 and 6|six and twelve|three and nine|pads and discs|discs and pads|hub and bearing|bearing and hub|comes and goes|come and go|coming and going|cuts in and out|clean and dry|back and forth|up and down|in and out|side to side|bits and pieces|now and then|now and again|again and again|free and quiet|on and off|smooth and quiet|push and pull|pushed and pulled|nice and tight|black and green|read again|cleared and read again|cleared and reread|were cleared and read again|lower arm and track rod end|and a half|sixes and sevens|hum and haw|time and again|moves and squeaks|squeaks and moves|nuts and bolts|kit and caboodle|ins and outs|odds and ends',
    true,
  ],
]);
const BREAKS: ReadonlyMap<string, Unit['opener']> = new Map([
  ['and', 'and'],
  ['plus', 'and'],
  ['&', 'and'],
  ['but', 'but'],
  ['while', 'but'],
  ['whereas', 'but'],
  ['though', 'but'],
  ['although', 'but'],
  ['however', 'but'],
  ['yet', 'but'],
  ['then', 'comma'],
  ['so', 'comma'],
  ['because', 'comma'],
  ['which', 'comma'],
  ['where', 'comma'],
  ['now', 'comma'],
  [',', 'comma'],
  ['(', 'comma'],
  [')', 'comma'],
  ['|', 'comma'],
  ['/', 'comma'],
  ['\u2013', 'comma'],
  ['\u2014', 'comma'],
  [':', 'colon'],
  ['=', 'colon'],
  ['since', 'since'],
]);
/** Stands where a tyre size was read: a clause may consist of it alone. */
export const SIZE_MARK = '\u0003';

const STOPS = new Set(['.', ';', '!', '?', '\n']);

/** Predicates: what may be said of a place. */
const PREDICATES = new Set<Item['is']>([
  'look',
  'sound',
  'play',
  'rocking',
  'moves',
  'tight',
  'noise',
  'quiet',
  'open',
  'short',
  'jumps',
  'nothing',
  'live',
  'check',
  'deed',
  'complaint',
]);

/** Whether a predicate stands beside a span before the next mark or joining word, on one side of it. */
const predicateBeside = (
  tokens: readonly Token[],
  predicates: Uint8Array,
  from: number,
  step: 1 | -1,
): boolean => {
  for (let i = from; i >= 0 && i < tokens.length; i += step) {
    if (predicates[i]) return true;
    const word = tokens[i]?.norm ?? '';
    if (STOPS.has(word) || BREAKS.has(word) || tokens[i]?.kind === 'newline') return false;
  }
  return false;
};

/**
 * Places that stand together: `front left and right`, `rear left or rear right`. Two places joined by "and" of which the
 * first ends one predicate and the second begins another are two: `wobbles front left and the right one is solid`.
 */
export const groupPlaces = (
  positions: readonly LocatedPosition[],
  tokens: readonly Token[],
  items: readonly Said[],
  numbers: readonly NumberAt[],
): PlaceGroup[] => {
  const predicates = new Uint8Array(tokens.length);
  for (const item of items) if (PREDICATES.has(item.meaning.is)) predicates.fill(1, item.from, item.to);
  for (const number of numbers) predicates.fill(1, number.from, number.to);
  const groups: PlaceGroup[] = [];
  for (const place of positions) {
    if (place.struck || place.reference) continue;
    const last = groups.at(-1);
    const tied = place.joinedBy === 'and' || place.joinedBy === 'or' || place.joinedBy === 'so';
    const apart =
      last !== undefined &&
      place.joinedBy === 'and' &&
      predicateBeside(tokens, predicates, place.to, 1) &&
      predicateBeside(tokens, predicates, last.from - 1, -1);
    if (last && tied && !place.oneOf && !apart)
      groups[groups.length - 1] = {
        from: last.from,
        to: place.to,
        places: place.joinedBy === 'so' ? [place] : [...last.places, place],
        choice: last.choice || place.joinedBy === 'or',
      };
    else groups.push({ from: place.from, to: place.to, places: [place], choice: place.oneOf === true });
  }
  return groups;
};

/** So long a list is denied by one word. */
const LONGEST_LIST = 12;

/** `no growling, humming or play`: one denial for a list, which is not cut at its commas. */
const deniedLists = (tokens: readonly Token[]): Array<{ from: number; to: number }> => {
  const out: Array<{ from: number; to: number }> = [];
  for (let i = 0; i < tokens.length; i++) {
    if (!/^(no|without|neither|any|not)$/.test(tokens[i]?.norm ?? '')) continue;
    let end = -1;
    for (let k = i + 1; k < tokens.length && k < i + LONGEST_LIST; k++) {
      const word = tokens[k]?.norm ?? '';
      if (STOPS.has(word) || /^(and|but|front|rear|left|right|back|on|is|are|has|reads|no|not)$/.test(word))
        break;
      if (word === 'or' || word === 'nor') end = k;
    }
    if (end > 0) out.push({ from: i, to: end });
    if (end > 0) i = end;
  }
  return out;
};

interface Cut {
  readonly from: number;
  readonly to: number;
  readonly sentence: number;
  readonly opener: Unit['opener'];
  readonly colon: boolean;
}

/** Nobody says longer clauses and sentences: what goes on without a mark is cut, so that the work grows with the length. */
const LONGEST_CLAUSE = 60;
const LONGEST_SENTENCE = 200;

/** Clauses by stops, marks and joining words; nothing is cut inside a place or a phrase. */
const cutsOf = (tokens: readonly Token[], groups: readonly PlaceGroup[], items: readonly Said[]): Cut[] => {
  const held = new Uint8Array(tokens.length);
  const endingAt = new Map(groups.map((group) => [group.to, group]));
  for (const { from, to } of groups) held.fill(1, from, to);
  for (const { from, to } of items) if (to - from > 1) held.fill(1, from, to);
  for (const { from, to } of KEPT_TOGETHER.all(tokens)) held.fill(1, from, to);
  for (const { from, to } of deniedLists(tokens)) held.fill(1, from, to);
  const out: Cut[] = [];
  let from = 0;
  let sentence = 0;
  let opener: Unit['opener'] = 'start';
  const spokenIn = (a: number, b: number): boolean => {
    for (let i = a; i < b; i++) if (tokens[i]?.kind === 'word' || tokens[i]?.norm === SIZE_MARK) return true;
    return false;
  };
  let began = 0;
  const close = (to: number, next: Unit['opener'], colon = false) => {
    if (spokenIn(from, to)) {
      out.push({ from, to, sentence, opener, colon });
      opener = next;
    } else if (opener === 'comma' || opener === 'start') opener = next === 'comma' ? opener : next;
  };
  tokens.forEach((token, i) => {
    if (STOPS.has(token.norm) || token.kind === 'newline') {
      close(i, 'start');
      from = i + 1;
      began = i + 1;
      sentence++;
      opener = 'start';
      return;
    }
    if (i - began >= LONGEST_SENTENCE) {
      close(i, 'start');
      from = i;
      began = i;
      sentence++;
      opener = 'start';
    } else if (i - from >= LONGEST_CLAUSE) {
      close(i, 'comma');
      from = i;
    }
    const breaks = held[i] ? undefined : BREAKS.get(token.norm);
    const dash = token.norm === '-' && token.kind === 'mark' && !held[i];
    if (!breaks && !dash) return;
    // "since 2019", "fine since": a time, not a clause of its own.
    if (
      breaks === 'since' &&
      !/^(the|we|i|he|they|it|a|you|she|my|our|his|that|new)$/.test(tokens[i + 1]?.norm ?? '')
    )
      return;
    // "fl: 1.12k fr: 1.13k": a label begins where its place does.
    const labels = breaks === 'colon' || dash;
    if (labels) {
      const place = endingAt.get(i);
      if (place && place.from > from && breaks === 'colon') {
        close(place.from, 'comma');
        from = place.from;
      }
    }
    close(i, dash ? 'comma' : (breaks as Unit['opener']), breaks === 'colon' || (dash && endingAt.has(i)));
    from = i + 1;
  });
  close(tokens.length, 'start');
  return out;
};

const within = <T extends { from: number; to: number }>(
  things: readonly T[],
  from: number,
  to: number,
): T[] => things.filter((thing) => thing.from >= from && thing.from < to);

/**
 * A clause that names several places is taken apart: each place heads what follows it (`FL ok FR ok RR dead`), or ends
 * what stands before it (`1020 on the left rear 1060 on the right rear`), as the clause begins.
 */
const takeApart = (
  cut: Cut,
  groups: readonly PlaceGroup[],
  items: readonly Said[],
  numbers: readonly NumberAt[],
): Array<{ from: number; to: number }> => {
  const first = groups[0];
  if (!first || groups.length < 2) return [{ from: cut.from, to: cut.to }];
  // `swapped rear right with rear left` is one deed on two wheels.
  const trails =
    items.some((item) => PREDICATES.has(item.meaning.is) && item.from < first.from) ||
    numbers.some((number) => number.from < first.from);
  const edges = trails
    ? groups.slice(0, -1).map((group) => group.to)
    : groups.slice(1).map((group) => group.from);
  const starts = [cut.from, ...edges];
  return starts.map((from, i) => ({ from, to: edges[i] ?? cut.to }));
};

/** Cuts a text into units. Every token but marks and joining words is in exactly one. */
export const unitsOf = (
  tokens: readonly Token[],
  groups: readonly PlaceGroup[],
  items: readonly Said[],
  numbers: readonly NumberAt[],
): Unit[] => {
  const units: Unit[] = [];
  const next = { group: 0, item: 0, number: 0 };
  const upTo = <T extends { from: number }>(
    things: readonly T[],
    key: keyof typeof next,
    from: number,
    to: number,
  ): T[] => {
    while ((things[next[key]]?.from ?? Infinity) < from) next[key]++;
    const start = next[key];
    let end = start;
    while ((things[end]?.from ?? Infinity) < to) end++;
    next[key] = end;
    return things.slice(start, end);
  };
  for (const cut of cutsOf(tokens, groups, items)) {
    const mine = upTo(groups, 'group', cut.from, cut.to);
    const said = upTo(items, 'item', cut.from, cut.to);
    const counted = upTo(numbers, 'number', cut.from, cut.to);
    takeApart(cut, mine, said, counted).forEach(({ from, to }, i) => {
      const group = within(mine, from, to)[0] ?? null;
      const own = within(said, from, to);
      units.push({
        index: units.length,
        from,
        to,
        sentence: cut.sentence,
        opener: i === 0 ? cut.opener : 'split',
        group,
        label: cut.colon && group !== null && !own.some((item) => PREDICATES.has(item.meaning.is)),
        items: own,
        numbers: within(counted, from, to),
      });
    });
  }
  return units;
};

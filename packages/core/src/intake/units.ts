import type { Token } from '../text/tokens.ts';
import { cutsOf, type Cut } from './cutClauses.ts';
import { PREDICATES, type NumberAt, type PlaceGroup, type Said, type Unit } from './unit.ts';

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

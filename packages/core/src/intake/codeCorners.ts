import { correctionsIn, struckBy } from '../text/corrections.ts';
import type { Token } from '../text/tokens.ts';
import type { LocatedPosition } from '../positions/locatedPosition.ts';
import type { CodeLine } from './readCodeLines.ts';
import type { Unit } from './unit.ts';

/** Codes with the corner said right beside them, and without those that were taken back. */
export const cornersOfCodes = (
  lines: readonly CodeLine[],
  positions: readonly LocatedPosition[],
  tokens: readonly Token[],
  units: readonly Unit[],
): CodeLine[] => {
  const tokenAt = (start: number): number => {
    let low = 0;
    let high = tokens.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((tokens[middle]?.end ?? 0) <= start) low = middle + 1;
      else high = middle;
    }
    return low;
  };
  const spoken = lines.map((line) => {
    const from = tokenAt(line.chip.start);
    return { line, from, to: from + 1 };
  });
  const struck = struckBy(correctionsIn(tokens), spoken);
  const kept = spoken.filter((_, i) => !struck.has(i));
  const unitOf = new Map<number, Unit>();
  for (const unit of units) for (let i = unit.from; i < unit.to; i++) unitOf.set(i, unit);
  const perUnit = new Map<Unit | undefined, number>();
  for (const { from } of kept) perUnit.set(unitOf.get(from), (perUnit.get(unitOf.get(from)) ?? 0) + 1);
  let p = 0;
  return kept.map(({ line, from }) => {
    const { code, chip, description } = line;
    if (description || code.wheelEnd || kept.length === 1) return line;
    while (p < positions.length && (positions[p]?.start ?? 0) < chip.end) p++;
    const unit = unitOf.get(from);
    const place = unit?.group?.places.length === 1 ? unit.group.places[0] : undefined;
    const next = positions[p];
    const mine =
      place && perUnit.get(unit) === 1 ? place : next && next.start - chip.end <= 3 ? next : undefined;
    return mine?.wheelEnds.length === 1 ? { ...line, code: { ...code, wheelEnd: mine.wheelEnds[0] } } : line;
  });
};

import { struckBy, type Correction } from '../text/corrections.ts';
import type { LocatedPosition } from '../positions/locatedPosition.ts';
import type { CodeLine } from './readCodeLines.ts';
import type { Unit } from './unit.ts';

/**
 * Codes with the corner said right beside them, and without those that were taken back.
 *
 * @param unitOf the clause of each token
 * @param indexAt the token at a character position
 */
export const cornersOfCodes = (
  lines: readonly CodeLine[],
  positions: readonly LocatedPosition[],
  corrections: readonly Correction[],
  unitOf: ReadonlyMap<number, Unit>,
  indexAt: (position: number) => number,
): CodeLine[] => {
  const spoken = lines.map((line) => {
    const from = indexAt(line.chip.start);
    return { line, from, to: from + 1 };
  });
  const struck = struckBy(corrections, spoken);
  const kept = spoken.filter((_, i) => !struck.has(i));
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

import { mendDocket } from '../vocabulary/mendDocket.ts';
import type { Docket } from '../vocabulary/docket.ts';
import type { IntakeReading } from '../vocabulary/intakeReading.ts';

/** A docket keeps this many codes; a list longer than that is noise, and what speaks of wheels or echoes comes first. */
const MOST_CODES = 500;

const mostTelling = (codes: IntakeReading['codes']): IntakeReading['codes'] => {
  if (codes.length <= MOST_CODES) return codes;
  const rank = (code: IntakeReading['codes'][number]): number =>
    /wheel|speed sensor/i.test(code.text ?? '') || /^C00[34]|^SPN 79|^SPN 789/i.test(code.code)
      ? 0
      : /^U0(121|415)/i.test(code.code)
        ? 1
        : 2;
  return codes
    .map((code, i) => ({ code, i }))
    .sort((a, b) => rank(a.code) - rank(b.code) || a.i - b.i)
    .slice(0, MOST_CODES)
    .map(({ code }) => code);
};

/** A new docket with everything a reading found. The words stay on it, understood or not. */
export const docketFromReading = (
  reading: IntakeReading,
  words: string,
  trafficSide: 'left' | 'right' | null,
): Docket => {
  const corners = reading.positions.filter((p) => (p.role ?? 'corner') === 'corner');
  const ends = [...new Set(corners.flatMap((p) => p.wheelEnds))];
  const settled =
    reading.conflicts.length === 0 && ends.length === 1 && corners.every((p) => p.needs === null);
  return mendDocket({
    format: 'hardy-spoke/docket',
    version: 1,
    vehicle: {
      ...reading.vehicle,
      trafficSide: reading.vehicle.trafficSide ?? trafficSide,
      ...(Object.keys(reading.tyres).length > 0 ? { tyres: reading.tyres } : {}),
    },
    codes: mostTelling(reading.codes),
    symptoms: reading.symptoms,
    history: reading.history.slice(0, 100),
    checks: reading.checks.slice(0, 200),
    ...(reading.reader ? { reader: reading.reader } : {}),
    ...(reading.wants?.length ? { wants: reading.wants.slice(0, 20) } : {}),
    ...(reading.codesCleared ? { codesCleared: true } : {}),
    ...(reading.customer ? { customer: reading.customer } : {}),
    ...(reading.budgetCents != null ? { budgetCents: reading.budgetCents } : {}),
    ...(reading.neededBy ? { neededBy: reading.neededBy } : {}),
    ...(reading.wishes?.length ? { wishes: reading.wishes } : {}),
    ...(reading.doubts?.length ? { doubts: reading.doubts.slice(0, 20) } : {}),
    positions: reading.positions.slice(0, 50),
    wheelEnd: settled ? (ends[0] ?? null) : null,
    words: words.slice(0, 20000),
    leftOver: reading.leftOver.slice(0, 200).map((left) => left.slice(0, 400)),
  });
};

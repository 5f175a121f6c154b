import { mendDocket } from '../vocabulary/mendDocket.ts';
import { symptomOf } from '../vocabulary/complaints.ts';
import type { Docket, DocketSymptom } from '../vocabulary/docket.ts';
import type { IntakeReading } from '../vocabulary/intakeReading.ts';

const present = (entries: Record<string, unknown>): Record<string, unknown> =>
  Object.fromEntries(Object.entries(entries).filter(([, value]) => value != null));

/** Complaints as said last: one that went replaces the same one that was there. */
const mergeSymptoms = (before: readonly DocketSymptom[], now: readonly DocketSymptom[]): DocketSymptom[] => [
  ...before.filter((said) => !now.some((later) => symptomOf(later) === symptomOf(said))),
  ...now,
];

/**
 * A docket with what further words told. Nothing already entered is lost: lists grow, what was said about the vehicle
 * later wins, and a corner that differs from the one before stands beside it until it is asked about.
 */
export const mergeReading = (docket: Docket, reading: IntakeReading, words: string): Docket => {
  const codes = docket.codes ?? [];
  const fresh = reading.codes.filter(
    (code) =>
      !codes.some((known) => known.code === code.code && (known.module ?? null) === (code.module ?? null)),
  );
  const positions = [...(docket.positions ?? []), ...reading.positions];
  const said = [
    ...new Set(
      reading.positions.filter((p) => (p.role ?? 'corner') === 'corner').flatMap((p) => p.wheelEnds),
    ),
  ];
  const settled = reading.conflicts.length === 0 && said.length === 1 ? (said[0] ?? null) : null;
  const before = docket.wheelEnd ?? null;
  const differs = before !== null && settled !== null && settled !== before;
  // A corner kept only as an answer becomes a phrase again, so that both stand side by side.
  const kept =
    differs && !(docket.positions ?? []).some((p) => p.wheelEnds.includes(before))
      ? [{ text: before, wheelEnds: [before], needs: null }, ...positions]
      : positions;
  return mendDocket({
    ...docket,
    vehicle: {
      ...docket.vehicle,
      ...present(reading.vehicle),
      tyres: { ...docket.vehicle?.tyres, ...reading.tyres },
    },
    codes: [...codes, ...fresh],
    symptoms: mergeSymptoms(docket.symptoms ?? [], reading.symptoms),
    history: [...(docket.history ?? []), ...reading.history],
    checks: [...(docket.checks ?? []), ...reading.checks],
    reader: reading.reader ?? docket.reader,
    wants: [...new Set([...(docket.wants ?? []), ...(reading.wants ?? [])])].slice(0, 20),
    codesCleared: reading.codesCleared ?? docket.codesCleared,
    ...(docket.customer || reading.customer
      ? { customer: { ...docket.customer, ...present(reading.customer ?? {}) } }
      : {}),
    ...(reading.budgetCents != null ? { budgetCents: reading.budgetCents } : {}),
    ...(reading.neededBy ? { neededBy: reading.neededBy } : {}),
    ...(reading.wishes?.length
      ? {
          wishes: [
            ...(docket.wishes ?? []).filter(
              ({ what }) => !reading.wishes?.some((wish) => wish.what === what),
            ),
            ...reading.wishes,
          ],
        }
      : {}),
    doubts: [...(docket.doubts ?? []), ...(reading.doubts ?? [])].slice(0, 20),
    positions: kept,
    wheelEnd: differs ? null : (before ?? settled),
    words: [docket.words, words].filter(Boolean).join('\n').slice(0, 20000),
    leftOver: [...(docket.leftOver ?? []), ...reading.leftOver.map((left) => left.slice(0, 400))].slice(
      0,
      200,
    ),
  });
};

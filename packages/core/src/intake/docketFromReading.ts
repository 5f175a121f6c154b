import type { Docket } from '../vocabulary/docket.ts';
import type { IntakeReading } from '../vocabulary/intakeReading.ts';

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
  return {
    format: 'hardy-spoke/docket',
    version: 1,
    vehicle: {
      ...reading.vehicle,
      trafficSide: reading.vehicle.trafficSide ?? trafficSide,
      ...(Object.keys(reading.tyres).length > 0 ? { tyres: reading.tyres } : {}),
    },
    codes: reading.codes,
    symptoms: reading.symptoms,
    history: reading.history,
    checks: reading.checks,
    positions: reading.positions,
    wheelEnd: settled ? (ends[0] ?? null) : null,
    words: words.slice(0, 20000),
    leftOver: reading.leftOver.slice(0, 200).map((left) => left.slice(0, 400)),
  };
};

import type { Assumptions } from '../../assumptions/assumptions.ts';
import type { OhmRange } from '../../checks/readCheck.ts';
import type { WheelNames } from '../../vocabulary/wheelEndWords.ts';
import { axleOf, wheelEndAt } from '../../vocabulary/wheelEndWords.ts';
import type { SensorType } from '../../vocabulary/words.ts';
import type { WheelEnd } from '../../vocabulary/wheelEnd.ts';

/** What turning a docket into evidence needs to know of the vehicle. */
export interface EvidenceContext {
  readonly axles: number;
  readonly names: WheelNames;
  readonly ends: readonly WheelEnd[];
  readonly a: Assumptions;
  /** The kind of sensor at a wheel end, where it is known. */
  readonly sensorAt?: (end: WheelEnd) => SensorType | null;
  /** The maker's range of the coil at a wheel end, where the catalogue has it. */
  readonly ohmRange?: (end: WheelEnd) => OhmRange | null;
}

/** A wheel end of a fact, moved to the axle's centre sender where the axle has only that. */
export const settleEnd = (end: WheelEnd | null | undefined, ends: readonly WheelEnd[]): WheelEnd | null => {
  if (!end) return null;
  if (ends.includes(end)) return end;
  const centre = wheelEndAt(axleOf(end), 'centre');
  return ends.includes(centre) ? centre : null;
};

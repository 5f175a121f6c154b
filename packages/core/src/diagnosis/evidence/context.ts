import type { Assumptions } from '../../assumptions/assumptions.ts';
import type { OhmRange } from '../../checks/computedCheck.ts';
import type { WheelNames } from '../../vocabulary/wheelEndWords.ts';
import type { SensorType } from '../../vocabulary/words.ts';
import type { SensedEnd, SensedEnds } from '../sensedEnd.ts';

/** What turning a docket into evidence needs to know of the vehicle. */
export interface EvidenceContext {
  readonly axles: number;
  readonly names: WheelNames;
  readonly ends: SensedEnds;
  readonly a: Assumptions;
  /** The kind of sensor at a wheel end, where it is known. */
  readonly sensorAt?: (end: SensedEnd) => SensorType | null;
  /** The maker's range of the coil at a wheel end, where the catalogue has it. */
  readonly ohmRange?: (end: SensedEnd) => OhmRange | null;
}

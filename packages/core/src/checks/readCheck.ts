import type { Assumptions } from '../assumptions/assumptions.ts';
import { pickedResult } from '../checkKinds/checkData.ts';
import type { CheckKind } from '../checkKinds/checkKind.ts';
import { kindOf } from '../checkKinds/checkTypes.ts';
import type { Check } from '../vocabulary/check.ts';
import type { SensorType } from '../vocabulary/words.ts';
import type { CheckReading, OhmRange } from './computedCheck.ts';
import { computedOf } from './computedKinds.ts';

/**
 * Judges a check by the kind of sensor it was made on. Null when the reading says nothing there: a ring that could
 * not be seen, AC from an active sensor, ohms of an active element. A coil is judged by `range` where the catalogue
 * has it for that part, else by the rule of thumb.
 */
export const readCheck = (
  check: Check,
  sensor: SensorType,
  a: Assumptions,
  range: OhmRange | null = null,
): CheckReading | null => {
  const computed = computedOf(check.check);
  if (computed) return computed.reads(check as never, sensor, a, range);
  const { name, silent, tables } = kindOf(check.check) as CheckKind;
  const result = pickedResult(check);
  return result === null || silent?.includes(result) || !(name in tables) ? null : { table: name, result };
};

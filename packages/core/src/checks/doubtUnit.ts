import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Check } from '../vocabulary/check.ts';
import type { Doubting, UnitDoubt } from './computedCheck.ts';
import { computedOf } from './computedKinds.ts';

const doubt: Doubting = (what, instead, likelier, asRead) => ({
  ask: `Was it ${likelier}, or really ${asRead}?`,
  because: what,
  instead,
  labels: [likelier, asRead],
});

/**
 * Notices a mistyped unit: kilohms read as ohms, millivolts as volts, a lost decimal point, Fahrenheit as Celsius.
 * Null when the reading is believable as it stands, or was confirmed.
 */
export const doubtUnit = (check: Check, a: Assumptions): UnitDoubt | null =>
  check.confirmed ? null : (computedOf(check.check)?.doubts?.(check as never, a, doubt) ?? null);

import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Check } from '../vocabulary/check.ts';
import type { Heard } from './frames/clause.ts';
import type { PlacedFact } from './placeFacts.ts';

const isOff = (check: Check, reference: Check, times: number): boolean => {
  if (check.check === 'meter.resistance' && reference.check === 'meter.resistance') {
    const { ohms } = check;
    if (typeof reference.ohms !== 'number') return false;
    return typeof ohms !== 'number' || ohms > reference.ohms * times || ohms < reference.ohms / times;
  }
  if (
    (check.check === 'meter.supply' && reference.check === 'meter.supply') ||
    (check.check === 'meter.ac' && reference.check === 'meter.ac')
  )
    return check.volts < reference.volts / times;
  return false;
};

/** Whether a reading is plausible and another one of its kind is far off it: "left open, right 1.2k". */
export const isReference = (
  { check }: Heard,
  placed: readonly PlacedFact[],
  limits: Pick<Assumptions, 'get'>,
): boolean => {
  if (!check) return false;
  if (check.check === 'meter.resistance') {
    const { ohms } = check;
    if (
      typeof ohms !== 'number' ||
      ohms < limits.get('hearing.reference.least-ohms') ||
      ohms > limits.get('hearing.reference.most-ohms')
    )
      return false;
  }
  const times = limits.get('hearing.reference.off-by');
  return placed.some(({ heard }) => heard.check !== undefined && isOff(heard.check, check, times));
};

import type { Cause } from '../vocabulary/words.ts';
import { isCentre } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { hasRing, type Architecture } from './architecture.ts';

/** What may be wrong at one wheel end: nothing, one cause, or two at once. */
export type State = readonly Cause[];

/** Causes that exist at a wheel end built this way. */
export const causesAt = (wheelEnd: WheelEnd, a: Architecture): Cause[] => {
  const centre = isCentre(wheelEnd);
  return [
    centre ? 'sender' : 'sensor',
    hasRing(a) ? 'ring' : 'encoder',
    ...(centre ? [] : (['bearing'] as const)),
    'wiring',
    ...(a.mounting === 'in-hub' ? [] : (['seating'] as const)),
    'tyre',
    'mismatched-part',
  ];
};

/** Every state of a wheel end built this way. A past event goes with nothing else: it means nothing is wrong now. */
export const statesAt = (wheelEnd: WheelEnd, a: Architecture): State[] => {
  const causes = causesAt(wheelEnd, a);
  return [
    [],
    ...causes.map((cause) => [cause] as const),
    ['none-present'],
    ...causes.flatMap((one, i) => causes.slice(i + 1).map((other) => [one, other] as const)),
  ];
};

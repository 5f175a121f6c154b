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

/** Listed once for each way of building: at a wheel, and at the centre of an axle. */
const listed = new WeakMap<Architecture, Map<boolean, readonly State[]>>();

/** Every state of a wheel end built this way. A past event goes with nothing else: it means nothing is wrong now. */
export const statesAt = (wheelEnd: WheelEnd, a: Architecture): readonly State[] => {
  const byCentre = listed.get(a) ?? new Map<boolean, readonly State[]>();
  listed.set(a, byCentre);
  const known = byCentre.get(isCentre(wheelEnd));
  if (known) return known;
  const causes = causesAt(wheelEnd, a);
  const states: readonly State[] = [
    [],
    ...causes.map((cause) => [cause] as const),
    ['none-present'],
    ...causes.flatMap((one, i) => causes.slice(i + 1).map((other) => [one, other] as const)),
  ];
  byCentre.set(isCentre(wheelEnd), states);
  return states;
};

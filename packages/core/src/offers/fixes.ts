import type { Assumptions } from '../assumptions/assumptions.ts';
import { hasRing, type Architecture } from '../diagnosis/architecture.ts';
import type { Cause, PartClass } from '../vocabulary/words.ts';
import { isCentre } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';

/** Part classes that exist at a wheel end built this way. What the vehicle does not have is never offered. */
export const partsAt = (wheelEnd: WheelEnd, architecture: Architecture): PartClass[] => {
  const parts: PartClass[] = [];
  if (isCentre(wheelEnd)) return ['sender', 'connector-kit'];
  if (architecture.mounting === 'separate') parts.push('sensor');
  if (hasRing(architecture) && architecture.ringSoldAlone) parts.push('tone-ring');
  parts.push('hub-assembly');
  if (architecture.target === 'ring-on-shaft') parts.push('axle-shaft');
  parts.push('connector-kit');
  return parts;
};

/** Chance that a part, fitted well, takes a cause away. A past event is gone once its code is cleared, whatever is fitted. */
export const cureChance = (
  part: PartClass,
  cause: Cause,
  architecture: Architecture,
  a: Assumptions,
): number => {
  if (cause === 'none-present') return a.get('cures.no-part.none-present');
  const base = a.find(`cures.${part}.${cause}`, 0);
  if (part !== 'hub-assembly') return base;
  if (architecture.mounting === 'in-hub')
    return Math.max(base, a.find(`cures.hub-assembly.in-hub.${cause}`, 0));
  return architecture.target === 'ring-on-hub'
    ? Math.max(base, a.find(`cures.hub-assembly.ring-on-hub.${cause}`, 0))
    : base;
};

/** Work that cures without a part from the shelf, named for the cause it takes away. */
export const WORKS = ['seating', 'tyre', 'supply', 'none-present'] as const;
export type Work = (typeof WORKS)[number];

/** Each work as a deed: what one compares with something else. */
export const WORK_AS_DEED: Readonly<Record<Work, string>> = {
  seating: 'cleaning the bore and setting the sensor home',
  tyre: 'fitting tyres of one size',
  supply: 'charging or renewing the battery',
  'none-present': 'clearing the code and driving',
};

/** Each work as one would say it. */
export const WORK_IN_WORDS: Readonly<Record<Work, string>> = {
  seating: 'clean the bore and the target, set the sensor home, clear the code',
  tyre: 'fit tyres of one size across the axle and set the pressures',
  supply: 'charge or renew the battery, clear all codes and read again',
  'none-present': 'clear the code and drive; nothing is wrong now',
};

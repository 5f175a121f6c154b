import type { Assumptions } from '../assumptions/assumptions.ts';
import { hasRing, type Architecture } from '../diagnosis/architecture.ts';
import type { Fault } from '../faultKinds/faultData.ts';
import { partsThat, partsWhere, type PartClass } from '../partKinds/partData.ts';
import type { PartNeed } from '../partKinds/partKind.ts';
import { isCentre } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';

/** Part classes that exist at a wheel end built this way. What the vehicle does not have is never offered. */
export const partsAt = (wheelEnd: WheelEnd, architecture: Architecture): PartClass[] => {
  const holds: Readonly<Record<PartNeed, boolean>> = {
    'separate-sensor': architecture.mounting === 'separate',
    ring: hasRing(architecture),
    'ring-sold-alone': architecture.ringSoldAlone,
    'ring-on-shaft': architecture.target === 'ring-on-shaft',
  };
  return partsWhere(isCentre(wheelEnd) ? 'centre' : 'wheel', (need) => holds[need]);
};

/** Chance that a part, fitted well, takes a fault away. A past event is nothing to cure: no part gets credit for it. */
export const cureChance = (
  part: PartClass,
  fault: Fault,
  architecture: Architecture,
  a: Assumptions,
): number => {
  const base = a.find(`cures.${part}.${fault}`, 0);
  // A hub brings what is built into it: its sensor, its target, both.
  return Math.max(
    base,
    architecture.mounting === 'in-hub' ? a.find(`cures.${part}.in-hub.${fault}`, 0) : 0,
    a.find(`cures.${part}.${architecture.target}.${fault}`, 0),
  );
};

/** Work that cures without a part from the shelf, named for the fault it takes away. */
export const WORKS = ['seating', 'loom', 'tyre', 'supply', 'none-present'] as const;
export type Work = (typeof WORKS)[number];

/** Parts whose lead or plug hangs on the same loom: where both are seen bad, one visit mends both. */
export const WITH_WORK: ReadonlyArray<readonly [PartClass, Work]> = [...partsThat('onLoom')].map((part) => [
  part,
  'loom',
]);

/** Chance that a work takes a fault away. */
export const workCures = (work: Work, fault: Fault, a: Assumptions): number => {
  if (fault === work) return a.get(`cures.no-part.${work}`);
  return work === 'loom' && fault === 'joint' ? a.get('cures.loom-repair.joint') : 0;
};

/** Each work as a deed: what one compares with something else. */
export const WORK_AS_DEED: Readonly<Record<Work, string>> = {
  seating: 'cleaning the bore and setting the sensor home',
  loom: 'repairing the loom',
  tyre: 'fitting tyres of one size',
  supply: 'charging or renewing the battery',
  'none-present': 'clearing the code and driving',
};

/** Each work as one would say it. */
export const WORK_IN_WORDS: Readonly<Record<Work, string>> = {
  seating: 'clean the bore and the target, set the sensor home, clear the code',
  loom: 'repair the loom: cut back to bright copper, join, seal and tie it clear',
  tyre: 'fit tyres of one size across the axle and set the pressures',
  supply: 'charge or renew the battery, clear all codes and read again',
  'none-present': 'clear the code and drive; nothing is wrong now',
};

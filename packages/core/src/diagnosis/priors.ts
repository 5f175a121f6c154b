import type { Assumptions } from '../assumptions/assumptions.ts';
import { parseTyreSize } from '../vocabulary/tyreSize.ts';
import type { DocketVehicle } from '../vocabulary/docket.ts';
import type { Fault } from '../faultKinds/faultData.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { axleOf } from '../vocabulary/wheelEndWords.ts';
import type { Sensing } from './architecture.ts';
import type { State } from './states.ts';

/** Age in years of a vehicle built at `buildDate` (YYYY, YYYY-MM or YYYY-MM-DD) on `today` (YYYY-MM-DD). */
export const ageInYears = (buildDate: string | null | undefined, today: string): number | null => {
  if (!buildDate) return null;
  const asYears = (date: string): number => {
    const [year = 0, month = 7, day = 15] = date.split('-').map(Number);
    return year + (month - 1) / 12 + (day - 1) / 365;
  };
  return Math.max(0, asYears(today) - asYears(buildDate));
};

/** Distance beyond the usual for the age says something up to so many times 100,000 km either way. */
const clampDistance = (times: number): number => Math.max(-2, Math.min(3, times));

/** By how much the largest tyre fitted is larger than the one the vehicle was built with, in percent; null if not known. */
const oversizePercent = (vehicle: DocketVehicle): number | null => {
  const built = vehicle.originalTyre ? parseTyreSize(vehicle.originalTyre) : null;
  const fitted = Object.values(vehicle.tyres ?? {}).flatMap((size) => parseTyreSize(size) ?? []);
  if (!built || fitted.length === 0) return null;
  return (Math.max(...fitted.map(({ diameter }) => diameter)) / built.diameter - 1) * 100;
};

/** What of where a wheel end is moves the odds of its faults. */
export const lineOf = (wheelEnd: WheelEnd): 'front' | 'rear' => (axleOf(wheelEnd) === 1 ? 'front' : 'rear');

/** Chance of a single fault at a wheel end before any finding: base rate, moved by salt, age, distance, tyres, target and what was learned. */
export const faultPrior = (
  fault: Fault,
  sensing: Sensing,
  vehicle: DocketVehicle,
  today: string,
  a: Assumptions,
  /** Where the fault is; null: at no axle in particular. */
  wheelEnd: WheelEnd | null = null,
): number => {
  const learned =
    a.find(`build.${sensing.sensor}.${fault}`, 1) *
    (wheelEnd === null ? 1 : a.find(`line.${lineOf(wheelEnd)}.${fault}`, 1));
  const age = ageInYears(vehicle.buildDate, today) ?? a.get('age.typical');
  const decades = (age - a.get('age.typical')) / 10;
  const salt =
    vehicle.saltExposure === 'high' || vehicle.saltExposure === 'none'
      ? a.find(`salt.${vehicle.saltExposure}.${fault}`, 1)
      : 1;
  const driven =
    vehicle.distanceKm == null
      ? 1
      : a.find(`distance.per-100000km.${fault}`, 1) **
        clampDistance((vehicle.distanceKm - age * a.get('distance.per-year')) / 100000);
  const oversize =
    (oversizePercent(vehicle) ?? 0) >= a.get('oversize.percent') ? a.find(`oversize.${fault}`, 1) : 1;
  const shaft = sensing.target === 'ring-on-shaft' ? a.find(`target.on-shaft.${fault}`, 1) : 1;
  return Math.min(
    a.get('prior.most'),
    a.get(`prior.${fault}`) *
      a.find(`age.per-decade.${fault}`, 1) ** decades *
      salt *
      driven *
      oversize *
      shaft *
      learned,
  );
};

/** How much likelier than chance two faults are found together at one wheel end. */
const pairFactor = (one: Fault, other: Fault, a: Assumptions): number => {
  const both = new Set([one, other]);
  if (both.has('ring') && both.has('sensor')) return a.get('prior.pair.ring-and-sensor');
  if (both.has('bearing') && both.has('encoder')) return a.get('prior.pair.bearing-and-encoder');
  if (both.has('joint') && both.has('sensor')) return a.get('prior.pair.sensor-and-joint');
  return a.get('prior.pair.otherwise');
};

/** Prior weight of a state (not normalised: nothing wrong weighs one). */
export const statePrior = (state: State, priorOf: (fault: Fault) => number, a: Assumptions): number => {
  const [one, other] = state;
  if (one === undefined) return 1;
  if (other === undefined) return priorOf(one);
  return priorOf(one) * priorOf(other) * pairFactor(one, other, a);
};

/** Chance that a given other wheel end has a fault of its own, when one has: more so on an old and salted vehicle. */
export const secondEndChance = (vehicle: DocketVehicle, today: string, a: Assumptions): number => {
  const age = ageInYears(vehicle.buildDate, today) ?? a.get('age.typical');
  const aged = a.get('prior.second-end.per-decade') ** ((age - a.get('age.typical')) / 10);
  const salted = vehicle.saltExposure === 'high' ? a.get('prior.second-end.salt') : 1;
  return Math.min(a.get('prior.second-end.most'), a.get('prior.second-end') * aged * salted);
};

/**
 * Weight of every number of faulty wheel ends, beside the product of their own odds. A vehicle comes with one complaint:
 * one faulty end, or none, weighs one; each further one has the chance `q` of a second fault instead of its own base
 * rate. `odds` are the prior odds of a fault at each wheel end.
 *
 * Method: c_K = (q' / w)^(K - 1) with q' = q / (1 - q) and w the mean of the odds, so that given a fault at one wheel end
 * each other has one with about q.
 */
export const faultCountWeights = (odds: readonly number[], q: number): number[] => {
  const mean = odds.reduce((sum, w) => sum + w, 0) / Math.max(1, odds.length);
  const further = mean > 0 ? q / (1 - q) / mean : 0;
  return Array.from({ length: odds.length + 1 }, (_, k) => (k <= 1 ? 1 : further ** (k - 1)));
};

import type { Assumptions } from '../assumptions/assumptions.ts';
import type { DocketVehicle } from '../vocabulary/docket.ts';
import type { Cause } from '../vocabulary/words.ts';
import type { Architecture } from './architecture.ts';
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

/** Chance of a single cause at a wheel end before any finding: base rate, moved by salt, age and the kind of target. */
export const causePrior = (
  cause: Cause,
  architecture: Architecture,
  vehicle: DocketVehicle,
  today: string,
  a: Assumptions,
): number => {
  const age = ageInYears(vehicle.buildDate, today) ?? a.get('age.typical');
  const decades = (age - a.get('age.typical')) / 10;
  const salt =
    vehicle.saltExposure === 'high' || vehicle.saltExposure === 'none'
      ? a.find(`salt.${vehicle.saltExposure}.${cause}`, 1)
      : 1;
  const shaft = architecture.target === 'ring-on-shaft' ? a.find(`target.on-shaft.${cause}`, 1) : 1;
  return Math.min(
    a.get('prior.most'),
    a.get(`prior.${cause}`) * a.find(`age.per-decade.${cause}`, 1) ** decades * salt * shaft,
  );
};

/** How much likelier than chance two causes are found together. */
export const pairFactor = (one: Cause, other: Cause, a: Assumptions): number => {
  const both = new Set([one, other]);
  if (both.has('ring') && both.has('sensor')) return a.get('prior.pair.ring-and-sensor');
  if (both.has('bearing') && both.has('encoder')) return a.get('prior.pair.bearing-and-encoder');
  return a.get('prior.pair');
};

/** Prior weight of a state (not normalised: nothing wrong weighs one). */
export const statePrior = (state: State, priorOf: (cause: Cause) => number, a: Assumptions): number => {
  const [one, other] = state;
  if (one === undefined) return 1;
  if (other === undefined) return priorOf(one);
  return priorOf(one) * priorOf(other) * pairFactor(one, other, a);
};

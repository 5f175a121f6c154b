import type { Assumptions } from '../assumptions/assumptions.ts';
import { ageInYears } from '../diagnosis/priors.ts';
import type { Docket } from '../vocabulary/docket.ts';
import { isCentre } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';

/**
 * Chance that the bearing at a wheel end must be done within the horizon: Weibull over distance given that it has
 * lasted so far, salt counted as distance; a growl brings it near, by an exponential law. A hub fitted since counts
 * from its day. Zero at the centre of an axle.
 */
export const bearingDue = (wheelEnd: WheelEnd, docket: Docket, today: string, a: Assumptions): number => {
  if (isCentre(wheelEnd)) return 0;
  const horizon = a.get('horizon.years');
  const noisy = (docket.checks ?? []).some(
    (check) =>
      (check.wheelEnd ?? null) === wheelEnd &&
      ((check.check === 'bearing.noise' && check.result === 'growl') ||
        (check.check === 'bearing.play' && check.result !== 'none')),
  );
  if (noisy) return 1 - Math.exp(-horizon / a.get('bearing.growl-years'));
  const vehicle = docket.vehicle ?? {};
  const perYear = a.get('distance.per-year');
  const age = ageInYears(vehicle.buildDate, today) ?? a.get('age.typical');
  const renewed = (docket.history ?? []).filter(
    (event) => event.event === 'hub-replaced' && event.wheelEnd === wheelEnd && event.daysAgo != null,
  );
  const since = Math.min(...renewed.map((event) => (event.daysAgo ?? 0) / 365), Infinity);
  const driven = Math.min(vehicle.distanceKm ?? age * perYear, since * perYear);
  const salt = a.get(`bearing.salt.${vehicle.saltExposure ?? 'unknown'}`);
  const shape = a.get('bearing.life-shape');
  // The life is given as a median: scale = median / ln(2)^(1/k).
  const scale = a.get('bearing.life-km') / Math.LN2 ** (1 / shape);
  const worn = (km: number) => ((km * salt) / scale) ** shape;
  return 1 - Math.exp(worn(driven) - worn(driven + horizon * perYear));
};

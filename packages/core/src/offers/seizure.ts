import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Architecture } from '../diagnosis/architecture.ts';
import { ageInYears } from '../diagnosis/priors.ts';
import type { Docket } from '../vocabulary/docket.ts';
import type { PartClass } from '../vocabulary/words.ts';
import { isCentre } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';

/** Parts whose fitting needs the old separate sensor drawn out of its bore. */
const DRAWS_SENSOR: ReadonlySet<PartClass> = new Set(['sensor', 'hub-assembly', 'sender']);

/**
 * Chance that the old sensor breaks when it is drawn: base by knuckle metal, salt, and years in the bore. A sensor
 * fitted lately has not had time to seize. Zero where the part needs none drawn or the sensor is built in.
 */
export const seizureChance = (
  part: PartClass,
  wheelEnd: WheelEnd,
  architecture: Architecture,
  docket: Docket,
  today: string,
  a: Assumptions,
): number => {
  if (!DRAWS_SENSOR.has(part) || architecture.mounting === 'in-hub') return 0;
  const vehicle = docket.vehicle ?? {};
  const fitted = (docket.history ?? [])
    .filter(
      (event) =>
        (event.event === 'sensor-replaced' ||
          event.event === 'sender-replaced' ||
          event.event === 'hub-replaced') &&
        (event.wheelEnd ?? wheelEnd) === wheelEnd &&
        event.daysAgo != null,
    )
    .map((event) => (event.daysAgo ?? 0) / 365);
  const typical = a.get('age.typical');
  const years = Math.min(...fitted, ageInYears(vehicle.buildDate, today) ?? typical);
  const base =
    a.get(`seizure.${vehicle.knuckle ?? 'unknown'}`) *
    a.get(`seizure.salt.${vehicle.saltExposure ?? 'unknown'}`);
  const aged =
    base *
    a.get('seizure.per-decade') ** ((years - typical) / 10) *
    Math.min(1, years / a.get('seizure.settling-years'));
  return Math.min(a.get('seizure.most'), aged * (isCentre(wheelEnd) ? a.get('seizure.centre') : 1));
};

/** Extra hours when it snaps, with the chance of each way of getting it out. */
export const snapBranches = (a: Assumptions): Array<{ chance: number; hours: number }> =>
  (['picked', 'drilled', 'knuckle-off'] as const).map((way) => ({
    chance: a.get(`seizure.way.${way}`),
    hours: a.get(`seizure.hours.${way}`),
  }));

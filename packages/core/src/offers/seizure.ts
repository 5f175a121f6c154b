import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Architecture } from '../diagnosis/architecture.ts';
import { ageInYears } from '../diagnosis/priors.ts';
import { partsThat } from '../partKinds/partData.ts';
import type { PartClass } from '../vocabulary/words.ts';
import { isCentre } from '../vocabulary/wheelEndWords.ts';
import { oldSensorAt } from '../vocabulary/oldSensor.ts';
import type { WheelJob } from './wheelJob.ts';

/** Parts whose fitting needs the old separate sensor drawn out of its bore. */
const DRAWS_SENSOR = partsThat('drawsSensor');

/** Whether fitting the part means drawing a separate sensor out of its bore. */
export const drawsSensor = (part: PartClass, architecture: Architecture): boolean =>
  DRAWS_SENSOR.has(part) && architecture.mounting !== 'in-hub';

/** What penetrating oil does, by hours left on: 1 - (1 - most) * (1 - e^(-h / hours)). */
const soaked = (hours: number, a: Assumptions): number =>
  1 - (1 - a.get('seizure.soak-most')) * (1 - Math.exp(-hours / a.get('seizure.soak-hours')));

/**
 * Chance that the old sensor breaks when it is drawn: base by knuckle metal, salt, and years in the bore, moved by its
 * housing, an earlier coat of grease and soaking. A sensor fitted lately has not had time to seize. Zero where the part
 * needs none drawn or the sensor is built in. A person's own estimate on the docket wins.
 */
export const seizureChance = (
  part: PartClass,
  { wheelEnd, architecture, docket, today, a }: Omit<WheelJob, 'slice'>,
): number => {
  if (!drawsSensor(part, architecture)) return 0;
  const told = docket.options?.seizure ?? {};
  // What has happened is no chance any more: nothing is left to snap, or it has.
  const old = oldSensorAt(docket, wheelEnd);
  if (old !== 'in') return old === 'out' ? 0 : 1;
  if (told.chance != null) return told.chance;
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
    a.get(`seizure.salt.${vehicle.saltExposure ?? 'unknown'}`) *
    a.get(`seizure.housing.${told.housing ?? 'unknown'}`) *
    (told.coated ? a.get('seizure.coated') : 1) *
    soaked(told.soakedHours ?? 0, a);
  const aged =
    base *
    a.get('seizure.per-decade') ** ((years - typical) / 10) *
    Math.min(1, years / a.get('seizure.settling-years'));
  return Math.min(
    a.get('seizure.most'),
    aged *
      (isCentre(wheelEnd) ? a.get('seizure.centre') : 1) *
      (vehicle.driveline === 'trailer' || (vehicle.axles ?? 2) > 2 ? a.get('seizure.heavy') : 1),
  );
};

/** Each way of getting a snapped sensor out: its chance, the extra hours, and what is spent or broken on the way. */
export const snapBranches = (a: Assumptions): Array<{ chance: number; hours: number; parts: number }> =>
  (['picked', 'drilled', 'knuckle-off'] as const).map((way) => ({
    chance: a.get(`seizure.way.${way}`),
    hours: a.get(`seizure.hours.${way}`),
    parts: a.get(`seizure.parts.${way}`),
  }));

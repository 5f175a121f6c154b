import type { Docket } from './docket.ts';
import type { WheelEnd } from './wheelEnd.ts';

/** How the old sensor at a wheel end is: in its bore, out already, or snapped with the rest still in. */
export type OldSensor = 'in' | 'out' | 'snapped';
export const oldSensorAt = (docket: Docket, wheelEnd: WheelEnd): OldSensor => {
  const { old = null, oldAt = null } = docket.options?.seizure ?? {};
  if (old && (oldAt ?? wheelEnd) === wheelEnd) return old;
  return (docket.checks ?? []).some(
    (check) =>
      check.check === 'visual.sensor' &&
      check.result === 'snapped' &&
      (check.wheelEnd ?? wheelEnd) === wheelEnd,
  )
    ? 'snapped'
    : 'in';
};

const RUINED: ReadonlySet<string> = new Set(['broken', 'rubbed']);

/** Whether the face of the old sensor at a wheel end was seen damaged: the last look counts. */
export const faceDamagedAt = (docket: Docket, wheelEnd: WheelEnd): boolean => {
  const last = (docket.checks ?? [])
    .filter((check) => check.check === 'visual.sensor' && (check.wheelEnd ?? wheelEnd) === wheelEnd)
    .at(-1);
  return last?.check === 'visual.sensor' && RUINED.has(last.result);
};

import type { Assumptions } from '../assumptions/assumptions.ts';
import { hasRing, type Architecture } from '../diagnosis/architecture.ts';
import type { Belief } from '../diagnosis/posterior.ts';
import type { Check, CheckName } from '../vocabulary/check.ts';
import type { Docket } from '../vocabulary/docket.ts';
import type { SensorType } from '../vocabulary/words.ts';
import { isCentre } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';

/** What must be set up before a look: paid once for all that need it. */
export const SETUPS = ['wheel', 'plug', 'reader'] as const;
export type Setup = (typeof SETUPS)[number];

/** A check that can be made, with the likelihood table its result would be read by. */
export interface AvailableCheck {
  readonly check: CheckName;
  readonly table: string;
  readonly setup: Setup | null;
  /** Checks that come before it, where they can be made: the plug is looked into before it is metered. */
  readonly after: readonly CheckName[];
}

/** Checks that need the vehicle driven or rolled. */
const DRIVEN: ReadonlySet<CheckName> = new Set<CheckName>(['live', 'clear-and-drive']);

const SETUP_OF: Readonly<Partial<Record<CheckName, Setup>>> = {
  'visual.ring': 'wheel',
  'ring.teeth': 'wheel',
  'visual.sensor': 'wheel',
  'visual.harness': 'wheel',
  'bearing.play': 'wheel',
  'bearing.noise': 'wheel',
  'visual.connector': 'plug',
  'meter.resistance': 'plug',
  'meter.supply': 'plug',
  'meter.ac': 'plug',
  live: 'reader',
  'clear-and-drive': 'reader',
};

export const setupOf = (check: CheckName): Setup | null => SETUP_OF[check] ?? null;

const share = (beliefs: readonly Belief[], test: (a: Architecture) => boolean): number => {
  const total = beliefs.reduce((sum, b) => sum + b.p, 0);
  return total > 0 ? beliefs.reduce((sum, b) => (test(b.architecture) ? sum + b.p : sum), 0) / total : 0;
};

/** Metering the loom or the new part is not metering the sensor. */
const isOfTheSensor = (check: Check): boolean => check.check !== 'meter.resistance' || check.of === 'sensor';

/** Checks made at a wheel end already, or somewhere that may be it. */
export const checksDone = (docket: Docket, wheelEnd: WheelEnd): Set<CheckName> =>
  new Set(
    (docket.checks ?? [])
      .filter((check) => (check.wheelEnd ?? wheelEnd) === wheelEnd && isOfTheSensor(check))
      .map((check) => check.check),
  );

/** Set-ups that looks made at a wheel end have left standing. A look that saw nothing left none that is known of. */
export const setupsStanding = (docket: Docket, wheelEnd: WheelEnd): Set<Setup> =>
  new Set(
    (docket.checks ?? []).flatMap((check) =>
      (check.wheelEnd ?? wheelEnd) === wheelEnd && !('result' in check && check.result === 'not-visible')
        ? (setupOf(check.check) ?? [])
        : [],
    ),
  );

/**
 * Checks worth considering at a wheel end: not those its architecture or the reader at hand rules out, nor those done
 * already. Where a bearing is not unlikely, nothing is driven before the wheel was rocked.
 */
export const availableChecks = (
  docket: Docket,
  wheelEnd: WheelEnd,
  beliefs: readonly Belief[],
  a: Assumptions,
): AvailableCheck[] => {
  const done = checksDone(docket, wheelEnd);
  const settled = (test: (a: Architecture) => boolean) => share(beliefs, test) >= a.get('plan.settled');
  const sensor: SensorType | null = settled((a) => a.sensor === 'passive')
    ? 'passive'
    : settled((a) => a.sensor === 'active')
      ? 'active'
      : null;
  const separate = settled((a) => a.mounting !== 'in-hub');
  const ringSeen = settled(hasRing) && !isCentre(wheelEnd);
  const reads = docket.reader !== 'none' && docket.reader !== 'engine';
  const trailer = docket.vehicle?.driveline === 'trailer';
  const knowsTyres = Object.keys(docket.vehicle?.tyres ?? {}).length >= 2;
  const total = beliefs.reduce((sum, b) => sum + b.p, 0);
  const bearing =
    beliefs.reduce((sum, b) => (b.state.includes('bearing') ? sum + b.p : sum), 0) / Math.max(total, 1e-12);
  const rockFirst = bearing >= a.get('safety.rock-from') && !isCentre(wheelEnd);
  // A joint renewed lately is not what is looked into next.
  const joined = (docket.history ?? []).some(
    (event) =>
      event.event === 'connector-repaired' &&
      (event.wheelEnd ?? wheelEnd) === wheelEnd &&
      event.daysAgo != null &&
      event.daysAgo <= a.get('plan.joint-fresh-days'),
  );
  const all: Array<[CheckName, string, boolean]> = [
    ['visual.connector', 'visual.connector', !joined],
    ['visual.harness', 'visual.harness', true],
    ['visual.ring', 'visual.ring', ringSeen],
    ['ring.teeth', 'ring.teeth', ringSeen],
    ['visual.sensor', 'visual.sensor', separate],
    ['bearing.play', 'bearing.play', !isCentre(wheelEnd)],
    ['bearing.noise', 'bearing.noise', !isCentre(wheelEnd)],
    ['wiggle', 'wiggle', true],
    ['swap', 'swap', settled((a) => a.mounting === 'separate')],
    // An ohmmeter does not judge an active element: it is not asked to.
    ['meter.resistance', 'meter.resistance.passive', sensor === 'passive'],
    ['meter.supply', 'meter.supply', sensor === 'active'],
    ['meter.ac', 'meter.ac', sensor === 'passive'],
    ['live', 'live', reads],
    ['clear-and-drive', 'clear-and-drive', reads],
    ['tyres', 'tyres', !knowsTyres],
    ['battery', 'battery', !trailer],
  ];
  return all
    .filter(([check, , possible]) => possible && !done.has(check))
    .map(([check, table]) => ({
      check,
      table,
      setup: setupOf(check),
      after: check.startsWith('meter.')
        ? ['visual.connector']
        : DRIVEN.has(check) && rockFirst
          ? ['bearing.play']
          : [],
    }));
};

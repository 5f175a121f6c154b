import type { Assumptions } from '../assumptions/assumptions.ts';
import { hasRing, type Architecture } from '../diagnosis/architecture.ts';
import { buildChances, type Belief } from '../diagnosis/endMarginals.ts';
import type { CheckKind, CheckNeed } from '../checkKinds/checkKind.ts';
import { CHECK_KINDS } from '../checkKinds/checkKinds.ts';
import { kindOf } from '../checkKinds/checkTypes.ts';
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

export const setupOf = (check: CheckName): Setup | null => (kindOf(check) as CheckKind).setup;

const KINDS: ReadonlyArray<CheckKind & { readonly name: CheckName }> = CHECK_KINDS;

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
  const builds = [...buildChances(beliefs)];
  const total = builds.reduce((sum, [, p]) => sum + p, 0);
  const settled = (test: (a: Architecture) => boolean) =>
    total > 0 &&
    builds.reduce((sum, [build, p]) => (test(build) ? sum + p : sum), 0) / total >= a.get('plan.settled');
  const sensor: SensorType | null = settled((a) => a.sensor === 'passive')
    ? 'passive'
    : settled((a) => a.sensor === 'active')
      ? 'active'
      : null;
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
  const holds: Readonly<Record<CheckNeed, boolean>> = {
    wheel: !isCentre(wheelEnd),
    'ring-seen': settled(hasRing) && !isCentre(wheelEnd),
    separate: settled((a) => a.mounting === 'separate'),
    'not-in-hub': settled((a) => a.mounting !== 'in-hub'),
    // An ohmmeter does not judge an active element, and a passive one is fed by nothing: neither is asked to.
    passive: sensor === 'passive',
    active: sensor === 'active',
    reader: docket.reader !== 'none' && docket.reader !== 'engine',
    'joint-not-fresh': !joined,
    'tyres-not-known': Object.keys(docket.vehicle?.tyres ?? {}).length < 2,
    'not-a-trailer': docket.vehicle?.driveline !== 'trailer',
  };
  return KINDS.flatMap(({ name, needs, tables, setup, after, driven }) =>
    needs === null || done.has(name) || !needs.every((need) => holds[need])
      ? []
      : [
          {
            check: name,
            table: name in tables ? name : `${name}.${sensor ?? 'passive'}`,
            setup,
            after: driven && rockFirst ? ['bearing.play' as const] : ((after ?? []) as readonly CheckName[]),
          },
        ],
  );
};

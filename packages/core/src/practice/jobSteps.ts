import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Architecture } from '../diagnosis/architecture.ts';
import { setupOf } from '../plan/availableChecks.ts';
import type { CheckName } from '../vocabulary/check.ts';
import type { Docket } from '../vocabulary/docket.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';

/** Looks that tell of the whole vehicle at once: taken once, however many wheels they speak of. */
const ONE_LOOK: ReadonlySet<CheckName> = new Set(['live', 'tyres', 'battery']);

/** Minutes of a check at some wheel ends, with the set-ups that do not stand yet; `setUp` then holds those that do. */
export const minutesOf = (
  check: CheckName,
  ends: readonly WheelEnd[],
  setUp: Set<string>,
  prices: Assumptions,
): number => {
  const setup = setupOf(check);
  return (ONE_LOOK.has(check) ? ends.slice(0, 1) : ends).reduce((sum, end) => {
    const key = setup === 'reader' ? 'reader' : `${setup ?? ''}@${end}`;
    const first = setup !== null && !setUp.has(key) ? prices.get(`check.setup.${setup}`) : 0;
    if (setup) setUp.add(key);
    return sum + prices.get(`check.minutes.${check}`) + first;
  }, 0);
};

/** The docket once it is known how the axle of a wheel end is built, or something of it. */
export const withBuild = (docket: Docket, end: WheelEnd, known: Partial<Architecture>): Docket => {
  const axle = end.slice(0, 2);
  const wheelEnds = docket.vehicle?.wheelEnds;
  return {
    ...docket,
    vehicle: { ...docket.vehicle, wheelEnds: { ...wheelEnds, [axle]: { ...wheelEnds?.[axle], ...known } } },
  };
};

import type { Assumptions } from '../../assumptions/assumptions.ts';
import { checkChance, resultsOf } from '../../diagnosis/checkTable.ts';
import { CAUSES } from '../../vocabulary/wordLists.ts';
import { FAULT_KINDS } from '../../faultKinds/faultKinds.ts';
import type { Fault } from '../../faultKinds/faultData.ts';
import type { RankedCause } from '../../vocabulary/advice.ts';
import type { Check, CheckName } from '../../vocabulary/check.ts';
import type { Cause } from '../../vocabulary/words.ts';
import type { WheelEnd } from '../../vocabulary/wheelEnd.ts';

/** Looks that anybody can take at every wheel, one after the other. */
const AT_EACH: readonly CheckName[] = [
  'visual.ring',
  'bearing.play',
  'bearing.noise',
  'visual.connector',
  'visual.sensor',
  'visual.harness',
];

const faultsOf = (cause: Cause): readonly Fault[] =>
  FAULT_KINDS.filter((kind) => kind.cause === cause).map(({ fault }) => fault);

/** How much the result of a check tells about what is wrong at one wheel, nats: what it takes off the doubt on average. */
const tells = (check: CheckName, chances: ReadonlyMap<Cause, number>, a: Assumptions): number => {
  const wrong = [...chances].flatMap(([cause, p]) => {
    const faults = faultsOf(cause);
    return faults.map((fault): readonly [Fault | null, number] => [fault, p / faults.length]);
  });
  const sound = Math.max(0, 1 - wrong.reduce((sum, [, p]) => sum + p, 0));
  const states: ReadonlyArray<readonly [Fault | null, number]> = [[null, sound], ...wrong];
  return resultsOf(check).reduce((sum, result) => {
    const seen = states.map(([fault, p]) => [p, checkChance(check, result, fault, a)] as const);
    const all = seen.reduce((total, [p, chance]) => total + p * chance, 0);
    return (
      sum +
      seen.reduce((told, [p, chance]) => told + (p * chance > 0 ? p * chance * Math.log(chance / all) : 0), 0)
    );
  }, 0);
};

/**
 * The look at every wheel that tells most about which one it is for the minutes it takes, of those not taken at all of them
 * yet; null where all were. What the speeds could tell is behind one by then: a pedal that grinds points to rings and
 * bearings, a lamp alone to plugs.
 */
export const tellingCheck = (
  causes: readonly RankedCause[],
  checks: readonly Check[],
  a: Assumptions,
): CheckName | null => {
  const ends = new Map<WheelEnd, Map<Cause, number>>();
  for (const { cause, wheelEnd, probability } of causes) {
    if (wheelEnd === null || !CAUSES.includes(cause)) continue;
    const here = ends.get(wheelEnd) ?? new Map<Cause, number>();
    here.set(cause, probability);
    ends.set(wheelEnd, here);
  }
  const isDone = (check: CheckName, end: WheelEnd): boolean =>
    checks.some((each) => each.check === check && (each.wheelEnd ?? end) === end);
  return AT_EACH.reduce<{ check: CheckName | null; worth: number }>(
    (best, check) => {
      const open = [...ends].filter(([end]) => !isDone(check, end));
      if (open.length === 0) return best;
      const worth =
        open.reduce((sum, [, chances]) => sum + tells(check, chances, a), 0) /
        (open.length * a.get(`check.minutes.${check}`));
      return worth > best.worth ? { check, worth } : best;
    },
    { check: null, worth: 0 },
  ).check;
};

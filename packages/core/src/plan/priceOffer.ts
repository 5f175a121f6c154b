import type { Assumptions } from '../assumptions/assumptions.ts';
import type { AllIn } from '../vocabulary/advice.ts';
import { snapBranches } from '../offers/seizure.ts';
import type { Outlay } from '../offers/outlay.ts';

interface Outcome {
  readonly cost: number;
  readonly p: number;
}

/** Value below which a share `q` of the probability lies. Weighted step quantile of a discrete distribution. */
const quantile = (outcomes: readonly Outcome[], q: number): number => {
  let sum = 0;
  for (const { cost, p } of outcomes) {
    sum += p;
    if (sum >= q - 1e-9) return cost;
  }
  return outcomes.at(-1)?.cost ?? 0;
};

/** Three-point spread around one: low and high one time in four each, the middle set so that the mean is one. */
const spread = (low: number, high: number): Outcome[] => [
  { cost: low, p: 0.25 },
  { cost: 2 - (low + high) / 2, p: 0.5 },
  { cost: high, p: 0.25 },
];

/**
 * All-in cost of an offer: exact mixture over labour (good, usual, bad day), the seized sensor (out, or each way of
 * getting it out), and whether it cures; a failed fix costs a comeback and the best continuation. The mean of the
 * mixture is the expected cost the plan uses.
 */
export const allInOf = (
  outlay: Outlay,
  cures: number,
  comeback: number,
  continuation: number,
  a: Assumptions,
): AllIn => {
  const rate = a.get('labour.rate');
  const seized = outlay.seizure ?? 0;
  const brokenSensor = seized > 0 ? outlay.seizureCost / seized - outlay.seizureHours * rate : 0;
  const labours = spread(a.get('spread.labour.low'), a.get('spread.labour.high'));
  const seizures: Outcome[] = [
    { cost: 0, p: 1 - seized },
    ...(seized > 0
      ? snapBranches(a).map((branch) => ({
          cost: branch.hours * rate + brokenSensor,
          p: seized * branch.chance,
        }))
      : []),
  ];
  const afterwards: Outcome[] = [
    { cost: 0, p: cures },
    ...spread(a.get('spread.continuation.low'), a.get('spread.continuation.high')).map(({ cost, p }) => ({
      cost: comeback + continuation * cost,
      p: (1 - cures) * p,
    })),
  ];
  const fixed = outlay.price + outlay.companions + outlay.waiting;
  const outcomes = labours
    .flatMap((labour) =>
      seizures.flatMap((snap) =>
        afterwards.map((end) => ({
          cost: fixed + outlay.labour * labour.cost + snap.cost + end.cost,
          p: labour.p * snap.p * end.p,
        })),
      ),
    )
    .filter(({ p }) => p > 0)
    .sort((x, y) => x.cost - y.cost);
  const mean = outcomes.reduce((sum, { cost, p }) => sum + cost * p, 0);
  return { mean, p10: quantile(outcomes, 0.1), p50: quantile(outcomes, 0.5), p90: quantile(outcomes, 0.9) };
};

/** Expected cost of an offer not curing: the comeback and the best continuation, by its chance. */
export const failureCost = (cures: number, comeback: number, continuation: number): number =>
  (1 - cures) * (comeback + continuation);

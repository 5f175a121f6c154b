/** A fix: what it costs, and where each state goes. `to` -1 is cured. Chances of one state add up to one. */
export interface SolveFix {
  readonly id: string;
  readonly outlay: number;
  readonly moves: ReadonlyArray<ReadonlyArray<{ to: number; chance: number }>>;
}

/** A check: its cost, and for each result the chance of it in every state. Results of one state add up to one. */
export interface SolveCheck {
  readonly id: string;
  readonly cost: number;
  readonly results: ReadonlyArray<{ id: string; chance: ReadonlyArray<number> }>;
}

/** A decision problem: beliefs over states, checks that tell, fixes that cure, and a way out that always works. */
export interface Problem {
  readonly belief: ReadonlyArray<number>;
  readonly fixes: readonly SolveFix[];
  readonly checks: readonly SolveCheck[];
  /** Cost of handing the job to a workshop, which ends it. */
  readonly refer: number;
  /** Cost of coming back after a fix that did not cure. */
  readonly comeback: number;
  /** Paid once, before the first check. */
  readonly firstCheck: number;
}

export type Choice = { kind: 'refer' } | { kind: 'fix'; fix: number } | { kind: 'check'; check: number };

export interface Solution {
  readonly value: number;
  readonly choice: Choice;
}

/** Expectimax over checks and fixes with memoised beliefs. */
export interface Solver {
  /** Least expected cost and the choice that reaches it, from a situation. */
  best(situation: Situation, depth: number): Solution;
  /** Expected cost of one choice followed by the best continuation. */
  cost(situation: Situation, choice: Choice, depth: number): number;
  after(situation: Situation, check: number, result: number): { chance: number; next: Situation };
  afterFailed(situation: Situation, fix: number): { chance: number; next: Situation };
  readonly start: Situation;
}

/** Where one stands: the belief, what has been done (for the memo) and whether the trip for checks is paid. */
export interface Situation {
  readonly belief: ReadonlyArray<number>;
  readonly checked: number;
  readonly tried: number;
  readonly key: string;
}

const NEVER = 1e-12;

/** Cost of each fix, and last of the way out, in each state, when failing leads to the way out. */
const lastStepCosts = ({ belief, fixes, comeback, refer }: Problem): Float64Array[] => [
  ...fixes.map(({ outlay, moves }) =>
    Float64Array.from(belief, (_, s) => {
      const failed = (moves[s] ?? []).reduce((sum, move) => (move.to >= 0 ? sum + move.chance : sum), 0);
      return outlay + failed * (comeback + refer);
    }),
  ),
  Float64Array.from(belief, () => refer),
];

const dot = (x: ReadonlyArray<number> | Float64Array, y: Float64Array): number => {
  let sum = 0;
  for (let i = 0; i < y.length; i++) sum += (x[i] as number) * (y[i] as number);
  return sum;
};

/**
 * Solves the problem exactly to the depth asked for.
 *
 * V(b, 1) = the way out, or one fix whose failure leads to the way out: a minimum of functions linear in the belief,
 * so the last step is one product of a vector by a belief each, and a check before it one product for each result and
 * fix (no new belief is made). V(b, d) = min over refer, fixes and checks of the cost now plus the expected cost after,
 * with depth d - 1. A fix that does not cure costs a comeback and is evidence: the belief moves to what can still be
 * wrong. A check is made once. Beliefs reached by the same set of results are solved once. A check is not looked into
 * when knowing the truth for nothing would save less than its price.
 */
export const solver = (problem: Problem): Solver => {
  const { fixes, checks, refer, comeback, firstCheck } = problem;
  const memo = new Map<string, Solution>();
  const start: Situation = { belief: problem.belief, checked: 0, tried: 0, key: '' };
  const last = lastStepCosts(problem);
  // For each check and result: the last step's costs weighted by the chance of the result in each state.
  const lastAfter = checks.map((check) =>
    check.results.map(({ chance }) =>
      last.map((costs) => Float64Array.from(costs, (cost, s) => cost * (chance[s] ?? 0))),
    ),
  );

  const after: Solver['after'] = (situation, check, result) => {
    const likelihoods = checks[check]?.results[result]?.chance ?? [];
    const joint = situation.belief.map((p, s) => p * (likelihoods[s] ?? 0));
    const chance = joint.reduce((sum, p) => sum + p, 0);
    const steps = [...situation.key.split(' ').filter(Boolean), `c${check}:${result}`].sort();
    return {
      chance,
      next: {
        belief: chance > 0 ? joint.map((p) => p / chance) : joint,
        checked: situation.checked | (1 << check),
        tried: situation.tried,
        key: steps.join(' '),
      },
    };
  };

  const afterFailed: Solver['afterFailed'] = (situation, fix) => {
    const left = new Array<number>(situation.belief.length).fill(0);
    situation.belief.forEach((p, s) => {
      if (p > 0)
        for (const move of fixes[fix]?.moves[s] ?? [])
          if (move.to >= 0) left[move.to] = (left[move.to] ?? 0) + p * move.chance;
    });
    const chance = left.reduce((sum, p) => sum + p, 0);
    // Fixes do not commute with checks (they move states), so the order stays in the key.
    return {
      chance,
      next: {
        belief: chance > 0 ? left.map((p) => p / chance) : left,
        checked: situation.checked,
        tried: situation.tried | (1 << fix),
        key: `${situation.key ? `(${situation.key.replaceAll(' ', ',')})` : ''}f${fix}`,
      },
    };
  };

  const cost: Solver['cost'] = (situation, choice, depth) => {
    if (choice.kind === 'refer') return refer;
    if (choice.kind === 'fix') {
      if (depth <= 1) return dot(situation.belief, last[choice.fix] as Float64Array);
      const { chance, next } = afterFailed(situation, choice.fix);
      const outlay = fixes[choice.fix]?.outlay ?? 0;
      return chance <= NEVER ? outlay : outlay + chance * (comeback + best(next, depth - 1).value);
    }
    const check = checks[choice.check];
    if (!check) return Infinity;
    const now = check.cost + (situation.checked === 0 ? firstCheck : 0);
    if (depth <= 1) return now + refer;
    if (depth === 2)
      return (lastAfter[choice.check] ?? []).reduce((sum, costs) => {
        let least = Infinity;
        for (const each of costs) {
          const c = dot(situation.belief, each);
          if (c < least) least = c;
        }
        return sum + least;
      }, now);
    return check.results.reduce((sum, _, r) => {
      const { chance, next } = after(situation, choice.check, r);
      return chance <= NEVER ? sum : sum + chance * best(next, depth - 1).value;
    }, now);
  };

  const best: Solver['best'] = (situation, depth) => {
    const key = `${depth}|${situation.key}`;
    const known = memo.get(key);
    if (known) return known;
    let value = refer;
    let choice: Choice = { kind: 'refer' };
    for (let fix = 0; fix < fixes.length; fix++) {
      const c = cost(situation, { kind: 'fix', fix }, depth);
      if (c < value - 1e-9) {
        value = c;
        choice = { kind: 'fix', fix };
      }
    }
    if (depth > 1) {
      // No check can save more than knowing everything would: where that is less than its price, skip it.
      const informed = dot(situation.belief, floor);
      for (let check = 0; check < checks.length; check++) {
        if (situation.checked & (1 << check)) continue;
        const price = (checks[check]?.cost ?? 0) + (situation.checked === 0 ? firstCheck : 0);
        if (informed + price >= value) continue;
        const c = cost(situation, { kind: 'check', check }, depth);
        if (c < value - 1e-9) {
          value = c;
          choice = { kind: 'check', check };
        }
      }
    }
    const solution: Solution = { value, choice };
    memo.set(key, solution);
    return solution;
  };
  const floor = floors(problem);

  return { best, cost, after, afterFailed, start };
};

/**
 * A lower bound on the cost in each state: the cheapest outlay of a single fix that can take it anywhere better, or the
 * way out. Knowing the truth for nothing could not do better than that.
 */
const floors = (problem: Problem): Float64Array =>
  Float64Array.from(problem.belief, (_, s) =>
    problem.fixes.reduce((least, fix) => {
      const helps = (fix.moves[s] ?? []).some((move) => move.to !== s && move.chance > 0);
      return helps ? Math.min(least, fix.outlay) : least;
    }, problem.refer),
  );

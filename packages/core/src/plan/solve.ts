/** A fix: what it costs, and where each state goes. `to` -1 is cured. Chances of one state add up to one. */
export interface SolveFix {
  readonly id: string;
  readonly outlay: number;
  readonly moves: ReadonlyArray<ReadonlyArray<{ to: number; chance: number }>>;
}

/** A check: its cost, and for each result the chance of it in every state. Results of one state add up to one. */
export interface SolveCheck {
  readonly id: string;
  /** Cost of the look itself, once the set-up it needs is there. */
  readonly cost: number;
  /** Index of the set-up it needs (vehicle lifted, plug open, reader on), or null. */
  readonly setup?: number | null;
  /** Checks that come before it, as bits by index: a plug is looked into before it is metered. */
  readonly needs?: number;
  readonly results: ReadonlyArray<{ id: string; chance: ReadonlyArray<number> }>;
}

/** A decision problem: beliefs over states, checks that tell, fixes that cure, and a way out that always works. */
export interface Problem {
  readonly belief: ReadonlyArray<number>;
  readonly fixes: readonly SolveFix[];
  readonly checks: readonly SolveCheck[];
  /** Cost of each set-up; zero where it is there already. Paid once for all checks that need it. */
  readonly setups?: readonly number[];
  /** Cost of handing the job to a workshop, which ends it, in each state. */
  readonly refer: ReadonlyArray<number>;
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

/** Chance of every result of a check in every state: the tables in force, or others. */
export type ResultChances = (check: number, result: number) => ReadonlyArray<number>;

/** Expectimax over checks and fixes with memoised beliefs. */
export interface Solver {
  /** Least expected cost and the choice that reaches it, from a situation. */
  best(situation: Situation, depth: number): Solution;
  /** Expected cost of one choice followed by the best continuation. */
  cost(situation: Situation, choice: Choice, depth: number): number;
  /**
   * Cost in every state of one choice followed by what is held best after it, when checks answer by `chances`: what a
   * plan costs where the tables it was made by are wrong.
   */
  costs(situation: Situation, choice: Choice, depth: number, chances?: ResultChances): Float64Array;
  /** What a check costs in a situation, its set-up and the first trip included. */
  price(situation: Situation, check: number): number;
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
    Float64Array.from(belief, (_, s) =>
      (moves[s] ?? []).reduce(
        (sum, move) => (move.to >= 0 ? sum + move.chance * (comeback + (refer[move.to] ?? 0)) : sum),
        outlay,
      ),
    ),
  ),
  Float64Array.from(refer),
];

/** The one kind of array on each side keeps the innermost loop fast. */
const dot = (x: ReadonlyArray<number>, y: Float64Array): number => {
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
 * wrong, and the same is not tried again (it would cure one in ten). A check is made once, after those it needs. Beliefs
 * reached by the same set of results are solved once. A check is not looked into when knowing the truth for nothing
 * would save less than its price.
 */
export const solver = (problem: Problem): Solver => {
  const { fixes, checks, refer, comeback, firstCheck, setups = [] } = problem;
  const memo = new Map<string, Solution>();
  const start: Situation = { belief: problem.belief, checked: 0, tried: 0, key: '' };
  const last = lastStepCosts(problem);
  const wayOut = Float64Array.from(refer);
  const setupBits = setups.map((_, g) =>
    checks.reduce((bits, check, c) => (check.setup === g ? bits | (1 << c) : bits), 0),
  );
  // For each check and result: the last step's costs weighted by the chance of the result in each state.
  const lastAfter = checks.map((check) =>
    check.results.map(({ chance }) => last.map((costs) => costs.map((cost, s) => cost * (chance[s] ?? 0)))),
  );
  const known: ResultChances = (check, result) => checks[check]?.results[result]?.chance ?? [];

  const price: Solver['price'] = (situation, c) => {
    const check = checks[c];
    if (!check) return Infinity;
    const group = check.setup ?? -1;
    const ready = group < 0 || (situation.checked & (setupBits[group] ?? 0)) !== 0;
    return check.cost + (ready ? 0 : (setups[group] ?? 0)) + (situation.checked === 0 ? firstCheck : 0);
  };
  const open = (situation: Situation, check: number): boolean => {
    const needs = checks[check]?.needs ?? 0;
    return !(situation.checked & (1 << check)) && (situation.checked & needs) === needs;
  };

  const after: Solver['after'] = (situation, check, result) => {
    const likelihoods = known(check, result);
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
    const left = situation.belief.map(() => 0);
    const { moves = [] } = fixes[fix] ?? {};
    let chance = 0;
    for (let s = 0; s < left.length; s++) {
      const p = situation.belief[s] as number;
      if (p === 0) continue;
      for (const { to, chance: leads } of moves[s] ?? []) {
        if (to < 0) continue;
        left[to] = (left[to] as number) + p * leads;
        chance += p * leads;
      }
    }
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
    if (choice.kind === 'refer') return dot(situation.belief, wayOut);
    if (choice.kind === 'fix') {
      if (depth <= 1) return dot(situation.belief, last[choice.fix] as Float64Array);
      const { chance, next } = afterFailed(situation, choice.fix);
      const outlay = fixes[choice.fix]?.outlay ?? 0;
      return chance <= NEVER ? outlay : outlay + chance * (comeback + best(next, depth - 1).value);
    }
    const check = checks[choice.check];
    if (!check) return Infinity;
    const now = price(situation, choice.check);
    if (depth <= 1) return now + dot(situation.belief, wayOut);
    if (depth === 2)
      return (lastAfter[choice.check] ?? []).reduce((sum, costs) => {
        let least = Infinity;
        for (let f = 0; f < costs.length; f++) {
          if (f < fixes.length && situation.tried & (1 << f)) continue;
          const c = dot(situation.belief, costs[f] as Float64Array);
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
    const kept = memo.get(key);
    if (kept) return kept;
    let value = dot(situation.belief, wayOut);
    let choice: Choice = { kind: 'refer' };
    for (let fix = 0; fix < fixes.length; fix++) {
      if (situation.tried & (1 << fix)) continue;
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
        if (!open(situation, check)) continue;
        if (informed + price(situation, check) >= value) continue;
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

  const costs: Solver['costs'] = (situation, choice, depth, chances = known) => {
    const states = situation.belief.length;
    const follow = (next: Situation): Float64Array =>
      costs(next, best(next, depth - 1).choice, depth - 1, chances);
    if (choice.kind === 'refer') return Float64Array.from(refer);
    if (choice.kind === 'fix') {
      if (depth <= 1) return last[choice.fix] as Float64Array;
      const { chance, next } = afterFailed(situation, choice.fix);
      const rest = chance <= NEVER ? Float64Array.from(refer) : follow(next);
      const { outlay = 0, moves = [] } = fixes[choice.fix] ?? {};
      return Float64Array.from({ length: states }, (_, s) =>
        (moves[s] ?? []).reduce(
          (sum, { to, chance: p }) => (to < 0 ? sum : sum + p * (comeback + (rest[to] as number))),
          outlay,
        ),
      );
    }
    const out = new Float64Array(states).fill(price(situation, choice.check));
    (checks[choice.check]?.results ?? []).forEach((_, r) => {
      const { chance, next } = after(situation, choice.check, r);
      const rest = chance <= NEVER || depth <= 1 ? Float64Array.from(refer) : follow(next);
      const told = chances(choice.check, r);
      for (let s = 0; s < states; s++) out[s] = (out[s] as number) + (told[s] ?? 0) * (rest[s] as number);
    });
    return out;
  };
  const floor = floors(problem);

  return { best, cost, costs, price, after, afterFailed, start };
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
    }, problem.refer[s] ?? 0),
  );

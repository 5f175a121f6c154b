import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Finding } from '../diagnosis/finding.ts';
import type { EndPosterior } from '../diagnosis/posterior.ts';
import type { Outlay } from '../offers/outlay.ts';
import type { PlanNode } from '../vocabulary/advice.ts';
import type { CheckName } from '../vocabulary/check.ts';
import type { Docket, School } from '../vocabulary/docket.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { buildProblem, type CornerProblem, type Fix } from './buildProblem.ts';
import { planTree } from './planTree.ts';
import { solver, type Choice, type Solver } from './solve.ts';

/** A finding rarer than this is not worth naming. */
const FLIP_FROM = 0.01;

/** What one fix is expected to do, tried first. */
interface FixOutcome {
  readonly fix: Fix;
  readonly cures: number;
  /** Expected cost of what is best after it did not cure, the comeback itself not counted. */
  readonly continuation: number;
  /** Expected cost of doing it, failure included. */
  readonly cost: number;
}

export interface BuiltPlan {
  readonly wheelEnd: WheelEnd;
  readonly school: School;
  readonly step: PlanNode;
  readonly corner: CornerProblem;
  readonly choice: Choice;
  /** What the best first step saves over the best fix without any check, in money. */
  readonly worth: number;
  readonly outcomes: readonly FixOutcome[];
  readonly solve: Solver;
  readonly depth: number;
  /** The fix that would be best if no check could be made, and its expected cost. */
  readonly bestFix: { readonly fix: Fix | null; readonly cost: number };
  /** Findings that would turn the best fix into another, likeliest first. Looked for when asked: it takes its time. */
  flips(): readonly Flip[];
}

/** A result of a check that has not been made and what it would make the best fix. */
export interface Flip {
  readonly check: CheckName;
  readonly result: string;
  readonly chance: number;
  /** Null: refer it. */
  readonly fix: Fix | null;
}

/** At most so many findings are named: more would not be read. */
const MOST_FLIPS = 3;

/** The findings that would change what to do, one a check, the likeliest of those that lead elsewhere. */
const flipsOf = (corner: CornerProblem, solve: Solver, now: Fix | null): Flip[] => {
  const all = corner.checks.flatMap((entry, c) =>
    (corner.problem.checks[c]?.results ?? []).flatMap((result, r): Flip[] => {
      const { chance, next } = solve.after(solve.start, c, r);
      if (chance < FLIP_FROM) return [];
      const { choice } = solve.best(next, 1);
      const fix = choice.kind === 'fix' ? (corner.fixes[choice.fix] ?? null) : null;
      return fix === now ? [] : [{ check: entry.check, result: result.id, chance, fix }];
    }),
  );
  const likeliest = all.sort((x, y) => y.chance - x.chance);
  return likeliest
    .filter((flip, i) => likeliest.findIndex((f) => f.check === flip.check) === i)
    .slice(0, MOST_FLIPS);
};

/** Solves the decision at one wheel end and prices every offer with its best continuation. */
export const buildPlan = (
  docket: Docket,
  end: EndPosterior,
  outlays: readonly Outlay[],
  school: School,
  findings: readonly Finding[],
  a: Assumptions,
): BuiltPlan => {
  const corner = buildProblem(docket, end, outlays, school, findings, a);
  const solve = solver(corner.problem);
  const depth = a.get('plan.depth');
  const { value, choice } = solve.best(solve.start, depth);
  const outcomes = corner.fixes.map((fix, i): FixOutcome => {
    const failed = solve.afterFailed(solve.start, i);
    return {
      fix,
      cures: Math.min(1, Math.max(0, 1 - failed.chance)),
      continuation: failed.chance > 1e-9 ? solve.best(failed.next, Math.max(1, depth - 1)).value : 0,
      cost: solve.cost(solve.start, { kind: 'fix', fix: i }, depth),
    };
  });
  const bestFix = outcomes.reduce<{ fix: Fix | null; cost: number }>(
    (best, next) => (next.cost < best.cost ? next : best),
    { fix: null, cost: corner.problem.refer },
  );
  return {
    wheelEnd: end.wheelEnd,
    school,
    corner,
    choice,
    step: planTree(corner, solve, solve.start, end.wheelEnd, depth),
    worth: choice.kind === 'check' ? bestFix.cost - value : 0,
    outcomes,
    solve,
    depth,
    bestFix,
    flips: () => flipsOf(corner, solve, bestFix.fix),
  };
};

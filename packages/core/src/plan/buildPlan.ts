import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Finding } from '../diagnosis/finding.ts';
import type { EndPosterior } from '../diagnosis/posterior.ts';
import type { Outlay } from '../offers/outlay.ts';
import type { AllIn, PlanNode } from '../vocabulary/advice.ts';
import type { CheckName } from '../vocabulary/check.ts';
import type { Docket, School } from '../vocabulary/docket.ts';
import { buildProblem, type CornerProblem, type Fix } from './buildProblem.ts';
import { planTree } from './planTree.ts';
import { allInOf, failureCost } from './priceOffer.ts';
import { solver, type Choice, type Solver } from './solve.ts';

/** A finding rarer than this is not worth naming. */
const FLIP_FROM = 0.01;

export interface PricedOffer {
  readonly outlay: Outlay;
  readonly cures: number;
  readonly allIn: AllIn;
  /** Expected cost of not curing: comeback and best continuation, by its chance. */
  readonly comeback: number;
}

export interface BuiltPlan {
  readonly school: School;
  readonly step: PlanNode;
  readonly corner: CornerProblem;
  readonly choice: Choice;
  /** What the best first step saves over the best fix without any check, in money. */
  readonly worth: number;
  readonly priced: readonly PricedOffer[];
  /** The fix that would be best if no check could be made, and its expected cost. */
  readonly bestFix: { readonly fix: Fix | null; readonly cost: number };
  /** Findings that would turn the best fix into another, likeliest first. */
  readonly flips: readonly Flip[];
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
  const fixCosts = corner.fixes.map((fix, i) => ({
    fix,
    cost: solve.cost(solve.start, { kind: 'fix', fix: i }, depth),
  }));
  const bestFix = fixCosts.reduce<{ fix: Fix | null; cost: number }>(
    (best, next) => (next.cost < best.cost ? next : best),
    { fix: null, cost: corner.problem.refer },
  );
  const priced = corner.fixes.flatMap((fix, i): PricedOffer[] => {
    if (fix.kind !== 'part') return [];
    const failed = solve.afterFailed(solve.start, i);
    const cures = Math.min(1, Math.max(0, 1 - failed.chance));
    const continuation = failed.chance > 1e-9 ? solve.best(failed.next, Math.max(1, depth - 1)).value : 0;
    const { comeback } = corner.problem;
    return [
      {
        outlay: fix.outlay,
        cures,
        allIn: allInOf(fix.outlay, cures, comeback, continuation, a),
        comeback: failureCost(cures, comeback, continuation),
      },
    ];
  });
  return {
    school,
    corner,
    choice,
    step: planTree(corner, solve, solve.start, end.wheelEnd, depth),
    worth: choice.kind === 'check' ? bestFix.cost - value : 0,
    priced,
    bestFix,
    flips: flipsOf(corner, solve, bestFix.fix),
  };
};

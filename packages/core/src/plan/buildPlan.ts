import type { Assumptions } from '../assumptions/assumptions.ts';
import type { EndPosterior } from '../diagnosis/posterior.ts';
import type { Outlay } from '../offers/outlay.ts';
import type { AllIn, PlanNode } from '../vocabulary/advice.ts';
import type { Docket, School } from '../vocabulary/docket.ts';
import { buildProblem, type CornerProblem, type Fix } from './buildProblem.ts';
import { planTree } from './planTree.ts';
import { allInOf, failureCost } from './priceOffer.ts';
import { solver, type Choice } from './solve.ts';

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
}

/** Solves the decision at one wheel end and prices every offer with its best continuation. */
export const buildPlan = (
  docket: Docket,
  end: EndPosterior,
  outlays: readonly Outlay[],
  shopSchool: School,
  a: Assumptions,
): BuiltPlan => {
  const school = docket.options?.school ?? shopSchool;
  const corner = buildProblem(docket, end, outlays, school, a);
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
  };
};

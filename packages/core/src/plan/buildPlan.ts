import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Finding } from '../diagnosis/finding.ts';
import type { EndPosterior } from '../diagnosis/posterior.ts';
import type { Outlay } from '../offers/outlay.ts';
import type { PlanNode } from '../vocabulary/advice.ts';
import type { CheckName } from '../vocabulary/check.ts';
import type { Docket, School } from '../vocabulary/docket.ts';
import type { PartClass } from '../vocabulary/words.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { setupOf, setupsStanding } from './availableChecks.ts';
import { buildProblem, type CornerProblem } from './buildProblem.ts';
import type { Fix } from './fixesAt.ts';
import { planTree } from './planTree.ts';
import { shareThatHolds } from './robustness.ts';
import { solver, type Choice, type Solution, type Solver } from './solve.ts';

/** A finding rarer than this is not worth naming. */
const FLIP_FROM = 0.01;

/** What one fix is expected to do, tried first. */
export interface FixOutcome {
  readonly fix: Fix;
  readonly index: number;
  readonly cures: number;
  /** Expected cost of doing it, failure and the old bearing included. */
  readonly cost: number;
}

/** A check that is not insisted on: it is told as a second line under the sale. */
export interface Unasked {
  readonly check: CheckName;
  readonly minutes: number;
  /** What it would save, where it was left out because the customer wants just the part; zero where it is about even. */
  readonly saves: number;
}

export interface BuiltPlan {
  readonly wheelEnd: WheelEnd;
  readonly school: School;
  readonly step: PlanNode;
  readonly corner: CornerProblem;
  readonly choice: Choice;
  /** What the best first step saves over the best fix without any check, in money; zero where it is no check. */
  readonly worth: number;
  /** The check that the plan does not insist on: about even, or not wanted by the customer. */
  readonly unasked: Unasked | null;
  readonly outcomes: readonly FixOutcome[];
  readonly solve: Solver;
  readonly depth: number;
  /** The fix that would be best if no check could be made, and its expected cost; null: refer. */
  readonly bestFix: { readonly fix: Fix | null; readonly cost: number };
  /** Minutes a check takes here, its set-up included where it is not standing. */
  minutes(check: CheckName): number;
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

/**
 * The findings that would change what to do, one a check, the likeliest of those that lead elsewhere. Like is compared
 * with like: what is best at once after the result against what is best at once now.
 */
const flipsOf = (corner: CornerProblem, solve: Solver, chosen: Fix | null): Flip[] => {
  const fixOf = (choice: Choice) => (choice.kind === 'fix' ? (corner.fixes[choice.fix] ?? null) : null);
  const now = fixOf(solve.best(solve.start, 1).choice);
  const all = corner.checks.flatMap((entry, c) =>
    (corner.problem.checks[c]?.results ?? []).flatMap((result, r): Flip[] => {
      const { chance, next } = solve.after(solve.start, c, r);
      if (chance < FLIP_FROM) return [];
      const fix = fixOf(solve.best(next, 1).choice);
      return fix === now || (fix !== null && fix === chosen)
        ? []
        : [{ check: entry.check, result: result.id, chance, fix }];
    }),
  );
  const likeliest = all.sort((x, y) => y.chance - x.chance);
  return likeliest
    .filter((flip, i) => likeliest.findIndex((f) => f.check === flip.check) === i)
    .slice(0, MOST_FLIPS);
};

/**
 * The best first step; where it is a check and others are as good but for a few coins, the one that comes first in the
 * order of the work: the joint before the lift.
 */
const inOrderOfWork = (corner: CornerProblem, solve: Solver, depth: number, tie: number): Solution => {
  const best = solve.best(solve.start, depth);
  if (best.choice.kind !== 'check') return best;
  for (let check = 0; check < corner.checks.length; check++) {
    if ((corner.problem.checks[check]?.needs ?? 0) !== 0) continue;
    const choice: Choice = { kind: 'check', check };
    const value = solve.cost(solve.start, choice, depth);
    if (value <= best.value + tie) return { value, choice };
  }
  return best;
};

/**
 * Each step ahead takes five to fifteen times as long as the one before. Advice looks three ahead at most: a fourth takes ten times as
 * long and is worth under one part in a hundred of a job (the practice report judges the plan one step deeper).
 */
const MOST_STEPS_ADVISED = 3;
/** Who judges a plan may look one step further; a fifth would take seconds. */
const MOST_STEPS = 4;

/** Solves the decision at one wheel end, so many `steps` ahead, and prices every offer with its best continuation. */
export const buildPlan = (
  docket: Docket,
  end: EndPosterior,
  outlays: readonly Outlay[],
  school: School,
  findings: readonly Finding[],
  a: Assumptions,
  keep: ReadonlySet<PartClass> = new Set(),
  steps = Math.min(MOST_STEPS_ADVISED, a.get('plan.depth')),
): BuiltPlan => {
  const corner = buildProblem(docket, end, outlays, school, findings, a, keep, steps > 0);
  const solve = solver(corner.problem);
  const depth = Math.min(MOST_STEPS, steps);
  const bearing = corner.bearing.chance * corner.bearing.cost;
  const { value, choice: dearest } = inOrderOfWork(corner, solve, depth, a.get('plan.tie'));
  const outcomes = corner.fixes.map((fix, index): FixOutcome => {
    const failed = solve.afterFailed(solve.start, index);
    return {
      fix,
      index,
      cures: Math.min(1, Math.max(0, 1 - failed.chance)),
      cost: solve.cost(solve.start, { kind: 'fix', fix: index }, depth) + bearing,
    };
  });
  const refer = solve.cost(solve.start, { kind: 'refer' }, depth) + bearing;
  // Whoever is the workshop has nobody to hand it to: then it is the best of the fixes.
  const away = docket.customer?.kind === 'garage' ? Infinity : refer;
  const cheapest = (from: readonly FixOutcome[], most: number): FixOutcome | null =>
    from.reduce<FixOutcome | null>((least, next) => (next.cost < (least?.cost ?? most) ? next : least), null);
  // One who knows the part and wants just that is sold the best of them, whatever a workshop would cost.
  const wantsPart = (docket.wants ?? []).includes('just-the-part');
  const parts = outcomes.filter(
    ({ fix, cures }) => fix.kind === 'part' && cures >= a.get('offer.folded-below'),
  );
  const best = (wantsPart ? cheapest(parts, Infinity) : null) ?? cheapest(outcomes, away);
  const bestFix = { fix: best?.fix ?? null, cost: best?.cost ?? refer };
  const instead: Choice = best ? { kind: 'fix', fix: best.index } : { kind: 'refer' };
  const standing = setupsStanding(docket, end.wheelEnd);
  const minutes = (check: CheckName): number => {
    const setup = setupOf(check);
    return (
      a.get(`check.minutes.${check}`) + (setup && !standing.has(setup) ? a.get(`check.setup.${setup}`) : 0)
    );
  };

  let choice: Choice = dearest;
  let worth = 0;
  let unasked: Unasked | null = null;
  if (dearest.kind === 'refer') choice = instead;
  if (dearest.kind === 'check') {
    worth = bestFix.cost - bearing - value;
    const check = corner.checks[dearest.check]?.check as CheckName;
    const earned =
      best === null ||
      (worth >= a.get('plan.check-floor') &&
        shareThatHolds(corner, solve, dearest, instead, depth, a) >= a.get('plan.robust.share'));
    if (!earned || (wantsPart && best?.fix.kind === 'part')) {
      unasked = { check, minutes: minutes(check), saves: earned ? worth : 0 };
      choice = instead;
      worth = 0;
    }
  }
  return {
    wheelEnd: end.wheelEnd,
    school,
    corner,
    choice,
    step: planTree(corner, solve, solve.start, end.wheelEnd, depth, 1, choice),
    worth,
    unasked,
    outcomes,
    solve,
    depth,
    bestFix,
    minutes,
    flips: () => flipsOf(corner, solve, choice.kind === 'fix' ? (corner.fixes[choice.fix] ?? null) : null),
  };
};

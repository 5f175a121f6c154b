import type { PlanNode } from '../vocabulary/advice.ts';
import { CHECK_IN_WORDS, PART_IN_WORDS } from '../vocabulary/inWords.ts';
import { WORK_AS_DEED, WORK_IN_WORDS } from '../offers/fixes.ts';
import type { PartClass } from '../vocabulary/words.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import type { CornerProblem } from './buildProblem.ts';
import type { CheckKind } from '../checkKinds/checkKind.ts';
import { kindOf, type CheckName } from '../checkKinds/checkTypes.ts';
import type { Fix } from './fixesAt.ts';
import type { Choice, Situation, Solver } from './solve.ts';

/** Branches rarer than this are left out of the picture: nobody reads them to a customer. */
const DRAWN_FROM = 0.02;

const sameStep = (a: PlanNode | null, b: PlanNode | null): boolean =>
  a === b || (a !== null && b !== null && a.label === b.label && a.do === b.do);

/** The parts of a fix as one says them: tone ring and wheel speed sensor. */
export const partsInWords = (part: PartClass, also: readonly PartClass[]): string =>
  [part, ...also].map((each) => PART_IN_WORDS[each]).join(' and ');

/** A fix as one would say it. */
export const fixInWords = (fix: Fix): string =>
  fix.kind === 'part'
    ? `sell the ${partsInWords(fix.part, fix.with)}${fix.work ? ` with ${WORK_AS_DEED[fix.work]} in the same visit` : ''}`
    : WORK_IN_WORDS[fix.work];

/**
 * The best sequence as a small tree: do this; if so, then that. Results that lead to the same step share a branch.
 * `first` is the first step where the plan has settled on another than the solver's own.
 */
export const planTree = (
  corner: CornerProblem,
  solve: Solver,
  situation: Situation,
  wheelEnd: WheelEnd,
  depth: number,
  chance = 1,
  first: Choice | null = null,
): PlanNode => {
  const choice = first ?? solve.best(situation, depth).choice;
  const value = solve.cost(situation, choice, depth) + corner.bearing.chance * corner.bearing.cost;
  const base = { chance, expectedCost: value, wheelEnd };
  if (choice.kind === 'refer')
    return { ...base, do: 'refer', label: 'refer to a workshop for full diagnosis', then: [] };
  if (choice.kind === 'fix') {
    const fix = corner.fixes[choice.fix];
    const failed = solve.afterFailed(situation, choice.fix);
    const next =
      failed.chance >= DRAWN_FROM && depth > 1
        ? planTree(corner, solve, failed.next, wheelEnd, depth - 1, chance * failed.chance)
        : null;
    const then = [
      { when: 'cured', chance: 1 - failed.chance, next: null },
      ...(failed.chance >= DRAWN_FROM ? [{ when: 'not cured', chance: failed.chance, next }] : []),
    ];
    return fix?.kind === 'part'
      ? { ...base, do: 'sell', part: fix.part, label: fixInWords(fix), then }
      : { ...base, do: 'no-part', label: fix ? WORK_IN_WORDS[fix.work] : '', then };
  }
  const entry = corner.checks[choice.check];
  const results = corner.problem.checks[choice.check]?.results ?? [];
  const then: PlanNode['then'] = [];
  results.forEach((result, r) => {
    const { chance: p, next } = solve.after(situation, choice.check, r);
    if (p < DRAWN_FROM) return;
    const node = depth > 1 ? planTree(corner, solve, next, wheelEnd, depth - 1, chance * p) : null;
    const same = then.find((branch) => sameStep(branch.next, node));
    if (same) {
      same.when += `, ${result.id.replace(/-/g, ' ')}`;
      same.chance += p;
    } else then.push({ when: result.id.replace(/-/g, ' '), chance: p, next: node });
  });
  return {
    ...base,
    do: 'check',
    check: entry?.check ?? null,
    label: entry ? CHECK_IN_WORDS[entry.check] : '',
    then: then.sort((a, b) => b.chance - a.chance),
  };
};

/** How to do a check and what its results would mean. */
export const guideFor = (check: CheckName, minutes: number) => {
  const { how, results, amounts } = kindOf(check) as CheckKind;
  return {
    minutes,
    how: [...how],
    results: Object.entries({ ...results, ...amounts })
      .filter(([, means]) => means !== '')
      .map(([result, means]) => ({ result, means })),
  };
};

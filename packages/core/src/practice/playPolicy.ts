import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Random } from '../chance/random.ts';
import { buildProblem, type CornerProblem } from '../plan/buildProblem.ts';
import { solver, type Choice, type Situation, type Solver } from '../plan/solve.ts';
import type { PartClass } from '../vocabulary/words.ts';
import { drawWeighted, type PracticeCase } from './drawCase.ts';

/** Ways to work that are played against each other. */
export const POLICIES = ['planner', 'what-the-code-names', 'always-hub', 'test-everything'] as const;
export type Policy = (typeof POLICIES)[number];

/** How a job went. */
export interface Played {
  readonly cost: number;
  /** Parts fitted that did not cure. */
  readonly wrongParts: number;
  readonly visits: number;
}

/** Chance of each result in a state, bent where the truth differs from the tables. */
export type Slant = (check: string, result: string, cause: string) => number;

const DEPTH = 3;
/** No job goes on for ever: then it is referred. */
const MOST_FIXES = 4;

interface Job {
  readonly corner: CornerProblem;
  readonly solve: Solver;
  readonly random: Random;
  readonly slant: Slant;
}

/** Index of the state that holds the truth; -1 where the problem left it out as too rare. */
const stateOf = (corner: CornerProblem, { architecture, truth }: PracticeCase): number => {
  const wanted = `${JSON.stringify(architecture)}|${[...truth].sort().join('+')}`;
  return corner.states.findIndex(
    (b) =>
      b.shared.length === 0 &&
      `${JSON.stringify(b.architecture)}|${[...b.state].sort().join('+')}` === wanted,
  );
};

/** Makes a check on the truth: the result, by the tables as they really are. */
const makeCheck = (job: Job, check: number, state: number): number => {
  const entry = job.corner.problem.checks[check];
  const cause = job.corner.states[state]?.state[0] ?? '';
  const results = entry?.results ?? [];
  return drawWeighted(
    job.random,
    results.map(
      ({ id, chance }, r) => [r, (chance[state] ?? 0) * job.slant(entry?.id ?? '', id, cause)] as const,
    ),
  );
};

const ruleFor = (policy: Policy, corner: CornerProblem, tried: readonly number[]): Choice => {
  const part = (wanted: PartClass): Choice | null => {
    const fix = corner.fixes.findIndex((f) => f.kind === 'part' && f.part === wanted);
    return fix < 0 || tried.includes(fix) ? null : { kind: 'fix', fix };
  };
  const order: readonly PartClass[] =
    policy === 'always-hub' ? ['hub-assembly'] : ['sensor', 'sender', 'hub-assembly'];
  for (const wanted of order) {
    const choice = part(wanted);
    if (choice) return choice;
  }
  return { kind: 'refer' };
};

/**
 * Plays one job to its end under a policy. The truth answers checks and decides whether a fix cures; the policy sees
 * only what it would see at the counter. Costs are those of the plan: outlay, checks, comebacks, referral.
 */
export const playPolicy = (
  policy: Policy,
  drawn: PracticeCase,
  a: Assumptions,
  random: Random,
  slant: Slant = () => 1,
): Played => {
  const corner = buildProblem(drawn.docket, drawn.end, drawn.outlays, 'test-first', drawn.findings, a);
  const { problem } = corner;
  const solve = solver(problem);
  const job: Job = { corner, solve, random, slant };
  let state = stateOf(corner, drawn);
  let situation: Situation = solve.start;
  let cost = 0;
  let wrongParts = 0;
  let visits = 1;
  const tried: number[] = [];
  const done = (): Played => ({ cost, wrongParts, visits });
  // What the plan leaves out as too rare nothing here cures: it is found by the workshop in the end.
  const look = (check: number) => {
    cost += (problem.checks[check]?.cost ?? 0) + (situation.checked === 0 ? problem.firstCheck : 0);
    const result =
      state < 0 ? random.below(problem.checks[check]?.results.length ?? 1) : makeCheck(job, check, state);
    situation = solve.after(situation, check, result).next;
  };
  if (policy === 'test-everything') problem.checks.forEach((_, check) => look(check));
  for (let step = 0; step < 24; step++) {
    const choice: Choice =
      policy === 'planner'
        ? solve.best(situation, DEPTH).choice
        : policy === 'test-everything'
          ? solve.best(situation, 1).choice
          : ruleFor(policy, corner, tried);
    if (choice.kind === 'check') {
      look(choice.check);
      continue;
    }
    if (choice.kind === 'refer' || tried.length >= MOST_FIXES) {
      cost += problem.refer[Math.max(0, state)] ?? 0;
      return done();
    }
    cost += problem.fixes[choice.fix]?.outlay ?? 0;
    tried.push(choice.fix);
    const moves = state < 0 ? [] : (problem.fixes[choice.fix]?.moves[state] ?? []);
    const to =
      moves.length === 0
        ? state
        : drawWeighted(
            random,
            moves.map((move) => [move.to, move.chance] as const),
          );
    if (to < 0 && state >= 0) return done();
    state = to;
    if (corner.fixes[choice.fix]?.kind === 'part') wrongParts++;
    cost += problem.comeback;
    visits++;
    const failed = solve.afterFailed(situation, choice.fix);
    // A belief that held this fix to be certain is left where it was: the truth is outside what it knew.
    if (failed.chance > 1e-9) situation = failed.next;
    else situation = { ...situation, key: `${situation.key}!${choice.fix}` };
  }
  cost += problem.refer[Math.max(0, state)] ?? 0;
  return done();
};

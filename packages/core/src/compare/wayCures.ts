import type { Problem } from '../plan/solve.ts';

/**
 * Chance that a fix of the plan cures each state of the problem, when the part taken works from the start `sound` times
 * as often as the plan's own.
 */
export const wayCures = (problem: Problem, fix: number, sound: number): number[] =>
  problem.belief.map((_, s) =>
    Math.min(
      1,
      sound *
        (problem.fixes[fix]?.moves[s] ?? []).reduce((sum, { to, chance }) => sum + (to < 0 ? chance : 0), 0),
    ),
  );

import type { Problem } from '../plan/solve.ts';

/** Chance that doing the fixes one after the other, without looking between, cures each state of the problem. */
export const wayCures = (problem: Problem, fixes: readonly number[], sound: readonly number[]): number[] => {
  // From the last fix back: the chance of ending cured from each state, given what is still to be done.
  const [first, ...rest] = fixes;
  if (first === undefined) return problem.belief.map(() => 0);
  const then = rest.length > 0 ? wayCures(problem, rest, sound.slice(1)) : null;
  return problem.belief.map((_, s) => {
    const works = Math.min(1, sound[0] ?? 1);
    const done = (problem.fixes[first]?.moves[s] ?? []).reduce(
      (sum, { to, chance }) => sum + chance * (to < 0 ? 1 : (then?.[to] ?? 0)),
      0,
    );
    // A part bad from the box leaves the state where it was.
    return works * done + (1 - works) * (then?.[s] ?? 0);
  });
};

import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { solver, type Problem } from './solve.ts';

/** The same value by plain recursion, with no memo, no bound and its own bookkeeping. */
const bruteForce = (problem: Problem, depth: number): number => {
  const away = (belief: readonly number[]): number =>
    belief.reduce((sum, p, s) => sum + p * (problem.refer[s] ?? 0), 0);
  const value = (
    belief: readonly number[],
    checked: ReadonlySet<number>,
    tried: ReadonlySet<number>,
    left: number,
  ): number => {
    const options = [away(belief)];
    problem.fixes.forEach((fix, f) => {
      if (tried.has(f)) return;
      const next = new Array<number>(belief.length).fill(0);
      belief.forEach((p, s) =>
        fix.moves[s]?.forEach(
          (move) => move.to >= 0 && (next[move.to] = (next[move.to] ?? 0) + p * move.chance),
        ),
      );
      const failed = next.reduce((a, b) => a + b, 0);
      const after =
        failed <= 1e-12
          ? 0
          : problem.comeback +
            (left <= 1
              ? away(next.map((p) => p / failed))
              : value(
                  next.map((p) => p / failed),
                  checked,
                  new Set([...tried, f]),
                  left - 1,
                ));
      options.push(fix.outlay + failed * after);
    });
    if (left > 1)
      problem.checks.forEach((check, c) => {
        const needs = check.needs ?? 0;
        if (checked.has(c) || problem.checks.some((_, n) => needs & (1 << n) && !checked.has(n))) return;
        const group = check.setup ?? -1;
        const ready = group < 0 || [...checked].some((n) => problem.checks[n]?.setup === group);
        let cost =
          check.cost +
          (ready ? 0 : (problem.setups?.[group] ?? 0)) +
          (checked.size === 0 ? problem.firstCheck : 0);
        for (const result of check.results) {
          const joint = belief.map((p, s) => p * (result.chance[s] ?? 0));
          const chance = joint.reduce((a, b) => a + b, 0);
          if (chance > 1e-12)
            cost +=
              chance *
              value(
                joint.map((p) => p / chance),
                new Set([...checked, c]),
                tried,
                left - 1,
              );
        }
        options.push(cost);
      });
    return Math.min(...options);
  };
  return value(problem.belief, new Set(), new Set(), depth);
};

const normalised = (weights: number[]): number[] => {
  const total = weights.reduce((a, b) => a + b, 0);
  return weights.map((w) => w / total);
};

const weight = fc.double({ min: 0.01, max: 1, noNaN: true });

const problems = fc
  .record({
    states: fc.integer({ min: 2, max: 4 }),
    fixes: fc.integer({ min: 1, max: 3 }),
    checks: fc.integer({ min: 0, max: 3 }),
  })
  .chain(({ states, fixes, checks }) =>
    fc.record({
      belief: fc.array(weight, { minLength: states, maxLength: states }).map(normalised),
      fixes: fc.array(
        fc.record({
          id: fc.constant('fix'),
          outlay: fc.double({ min: 1, max: 300, noNaN: true }),
          // Each state may be cured, stay, or move on to another.
          moves: fc.array(
            fc.tuple(fc.double({ min: 0, max: 1, noNaN: true }), fc.nat(states - 1)).map(([cure, to]) => [
              { to: -1, chance: cure },
              { to, chance: 1 - cure },
            ]),
            { minLength: states, maxLength: states },
          ),
        }),
        { minLength: fixes, maxLength: fixes },
      ),
      checks: fc
        .array(
          fc.record({
            id: fc.constant('check'),
            cost: fc.double({ min: 0.1, max: 60, noNaN: true }),
            setup: fc.constantFrom(null, 0, 1),
            // Only a check before it can be needed: the first two stand free.
            needs: fc.constantFrom(0, 0, 1, 2),
            results: fc
              .array(fc.array(weight, { minLength: 2, maxLength: 2 }).map(normalised), {
                minLength: states,
                maxLength: states,
              })
              .map((rows) => [0, 1].map((r) => ({ id: String(r), chance: rows.map((row) => row[r] ?? 0) }))),
          }),
          { minLength: checks, maxLength: checks },
        )
        .map((list) => list.map((check, c) => ({ ...check, needs: c < 2 ? 0 : check.needs }))),
      setups: fc.tuple(
        fc.double({ min: 0, max: 30, noNaN: true }),
        fc.double({ min: 0, max: 30, noNaN: true }),
      ),
      refer: fc.array(fc.double({ min: 50, max: 600, noNaN: true }), {
        minLength: states,
        maxLength: states,
      }),
      comeback: fc.double({ min: 0, max: 120, noNaN: true }),
      firstCheck: fc.double({ min: 0, max: 40, noNaN: true }),
    }),
  );

describe('solver', () => {
  test('expected cost equals brute force on 3000 seeded random problems', () => {
    fc.assert(
      fc.property(problems, fc.integer({ min: 1, max: 3 }), (problem, depth) => {
        const solve = solver(problem);
        expect(solve.best(solve.start, depth).value).toBeCloseTo(bruteForce(problem, depth), 6);
      }),
      { numRuns: 3000, seed: 20261125 },
    );
  });

  test('what a plan costs in every state adds up to what it costs', () => {
    fc.assert(
      fc.property(problems, fc.integer({ min: 1, max: 3 }), (problem, depth) => {
        const solve = solver(problem);
        const { value, choice } = solve.best(solve.start, depth);
        const costs = solve.costs(solve.start, choice, depth);
        const mean = problem.belief.reduce((sum, p, s) => sum + p * (costs[s] ?? 0), 0);
        expect(mean).toBeCloseTo(value, 6);
      }),
      { numRuns: 500, seed: 8 },
    );
  });

  test('looking further never costs more', () => {
    fc.assert(
      fc.property(problems, (problem) => {
        const solve = solver(problem);
        expect(solve.best(solve.start, 3).value).toBeLessThanOrEqual(solve.best(solve.start, 2).value + 1e-9);
      }),
      { numRuns: 500, seed: 7 },
    );
  });

  test('a check that cannot tell the states apart is never chosen', () => {
    const problem: Problem = {
      belief: [0.5, 0.5],
      refer: [500, 500],
      comeback: 80,
      firstCheck: 0,
      fixes: [{ id: 'a', outlay: 100, moves: [[{ to: -1, chance: 1 }], [{ to: 1, chance: 1 }]] }],
      checks: [
        {
          id: 'blind',
          cost: 0.01,
          results: [
            { id: 'x', chance: [0.3, 0.3] },
            { id: 'y', chance: [0.7, 0.7] },
          ],
        },
      ],
    };
    const solve = solver(problem);
    expect(solve.best(solve.start, 3).choice.kind).not.toBe('check');
  });
});

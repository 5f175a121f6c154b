import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { assumptionsWith } from '../assumptions/assumptions.ts';
import { randomFrom } from '../chance/random.ts';
import { buildPlan } from '../plan/buildPlan.ts';
import type { Problem } from '../plan/solve.ts';
import { drawCase } from '../practice/drawCase.ts';
import { emptySlice } from '../vocabulary/catalogue.ts';
import { buildModel } from './buildModel.ts';
import { cureOf, expectedCost } from './expectedCost.ts';
import { wayCures } from './wayCures.ts';
import { wayPlans } from './wayPlans.ts';

const TODAY = '2026-11-25';

/** A problem of three states in which each fix cures each cause with a chance of its own; state 2 holds both causes. */
const problem = (chances: readonly (readonly [number, number])[]): Problem => ({
  belief: [0.5, 0.3, 0.2],
  checks: [],
  refer: [500, 500, 500],
  comeback: 85,
  firstCheck: 0,
  fixes: chances.map(([a, b], i) => ({
    id: String(i),
    outlay: 50,
    moves: [
      [
        { to: -1, chance: a },
        { to: 0, chance: 1 - a },
      ],
      [
        { to: -1, chance: b },
        { to: 1, chance: 1 - b },
      ],
      [
        { to: -1, chance: a * b },
        { to: 1, chance: a * (1 - b) },
        { to: 0, chance: (1 - a) * b },
        { to: 2, chance: (1 - a) * (1 - b) },
      ],
    ],
  })),
});

const share = fc.double({ min: 0, max: 1, noNaN: true });
const pair = fc.tuple(share, share);

describe('what a way cures', () => {
  test('what the fix cures in each state, by how often the part taken works from the start', () => {
    fc.assert(
      fc.property(pair, share, (first, sound) => {
        const [x, y] = first;
        const cures = wayCures(problem([first]), 0, 1);
        expect(cures[0]).toBeCloseTo(x, 9);
        expect(cures[1]).toBeCloseTo(y, 9);
        expect(cures[2]).toBeCloseTo(x * y, 9);
        wayCures(problem([first]), 0, sound).forEach((c, s) =>
          expect(c).toBeCloseTo(sound * (cures[s] ?? 0), 9),
        );
      }),
      { numRuns: 200, seed: 5 },
    );
  });
});

describe('the model of a drawn job', () => {
  const a = assumptionsWith();
  const random = randomFrom(12);
  const jobs = Array.from({ length: 40 }, () => {
    const drawn = drawCase(random, a, TODAY);
    const plan = buildPlan(drawn.docket, drawn.end, drawn.outlays, 'test-first', drawn.findings, a);
    const setting = {
      docket: drawn.docket,
      plan,
      architecture: drawn.architecture,
      slice: emptySlice(),
      today: TODAY,
      a,
    };
    return { drawn, plan, setting, model: buildModel(setting, 'EUR') };
  });

  test('groups are chances, likeliest first, and every way knows each of them', () => {
    for (const { model } of jobs) {
      expect(model.groups.reduce((sum, p) => sum + p, 0)).toBeCloseTo(1, 9);
      expect([...model.groups].sort((x, y) => y - x)).toEqual([...model.groups]);
      for (const way of model.ways) {
        expect(way.cures).toHaveLength(model.groups.length);
        for (const cure of way.cures) {
          expect(cure).toBeGreaterThanOrEqual(0);
          expect(cure).toBeLessThanOrEqual(1 + 1e-9);
        }
      }
    }
  });

  test('every part of the plan costs in the comparison what the plan says', () => {
    for (const { plan, model } of jobs)
      for (const outcome of plan.outcomes) {
        const { fix } = outcome;
        if (fix.kind !== 'part') continue;
        const way = model.ways.find(
          ({ parts, spared, work }) =>
            spared === null &&
            (work !== null) === (fix.work !== null) &&
            parts.map(({ part }) => part).join() === [fix.part, ...fix.with].join(),
        );
        expect(way).toBeDefined();
        if (!way) continue;
        expect(cureOf(way, model)).toBeCloseTo(outcome.cures, 6);
        expect(expectedCost(way, model)).toBeCloseTo(outcome.cost, 4);
      }
  });

  test('no way draws a sensor that is built in, none sells what the vehicle does not have', () => {
    for (const { drawn, model, setting } of jobs) {
      const { architecture } = drawn;
      for (const way of model.ways) {
        const classes = way.parts.map(({ part }) => part);
        if (architecture.mounting === 'in-hub') {
          expect(way.snags).toEqual([]);
          expect(classes).not.toContain('sensor');
        }
        if (architecture.target !== 'ring-on-shaft') expect(classes).not.toContain('axle-shaft');
        if (way.kind === 'parts') expect(way.snags.length).toBeLessThanOrEqual(2);
      }
      expect(new Set(wayPlans(setting).map(({ id }) => id)).size).toBe(wayPlans(setting).length);
    }
  });

  test('the other side is a second visit spared, and never free', () => {
    const both = jobs.flatMap(({ model }) => model.ways.filter(({ spared }) => spared !== null));
    expect(both.length).toBeGreaterThan(20);
    for (const { model } of jobs)
      for (const way of model.ways.filter(({ spared }) => spared !== null)) {
        const [here, there] = way.parts;
        expect(here?.part).toBe(there?.part);
        expect(here?.wheelEnd).not.toBe(there?.wheelEnd);
        const alone = model.ways.find(({ parts }) => parts.length === 1 && parts[0]?.part === here?.part);
        expect(way.price).toBeGreaterThan(alone?.price ?? Infinity);
        expect(way.labour).toBeLessThan(2 * (alone?.labour ?? 0));
        expect(cureOf(way, model)).toBeCloseTo(cureOf(alone ?? way, model), 9);
      }
  });
});

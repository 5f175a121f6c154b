import { describe, expect, test } from '@jest/globals';
import { assumptionsWith } from '../assumptions/assumptions.ts';
import { randomFrom } from '../chance/random.ts';
import { faultsAt } from '../diagnosis/states.ts';
import { drawCase, drawWeighted } from './drawCase.ts';
import { playPolicy, POLICIES } from './playPolicy.ts';

const a = assumptionsWith();
const TODAY = '2026-11-25';

describe('made-up jobs', () => {
  test('the same seed draws the same job; what is wrong can be wrong there', () => {
    for (let seed = 0; seed < 25; seed++) {
      const drawn = drawCase(randomFrom(seed), a, TODAY);
      expect(drawCase(randomFrom(seed), a, TODAY).docket).toEqual(drawn.docket);
      expect(drawn.truth.length).toBeGreaterThan(0);
      const possible = [...faultsAt(drawn.wheelEnd, drawn.architecture), 'none-present'];
      for (const cause of drawn.truth) expect(possible).toContain(cause);
    }
  });

  test('the truth is in the posterior about as often as the posterior says', () => {
    let said = 0;
    let was = 0;
    const jobs = 300;
    for (let seed = 0; seed < jobs; seed++) {
      const { end, truth } = drawCase(randomFrom(7000 + seed), a, TODAY);
      said += end.beliefs.reduce((sum, b) => (b.state.includes('sensor') ? sum + b.p : sum), 0);
      was += truth.includes('sensor') ? 1 : 0;
    }
    // Three standard errors of a share near a half.
    expect(Math.abs(said - was) / jobs).toBeLessThan(3 * Math.sqrt(0.25 / jobs));
  });

  test('drawing by weight follows the weights', () => {
    const random = randomFrom(3);
    const counts = { a: 0, b: 0 };
    for (let i = 0; i < 4000; i++)
      counts[
        drawWeighted(random, [
          ['a', 1],
          ['b', 3],
        ] as const)
      ]++;
    expect(counts.b / 4000).toBeCloseTo(0.75, 1);
  });
});

describe('policies', () => {
  test('each plays to an end, with costs, and the planner is the cheapest on average', () => {
    const total = Object.fromEntries(POLICIES.map((policy) => [policy, 0]));
    for (let seed = 0; seed < 120; seed++) {
      const drawn = drawCase(randomFrom(100 + seed), a, TODAY);
      for (const policy of POLICIES) {
        const played = playPolicy(policy, drawn, a, randomFrom(seed));
        expect(played.cost).toBeGreaterThan(0);
        expect(played.visits).toBe(1 + (played.visits - 1));
        expect(played.wrongParts).toBeLessThan(played.visits);
        total[policy] = (total[policy] ?? 0) + played.cost;
      }
    }
    for (const policy of POLICIES) expect(total.planner).toBeLessThanOrEqual(total[policy] ?? 0);
  });
});

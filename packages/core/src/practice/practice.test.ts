import { describe, expect, test } from '@jest/globals';
import { assumptionsWith } from '../assumptions/assumptions.ts';
import { randomFrom } from '../chance/random.ts';
import { faultsAt } from '../diagnosis/states.ts';
import { drawCase, drawWeighted } from './drawCase.ts';
import { byTheCard, BENCH_CARD } from './benchCard.ts';
import { drawJob } from './drawJob.ts';
import { WAYS_TO_WORK, type WayToWork } from './chooseDeed.ts';
import { playJob } from './playJob.ts';
import { secondJudge } from './secondJudge.ts';

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

describe('whole jobs', () => {
  test('the same seed draws the same vehicle, and something is wrong with it', () => {
    for (let seed = 0; seed < 40; seed++) {
      const job = drawJob(randomFrom(seed), a, TODAY);
      expect(drawJob(randomFrom(seed), a, TODAY).docket).toEqual(job.docket);
      expect(job.truth.size + job.shared.length).toBeGreaterThan(0);
      for (const [end, state] of job.truth) {
        const possible = [...faultsAt(end, job.architectureOf(end)), 'none-present'];
        for (const fault of state) expect(possible).toContain(fault);
      }
      if (job.docket.reader !== 'full') expect(job.docket.codes).toEqual([]);
    }
  });

  test('another judge thinks otherwise in most of the numbers, and rows are still chances', () => {
    const other = secondJudge();
    const keys = Object.keys(other.overrides);
    expect(keys.length).toBeGreaterThan(400);
    expect(keys.filter((key) => other.get(key) !== a.get(key)).length / keys.length).toBeGreaterThan(0.7);
    const rows = new Map<string, number>();
    for (const key of keys) {
      const row = /^(check\..+)\.[^.]+$/.exec(key)?.[1];
      if (row) rows.set(row, (rows.get(row) ?? 0) + other.get(key));
    }
    for (const [row, sum] of rows) expect({ row, sum: Number(sum.toFixed(3)) }).toEqual({ row, sum: 1 });
  });

  test('every way to work plays to an end; ours is the cheapest on average', () => {
    const total = new Map<WayToWork, number>(WAYS_TO_WORK.map((way) => [way, 0]));
    for (let seed = 0; seed < 30; seed++) {
      const job = drawJob(randomFrom(300 + seed), a, TODAY);
      for (const way of WAYS_TO_WORK) {
        const played = playJob(way, job, a, a, TODAY, randomFrom(seed));
        expect(played.cost).toBeGreaterThan(0);
        expect(played.visits).toBeGreaterThan(0);
        total.set(way, (total.get(way) ?? 0) + played.cost);
      }
    }
    for (const way of WAYS_TO_WORK) expect(total.get('ours')).toBeLessThanOrEqual(total.get(way) ?? 0);
  });

  test('the bench card goes by its order and ends with another workshop', () => {
    const job = drawJob(randomFrom(4), a, TODAY);
    const sight = {
      docket: { ...job.docket, reader: 'full' as const },
      corner: null,
      architecture: null,
      code: 'none' as const,
      tried: new Set<string>(),
    };
    expect(byTheCard(sight)).toEqual({ kind: 'check', check: 'live', at: null });
    const known = { ...sight, corner: 'A1L', architecture: job.architectureOf('A1L'), code: 'dead' as const };
    expect(byTheCard(known)).toMatchObject({ kind: 'check', check: 'visual.connector' });
    const green = {
      ...known,
      docket: {
        ...known.docket,
        checks: [{ check: 'visual.connector' as const, wheelEnd: 'A1L', result: 'corroded' as const }],
      },
    };
    expect(byTheCard(green)).toEqual({ kind: 'parts', parts: ['connector-kit'], at: 'A1L' });
    expect(BENCH_CARD.at(-1)?.[1](known, () => '')).toEqual({ kind: 'refer' });
  });
});

import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { assumptionsWith } from '../assumptions/assumptions.ts';
import { summaryOf } from '../chance/summaryOf.ts';
import type { Architecture } from '../diagnosis/architecture.ts';
import { outlayOf } from '../offers/outlay.ts';
import { ratesFor } from '../offers/rates.ts';
import { sureCost, together } from '../offers/together.ts';
import { emptySlice } from '../vocabulary/catalogue.ts';
import type { Docket } from '../vocabulary/docket.ts';
import { compareWays } from './compareWays.ts';
import { drawCosts } from './drawCosts.ts';
import { expectedCost } from './expectedCost.ts';
import { luckFor } from './luck.ts';
import type { CompareModel, Way } from './model.ts';
import { sayAloud } from './sayAloud.ts';
import { spreadOver } from './spread.ts';

const BARE: Way = {
  id: 'x',
  label: 'sensor',
  kind: 'parts',
  work: null,
  parts: [{ part: 'sensor', wheelEnd: 'A1L', partNumber: null, tier: null, brand: null }],
  price: 40,
  listPrice: 40,
  costPrice: null,
  deposit: 0,
  core: 0,
  companions: 3,
  labourHours: 1,
  labour: 78,
  supplies: 0,
  tax: 0,
  fee: 0,
  snags: [],
  seizure: null,
  waitDays: 0,
  perDay: 0,
  from: 'shelf',
  cures: [1, 1],
  failure: 400,
  later: [],
  keepsBearing: false,
  spared: null,
  lines: [],
  because: [],
};
const model = (ways: Way[], more: Partial<CompareModel> = {}): CompareModel => ({
  wheelEnd: 'A1L',
  currency: 'EUR',
  groups: [0.7, 0.3],
  bearing: { chance: 0.2, cost: 300 },
  labour: { low: 0.75, high: 1.8 },
  continuation: { low: 0.45, high: 2.2 },
  wait: { low: 0.6, high: 2.2 },
  ways,
  ...more,
});

// Never or always, or often enough to be met in some thousand draws.
const share = fc.oneof(fc.constantFrom(0, 1), fc.double({ min: 0.02, max: 0.98, noNaN: true }));
const sum = fc.double({ min: 0, max: 500, noNaN: true });
const someWay = fc
  .record({
    price: sum,
    labour: sum,
    core: fc.double({ min: 0, max: 30, noNaN: true }),
    failure: sum,
    waitDays: fc.integer({ min: 0, max: 5 }),
    perDay: fc.double({ min: 0, max: 140, noNaN: true }),
    cures: fc.tuple(share, share),
    snag: fc.option(fc.record({ chance: share, cost: sum })),
    later: fc.option(fc.record({ chance: share, cost: sum })),
    keepsBearing: fc.boolean(),
    spared: fc.option(fc.record({ chance: share, cost: sum })),
  })
  .map(({ snag, later, ...rest }): Way => ({
    ...BARE,
    ...rest,
    snags: snag
      ? [
          {
            chance: snag.chance,
            snaps: [
              { chance: 0.6, cost: snag.cost },
              { chance: 0.4, cost: 3 * snag.cost },
            ],
          },
        ]
      : [],
    later: later ? [later] : [],
  }));

describe('ways compared', () => {
  test('the mean of the draws is the exact expectation within its standard error', () => {
    let beyond = 0;
    let tried = 0;
    fc.assert(
      fc.property(someWay, someWay, fc.integer({ min: 1, max: 1e6 }), (one, other, seed) => {
        const job = model([
          { ...one, id: 'one' },
          { ...other, id: 'other' },
        ]);
        const { ways, drawnMeans } = compareWays(job, seed, 4000);
        ways.forEach((way, i) => {
          tried++;
          const off = Math.abs((drawnMeans[i] ?? 0) - way.allIn.mean);
          if (off > 2 * way.standardError + 1e-6) beyond++;
          // Five standard errors: one in a million and more by chance alone.
          expect(off).toBeLessThan(5 * way.standardError + 1e-6);
        });
      }),
      { numRuns: 200, seed: 7 },
    );
    // About one in twenty should be beyond two: far more would mean that the error is told too small.
    expect(beyond / tried).toBeLessThan(0.08);
  });

  test('certain cure, no risk, no wait: parts plus labour', () => {
    const job = model([BARE]);
    expect(expectedCost(BARE, job)).toBeCloseTo(40 + 3 + 78, 12);
    const [way] = compareWays(job).ways;
    // What is left to chance is only the good and the bad day.
    expect(way?.allIn.p10).toBeGreaterThan(43 + 78 * 0.6);
    expect(way?.allIn.p90).toBeLessThan(43 + 78 * 1.6);
    expect(way?.costs.map(({ kind }) => kind)).toEqual(['parts', 'companions', 'labour']);
  });

  test('a dearer part never makes its way look better: mean, quantiles, chance to win', () => {
    fc.assert(
      fc.property(someWay, someWay, sum, (one, other, more) => {
        const first = { ...one, id: 'one' };
        const rival = { ...other, id: 'other' };
        const told = (ways: Way[]) => {
          const { ways: said, beats } = compareWays(model(ways), 3, 1000);
          const i = said.findIndex(({ id }) => id === 'one');
          const j = said.findIndex(({ id }) => id === 'other');
          return { way: said[i], wins: beats()[i]?.[j] ?? 0 };
        };
        const before = told([first, rival]);
        const after = told([{ ...first, price: first.price + more }, rival]);
        for (const which of ['mean', 'p10', 'p50', 'p90'] as const)
          expect(after.way?.allIn[which]).toBeGreaterThanOrEqual((before.way?.allIn[which] ?? 0) - 1e-9);
        expect(after.wins).toBeLessThanOrEqual(before.wins + 1e-12);
      }),
      { numRuns: 120, seed: 4 },
    );
  });

  test('a likelier snap never helps a way that draws the sensor, and never touches one that does not', () => {
    fc.assert(
      fc.property(someWay, share, share, (way, a, b) => {
        const at = (chance: number): Way => ({
          ...way,
          snags: [{ chance, snaps: [{ chance: 1, cost: 120 }] }],
        });
        const [low, high] = [Math.min(a, b), Math.max(a, b)];
        const p = (chance: number) => compareWays(model([at(chance)]), 5, 800).ways[0]?.allIn;
        expect(expectedCost(at(high), model([]))).toBeGreaterThanOrEqual(
          expectedCost(at(low), model([])) - 1e-9,
        );
        for (const which of ['p10', 'p50', 'p90'] as const)
          expect(p(high)?.[which]).toBeGreaterThanOrEqual((p(low)?.[which] ?? 0) - 1e-9);
      }),
      { numRuns: 120, seed: 9 },
    );
  });

  test('the same seed gives the same figures, another seed others near by', () => {
    const job = model([
      { ...BARE, id: 'a', cures: [0.9, 0.2] },
      { ...BARE, id: 'b', price: 165, cures: [0.5, 0.9] },
    ]);
    const one = compareWays(job, 11);
    luckFor(12, 500);
    const again = compareWays(job, 11);
    expect([again.ways, again.beats(), again.drawnMeans]).toEqual([one.ways, one.beats(), one.drawnMeans]);
    const other = compareWays(job, 12);
    expect(other.drawnMeans).not.toEqual(one.drawnMeans);
    expect(other.ways[0]?.allIn.p50).toBeCloseTo(one.ways[0]?.allIn.p50 ?? 0, -1);
  });

  test('common random numbers cut the variance of a difference', () => {
    const job = model([
      {
        ...BARE,
        id: 'good',
        cures: [0.95, 0.1],
        snags: [{ chance: 0.3, snaps: [{ chance: 1, cost: 130 }] }],
      },
      {
        ...BARE,
        id: 'cheap',
        price: 24,
        cures: [0.9, 0.1],
        snags: [{ chance: 0.3, snaps: [{ chance: 1, cost: 130 }] }],
      },
    ]);
    const variance = (of: (i: number) => number, n: number) => {
      const xs = Array.from({ length: n }, (_, i) => of(i));
      const mean = xs.reduce((s, x) => s + x, 0) / n;
      return xs.reduce((s, x) => s + (x - mean) ** 2, 0) / (n - 1);
    };
    const [good, cheap] = drawCosts(job, luckFor(1, 4000)) as [Float64Array, Float64Array];
    const [, apart] = drawCosts(job, luckFor(2, 4000)) as [Float64Array, Float64Array];
    const common = variance((i) => (good[i] ?? 0) - (cheap[i] ?? 0), 4000);
    const independent = variance((i) => (good[i] ?? 0) - (apart[i] ?? 0), 4000);
    expect(common).toBeLessThan(independent / 4);
  });

  test('spreads have the mean one; summaries agree with sorting', () => {
    const even = Float64Array.from({ length: 20000 }, (_, i) => (i + 0.5) / 20000);
    for (const [low, high] of [
      [0.75, 1.8],
      [1, 1],
      [0.1, 5],
    ] as const) {
      const out = spreadOver(even, { low, high });
      expect(out.reduce((s, x) => s + x, 0) / out.length).toBeCloseTo(1, 6);
    }
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -1e4, max: 1e4, noNaN: true }), { minLength: 1, maxLength: 400 }),
        (values) => {
          const sample = Float64Array.from(values);
          const sorted = [...values].sort((x, y) => x - y);
          const { mean, quantiles } = summaryOf(sample, [0.1, 0.5, 0.9]);
          expect(quantiles).toEqual(
            [0.1, 0.5, 0.9].map((q) => sorted[Math.min(values.length - 1, Math.floor(q * values.length))]),
          );
          expect(mean).toBeCloseTo(values.reduce((s, x) => s + x, 0) / values.length, 6);
        },
      ),
      { numRuns: 200, seed: 1 },
    );
  });
});

describe('parts fitted in one go', () => {
  const a = assumptionsWith({ 'diagnosis.fee': 25 });
  const docket: Docket = { format: 'hardy-spoke/docket', version: 1, vehicle: { knuckle: 'iron' } };
  const build: Architecture = {
    sensor: 'passive',
    mounting: 'separate',
    target: 'ring-on-hub',
    ringSoldAlone: true,
  };
  const of = (part: 'sensor' | 'tone-ring' | 'hub-assembly', end = 'A1L') =>
    outlayOf(part, {
      wheelEnd: end,
      architecture: build,
      docket,
      slice: emptySlice(),
      today: '2026-11-25',
      a,
    });
  const rates = ratesFor(docket, a);

  test('the strip-down is paid once, the fee once, the sensor drawn once at each wheel', () => {
    const [ring, sensor] = [of('tone-ring'), of('sensor')];
    const both = together([ring, sensor], a.get('overlap.same-wheel'), rates);
    expect(both.labourHours).toBeCloseTo(2.2 + 0.8 * 0.4, 12);
    expect(both.fee).toBe(25);
    expect(both.price).toBe(ring.price + sensor.price);
    expect(both.snags).toHaveLength(1);
    const hubToo = together([of('hub-assembly'), sensor], a.get('overlap.same-wheel'), rates);
    expect(hubToo.snags).toHaveLength(1);
    const sides = together([sensor, of('sensor', 'A1R')], a.get('overlap.other-side'), rates);
    expect(sides.snags).toHaveLength(2);
    expect(sides.labourHours).toBeCloseTo(0.8 + 0.8 * 0.75, 12);
    expect(sides.seizure).toBeCloseTo(1 - (1 - (sensor.seizure ?? 0)) ** 2, 12);
  });

  test('one part alone costs what its outlay says', () => {
    const sensor = of('sensor');
    const alone: Way = { ...BARE, ...together([sensor], 0.6, rates), keepsBearing: false };
    expect(sureCost(alone)).toBeCloseTo(
      sensor.price + sensor.companions + sensor.labour + sensor.supplies + sensor.tax + sensor.fee,
      9,
    );
    expect(expectedCost(alone, model([alone]))).toBeCloseTo(sensor.mean, 9);
  });
});

describe('what is said aloud', () => {
  const hub: Way = {
    ...BARE,
    id: 'hub',
    label: 'hub assembly',
    parts: [{ part: 'hub-assembly', wheelEnd: 'A1L', partNumber: null, tier: null, brand: null }],
    price: 165,
    cures: [0.9, 0.9],
  };
  const said = (ways: Way[]) => {
    const job = model(ways);
    const { ways: compared, beats } = compareWays(job);
    return sayAloud(compared, beats(), job, assumptionsWith());
  };

  test('cheaper unless it snaps; safer if it must leave today', () => {
    const sensor: Way = {
      ...BARE,
      label: 'wheel speed sensor',
      cures: [0.95, 0.9],
      waitDays: 1,
      perDay: 20,
      snags: [{ chance: 0.33, snaps: [{ chance: 1, cost: 260 }] }],
    };
    expect(said([sensor, hub])).toMatch(
      /^The wheel speed sensor alone is cheaper than the hub assembly by about €\d+ on average unless it snaps, which is about one in three on this one; the hub assembly is the safer if it must leave today\.$/,
    );
  });

  test('as good as each other is said so', () => {
    const twin: Way = { ...hub, price: 40.5, cures: [1, 1] };
    expect(said([BARE, twin])).toMatch(
      /^The wheel speed sensor and the hub assembly come to about the same on average/,
    );
  });

  test('no snap worth a word, nothing to wait for: how often it comes out so', () => {
    expect(said([BARE, hub])).toMatch(
      /cheaper than the hub assembly by about €\d+ on average, and in \d+ of 100 such jobs\.$/,
    );
    expect(said([BARE])).toBe('The wheel speed sensor is the only way here.');
  });
});

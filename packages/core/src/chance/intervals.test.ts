import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { betaInterval, gammaInterval, HELD, meanInterval, shareInterval } from './intervals.ts';

/** The middle ninety in a hundred of a belief on a grid, by adding it up. */
const byGrid = (density: (x: number) => number, most: number, steps = 40_000) => {
  const xs = Array.from({ length: steps }, (_, i) => ((i + 0.5) / steps) * most);
  const weights = xs.map(density);
  const total = weights.reduce((sum, w) => sum + w, 0);
  const at = (share: number): number => {
    let sum = 0;
    const i = weights.findIndex((w) => (sum += w) >= share * total);
    return xs[i] ?? most;
  };
  return {
    mean: xs.reduce((sum, x, i) => sum + x * (weights[i] ?? 0), 0) / total,
    low: at((1 - HELD) / 2),
    high: at((1 + HELD) / 2),
  };
};

describe('intervals', () => {
  test.each([
    [2.5, 7.5],
    [30, 3],
    [0.8, 40],
  ])('a Beta belief of %p and %p is that of a brute-force grid', (yes, no) => {
    const grid = byGrid((x) => x ** (yes - 1) * (1 - x) ** (no - 1), 1);
    const { mean, low, high } = betaInterval(yes, no);
    expect(mean).toBeCloseTo(grid.mean, 3);
    expect(low).toBeCloseTo(grid.low, 3);
    expect(high).toBeCloseTo(grid.high, 3);
  });

  test.each([
    [4, 2],
    [60, 50],
  ])('a Gamma belief of %p and %p is that of a brute-force grid', (shape, rate) => {
    const grid = byGrid((x) => x ** (shape - 1) * Math.exp(-rate * x), (8 * shape) / rate);
    const { mean, low, high } = gammaInterval(shape, rate);
    expect(mean).toBeCloseTo(grid.mean, 2);
    expect(low).toBeCloseTo(grid.low, 2);
    expect(high).toBeCloseTo(grid.high, 2);
  });

  test('1 of 3 is not 33 in 100, and nothing counted is nothing said', () => {
    const third = shareInterval(1, 3);
    expect(third?.low).toBeLessThan(0.08);
    expect(third?.high).toBeGreaterThan(0.7);
    expect(shareInterval(0, 0)).toBeNull();
    expect(meanInterval([])).toBeNull();
  });

  test('a share lies in its interval, which narrows with more of the same', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 1, max: 60 }), (n, more) => {
        const of = n + more;
        const few = shareInterval(n, of);
        const many = shareInterval(10 * n, 10 * of);
        if (!few || !many) throw new Error('counted');
        expect(few.low).toBeLessThanOrEqual(few.mean);
        expect(few.high).toBeGreaterThanOrEqual(few.mean);
        expect(many.high - many.low).toBeLessThan(few.high - few.low);
      }),
    );
  });
});

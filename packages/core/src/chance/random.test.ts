import { describe, expect, test } from '@jest/globals';
import { evenNumbers, randomFrom } from './random.ts';
import { summaryOf } from './summaryOf.ts';

describe('seeded chance', () => {
  test('a seed fixes the stream; the bulk numbers are the same ones', () => {
    const one = randomFrom(42);
    const bulk = evenNumbers(42, 100);
    for (const value of bulk) expect(one.next()).toBe(value);
    expect(evenNumbers(43, 100)).not.toEqual(bulk);
  });

  test('neighbouring seeds are strangers', () => {
    const firsts = Float64Array.from({ length: 2000 }, (_, seed) => evenNumbers(seed, 1)[0] ?? 0);
    const { mean } = summaryOf(firsts, []);
    expect(Math.abs(mean - 0.5)).toBeLessThan(0.03);
    let product = 0;
    for (let i = 1; i < firsts.length; i++)
      product += ((firsts[i] ?? 0) - 0.5) * ((firsts[i - 1] ?? 0) - 0.5);
    // Correlation of neighbours: none within three standard errors.
    expect(Math.abs(product / firsts.length / (1 / 12))).toBeLessThan(3 / Math.sqrt(firsts.length));
  });

  test('even numbers are even, normal ones normal, whole ones whole', () => {
    const random = randomFrom(7);
    const n = 40000;
    const { mean, error, quantiles } = summaryOf(evenNumbers(7, n), [0.25, 0.75]);
    expect(Math.abs(mean - 0.5)).toBeLessThan(4 * error);
    expect(quantiles[0]).toBeCloseTo(0.25, 1);
    expect(quantiles[1]).toBeCloseTo(0.75, 1);
    const normal = summaryOf(
      Float64Array.from({ length: n }, () => random.normal()),
      [0.025, 0.975],
    );
    expect(Math.abs(normal.mean)).toBeLessThan(4 * normal.error);
    expect(normal.error * Math.sqrt(n)).toBeCloseTo(1, 1);
    expect(normal.quantiles[1]).toBeCloseTo(1.96, 0);
    const counts = [0, 0, 0, 0, 0];
    for (let i = 0; i < 10000; i++) {
      const k = random.below(5);
      counts[k] = (counts[k] ?? 0) + 1;
    }
    for (const count of counts) expect(Math.abs(count - 2000)).toBeLessThan(200);
    expect(['a', 'b']).toContain(random.pick(['a', 'b']));
    expect(random.between(3, 4)).toBeGreaterThanOrEqual(3);
    expect(random.chance(0)).toBe(false);
    expect(random.chance(1)).toBe(true);
  });

  test('a summary of one value, and of equal ones', () => {
    expect(summaryOf(Float64Array.from([5]), [0.1, 0.9])).toEqual({ mean: 5, error: 0, quantiles: [5, 5] });
    expect(summaryOf(new Float64Array(50).fill(3), [0.5])).toEqual({ mean: 3, error: 0, quantiles: [3] });
  });
});

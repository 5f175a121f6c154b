import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { HIGH_A, loopState, poleField, SWITCHES_FROM } from './activeElement.ts';
import { COIL_FALLS_OVER_MM, coilOhms, coilPeak, rmsOf, shareArriving } from './coil.ts';
import { rollingMetres } from './tyreCircle.ts';

describe('a passive coil', () => {
  test('gives about 0.15 V of AC at one turn a second of 48 teeth', () => {
    expect(rmsOf(coilPeak(48, 0.8))).toBeCloseTo(0.15, 2);
  });
  test('its peak is proportional to speed and falls by e with each length of the gap', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 2000, noNaN: true }),
        fc.double({ min: 0.2, max: 4, noNaN: true }),
        (rate, gap) => {
          expect(coilPeak(2 * rate, gap) / coilPeak(rate, gap)).toBeCloseTo(2, 9);
          expect(coilPeak(rate, gap) / coilPeak(rate, gap + COIL_FALLS_OVER_MM)).toBeCloseTo(Math.E, 9);
        },
      ),
    );
  });
  test('copper: 0.393 % a kelvin', () => {
    expect(coilOhms(1000, 120)).toBeCloseTo(1393, 6);
    expect(coilOhms(1000, -20)).toBeCloseTo(842.8, 6);
    expect(coilOhms(1000, 20, 0.4)).toBeCloseTo(600, 6);
  });
  test('a corroded pin costs little at first and a leak much', () => {
    expect(shareArriving(1200, 0, Infinity)).toBeCloseTo(10 / 11.2, 3);
    expect(shareArriving(1200, 50, Infinity)).toBeGreaterThan(0.88);
    expect(shareArriving(1200, 0, 300)).toBeLessThan(0.25);
  });
});

describe('an active element', () => {
  test('switches at its gap whatever the speed, and not two pole pitches further out', () => {
    expect(poleField(1)).toBe(1);
    expect(poleField(1.8)).toBeGreaterThan(SWITCHES_FROM);
    expect(poleField(2.2)).toBeLessThan(SWITCHES_FROM);
  });
  test.each([
    ['works', 12, 20, Infinity],
    ['open', 12, Infinity, Infinity],
    ['short', 12, 5, 100],
    ['levels-merge', 12, 5, 2500],
    ['starved', 12, 700, Infinity],
    ['open', 12, 6000, Infinity],
  ] as const)('the loop %s at %d V, %d ohm in series, %d ohm to ground', (state, volts, series, leak) => {
    expect(loopState(volts, series, leak)).toBe(state);
  });
  test('more resistance in series never makes a starved loop work', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 5000 }), fc.integer({ min: 1, max: 5000 }), (series, more) => {
        if (loopState(12, series, Infinity) !== 'works')
          expect(loopState(12, series + more, Infinity)).not.toBe('works');
      }),
    );
    expect((12 - 4.5) / HIGH_A).toBeGreaterThan(500);
  });
});

describe('a tyre', () => {
  test('rolls 0.965 of its circle; wear and lost air make it shorter', () => {
    const size = { width: 205, aspect: 60, rim: 15 };
    expect(rollingMetres(size)).toBeCloseTo(0.965 * Math.PI * 0.627, 4);
    expect(rollingMetres(size, 4) / rollingMetres(size)).toBeCloseTo(1 - 8 / 627, 4);
    expect(rollingMetres(size, 0, 0.5) / rollingMetres(size)).toBeCloseTo(0.994, 4);
  });
});

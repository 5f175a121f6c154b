import { describe, expect, test } from '@jest/globals';
import { parseDocket } from '@hardy/core';
import type { BenchProbes, Measured } from '@hardy/core/contract';
import { checkFromMeter, readingInWords } from './checkFromMeter.ts';

const probes = (more: Partial<BenchProbes> = {}): BenchProbes => ({
  wheelEnd: 'A1L',
  plug: 'sensor',
  pins: 'across',
  turnsPerSecond: 0,
  ...more,
});
const steady = (value: number, celsius: number | null = null): Measured => ({
  reading: { is: 'steady', value },
  celsius,
});
const LOOM = probes({ plug: 'loom', pins: 'feed to ground' });

describe('a reading of the meter as a check', () => {
  test.each([
    [
      'ohms',
      steady(1187.4, 15),
      probes(),
      { check: 'meter.resistance', of: 'sensor', ohms: 1187, temperatureC: 15 },
    ],
    ['ohms', { reading: { is: 'overload' }, celsius: 15 }, probes(), { ohms: 'open' }],
    [
      'ohms',
      { reading: { is: 'unstable', from: 200, to: null }, celsius: null },
      probes(),
      { ohms: 'unstable' },
    ],
    ['ohms', steady(0.4), probes({ plug: 'loom' }), { of: 'harness', ohms: 0.4 }],
    ['voltsDc', steady(11.84), LOOM, { check: 'meter.supply', volts: 11.84 }],
    [
      'voltsAc',
      steady(0.2468),
      probes({ turnsPerSecond: 1 }),
      { check: 'meter.ac', volts: 0.2468, turnsPerSecond: 1 },
    ],
  ] as const)('%s of %j', (what, measured, where, check) => {
    const made = checkFromMeter(what, measured, where);
    expect(made).toMatchObject({ wheelEnd: 'A1L', ...check });
    expect(() => parseDocket({ format: 'hardy-spoke/docket', version: 1, checks: [made] })).not.toThrow();
  });
  test.each([
    ['ohms', steady(5), probes({ pins: 'signal to ground' }), /chafed/],
    ['voltsDc', steady(0), probes(), /loom/],
    ['voltsDc', { reading: { is: 'unstable', from: 1, to: 9 }, celsius: null }, LOOM, /does not stand/],
    ['voltsAc', steady(0), probes(), /turn it by hand/],
    ['voltsAc', steady(0.2), LOOM, /across the pins/],
  ] as const)('%s where the probes tell nothing', (what, measured, where, why) => {
    expect(checkFromMeter(what, measured as Measured, where)).toMatch(why);
  });
  test('in words, with its unit', () => {
    expect(readingInWords(steady(4_197_000, 15), 'ohm')).toBe('4.197 Mohm at 15 \u00B0C');
    expect(readingInWords(steady(12_300), 'ohm')).toBe('12.3 kohm');
    expect(readingInWords({ reading: { is: 'overload' }, celsius: null }, 'ohm')).toMatch(/open circuit/);
    expect(readingInWords({ reading: { is: 'unstable', from: 200, to: 4000 }, celsius: null }, 'ohm')).toBe(
      'it runs, from 200 ohm to 4000 ohm',
    );
  });
});

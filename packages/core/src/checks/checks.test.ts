import { describe, expect, test } from '@jest/globals';
import { assumptionsWith } from '../assumptions/assumptions.ts';
import { compareTyres } from './compareTyres.ts';
import { resistanceAt20 } from './kinds/resistance.ts';
import { readCheck } from './readCheck.ts';
import { parseTyreSize, readsAgainst } from '../vocabulary/tyreSize.ts';

const a = assumptionsWith();

describe('tyres', () => {
  test.each([
    ['205/55 R16', 631.9],
    ['205/55R16 91V', 631.9],
    ['205/55 ZR16', 631.9],
    ['LT245/75R16', 773.9],
    ['31x10.50R15', 787.4],
    ['215/65R16C', 685.9],
    ['315/80 R22.5', 1075.5],
  ])('%s', (size, diameter) => {
    expect(parseTyreSize(size)?.diameter).toBeCloseTo(diameter, 1);
  });

  test.each(['', 'front left', '205', '20555R16', 'R16', '205/555 R16'])('"%s" is no tyre size', (size) => {
    expect(parseTyreSize(size)).toBeNull();
  });

  test('a larger tyre reads low by the ratio of diameters', () => {
    const [big, small] = [parseTyreSize('215/70 R16')!, parseTyreSize('215/60 R16')!];
    expect(readsAgainst(big, small)).toBeCloseTo(-6.08, 2);
    expect((1 + readsAgainst(big, small) / 100) * (1 + readsAgainst(small, big) / 100)).toBeCloseTo(1, 12);
  });

  test('the odd one out is the one that differs from the other axle too', () => {
    const sizes = { A1L: '215/60 R16', A1R: '215/60 R16', A2L: '215/60 R16', A2R: '215/70 R16' };
    expect(compareTyres(sizes, 3).odd.map((odd) => odd.wheelEnd)).toEqual(['A2R']);
    expect(compareTyres({ A2L: '215/60 R16', A2R: '215/70 R16' }, 3).odd.map((odd) => odd.wheelEnd)).toEqual([
      'A2L',
      'A2R',
    ]);
    expect(compareTyres({ A1L: 'bald', A1R: '215/60 R16' }, 3).unread).toEqual([
      { wheelEnd: 'A1L', size: 'bald' },
    ]);
  });
});

describe('readCheck', () => {
  test('resistance is brought to 20 degC for copper before it is judged', () => {
    expect(resistanceAt20(1393, 120, 0.00393)).toBeCloseTo(1000, 0);
    const hot = { check: 'meter.resistance', of: 'sensor', ohms: 2700, temperatureC: 80 } as const;
    expect(readCheck(hot, 'passive', a)?.result).toBe('in-range');
    expect(readCheck({ ...hot, temperatureC: 20 }, 'passive', a)?.result).toBe('high');
  });

  test('an ohmmeter does not judge an active sensor, except open and short', () => {
    expect(readCheck({ check: 'meter.resistance', of: 'sensor', ohms: 1200 }, 'active', a)).toBeNull();
    expect(readCheck({ check: 'meter.resistance', of: 'sensor', ohms: 'open' }, 'active', a)?.result).toBe(
      'open',
    );
    expect(readCheck({ check: 'meter.resistance', of: 'sensor', ohms: 2 }, 'active', a)?.result).toBe(
      'short',
    );
  });

  test('checks that say nothing on this sensor are left out', () => {
    expect(readCheck({ check: 'meter.ac', volts: 0.3 }, 'active', a)).toBeNull();
    expect(readCheck({ check: 'meter.supply', volts: 12 }, 'passive', a)).toBeNull();
    expect(readCheck({ check: 'visual.ring', result: 'not-visible' }, 'active', a)).toBeNull();
  });

  test('AC is judged at one turn a second', () => {
    expect(readCheck({ check: 'meter.ac', volts: 0.15, turnsPerSecond: 2 }, 'passive', a)?.result).toBe(
      'weak',
    );
    expect(readCheck({ check: 'meter.ac', volts: 0.15, turnsPerSecond: 1 }, 'passive', a)?.result).toBe(
      'good',
    );
  });

  test('the battery is weak when either reading says so', () => {
    expect(readCheck({ check: 'battery', restingVolts: 12.6, crankingVolts: 8.9 }, 'active', a)?.result).toBe(
      'weak',
    );
    expect(readCheck({ check: 'battery' }, 'active', a)).toBeNull();
  });
});

import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { assumptionsWith } from '../assumptions/assumptions.ts';
import type { Check } from '../vocabulary/check.ts';
import { doubtUnit } from './doubtUnit.ts';
import { explainRatio } from './explainRatio.ts';
import { tellCheck } from './tellCheck.ts';
import { parseTyreSize, readsAgainst } from '../vocabulary/tyreSize.ts';
import { frequencyAt, gapFactor, lowestReadSpeed, rollingCircumference, speedAt } from './wheelArithmetic.ts';

const a = assumptionsWith();
const coil = { sensor: 'passive', axles: 2 } as const;

describe('wheel arithmetic', () => {
  test('frequency and speed are each other turned round', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 250, noNaN: true }),
        fc.integer({ min: 20, max: 120 }),
        fc.double({ min: 1, max: 4, noNaN: true }),
        (kmh, teeth, circumference) => {
          expect(speedAt(frequencyAt(kmh, teeth, circumference), teeth, circumference)).toBeCloseTo(kmh, 8);
        },
      ),
    );
    expect(frequencyAt(36, 48, 1.92)).toBeCloseTo(250, 9);
  });

  test('a rolling tyre turns within 0.96 to 0.97 of pi times its diameter', () => {
    const metres = rollingCircumference(parseTyreSize('205/55 R16')!.diameter, a.get('tyre.rolling'));
    expect(metres / (Math.PI * 0.6319)).toBeGreaterThan(0.959);
    expect(metres / (Math.PI * 0.6319)).toBeLessThan(0.971);
  });

  test('a wider gap weakens, finer teeth weaken more, and the lowest speed rises as the signal falls', () => {
    expect(gapFactor(0.8, 0.8, 100, 48)).toBe(1);
    expect(gapFactor(0.8, 1.6, 100, 48)).toBeCloseTo(Math.exp(-2 * 0.8 * 0.48), 12);
    expect(gapFactor(0.8, 1.6, 100, 60)).toBeLessThan(gapFactor(0.8, 1.6, 100, 48));
    expect(lowestReadSpeed(0.1, 0.1, 2)).toBeCloseTo(7.2, 9);
    expect(lowestReadSpeed(0, 0.1, 2)).toBe(Infinity);
  });
});

describe('a mistyped unit is noticed and asked about', () => {
  test.each<[Check, Partial<Check>]>([
    [{ check: 'meter.resistance', of: 'sensor', ohms: 1.2 }, { ohms: 1200 }],
    [{ check: 'meter.resistance', of: 'new-part', ohms: 1.85 }, { ohms: 1850 }],
    [{ check: 'meter.resistance', of: 'sensor', ohms: 1250000 }, { ohms: 1250 }],
    [{ check: 'meter.resistance', of: 'sensor', ohms: 1200, temperatureC: 68 }, { temperatureC: 20 }],
    [{ check: 'meter.ac', volts: 320, turnsPerSecond: 1 }, { volts: 0.32 }],
    [{ check: 'meter.supply', volts: 50 }, { volts: 5 }],
    [{ check: 'battery', restingVolts: 59 }, { restingVolts: 5.9 }],
  ])('%j', (check, instead) => {
    const doubt = doubtUnit(check, a);
    expect(doubt?.instead).toMatchObject(instead);
    expect(doubt?.ask).toContain('or really');
    expect(doubtUnit({ ...check, confirmed: true }, a)).toBeNull();
  });

  test.each<Check>([
    { check: 'meter.resistance', of: 'sensor', ohms: 1200, temperatureC: 35 },
    { check: 'meter.resistance', of: 'harness', ohms: 1.2 },
    { check: 'meter.resistance', of: 'sensor', ohms: 0 },
    { check: 'meter.supply', volts: 24.6 },
    { check: 'meter.ac', volts: 0.3 },
    { check: 'battery', restingVolts: 25.2 },
  ])('%j is believed', (check) => {
    expect(doubtUnit(check, a)).toBeNull();
  });
});

describe('what a reading amounts to', () => {
  test('copper is brought to 20 degC, and the catalogue\u2019s range comes before the rule of thumb', () => {
    const warm: Check = { check: 'meter.resistance', of: 'sensor', ohms: 2700, temperatureC: 80 };
    const told = tellCheck(warm, coil, a);
    expect(told.lines[0]).toContain('2,185 ohm at 20');
    expect(told.says).toBe('sound');
    expect(tellCheck(warm, { ...coil, range: { low: 900, high: 1300 } }, a).says).toBe('faulty');
  });

  test('an ohmmeter says nothing of an active sensor, nor of one of unknown kind that reads like a coil', () => {
    const reading: Check = { check: 'meter.resistance', of: 'sensor', ohms: 1180 };
    expect(tellCheck(reading, { ...coil, sensor: 'active' }, a).says).toBe('nothing');
    expect(tellCheck(reading, { ...coil, sensor: null }, a).says).toBe('nothing');
    expect(tellCheck({ ...reading, ohms: 'open' }, { ...coil, sensor: 'active' }, a).says).toBe('faulty');
  });

  test('AC tells the lowest speed a controller can read', () => {
    const told = tellCheck(
      { check: 'meter.ac', volts: 0.05, turnsPerSecond: 1 },
      { ...coil, tyre: '205/55 R16' },
      a,
    );
    expect(told.says).toBe('faulty');
    expect(told.lines[1]).toMatch(/from about 13\.8 km\/h/);
    expect(tellCheck({ check: 'meter.ac', volts: 0.3 }, { ...coil, sensor: 'active' }, a).says).toBe(
      'nothing',
    );
  });

  test('tyres tell what a controller sees', () => {
    const told = tellCheck(
      {
        check: 'tyres',
        sizes: { A1L: '215/60 R16', A1R: '215/60 R16', A2L: '215/60 R16', A2R: '215/70 R16' },
      },
      coil,
      a,
    );
    expect(told.lines.at(-1)).toMatch(/rear right 6\.1 % slow/);
    expect(tellCheck({ check: 'tyres', sizes: { A1L: 'bald' } }, coil, a).lines[0]).toContain('no tyre size');
  });

  test('a tooth less reads low by its share', () => {
    const told = tellCheck({ check: 'ring.teeth', counted: 47, expected: 48 }, coil, a);
    expect(told.lines[0]).toContain('2.08 % low');
  });
});

describe('what explains a ratio', () => {
  test('the teeth 47 for 48 come first for -2.08 % on a ring of 48', () => {
    const [first] = explainRatio(-2.083, { teeth: 48, tyre: '205/55 R16' });
    expect(first).toMatchObject({ cause: 'mismatched-part' });
    expect(first?.because).toContain('47');
  });

  test('a pair of known tyres comes first when it fits', () => {
    const percent = readsAgainst(parseTyreSize('215/70 R16')!, parseTyreSize('215/60 R16')!);
    expect(explainRatio(percent, { tyre: '215/60 R16', fitted: '215/70 R16' })[0]).toMatchObject({
      cause: 'tyre',
    });
  });

  test('ranked by weight, each with what it leaves over', () => {
    fc.assert(
      fc.property(fc.double({ min: -8, max: 8, noNaN: true }), (percent) => {
        const ways = explainRatio(percent);
        ways.forEach((way, i) => {
          expect(way.leftPercent).toBeCloseTo(percent - way.predictedPercent, 9);
          expect(way.weight).toBeLessThanOrEqual(ways[i - 1]?.weight ?? Infinity);
        });
      }),
    );
  });
});

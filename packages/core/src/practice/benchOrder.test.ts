import { describe, expect, test } from '@jest/globals';
import { bareKnowledge } from '../advice/knowledge.ts';
import type { Docket } from '../vocabulary/docket.ts';
import { benchOrder } from './benchOrder.ts';

const knowledge = bareKnowledge('2026-11-27');
const docket = (more: Partial<Docket>): Docket => ({ format: 'hardy-spoke/docket', version: 1, ...more });
const order = (more: Partial<Docket>) => benchOrder(docket(more), 'd1', 7, knowledge);

describe('a docket’s vehicle for the bench', () => {
  test('is built as is known; what nobody said stays open, and no customer goes along', () => {
    const made = order({
      customer: { name: 'Ina Skerry', phone: '555 0101' },
      words: 'Ina says the lamp is lit',
      vehicle: {
        name: 'van',
        plate: 'HRB 12',
        buildDate: '2015-03',
        driveline: 'fwd',
        knuckle: 'iron',
        saltExposure: 'high',
        originalTyre: '205/55 R16',
        wheelEnds: {
          A1: { sensor: 'passive', mounting: 'separate', target: 'ring-on-shaft', ringSoldAlone: true },
        },
      },
      codes: [{ module: 'ABS', code: 'C0031-13', status: 'active' }],
    });
    expect(made).toMatchObject({
      axles: 2,
      driven: 'fwd',
      knuckle: 'iron',
      salt: 'high',
      ageYears: 11,
      codes: [{ of: 'A1L', failure: '13', active: true }],
      wheel: 'A1L',
    });
    expect(made.tyre?.aspect).toBeCloseTo(55, 6);
    expect(made.tyre?.rim).toBeCloseTo(16, 6);
    expect(made.sensing[0]).toMatchObject({ sensor: 'passive', target: 'ring-on-shaft' });
    expect(made.sensing[1]).toMatchObject({ sensor: null, target: null });
    expect(JSON.stringify(made)).not.toMatch(/Ina|555|HRB/);
  });
  test('codes of supply and controller are told as such; an echo is not', () => {
    expect(
      order({
        codes: [
          { module: 'ABS', code: 'P0562', text: 'System voltage low', status: 'stored' },
          { module: 'Gearbox', code: 'U0415', text: 'Invalid data from anti-lock controller' },
        ],
      }).codes,
    ).toEqual([{ of: 'supply', failure: null, active: false }]);
  });
  test('what failed is told alike, however the code says it', () => {
    const failure = (code: { code: string; text?: string }) =>
      order({ codes: [{ module: 'ABS', ...code }] }).codes[0]?.failure;
    expect(failure({ code: 'C0031-13' })).toBe('13');
    expect(failure({ code: 'C0031', text: 'Wheel speed sensor left front, open circuit' })).toBe('13');
    expect(failure({ code: 'SPN 789 FMI 5' })).toBe('13');
    expect(failure({ code: 'SPN 789 FMI 10' })).toBe('2F');
    expect(failure({ code: 'C0031' })).toBeNull();
  });
  test('a trailer with three axles goes on it, one with four does not', () => {
    expect(
      order({ vehicle: { axles: 3, driveline: 'trailer' }, codes: [{ code: 'SPN 792 FMI 5' }] }),
    ).toMatchObject({
      axles: 3,
      driven: 'trailer',
      codes: [{ of: 'A2R', failure: '13' }],
    });
    expect(() => order({ vehicle: { axles: 4 } })).toThrow(/two or three axles/);
  });
});

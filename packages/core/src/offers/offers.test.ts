import { describe, expect, test } from '@jest/globals';
import { assumptionsWith } from '../assumptions/assumptions.ts';
import type { Architecture } from '../diagnosis/architecture.ts';
import { emptySlice, CatalogueSlice } from '../vocabulary/catalogue.ts';
import type { Docket } from '../vocabulary/docket.ts';
import type { CAUSES } from '../vocabulary/wordLists.ts';
import { PART_CLASSES } from '../vocabulary/wordLists.ts';
import { cureChance, partsAt } from './fixes.ts';
import { outlayOf } from './outlay.ts';
import { seizureChance, snapBranches } from './seizure.ts';

const a = assumptionsWith();
const TODAY = '2026-11-25';
const separate: Architecture = {
  sensor: 'active',
  mounting: 'separate',
  target: 'ring-on-hub',
  ringSoldAlone: true,
};
const inHub: Architecture = {
  ...separate,
  mounting: 'in-hub',
  target: 'encoder-in-bearing',
  ringSoldAlone: false,
};
const docket = (more: Partial<Docket> = {}, vehicle: Docket['vehicle'] = {}): Docket => ({
  format: 'hardy-spoke/docket',
  version: 1,
  ...more,
  vehicle: { knuckle: 'iron', saltExposure: 'some', buildDate: '2014', ...vehicle },
});

describe('the fix matrix', () => {
  test('who cures what', () => {
    const cures = (part: (typeof PART_CLASSES)[number], cause: (typeof CAUSES)[number], build = separate) =>
      cureChance(part, cause, build, a);
    expect(cures('sensor', 'sensor')).toBeGreaterThan(0.9);
    expect(cures('sensor', 'ring')).toBe(0);
    expect(cures('sensor', 'encoder')).toBe(0);
    expect(cures('hub-assembly', 'sensor')).toBe(0);
    expect(cures('hub-assembly', 'sensor', inHub)).toBeGreaterThan(0.9);
    expect(cures('hub-assembly', 'ring')).toBeGreaterThan(0.8);
    expect(cures('hub-assembly', 'ring', { ...separate, target: 'ring-on-shaft' })).toBe(0);
    expect(cures('axle-shaft', 'ring', { ...separate, target: 'ring-on-shaft' })).toBeGreaterThan(0.9);
    expect(cures('connector-kit', 'wiring')).toBeGreaterThan(0.7);
    for (const part of PART_CLASSES)
      for (const cause of ['tyre', 'module', 'supply'] as const) expect(cures(part, cause)).toBe(0);
  });

  test('parts that exist', () => {
    expect(partsAt('A1L', inHub)).toEqual(['hub-assembly', 'connector-kit']);
    expect(partsAt('A2C', { ...separate, mounting: 'centre', target: 'ring-in-differential' })).toEqual([
      'sender',
      'connector-kit',
    ]);
  });
});

describe('the seized sensor', () => {
  const chance = (
    d: Docket,
    part: 'sensor' | 'hub-assembly' | 'connector-kit' | 'tone-ring' = 'sensor',
    build = separate,
  ) => seizureChance(part, 'A1L', build, d, TODAY, a);

  test('salt, age and iron raise the chance; a lately fitted one comes out', () => {
    expect(chance(docket({}, { saltExposure: 'high' }))).toBeGreaterThan(chance(docket()));
    expect(chance(docket({}, { buildDate: '2004' }))).toBeGreaterThan(
      chance(docket({}, { buildDate: '2022' })),
    );
    expect(chance(docket({}, { knuckle: 'aluminium' }))).toBeLessThan(chance(docket()));
    expect(
      chance(docket({ history: [{ event: 'sensor-replaced', wheelEnd: 'A1L', daysAgo: 20 }] })),
    ).toBeLessThan(0.02);
    expect(chance(docket({ history: [{ event: 'sensor-replaced', wheelEnd: 'A1R', daysAgo: 20 }] }))).toBe(
      chance(docket()),
    );
    expect(chance(docket({}, { buildDate: '1980', saltExposure: 'high' }))).toBeLessThanOrEqual(
      a.get('seizure.most'),
    );
  });

  test('no risk where no separate sensor is drawn', () => {
    expect(chance(docket(), 'connector-kit')).toBe(0);
    expect(chance(docket(), 'tone-ring')).toBe(0);
    expect(chance(docket(), 'hub-assembly', inHub)).toBe(0);
    expect(chance(docket(), 'hub-assembly')).toBeGreaterThan(0);
  });

  test('the ways of getting it out add up to one', () => {
    expect(snapBranches(a).reduce((sum, branch) => sum + branch.chance, 0)).toBeCloseTo(1, 12);
  });
});

describe('outlay', () => {
  const slice = CatalogueSlice.parse({
    ...emptySlice(),
    vehicle: null,
    parts: [
      {
        number: 'WS1',
        partClass: 'sensor',
        tier: 'good',
        brand: 'Corvane',
        description: 'sensor',
        priceCents: 4010,
        stock: 0,
        bin: null,
        supplierDays: 2,
        warrantyMonths: 24,
      },
      {
        number: 'SB',
        partClass: 'companion',
        tier: 'good',
        brand: 'Halvarn',
        description: 'bolt',
        priceCents: 95,
        stock: 9,
        bin: 'K01',
        supplierDays: 1,
        warrantyMonths: 0,
      },
    ],
    applications: [{ partNumber: 'WS1', vehicleId: 'v', wheelEnds: ['A1L'], builtFrom: null, builtTo: null }],
    jobs: [
      { vehicleId: 'v', axle: 1, partClass: 'sensor', labourHours: 0.7, access: '', tools: '', torques: '' },
    ],
    companions: [{ partClass: 'sensor', vehicleId: null, companionNumber: 'SB', quantity: 2, why: 'rusts' }],
  });
  const outlay = (d = docket(), s = slice) => outlayOf('sensor', 'A1L', separate, d, s, TODAY, a);

  test('part, companions, labour, seizure and the wait, to the cent', () => {
    const o = outlay();
    expect(o).toMatchObject({ price: 40.1, companions: 1.9, labourHours: 0.7, waitDays: 2 });
    expect(o.labour).toBeCloseTo(0.7 * a.get('labour.rate'), 9);
    expect(o.waiting).toBeCloseTo(2 * a.get('idle-day.cost'), 9);
    expect(o.mean).toBeCloseTo(o.price + o.companions + o.labour + o.seizureCost + o.waiting, 9);
    expect(o.lines.map((l) => [l.partNumber, l.quantity])).toEqual([
      ['WS1', 1],
      ['SB', 2],
    ]);
  });

  test('outside the catalogue the price book serves, and the line says so', () => {
    const o = outlay(docket(), emptySlice());
    expect(o.price).toBe(a.get('price.sensor'));
    expect(o.lines[0]).toMatchObject({
      partNumber: null,
      why: expect.stringContaining('price book') as unknown,
    });
  });

  test('a docket\u2019s own price and stock win', () => {
    const o = outlay(docket({ options: { prices: { sensor: 30 }, stock: { sensor: 3 } } }));
    expect(o).toMatchObject({ price: 30, waitDays: 0 });
  });
});

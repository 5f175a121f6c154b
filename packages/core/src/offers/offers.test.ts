import { describe, expect, test } from '@jest/globals';
import { assumptionsWith } from '../assumptions/assumptions.ts';
import type { Architecture } from '../diagnosis/architecture.ts';
import type { Fault } from '../faultKinds/faultData.ts';
import { emptySlice, CatalogueSlice, type CataloguePart } from '../vocabulary/catalogue.ts';
import type { Docket } from '../vocabulary/docket.ts';
import { PART_CLASSES } from '../vocabulary/wordLists.ts';
import { cureChance, partsAt } from './fixes.ts';
import { bearingDue } from './bearingDue.ts';
import { priceOf } from './orderLine.ts';
import { outlayOf } from './outlay.ts';
import { ratesFor } from './rates.ts';
import { soundFromStart, wornWithin } from './partLife.ts';
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
    const cures = (part: (typeof PART_CLASSES)[number], cause: Fault, build = separate) =>
      cureChance(part, cause, build, a);
    expect(cures('sensor', 'sensor')).toBeGreaterThan(0.9);
    expect(cures('sensor', 'ring')).toBe(0);
    expect(cures('sensor', 'encoder')).toBe(0);
    expect(cures('hub-assembly', 'sensor')).toBe(0);
    expect(cures('hub-assembly', 'sensor', inHub)).toBeGreaterThan(0.9);
    expect(cures('hub-assembly', 'ring')).toBeGreaterThan(0.8);
    expect(cures('hub-assembly', 'ring', { ...separate, target: 'ring-on-shaft' })).toBe(0);
    expect(cures('axle-shaft', 'ring', { ...separate, target: 'ring-on-shaft' })).toBeGreaterThan(0.9);
    expect(cures('connector-kit', 'joint')).toBeGreaterThan(0.85);
    expect(cures('connector-kit', 'loom')).toBeLessThan(0.3);
    expect(cures('hub-assembly', 'ring', { ...inHub, target: 'ring-on-hub' })).toBeGreaterThan(0.9);
    for (const part of PART_CLASSES)
      for (const cause of ['tyre', 'module', 'supply', 'none-present'] as const)
        expect(cures(part, cause)).toBe(0);
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
  ) => seizureChance(part, { wheelEnd: 'A1L', architecture: build, docket: d, today: TODAY, a });

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
  const outlay = (d = docket(), s = slice) =>
    outlayOf('sensor', { wheelEnd: 'A1L', architecture: separate, docket: d, slice: s, today: TODAY, a });

  test('part, companions, labour, seizure and the wait, to the cent', () => {
    const o = outlay();
    expect(o).toMatchObject({
      price: 40.1,
      companions: 1.9,
      labourHours: 0.7,
      availability: { from: 'supplier', days: 2 },
    });
    expect(o.labour).toBeCloseTo(0.7 * a.get('labour.rate'), 9);
    expect(o.waiting).toBeCloseTo(2 * a.get('idle-day.cost'), 9);
    expect(o.supplies).toBeCloseTo(o.labour * 0.03, 9);
    expect(o.mean).toBeCloseTo(
      o.price +
        o.companions +
        o.labour +
        o.supplies +
        o.seizureCost +
        o.waiting +
        o.later.chance * o.later.cost,
      9,
    );
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

  test('a part that keeps coming back is known by its number, whatever its tier', () => {
    const { chosen } = outlay(docket());
    expect(outlay(docket(), { ...slice, bad: { [chosen?.number ?? '']: 0.4 } }).badShare).toBe(0.4);
    expect(outlay(docket()).badShare).toBeNull();
  });

  test('a docket\u2019s own price and stock win', () => {
    const o = outlay(docket({ options: { prices: { sensor: 30 }, stock: { sensor: 3 } } }));
    expect(o).toMatchObject({ price: 30, availability: { from: 'shelf', days: 0 } });
  });

  test('a trade customer pays less the discount, to the cent; a fleet\u2019s idle day costs more; own hours are slower and cheaper', () => {
    const trade = outlay(docket({ customer: { kind: 'fleet' } }));
    expect(trade.price).toBe(34.08);
    expect(trade.listPrice).toBe(40.1);
    expect(trade.waiting).toBe(2 * a.get('idle-day.fleet'));
    const further = (points: number) =>
      priceOf(
        trade.chosen as CataloguePart,
        ratesFor(
          docket({ customer: { kind: 'garage' } }),
          assumptionsWith({ [`trade.further.${trade.chosen?.tier}`]: points }),
        ),
      );
    expect(further(5)).toBe(32.08);
    expect(further(-60)).toBe(40.1);
    const self = outlay(docket({ customer: { kind: 'self' } }));
    expect(self.labourHours).toBeCloseTo(0.7 * a.get('diy.slower'), 9);
    expect(self.labour).toBeCloseTo(self.labourHours * a.get('diy.hour-value'), 9);
    expect(self).toMatchObject({ price: 40.1, supplies: 0, fee: 0 });
  });

  test('tax, fee and what the horizon brings are counted; the branch is nearer than the supplier', () => {
    const taxed = outlay(docket({ options: { assumptions: {} } }));
    expect(taxed.tax).toBe(0);
    const other = (overrides: Record<string, number>, s = slice) =>
      outlayOf('sensor', {
        wheelEnd: 'A1L',
        architecture: separate,
        docket: docket(),
        slice: s,
        today: TODAY,
        a: assumptionsWith(overrides),
      });
    const dear = other({ 'tax.percent': 20, 'diagnosis.fee': 30 });
    expect(dear.tax).toBeCloseTo(0.2 * (40.1 + 1.9) + 0.2 * dear.labour, 9);
    expect(dear.fee).toBe(30);
    expect(other({ 'horizon.years': 0 }).later.chance).toBe(0);
    expect(other({ 'horizon.years': 8 }).later.chance).toBeGreaterThan(other({}).later.chance);
    const near = { ...slice, parts: slice.parts.map((part) => ({ ...part, branchStock: 1 })) };
    expect(other({}, near).availability).toEqual({ from: 'branch', days: a.get('wait.branch-days') });
  });

  test('driving meanwhile is cheaper than standing, and is not free', () => {
    const driven = outlay(docket({ options: { meanwhile: 'driven' } }));
    expect(driven.waiting).toBe(2 * a.get('meanwhile.per-day'));
  });
});

describe('what the years bring', () => {
  test('the mean life of a tier is the mean of its law', () => {
    // The survival function summed over the years is the mean.
    for (const tier of ['dealer', 'good', 'budget'] as const) {
      let mean = 0;
      for (let t = 0; t < 80; t += 0.01) mean += (1 - wornWithin(t, tier, a)) * 0.01;
      expect(mean).toBeCloseTo(a.get(`tier.life.${tier}`), 1);
    }
    expect(soundFromStart('budget', a)).toBeLessThan(soundFromStart('good', a));
    expect(soundFromStart('good', a)).toBe(1);
    expect(soundFromStart('good', a, 0.4)).toBeCloseTo(0.6 / (1 - a.get('tier.bad-out-of-box.good')), 9);
  });

  test('a bearing is nearer its end with distance, salt and noise; a new hub starts again', () => {
    const due = (d: Docket, overrides = {}) => bearingDue('A1L', d, TODAY, assumptionsWith(overrides));
    const plain = docket({}, { distanceKm: 90000 });
    expect(due(docket({}, { distanceKm: 200000 }))).toBeGreaterThan(due(plain));
    expect(due(docket({}, { distanceKm: 90000, saltExposure: 'high' }))).toBeGreaterThan(due(plain));
    expect(
      due({ ...plain, checks: [{ check: 'bearing.noise', wheelEnd: 'A1L', result: 'growl' }] }),
    ).toBeGreaterThan(0.9);
    expect(
      due({ ...plain, history: [{ event: 'hub-replaced', wheelEnd: 'A1L', daysAgo: 100 }] }),
    ).toBeLessThan(due(plain) / 2);
    expect(due(plain, { 'horizon.years': 0 })).toBe(0);
    expect(bearingDue('A2C', plain, TODAY, a)).toBe(0);
  });

  test('what is known of the bore moves the chance of snapping; a person\u2019s own estimate wins', () => {
    const chance = (seizure: object) =>
      seizureChance('sensor', {
        wheelEnd: 'A1L',
        architecture: separate,
        docket: docket({ options: { seizure } }),
        today: TODAY,
        a,
      });
    expect(chance({ housing: 'metal' })).toBeLessThan(chance({ housing: 'plastic' }));
    expect(chance({ coated: true })).toBeLessThan(chance({}) / 2);
    expect(chance({ soakedHours: 12 })).toBeLessThan(chance({ soakedHours: 1 }));
    expect(chance({ soakedHours: 1 })).toBeLessThan(chance({}));
    expect(chance({ chance: 0.42 })).toBe(0.42);
  });
});

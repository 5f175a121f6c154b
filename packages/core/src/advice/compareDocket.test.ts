import { describe, expect, test } from '@jest/globals';
import {
  advise,
  assumptionsWith,
  bareKnowledge,
  compareBench,
  parse,
  Comparison,
  type Docket,
} from '../index.ts';
import { declineWay, takeOffer, takeWay } from '../handover/takeOffer.ts';

const knowledge = bareKnowledge('2026-11-25');
const A1 = { sensor: 'active', mounting: 'separate', target: 'ring-on-hub', ringSoldAlone: true } as const;
const job = (vehicle: NonNullable<Docket['vehicle']> = {}, more: Partial<Docket> = {}): Docket => ({
  format: 'hardy-spoke/docket',
  version: 1,
  vehicle: { axles: 2, wheelEnds: { A1 }, ...vehicle },
  codes: [{ module: 'ABS', code: 'C0031-2F', status: 'active' }],
  symptoms: ['lamp.abs'],
  ...more,
});
const old = { buildDate: '2010-03', saltExposure: 'high', knuckle: 'iron', distanceKm: 210000 } as const;
const young = {
  buildDate: '2022-03',
  saltExposure: 'none',
  knuckle: 'aluminium',
  distanceKm: 40000,
} as const;
const comparedNow = (docket: Docket, k = knowledge): Comparison => {
  const comparison = compareBench(docket, k).compare();
  if (!comparison) throw new Error('nothing to compare');
  return comparison;
};
/** A docket that several tests look at is compared once. */
const known = new Map<string, Comparison>();
const compared = (docket: Docket, k = knowledge): Comparison => {
  if (k !== knowledge) return comparedNow(docket, k);
  const key = JSON.stringify(docket);
  const comparison = known.get(key) ?? comparedNow(docket);
  known.set(key, comparison);
  return comparison;
};
const mean = (comparison: Comparison, id: RegExp): number =>
  comparison.ways.find((way) => id.test(way.id))?.allIn.mean ?? NaN;

describe('a docket compared', () => {
  test('holds every way its architecture allows, checked against its schema', () => {
    const comparison = parse(Comparison, compared(job(old)));
    const rubbed = compared(
      job(old, {
        checks: [
          { check: 'visual.sensor', wheelEnd: 'A1L', result: 'broken' },
          { check: 'visual.ring', wheelEnd: 'A1L', result: 'cracked' },
        ],
      }),
    );
    expect(rubbed.ways.map(({ id }) => id).some((id) => /^tone-ring@A1L:.*\+sensor@A1L/.test(id))).toBe(true);
    const ids = comparison.ways.map(({ id }) => id);
    for (const id of [
      /^sensor@A1L:[^+]*$/,
      /^tone-ring@A1L:[^+]*$/,
      /^sensor@A1L:.*\+sensor@A1R/,
      /^hub-assembly@A1L:[^+]*$/,
      /^work:seating$/,
      /^refer$/,
    ])
      expect(ids.some((each) => id.test(each))).toBe(true);
    expect(ids.some((id) => id.includes('axle-shaft'))).toBe(false);
    expect(new Set(ids).size).toBe(ids.length);
    expect(comparison.schools).toHaveLength(4);
    for (const { way } of comparison.schools) if (way !== null) expect(ids).toContain(way);
  });

  test('shows on the docket the very figures of the comparison', () => {
    const advice = advise(job(old), knowledge);
    const comparison = compared(job(old));
    for (const offer of advice.offers) {
      const way = comparison.ways.find(
        ({ parts }) =>
          parts.length === 1 && parts[0]?.part === offer.part && parts[0].wheelEnd === offer.wheelEnd,
      );
      expect(way?.allIn.mean).toBeCloseTo(offer.allIn.mean, 9);
      expect(way?.cures).toBeCloseTo(offer.cures, 9);
    }
  });

  test('the same docket written and read again gives the same figures', () => {
    const docket = job(old);
    expect(comparedNow(JSON.parse(JSON.stringify(docket)) as Docket)).toEqual(compared(docket));
  });

  test('old and salty against young and dry: the same fault, another answer', () => {
    const [first, second] = [compared(job(old)), compared(job(young))];
    expect(first.ways[0]?.id).not.toBe(second.ways[0]?.id);
    expect(second.ways[0]?.id).toMatch(/^sensor@A1L:[^+]*$/);
    expect(mean(first, /^sensor@A1L:[^+]*$/)).toBeGreaterThan(mean(second, /^sensor@A1L:[^+]*$/) * 1.3);
  });

  test('a dearer part never gains on the others, a likelier snap never helps the sensor', () => {
    const bench = compareBench(job(old), knowledge);
    const gap = (price: number) => {
      const at = bench.compare({ 'hub-price': price }, false);
      return at ? mean(at, /^hub-assembly@A1L:[^+]*$/) - mean(at, /^sensor@A1L:[^+]*$/) : NaN;
    };
    let last = -Infinity;
    for (const price of [60, 120, 165, 240, 330]) {
      expect(gap(price)).toBeGreaterThanOrEqual(last - 1e-6);
      last = gap(price);
    }
    let before = -Infinity;
    for (const seizure of [0, 0.1, 0.3, 0.6, 0.9]) {
      const at = bench.compare({ seizure }, false);
      const now = at ? mean(at, /^sensor@A1L:[^+]*$/) : NaN;
      expect(now).toBeGreaterThanOrEqual(before - 1e-6);
      before = now;
    }
  });

  test('where a dial is said to flip the answer, it does', () => {
    const bench = compareBench(job(old), knowledge);
    const flips = bench
      .sensitivities()
      .flatMap(({ dial, low, high, flips: at }) =>
        at.map((flip) => ({ dial, step: (high - low) / 100, ...flip })),
      );
    expect(flips.length).toBeGreaterThan(0);
    for (const { dial, at, step, from, to } of flips) {
      const best = (x: number) => bench.compare({ [dial]: Math.max(0, x) }, false)?.ways[0]?.label;
      expect(best(at - step)).toBe(from);
      expect(best(at)).toBe(to);
    }
  });

  test('a seller next month and a fleet that keeps it get different answers on quality', () => {
    const slice = {
      ...knowledge.slice,
      parts: (['dealer', 'budget'] as const).map((tier, i) => ({
        supplier: null,
        state: 'new' as const,
        number: `WS${i}`,
        partClass: 'sensor' as const,
        tier,
        brand: 'b',
        description: tier,
        priceCents: tier === 'dealer' ? 6500 : 2400,
        costCents: 1500,
        coreCents: 0,
        stock: 2,
        bin: 'A1',
        supplierDays: 1,
        warrantyMonths: 12,
        packQuantity: 1,
        branchStock: 0,
        barcode: null,
        supersededBy: null,
        interchange: null,
        contents: [],
        measures: {},
        looks: {},
        ohmsLow: null,
        ohmsHigh: null,
      })),
      applications: ['WS0', 'WS1'].map((partNumber) => ({
        partNumber,
        vehicleId: 'v',
        wheelEnds: ['A1L', 'A1R'],
        builtFrom: null,
        builtTo: null,
        conditions: {},
      })),
    };
    const bench = compareBench(job(young), { ...knowledge, slice });
    const lead = (horizon: number) => {
      const at = bench.compare({ horizon }, false);
      return at ? mean(at, /^sensor@A1L:WS0$/) - mean(at, /^sensor@A1L:WS1$/) : NaN;
    };
    expect(lead(0.1)).toBeGreaterThan(0);
    expect(lead(8)).toBeLessThan(0);
  });

  test('own hours are counted in work without a part too', () => {
    const seating = (kind: 'self' | null) =>
      compared(job(old, { customer: { kind } })).ways.find(({ id }) => id === 'work:seating');
    const a = assumptionsWith();
    expect(seating('self')?.labourHours).toBeCloseTo(
      (seating(null)?.labourHours ?? 0) * a.get('diy.slower'),
      9,
    );
    expect(seating('self')?.sure).toBeLessThan(seating(null)?.sure ?? 0);
  });

  test('a dial of what the job has not got has no range', () => {
    const built = job({
      ...old,
      wheelEnds: { A1: { ...A1, mounting: 'in-hub', target: 'encoder-in-bearing' } },
    });
    const seizure = compareBench(built, knowledge)
      .sensitivities()
      .find(({ dial }) => dial === 'seizure');
    expect(seizure).toMatchObject({ low: 0, high: 0, flips: [] });
  });

  test('own hours, standing still, driving on: told only where they matter', () => {
    expect(compared(job(young)).ownWork).toBeNull();
    const self = compared(job(young, { customer: { kind: 'self' } })).ownWork;
    expect(self?.saves).toBeCloseTo((self?.garage ?? 0) - (self?.own ?? 0), 9);
    expect(self?.worthIt).toBe((self?.saves ?? 0) > (self?.from ?? 0));
    expect(compared(job(young)).meanwhile).toBeNull();
    const waits = job(young, { options: { stock: { sensor: 0, 'tone-ring': 0, 'connector-kit': 0 } } });
    expect(compared(waits).meanwhile).toMatchObject({ allowed: true });
  });

  test('safety outranks every price: clear play is said first, and nobody drives meanwhile', () => {
    const loose = job(old, {
      checks: [{ check: 'bearing.play', wheelEnd: 'A1L', result: 'clear' }],
      options: { meanwhile: 'driven', stock: { 'hub-assembly': 0, sensor: 0 } },
    });
    const comparison = compared(loose);
    expect(comparison.sentence).toMatch(/^Do not drive it/);
    const hub = comparison.ways.find(({ id }) => /^hub-assembly@A1L:[^+]*$/.test(id));
    // Standing is counted, whatever was agreed for the wait.
    const standing = assumptionsWith().get('idle-day.cost') * (hub?.waitDays ?? 0);
    expect(standing).toBeGreaterThan(0);
    expect(hub?.costs.find(({ kind }) => kind === 'waiting')?.amount).toBeCloseTo(standing, 9);
    const elsewhere = compared(
      job(old, { checks: [{ check: 'bearing.play', wheelEnd: 'A2R', result: 'clear' }] }),
    );
    expect(elsewhere.wheelEnd).toBe('A2R');
  });

  test('without a corner there is nothing to compare', () => {
    const lost = job({}, { codes: [], wheelEnd: null });
    expect(compareBench(lost, knowledge).compare()).toBeNull();
    expect(compareBench(lost, knowledge).sensitivities()).toEqual([]);
  });
});

describe('what was taken, and what was not', () => {
  test('money is kept in whole hundredths, companions of one corner are one line, of two corners two', () => {
    const comparison = compared(job(old));
    const both = comparison.ways.find(({ parts }) => parts.length === 2);
    const way = {
      ...both!,
      lines: both!.lines.flatMap((line) => [
        { ...line, partNumber: 'SB', unitPrice: 0.95, companion: true, wheelEnd: 'A1L' },
        { ...line, partNumber: 'X', unitPrice: 19.99, companion: true, wheelEnd: line.wheelEnd },
      ]),
    };
    const chosen = takeWay(way, '2026-11-26');
    expect(
      chosen?.lines?.map(({ partNumber, quantity, unitCents }) => [partNumber, quantity, unitCents]),
    ).toEqual([
      ['SB', 1, 95],
      ['X', 1, 1999],
      ...(new Set(both!.parts.map(({ wheelEnd }) => wheelEnd)).size > 1 ? [['X', 1, 1999]] : []),
    ]);
    expect(Number.isInteger(chosen?.priceCents)).toBe(true);
    expect(chosen?.parts).toHaveLength(2);
    expect(
      takeWay(
        comparison.ways.find(({ id }) => id === 'refer')!,
        '2026-11-26',
      ),
    ).toBeNull();
    const left = declineWay(comparison.ways[1]!, 'must leave today');
    expect(left).toMatchObject({ way: comparison.ways[1]?.id, because: 'must leave today' });
    expect(Number.isInteger(left.allInMeanCents)).toBe(true);
    const offer = advise(job(old), knowledge).offers[0]!;
    expect(takeOffer(offer, '2026-11-26').priceCents).toBe(Math.round(offer.price * 100));
  });
});

describe('dials at an extreme', () => {
  test.each([
    [{ labourRate: 450 }, {}],
    [{ labourRate: 1000 }, {}],
    [{ assumptions: { 'idle-day.cost': 1300 } }, {}],
    [{ assumptions: { 'comeback.cost': 5000, 'horizon.years': 20 } }, {}],
    [{ prices: { 'hub-assembly': 90_000 } }, {}],
    [{ assumptions: { 'diy.hour-value': 900 } }, { kind: 'self' as const }],
  ])('%j is compared, and no dial leaves what a docket takes', (options, customer) => {
    const bench = compareBench(job(old, { options, customer }), knowledge);
    for (const { dial, low, high, swing } of bench.sensitivities()) {
      expect(low).toBeLessThanOrEqual(high);
      for (const value of [low, high, swing.lowAt, swing.highAt])
        expect(bench.compare({ [dial]: value }, false)?.ways.length).toBeGreaterThan(0);
    }
    expect(bench.compare({ 'labour-rate': 1e9, 'idle-day': -5 }, false)?.ways.length).toBeGreaterThan(0);
  });
});

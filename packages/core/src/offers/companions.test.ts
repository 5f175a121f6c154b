import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { assumptionsWith } from '../assumptions/assumptions.ts';
import { addToOrder, skipLine, takeSkipped } from '../handover/takeOffer.ts';
import { CataloguePart, CompanionRule, emptySlice } from '../vocabulary/catalogue.ts';
import type { ChosenOffer, Docket, OrderedLine } from '../vocabulary/docket.ts';
import { parseDocket } from '../vocabulary/parseDocket.ts';
import { companionLines, type CompanionJob } from './companions.ts';
import { mergeLines } from './mergeLines.ts';
import { ratesFor } from './rates.ts';

const a = assumptionsWith({});
const part = (number: string, more: Partial<CataloguePart> = {}): CataloguePart =>
  CataloguePart.parse({
    number,
    partClass: 'companion',
    tier: 'good',
    brand: 'Quayline',
    description: number,
    priceCents: 200,
    stock: 9,
    bin: 'E01',
    supplierDays: 1,
    warrantyMonths: 12,
    ...more,
  });
const rule = (companionNumber: string, more: Partial<CompanionRule> = {}): CompanionRule =>
  CompanionRule.parse({
    partClass: 'sensor',
    vehicleId: null,
    companionNumber,
    quantity: 1,
    why: `because of ${companionNumber}`,
    ...more,
  });
const along = (rules: CompanionRule[], more: Partial<CompanionJob> = {}, docket: Partial<Docket> = {}) => {
  const whole = parseDocket({ format: 'hardy-spoke/docket', version: 1, ...docket });
  const job: CompanionJob = {
    part: 'sensor',
    chosen: null,
    seizure: 0.05,
    wheelEnd: 'A1L',
    architecture: {
      sensor: 'active',
      mounting: 'separate',
      target: 'encoder-in-bearing',
      ringSoldAlone: false,
    },
    docket: whole,
    slice: { ...emptySlice(), parts: rules.map((each) => part(each.companionNumber)), companions: rules },
    today: '2026-11-26',
    a,
    ...more,
  };
  return companionLines(job, ratesFor(whole, a)).map(({ partNumber }) => partNumber);
};

describe('what goes along, by rule', () => {
  test.each([
    ['a likely snap', { seizure: 'likely' }, { seizure: 0.5 }, { seizure: 0.05 }],
    [
      'an encoder',
      { encoder: 'yes' },
      {},
      {
        architecture: {
          sensor: 'active',
          mounting: 'separate',
          target: 'ring-on-hub',
          ringSoldAlone: true,
        },
      },
    ],
    ['an axle', { axle: '1' }, {}, { wheelEnd: 'A2L' }],
    [
      'a size of wire, by what the part measures',
      { 'part.pitch': '3|3.5' },
      { chosen: part('K', { measures: { pitch: 3.5 } }) },
      { chosen: part('K', { measures: { pitch: 2.5 } }) },
    ],
  ] as const)('%s', (_, conditions, met, unmet) => {
    const rules = [rule('X', { conditions })];
    expect(along(rules, met as Partial<CompanionJob>)).toEqual(['X']);
    expect(along(rules, unmet as Partial<CompanionJob>)).toEqual([]);
  });

  test('what is not known holds: better one bolt too many', () => {
    const rules = [rule('X', { conditions: { knuckle: 'iron' } })];
    expect(along(rules)).toEqual(['X']);
    expect(along(rules, {}, { vehicle: { knuckle: 'aluminium' } })).toEqual([]);
    expect(along([rule('X', { conditions: { nobody: 'knows' } })])).toEqual(['X']);
  });

  test('what the part brings with it does not go along', () => {
    const chosen = part('K', { contents: [{ number: 'X', quantity: 1 }] });
    expect(along([rule('X'), rule('Y')], { chosen })).toEqual(['Y']);
  });

  test('a rule of another vehicle or another part is not asked', () => {
    expect(along([rule('X', { vehicleId: 'other' }), rule('Y', { partClass: 'sender' })])).toEqual([]);
  });
});

const line = (partNumber: string, more: Partial<OrderedLine> = {}): OrderedLine => ({
  partNumber,
  description: partNumber,
  brand: null,
  tier: null,
  quantity: 1,
  unitCents: 100,
  listCents: 100,
  depositCents: 0,
  bin: null,
  why: 'it does',
  wheelEnd: 'A1L',
  companion: true,
  ...more,
});
const order = (wheelEnd: string, lines: OrderedLine[]): ChosenOffer => ({
  part: 'sensor',
  wheelEnd,
  partNumber: `S-${wheelEnd}`,
  lines: [line(`S-${wheelEnd}`, { companion: false, wheelEnd, unitCents: 4000 }), ...lines],
  priceCents: 4000,
  allInMeanCents: 9000,
  cures: 0.8,
});
const numbers = ({ lines }: ChosenOffer) => lines?.map((l) => `${l.partNumber} x${l.quantity}`);

describe('several offers on one order', () => {
  const left = order('A2L', [line('bolt', { wheelEnd: 'A2L' }), line('grease', { wheelEnd: null })]);
  const right = order('A2R', [line('bolt', { wheelEnd: 'A2R' }), line('grease', { wheelEnd: null })]);

  test('two corners: both parts, a bolt each, one grease', () => {
    const both = addToOrder(left, right);
    expect(numbers(both)).toEqual(['S-A2L x1', 'bolt x1', 'grease x1', 'S-A2R x1', 'bolt x1']);
    expect(both.parts?.map(({ wheelEnd }) => wheelEnd)).toEqual(['A2L', 'A2R']);
    expect(both.priceCents).toBe(8000);
  });

  test('a pair brings both its parts; of one that is there already the other alone', () => {
    const pair: ChosenOffer = {
      ...left,
      part: 'tone-ring',
      partNumber: 'R',
      parts: [
        { part: 'tone-ring', wheelEnd: 'A2L' },
        { part: 'sensor', wheelEnd: 'A2L' },
      ],
      lines: [
        line('R', { companion: false, wheelEnd: 'A2L' }),
        line('compound', { wheelEnd: 'A2L' }),
        line('S-A2L', { companion: false, wheelEnd: 'A2L' }),
        line('bolt', { wheelEnd: 'A2L' }),
      ],
    };
    expect(numbers(addToOrder(right, pair))).toEqual([
      'S-A2R x1',
      'bolt x1',
      'grease x1',
      'R x1',
      'compound x1',
      'S-A2L x1',
      'bolt x1',
    ]);
    expect(numbers(addToOrder(left, pair))).toEqual([
      'S-A2L x1',
      'bolt x1',
      'grease x1',
      'R x1',
      'compound x1',
    ]);
  });

  test('a part that no catalogue row is tied to is a line all the same', () => {
    const unknown: ChosenOffer = {
      ...left,
      partNumber: null,
      lines: [{ ...line('x', { companion: false, wheelEnd: 'A2L' }), partNumber: null }],
    };
    expect(addToOrder(right, unknown).lines?.at(-1)?.partNumber).toBeNull();
  });

  test('taken twice is taken once', () => {
    const both = addToOrder(left, right);
    expect(addToOrder(both, right)).toBe(both);
    expect(addToOrder(left, left)).toBe(left);
  });

  test('two parts at one corner share what goes along, as many as the one that needs more', () => {
    const hub: ChosenOffer = {
      ...order('A2L', [line('bolt', { wheelEnd: 'A2L', quantity: 2 })]),
      part: 'hub-assembly',
      partNumber: 'H',
      lines: [
        line('H', { companion: false, wheelEnd: 'A2L' }),
        line('bolt', { wheelEnd: 'A2L', quantity: 2 }),
      ],
    };
    expect(numbers(addToOrder(left, hub))).toEqual(['S-A2L x1', 'bolt x2', 'grease x1', 'H x1']);
  });

  test('what is left out is kept, and can be taken again; a part itself cannot be left out', () => {
    const without = skipLine(left, 1);
    expect(numbers(without)).toEqual(['S-A2L x1', 'grease x1']);
    expect(without.skipped?.map(({ partNumber }) => partNumber)).toEqual(['bolt']);
    expect(numbers(takeSkipped(without, 0))?.sort()).toEqual(numbers(left)?.sort());
    expect(skipLine(left, 0)).toBe(left);
  });

  const lines = fc.array(
    fc.record({
      partNumber: fc.constantFrom('a', 'b', 'c', null),
      quantity: fc.integer({ min: 1, max: 5 }),
      wheelEnd: fc.constantFrom('A1L', 'A1R', null),
      companion: fc.boolean(),
    }),
  );
  test('merging twice is merging once; nothing is lost, no part itself is put together, the order of lists does not matter', () => {
    const bag = (list: ReadonlyArray<{ quantity: number }>) =>
      list.map((each) => JSON.stringify(each)).sort();
    fc.assert(
      fc.property(lines, lines, (one, other) => {
        const merged = mergeLines([...one, ...other]);
        expect(mergeLines(merged)).toEqual(merged);
        expect(bag(merged)).toEqual(bag(mergeLines([...other, ...one])));
        expect(merged.filter(({ companion }) => !companion)).toHaveLength(
          [...one, ...other].filter(({ companion }) => !companion).length,
        );
        for (const each of [...one, ...other])
          expect(
            merged.some(
              (kept) =>
                kept.partNumber === each.partNumber &&
                kept.wheelEnd === each.wheelEnd &&
                kept.quantity >= each.quantity,
            ),
          ).toBe(true);
      }),
    );
  });
});

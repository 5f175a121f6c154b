import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { Application, CataloguePart, emptySlice, type CatalogueSlice } from '../vocabulary/catalogue.ts';
import type { DocketVehicle } from '../vocabulary/docket.ts';
import { preferredPart } from './fittingParts.ts';
import { fitQuestion, withAttribute } from './fitQuestion.ts';
import { resolveParts } from './resolveParts.ts';
import { chainOf, circlesIn, newestOf } from './supersession.ts';

const part = (number: string, more: Record<string, unknown> = {}): CataloguePart =>
  CataloguePart.parse({
    number,
    partClass: 'sensor',
    tier: 'good',
    brand: 'Corvane',
    description: number,
    priceCents: 4000,
    stock: 1,
    bin: null,
    supplierDays: 1,
    warrantyMonths: 24,
    ...more,
  });
const row = (partNumber: string, more: Record<string, unknown> = {}): Application =>
  Application.parse({
    partNumber,
    vehicleId: 'v',
    wheelEnds: ['A1L'],
    builtFrom: null,
    builtTo: null,
    ...more,
  });
const sliceOf = (parts: CataloguePart[], applications: Application[]): CatalogueSlice => ({
  ...emptySlice(),
  parts,
  applications,
});
const numbers = (slice: CatalogueSlice, vehicle: DocketVehicle = {}) =>
  resolveParts(slice, 'sensor', 'A1L', vehicle).candidates.map((c) => c.part.number);

describe('from vehicle to candidates', () => {
  const split = sliceOf(
    [part('early'), part('late'), part('other-side'), part('ring', { partClass: 'tone-ring' })],
    [
      row('early', { builtTo: '2017-03' }),
      row('late', { builtFrom: '2017-04' }),
      row('other-side', { wheelEnds: ['A1R'] }),
      row('ring'),
    ],
  );

  test('only parts of the class that fit the wheel end and the build date, each exclusion with its reason', () => {
    expect(numbers(split, { buildDate: '2018' })).toEqual(['late']);
    expect(numbers(split, { buildDate: '2017' })).toEqual(['early', 'late']);
    const { excluded } = resolveParts(split, 'sensor', 'A1L', { buildDate: '2018' });
    expect(Object.fromEntries(excluded.map((e) => [e.part.number, e.because]))).toEqual({
      early: 'is for vehicles built to 2017-03',
      'other-side': 'is for A1R',
    });
  });

  test('the build date is asked by month, and each answer leaves one', () => {
    const question = fitQuestion(split, 'sensor', 'A1L', { buildDate: '2017' });
    expect(question?.attribute).toBe('buildDate');
    expect(question?.answers).toEqual([
      { value: '2017-03', sells: 'early' },
      { value: '2017-04', sells: 'late' },
    ]);
    expect(fitQuestion(split, 'sensor', 'A1L', { buildDate: '2017-06' })).toBeNull();
  });

  test('two hub makers are told apart by one question; an answer that sells the same part is not asked for', () => {
    const two = sliceOf(
      [part('c'), part('h')],
      [row('c', { conditions: { hubMaker: 'Corvane' } }), row('h', { conditions: { hubMaker: 'Halvarn' } })],
    );
    expect(fitQuestion(two, 'sensor', 'A1L', {})).toMatchObject({
      attribute: 'hubMaker',
      answers: [
        { value: 'Corvane', sells: 'c' },
        { value: 'Halvarn', sells: 'h' },
      ],
    });
    expect(numbers(two, { attributes: { hubMaker: 'halvarn' } })).toEqual(['h']);
    const same = sliceOf(
      [part('both')],
      [row('both', { conditions: { plug: 'grey' } }), row('both', { conditions: { plug: 'blue' } })],
    );
    expect(fitQuestion(same, 'sensor', 'A1L', {})).toBeNull();
  });

  test('supersession is followed to the newest, other brands of the design stand in', () => {
    const chain = sliceOf(
      [
        part('a', { supersededBy: 'b' }),
        part('b', { supersededBy: 'c' }),
        part('c', { interchange: 'X' }),
        part('d', { interchange: 'X', brand: 'Halvarn' }),
      ],
      [row('a')],
    );
    const { candidates } = resolveParts(chain, 'sensor', 'A1L', {});
    expect(candidates.map((c) => [c.part.number, c.instead])).toEqual([
      ['c', 'a'],
      ['d', 'c'],
    ]);
    const byNumber = new Map(chain.parts.map((p) => [p.number, p]));
    expect(chainOf(chain.parts[0]!, byNumber)).toEqual(['a', 'b', 'c']);
  });

  test('a circle of supersession ends and is told', () => {
    const round = [part('a', { supersededBy: 'b' }), part('b', { supersededBy: 'a' }), part('c')];
    expect(newestOf(round[0]!, new Map(round.map((p) => [p.number, p]))).number).toBe('b');
    expect(circlesIn(round)).toEqual(['a', 'b']);
  });
});

describe('laws of the question tree', () => {
  const VALUES: Readonly<Record<string, readonly string[]>> = {
    hubMaker: ['Corvane', 'Halvarn'],
    plug: ['grey', 'blue', 'black'],
    brake: ['15', '16'],
  };
  const slices = fc
    .array(
      fc.record({
        conditions: fc.record(
          {
            hubMaker: fc.constantFrom(...VALUES.hubMaker!),
            plug: fc.constantFrom(...VALUES.plug!),
            brake: fc.constantFrom(...VALUES.brake!),
          },
          { requiredKeys: [] },
        ),
        from: fc.constantFrom(null, '2014-03', '2016-01', '2018-09'),
        stock: fc.integer({ min: 0, max: 2 }),
        price: fc.integer({ min: 1000, max: 9000 }),
      }),
      { minLength: 1, maxLength: 8 },
    )
    .map((rows) =>
      sliceOf(
        rows.map(({ stock, price }, i) => part(`p${i}`, { stock, priceCents: price })),
        rows.map(({ conditions, from }, i) => row(`p${i}`, { conditions, builtFrom: from })),
      ),
    );

  test('it ends, and what is left equals a plain filter by all that was answered', () => {
    fc.assert(
      fc.property(slices, fc.infiniteStream(fc.nat(5)), (slice, picks) => {
        let vehicle: DocketVehicle = {};
        const answers: Record<string, string> = {};
        for (let step = 0; ; step++) {
          expect(step).toBeLessThan(8);
          const before = resolveParts(slice, 'sensor', 'A1L', vehicle).candidates.length;
          const question = fitQuestion(slice, 'sensor', 'A1L', vehicle);
          if (!question) break;
          const answer = question.answers[(picks.next().value as number) % question.answers.length]!;
          vehicle = withAttribute(vehicle, question.attribute, answer.value);
          answers[question.attribute] = answer.value;
          expect(resolveParts(slice, 'sensor', 'A1L', vehicle).candidates.length).toBeLessThanOrEqual(before);
        }
        const plain = slice.applications
          .filter(
            ({ builtFrom, conditions }) =>
              (!answers.buildDate || !builtFrom || answers.buildDate >= builtFrom) &&
              Object.entries(conditions).every(([key, value]) => !answers[key] || answers[key] === value),
          )
          .map(({ partNumber }) => partNumber);
        expect(resolveParts(slice, 'sensor', 'A1L', vehicle).candidates.map((c) => c.part.number)).toEqual(
          [...new Set(plain)].sort(),
        );
      }),
      { numRuns: 150, seed: 9 },
    );
  });

  test('every answer told as selling a number does leave that number the preferred one', () => {
    fc.assert(
      fc.property(slices, (slice) => {
        const question = fitQuestion(slice, 'sensor', 'A1L', {});
        for (const { value, sells } of question?.answers ?? []) {
          const left = resolveParts(slice, 'sensor', 'A1L', withAttribute({}, question!.attribute, value));
          expect(preferredPart(left.candidates.map((c) => c.part))?.number ?? null).toBe(sells);
        }
      }),
      { numRuns: 100, seed: 10 },
    );
  });
});

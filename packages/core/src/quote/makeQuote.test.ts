import { describe, expect, test } from '@jest/globals';
import { compareBench } from '../advice/compareDocket.ts';
import { bareKnowledge } from '../advice/knowledge.ts';
import type { Docket } from '../vocabulary/docket.ts';
import { parseDocket } from '../vocabulary/parseDocket.ts';
import { addQuote, toPay } from './makeQuote.ts';

const docketOf = (more: Partial<Docket> = {}): Docket =>
  parseDocket({
    format: 'hardy-spoke/docket',
    version: 1,
    wheelEnd: 'A1L',
    symptoms: ['lamp.abs'],
    codes: [{ code: 'C0031-13', module: 'ABS', status: 'active' }],
    ...more,
  });
const knowledge = bareKnowledge('2026-11-26');
const compared = (docket: Docket) => compareBench(docket, knowledge).compare({}, false)!;

describe('a quote', () => {
  const { ways, taxPercent } = compared(docketOf());
  const parts = ways.filter(({ kind }) => kind === 'parts').slice(0, 2);
  const made = (withWork: boolean) =>
    addQuote(docketOf(), { ways: parts, withWork, taxPercent, on: '2026-11-26', days: 14 }).quotes!.at(-1)!;

  test('has a number, a day, a day until which it holds, and tax shown to the cent', () => {
    const quote = made(true);
    expect(quote).toMatchObject({
      number: 1,
      on: '2026-11-26',
      until: '2026-12-10',
      withWork: true,
      taxPercent,
    });
    for (const way of quote.ways) {
      expect(way.taxCents).toBe(Math.round(((way.partsCents + way.workCents) * taxPercent) / 100));
      expect(toPay(way)).toBe(way.partsCents + way.workCents + way.taxCents);
      expect(way.workCents).toBeGreaterThan(0);
    }
  });

  test('without work is parts and tax alone', () => {
    for (const way of made(false).ways) expect([way.workCents, way.workHours]).toEqual([0, 0]);
  });

  test('the next has the next number, and the one before stays', () => {
    const quoting = { ways: parts, withWork: true, taxPercent, on: '2026-12-30', days: 3 };
    const twice = addQuote(addQuote(docketOf(), quoting), quoting);
    expect(twice.quotes?.map(({ number, until }) => [number, until])).toEqual([
      [1, '2027-01-02'],
      [2, '2027-01-02'],
    ]);
    expect(parseDocket(JSON.parse(JSON.stringify(twice)))).toEqual(twice);
  });
});

describe('a price from elsewhere', () => {
  const best = compared(docketOf()).ways.find(({ kind }) => kind === 'parts')!;
  const beside = (more: NonNullable<Docket['elsewhere']>[number]) =>
    compared(docketOf({ elsewhere: [more] })).elsewhere[0]!;

  test('with work stands against all that ours is sure to cost; the fee for finding out is in it', () => {
    const same = Math.round(best.sure * 100);
    const dealer = { kind: 'dealer', what: 'all done', cents: same, withWork: true } as const;
    expect(Math.abs(beside(dealer).gap)).toBeLessThan(0.02);
    expect(beside({ ...dealer, feeCents: 9000 }).gap).toBeCloseTo(90, 1);
    expect(beside({ ...dealer, feeCents: 9000 }).sentence).toMatch(/90 dearer/);
  });

  test('a part alone is fitted at our price', () => {
    const free = beside({ kind: 'brought', what: 'own sensor', cents: 0, withWork: false });
    const part = best.costs.find(({ kind }) => kind === 'parts')!.amount;
    expect(free.gap).toBeCloseTo(-part, 1);
    expect(free.sure).toBeGreaterThan(0);
  });
});

describe('the customer\u2019s own limits', () => {
  test('a way that is dearer than it may cost, or not here by the day, says so; one that keeps them does not', () => {
    const because = (more: Partial<Docket>) =>
      compared(docketOf({ ...more, options: { stock: { sensor: 0 } } }))
        .ways.find(({ label }) => label === 'wheel speed sensor')!
        .because.join('; ');
    expect(because({ budgetCents: 1000 })).toMatch(/over the .10 it may cost/);
    expect(because({ budgetCents: 1_000_000 })).not.toMatch(/it may cost/);
    expect(because({ neededBy: '2026-11-26' })).toMatch(/not here by 2026-11-26/);
    expect(because({ neededBy: '2027-11-26' })).not.toMatch(/not here by/);
    expect(because({ askedEverywhere: true })).toMatch(/asked everywhere/);
  });
});

describe('own work', () => {
  test('own hours are not charged beside the sum it is worth it from', () => {
    const own = (value: number) =>
      compared(
        docketOf({ customer: { kind: 'self' }, options: { assumptions: { 'diy.hour-value': value } } }),
      ).ownWork!;
    // What an hour is worth changes which way is the best; of the same way the saving is the same.
    expect(own(1).saves).toBeCloseTo(own(2).saves, 6);
    expect(own(1).saves).toBeGreaterThan(0);
    expect(own(1).hours).toBeGreaterThan(0);
    expect(own(1).sentence).toMatch(/hours of your own/);
  });
});

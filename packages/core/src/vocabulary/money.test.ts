import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { centsFrom, centsInWords, moneyInWords, shareOfCents, toCents, totalCents } from './money.ts';

describe('money', () => {
  test.each([
    ['12.50', 1250],
    ['12,5', 1250],
    ['12', 1200],
    ['0.05', 5],
    [' 7.00 ', 700],
    ['12.505', null],
    ['-3', null],
    ['1.000,00', null],
    ['', null],
    ['free', null],
  ])('a price as written: %s', (text, cents) => {
    expect(centsFrom(text)).toBe(cents);
  });

  test('what is written comes back, whatever the sum', () => {
    fc.assert(
      fc.property(fc.nat(1e9), (cents) => {
        expect(centsFrom(centsInWords(cents))).toBe(cents);
        expect(toCents(cents / 100)).toBe(cents);
      }),
      { numRuns: 500, seed: 1 },
    );
  });

  test('shares are whole cents, rounded half up, and never more than the whole', () => {
    expect(shareOfCents(4010, 15)).toBe(602);
    expect(shareOfCents(1, 50)).toBe(1);
    expect(shareOfCents(1999, 0)).toBe(0);
    expect(shareOfCents(1000, 12.5)).toBe(125);
    fc.assert(
      fc.property(fc.nat(1e7), fc.integer({ min: 0, max: 10000 }), (cents, hundredths) => {
        const share = shareOfCents(cents, hundredths / 100);
        expect(Number.isInteger(share)).toBe(true);
        expect(share).toBeGreaterThanOrEqual(0);
        expect(share).toBeLessThanOrEqual(cents);
        expect(Math.abs(share - (cents * hundredths) / 10000)).toBeLessThanOrEqual(0.5 + 1e-6);
      }),
      { numRuns: 500, seed: 2 },
    );
  });

  test('sums are what adding up by hand gives', () => {
    expect(totalCents([])).toBe(0);
    expect(
      totalCents([
        { cents: 10, quantity: 3 },
        { cents: 20, quantity: 1 },
      ]),
    ).toBe(50);
    fc.assert(
      fc.property(
        fc.array(fc.record({ cents: fc.nat(1e6), quantity: fc.integer({ min: 1, max: 50 }) }), {
          maxLength: 30,
        }),
        (lines) => {
          expect(totalCents(lines)).toBe(lines.reduce((sum, l) => sum + l.cents * l.quantity, 0));
        },
      ),
      { numRuns: 200, seed: 3 },
    );
  });

  test('said in the shop\u2019s currency, whole units', () => {
    expect(moneyInWords(27.4, 'EUR')).toBe('\u20AC27');
    expect(moneyInWords(-1.2, 'GBP')).toBe('-\u00A31');
  });
});

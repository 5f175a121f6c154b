import { describe, expect, test } from '@jest/globals';
import { CataloguePart } from '../vocabulary/catalogue.ts';
import { mayBeBuiltWithin, preferredPart } from './fittingParts.ts';

const part = (number: string, more: Partial<CataloguePart> = {}): CataloguePart => ({
  ...CataloguePart.parse({
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
  }),
  ...more,
});

describe('fitment', () => {
  test.each([
    ['2016', '2017-04', null, false],
    ['2017', '2017-04', null, true],
    ['2017-03', '2017-04', null, false],
    ['2017-04-12', '2017-04', null, true],
    ['2019', null, '2018-12', false],
    ['2018', null, '2018-12', true],
    [null, '2017-04', '2018', true],
  ])('built %s within %s to %s: %s', (built, from, to, wanted) => {
    expect(mayBeBuiltWithin(built, from, to)).toBe(wanted);
  });

  test('on the shelf comes before better, good before dealer and budget', () => {
    expect(
      preferredPart([part('a', { stock: 0 }), part('b', { tier: 'budget' }), part('c', { tier: 'dealer' })])
        ?.number,
    ).toBe('c');
    expect(preferredPart([part('dear'), part('cheap', { priceCents: 3000 })])?.number).toBe('cheap');
    expect(preferredPart([])).toBeNull();
  });
});

import { describe, expect, test } from '@jest/globals';
import type { CataloguePart } from '../vocabulary/catalogue.ts';
import { emptySlice } from '../vocabulary/catalogue.ts';
import { fittingParts, mayBeBuiltWithin, preferredPart } from './fittingParts.ts';

const part = (number: string, more: Partial<CataloguePart> = {}): CataloguePart => ({
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

  test('only parts of the class that fit the wheel end and the build date', () => {
    const row = (
      partNumber: string,
      wheelEnds: string[],
      builtFrom: string | null,
      builtTo: string | null,
    ) => ({ partNumber, vehicleId: 'v', wheelEnds, builtFrom, builtTo });
    const slice = {
      ...emptySlice(),
      parts: [part('early'), part('late'), part('other-side'), part('ring', { partClass: 'tone-ring' })],
      applications: [
        row('early', ['A1L'], null, '2017-03'),
        row('late', ['A1L'], '2017-04', null),
        row('other-side', ['A1R'], null, null),
        row('ring', ['A1L'], null, null),
      ],
    };
    expect(fittingParts(slice, 'sensor', 'A1L', '2018').map((p) => p.number)).toEqual(['late']);
    expect(fittingParts(slice, 'sensor', 'A1L', '2017').map((p) => p.number)).toEqual(['early', 'late']);
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

import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { changedShop } from './changedShop.ts';
import { ShopChange, ShopSettings } from './shop.ts';

const shop = ShopSettings.parse({ overrides: { 'labour.rate': 80, 'tax.percent': 19 } });

test('only what is changed is changed; a number given null goes back to its default', () => {
  expect(changedShop(shop, { name: 'Quay' })).toEqual({ ...shop, name: 'Quay' });
  expect(changedShop(shop, { overrides: { 'labour.rate': null, 'horizon.years': 5 } }).overrides).toEqual({
    'tax.percent': 19,
    'horizon.years': 5,
  });
  expect(changedShop(shop, { overrides: {} })).toEqual(shop);
});

test('a way of the house is changed alone; one there is none of is refused', () => {
  const soldered = changedShop(shop, { ways: { splice: 'solder' } });
  expect(soldered.ways).toEqual({ ...shop.ways, splice: 'solder' });
  expect(changedShop(soldered, { ways: { reach: 'steered' } }).ways).toEqual({
    ...shop.ways,
    splice: 'solder',
    reach: 'steered',
  });
  expect(ShopChange.safeParse({ ways: { splice: 'glue' } }).success).toBe(false);
});

test('changes of different fields give the same in whichever order they come', () => {
  const one: ShopChange = { name: 'Quay', overrides: { 'labour.rate': 91 } };
  const other: ShopChange = { school: 'far-away', overrides: { 'tax.percent': null } };
  expect(changedShop(changedShop(shop, one), other)).toEqual(changedShop(changedShop(shop, other), one));
});

test('the same change twice is the same change once', () => {
  fc.assert(
    fc.property(
      fc.dictionary(fc.constantFrom('labour.rate', 'tax.percent', 'horizon.years'), fc.option(fc.nat(30))),
      (overrides) => {
        const once = changedShop(shop, { overrides });
        expect(changedShop(once, { overrides })).toEqual(once);
      },
    ),
  );
});

test('a change says what is wrong with it', () => {
  for (const bad of [{}, { nmae: 'x' }, { overrides: { a: 'b' } }, { currency: 'EUX' }, { name: '' }, []])
    expect(ShopChange.safeParse(bad).success).toBe(false);
  expect(ShopChange.safeParse({ overrides: { 'labour.rate': null } }).success).toBe(true);
  // A default is no change: what was not said stays as it is.
  expect(ShopChange.parse({ school: 'far-away' })).toEqual({ school: 'far-away' });
});

import { expect, test } from '@jest/globals';
import { DEFAULT_ASSUMPTIONS } from '@hardy/core';
import { assumptionName, unitInWords, valueInWords } from './assumptionName.ts';

test.each([
  ['seizure.salt.high', 'Seized sensor \u203A salt \u203A high'],
  ['check.visual.ring.ring.cracked', 'Checks \u203A look at the tone ring \u203A tone ring \u203A cracked'],
  ['check.minutes.live', 'Checks \u203A compare live wheel speeds \u203A minutes'],
  ['labour.rate', 'Labour \u203A rate'],
  ['prior.wrong-sensor', 'How often it is wrong \u203A wrong sensor fitted'],
])('%s is %s', (key, wanted) => {
  expect(assumptionName(key)).toBe(wanted);
});

test('every assumption has a name of its own that is not its key', () => {
  const names = Object.keys(DEFAULT_ASSUMPTIONS).map(assumptionName);
  expect(new Set(names).size).toBe(names.length);
  for (const name of names) expect(name).not.toMatch(/undefined|\.|^\s*$/);
});

test('money is in the shop\u2019s currency, a chance in so many of a hundred', () => {
  expect(unitInWords('money/h', 'EUR')).toBe('EUR/h');
  expect(valueInWords(0.32, 'probability')).toBe('32 in 100');
  expect(valueInWords(0.0003, 'probability')).toBe('3 in 10,000');
  expect(valueInWords(3, 'years')).toBeNull();
});

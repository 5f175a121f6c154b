import { describe, expect, test } from '@jest/globals';
import { bareIntake } from '../context.ts';
import { readIntake } from '../readIntake.ts';

const context = {
  ...bareIntake('2026-11-25'),
  steeringSide: 'left' as const,
  trafficSide: 'right' as const,
  axles: 2,
};
const history = (words: string) => readIntake(words, context).history;

describe('fitted or not', () => {
  test.each([
    'new sensor reads 980 ohms',
    'the sensor is original',
    'was going to fit a hub',
    'two hub makers were fitted on these',
    'brand new sensor in its box',
    'needs a new ring',
    'new sensor not fitted yet',
    'do you sell the ring alone',
    'never replaced a sensor',
  ])('nothing was done: %s', (words) => {
    expect(history(words)).toEqual([]);
  });

  test('two deeds of one sentence keep their own wheel and time', () => {
    expect(history('sensor changed front left 3 weeks ago, hub changed rear right 2 months ago')).toEqual([
      { event: 'sensor-replaced', wheelEnd: 'A1L', daysAgo: 21 },
      { event: 'hub-replaced', wheelEnd: 'A2R', daysAgo: 60 },
    ]);
  });

  test('the deed of the clause before, its wheel with it', () => {
    expect(history('hub was replaced 6 months ago rear left and the sensor 2 weeks ago')).toEqual([
      { event: 'hub-replaced', wheelEnd: 'A2L', daysAgo: 180 },
      { event: 'sensor-replaced', wheelEnd: 'A2L', daysAgo: 14 },
    ]);
  });

  test('what it cured, what it did not, and how long it lasted', () => {
    expect(history('replaced sensor rear right, no better, replaced hub rear right, cured')).toMatchObject([
      { event: 'sensor-replaced', cured: 'no' },
      { event: 'hub-replaced', cured: 'yes' },
    ]);
    expect(history('ring changed rear left last year, lamp came back after two days')).toMatchObject([
      { event: 'ring-replaced', wheelEnd: 'A2L', cured: 'for-a-while', daysUntilReturn: 2 },
    ]);
  });
});

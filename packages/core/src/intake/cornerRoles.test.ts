import { describe, expect, test } from '@jest/globals';
import { bareIntake } from './context.ts';
import { readIntake } from './readIntake.ts';

const context = { ...bareIntake('2026-11-25'), axles: 2 };
const cornersOf = (words: string): string[] => [
  ...new Set(
    readIntake(words, context)
      .positions.filter(({ role, needs }) => role === undefined && needs === null)
      .flatMap(({ wheelEnds }) => wheelEnds),
  ),
];

describe('which of the wheels named is the corner', () => {
  test.each([
    ['front left open, front right 1.2k', ['A1L']],
    ['front left 1.2k, front right 1.3k', ['A1L', 'A1R']],
    ['supply front left 11.8 volts, front right 0.2 volts', ['A1R']],
    ['right rear gives 0.4 v ac, left rear 0.03 v ac', ['A2L']],
    ['rear left ring cracked, the fronts not checked', ['A2L']],
    ['neither of the fronts, its the left rear', ['A2L']],
    ['sensor replaced front left ten days ago, no change', ['A1L']],
    ['sensor replaced front left ten days ago, the rear right ring is cracked', ['A2R']],
  ])('%s', (words, corners) => {
    expect(cornersOf(words).sort()).toEqual(corners);
  });

  test.each([
    ['left front looking at it from the front bumper', ['A1R']],
    ['facing the grille, its the right front wheel', ['A1L']],
    ['passenger front, the steering is on the left', ['A1R']],
    ['steering on right, drivers front', ['A1R']],
  ])('%s', (words, corners) => {
    expect(cornersOf(words)).toEqual(corners);
  });
});

import { describe, expect, test } from '@jest/globals';
import { CLOSED_WORDS } from './closedWords.ts';

describe('one slip in a closed word', () => {
  test.each([
    ['rigth', 'right'],
    ['frnt', 'front'],
    ['lfet', 'left'],
    ['offisde', 'offside'],
    ['passanger', 'passenger'],
    ['sensro', 'sensor'],
    ['growlling', 'growling'],
    ['flud', 'fluid'],
  ])('%s is %s', (written, meant) => {
    expect(CLOSED_WORDS.correct(written)).toBe(meant);
  });

  test.each([
    'night',
    'light',
    'font',
    'year',
    'lift',
    'change',
    'wear',
    'tight',
    'gear',
    'reader',
    'right',
    'left',
  ])('%s stays what it is', (word) => {
    expect(CLOSED_WORDS.correct(word)).toBeNull();
  });
});

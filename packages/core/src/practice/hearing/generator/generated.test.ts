import { expect, test } from '@jest/globals';
import { contextFor } from '../labelledSentences.ts';
import { textMaker } from './makeText.ts';
import { emptyTally, tallyText } from './tally.ts';

test('generated texts: 98 in 100 facts are heard, and none on a wrong wheel', () => {
  const maker = textMaker(20261126);
  const context = contextFor('L', { vehicles: [], fleet: [] });
  const tally = emptyTally();
  for (let i = 0; i < 600; i++) tallyText(maker.next(), context, tally);
  expect(tally.said).toBeGreaterThan(1500);
  expect(tally.worst.filter(({ missing, extra }) => missing.length > 0 && extra.length > 0)).toEqual([]);
  expect(tally.wrongWheel).toBe(0);
  expect(tally.heard / tally.said).toBeGreaterThanOrEqual(0.98);
});

import { expect, test } from '@jest/globals';
import { LABELLED_PHRASES, PHRASE_CONTEXTS } from './labelledPhrases.ts';
import type { PositionContext } from '../placePhrase.ts';
import { readPositions } from '../readPositions.ts';

/** A reading in the short form the labels are written in. */
const short = (words: string, context: PositionContext): string => {
  const { positions, conflicts } = readPositions(words, context);
  const said = positions
    .map((p) => [p.wheelEnds.join('+') || `?${p.needs}`, p.role].filter(Boolean).join(' '))
    .join(', ');
  return said + (conflicts.length > 0 ? ' !' : '');
};

test(`at least 97 in 100 of ${LABELLED_PHRASES.length} labelled phrases are read right`, () => {
  expect(LABELLED_PHRASES.length).toBeGreaterThanOrEqual(150);
  const wrong = LABELLED_PHRASES.map(([context, words, meaning]) => ({
    words,
    meaning,
    read: short(words, PHRASE_CONTEXTS[context] as PositionContext),
  })).filter(({ meaning, read }) => meaning !== read);
  // Those read wrong are named, so that a run shows them.
  expect(wrong.length / LABELLED_PHRASES.length <= 0.03 ? [] : wrong).toEqual([]);
});

import { expect, test } from '@jest/globals';
import { HEARD_WORDS } from '../../intake/words/index.ts';
import { tokenise } from '../../text/tokens.ts';
import { unitsOf } from '../../intake/units.ts';
import { readIntake } from '../../intake/readIntake.ts';
import { contextFor } from './labelledSentences.ts';

const context = contextFor('L', { vehicles: [], fleet: [] });

/* No clock here: what bounds the work is that no clause and no sentence grows with the text. */
test.each([
  ['one word', 'play '],
  ['a place', 'left '],
  ['commas', 'ring cracked, '],
  ['joined', 'front left and '],
])('%s repeated gives clauses of bounded length and sentences of a bounded number of them', (_, word) => {
  const sizes = [1000, 2000].map((n) => {
    const tokens = tokenise(word.repeat(n));
    const units = unitsOf(tokens, [], HEARD_WORDS.all(tokens), []);
    const perSentence = new Map<number, number>();
    for (const unit of units) perSentence.set(unit.sentence, (perSentence.get(unit.sentence) ?? 0) + 1);
    return {
      longest: Math.max(...units.map((unit) => unit.to - unit.from)),
      most: Math.max(...perSentence.values()),
    };
  });
  expect(sizes[1]).toEqual(sizes[0]);
  expect(sizes[0]?.longest).toBeLessThanOrEqual(60);
  expect(sizes[0]?.most).toBeLessThanOrEqual(200);
});

test.each([
  ['lone newlines', '\n'.repeat(1_000_000)],
  ['CRLF', '\r\n'.repeat(500_000)],
  ['one word', 'sorry '.repeat(166_000)],
  ['nested', '('.repeat(300_000) + 'front left' + ')'.repeat(300_000)],
  ['a wide table', `${'a\t'.repeat(400)}\n`.repeat(1200)],
  ['numbers', '1 000 '.repeat(160_000)],
])('a megabyte of %s is read to the end', (_, text) => {
  const reading = readIntake(text, context);
  expect(reading.checks).toEqual([]);
  expect(reading.history).toEqual([]);
});

import { describe, expect, test } from '@jest/globals';
import { readIntake } from '../../intake/readIntake.ts';
import { textMaker, type GeneratedText } from './generator/makeText.ts';
import { WEATHER } from './generator/phrasings.ts';
import { contextFor } from './labelledSentences.ts';
import { factsOf } from './readingFacts.ts';

const context = contextFor('L', { vehicles: [], fleet: [] });
/** Facts but for places: which place is the corner depends on all sentences together. */
const facts = (words: string): string[] =>
  factsOf(readIntake(words, context))
    .filter((fact) => !/^(corner|denied|past) /.test(fact))
    .sort();

const texts = (seed: number, n: number): GeneratedText[] => {
  const maker = textMaker(seed);
  return Array.from({ length: n }, () => maker.next());
};

/** Left for right and right for left, in words, initials and wheel ends. */
const mirrored = (text: string): string => {
  const pairs: ReadonlyArray<readonly [string, string]> = [
    ['left', 'right'],
    ["driver's", 'passenger'],
    ['offside', 'nearside'],
    ['FL', 'FR'],
    ['LF', 'RF'],
    ['RL', 'RR'],
    ['LR', 'RR'],
    ['L/H', 'R/H'],
    ['A1L', 'A1R'],
    ['A2L', 'A2R'],
  ];
  const other = new Map(pairs.flatMap(([a, b]) => [[a, b] as const, [b, a] as const]));
  // RR is the mirror of both LR and RL: which of the two is the same wheel.
  return text.replace(
    /\b(left|right|driver's|passenger|offside|nearside|FL|FR|LF|RF|RL|RR|LR|L\/H|R\/H|A1L|A1R|A2L|A2R)\b/g,
    (word) => other.get(word) ?? word,
  );
};

describe('what must not change a reading', () => {
  test('mirroring left and right in the text mirrors the facts', () => {
    for (const { words } of texts(3, 150)) {
      if (words === words.toUpperCase()) continue;
      expect(facts(mirrored(words))).toEqual(facts(words).map(mirrored).sort());
    }
  });

  test('sentences in another order', () => {
    for (const { words } of texts(4, 150)) {
      const parts = words.split('. ');
      // A label heads what follows it, and a sentence that leans on the one before is not independent.
      if (parts.length < 2 || words.includes(':')) continue;
      expect(facts([...parts].reverse().join('. '))).toEqual(facts(words));
    }
  });

  test('a sentence about the weather, before and after', () => {
    for (const [i, { words }] of texts(5, 150).entries()) {
      const weather = WEATHER[i % WEATHER.length] ?? '';
      if (words.toUpperCase() === words) continue;
      expect(facts(`${weather}. ${words}`)).toEqual(facts(words));
      expect(facts(`${words}. ${weather}`)).toEqual(facts(words));
    }
  });

  test('other separators between sentences, and another case', () => {
    for (const { words } of texts(6, 150)) {
      if (words.includes('\n')) continue;
      const said = facts(words);
      expect(facts(words.replace(/; /g, '. '))).toEqual(said);
      expect(facts(words.replace(/\. /g, '\r\n'))).toEqual(said);
      expect(facts(words.toLowerCase())).toEqual(said);
    }
  });
});

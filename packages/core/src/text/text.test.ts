import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { lexicon } from './lexicon.ts';
import { tokenise } from './tokens.ts';

const words = (text: string) => tokenise(text).map((token) => token.norm);

describe('tokenise', () => {
  test.each([
    ['n/s/f wheel', ['nsf', 'wheel']],
    ['O.S.R.', ['osr']],
    ['L/H front', ['lh', 'front']],
    ['right-hand', ['right', 'hand']],
    ['driver\u2019s', ['drivers']],
    ["driver's", ['drivers']],
    ['caf\u00E9', ['cafe']],
    ['front/rear', ['front', '/', 'rear']],
    ['1.2 k', ['1.2', 'k']],
    ['it. the', ['it', '.', 'the']],
    ['a - b', ['a', '-', 'b']],
    ['"quoted"', ['quoted']],
    ['one\r\ntwo', ['one', '\n', 'two']],
  ])('%s', (text, wanted) => {
    expect(words(text)).toEqual(wanted);
  });

  test('every token stands where it says', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (text) => {
        let last = 0;
        for (const token of tokenise(text)) {
          expect(text.slice(token.start, token.end)).toBe(token.text);
          expect(token.start).toBeGreaterThanOrEqual(last);
          last = token.end;
        }
      }),
      { numRuns: 300, seed: 1 },
    );
  });
});

describe('lexicon', () => {
  const fruit = lexicon<string>([
    ['red apple|apple red', 'red'],
    ['apple', 'apple'],
    ['green', 'green'],
  ]);

  test('the longest phrase wins, none overlap', () => {
    const hits = fruit.all(tokenise('a red apple, an apple and apple green'));
    expect(hits.map((hit) => hit.meaning)).toEqual(['red', 'apple', 'apple', 'green']);
  });

  test('a phrase must stand whole', () => {
    expect(fruit.at(tokenise('red pear'), 0)).toBeNull();
    expect(fruit.at(tokenise('apples'), 0)).toBeNull();
  });
});

import { lexicon } from '../text/lexicon.ts';
import type { Token } from '../text/tokens.ts';
import type { Phrase } from './phrase.ts';

/** Words that pick one of several without saying which. */
const ONE_OF = lexicon<true>([
  [
    'one of the|one of|either of the|either of|either one of the|one or other of the|some of the|any of the|either|one|one or the other|somewhere at the|somewhere on the|somewhere in the',
    true,
  ],
]);
const NONE_OF = lexicon<true>([['neither|neither of the|neither of|none of the|none of', true]]);
const ALL_BUT = /^(bar|but|except|excepting|excluding|apart|besides|barring)$/;

const before = (tokens: readonly Token[], phrase: Phrase): readonly Token[] =>
  tokens.slice(Math.max(0, phrase.from - 4), phrase.from);

const endsWith = (words: ReturnType<typeof lexicon<true>>, tokens: readonly Token[]): boolean =>
  tokens.some((_, i) => words.at(tokens, i)?.to === tokens.length);

/**
 * What quantity words do to a place: `one of the fronts` and `either front` are one wheel whose side is not said,
 * `neither front` is both.
 */
export const chooseAmong = (tokens: readonly Token[], phrases: readonly Phrase[]): Phrase[] =>
  phrases.map((phrase) => {
    if (phrase.direct || phrase.all || phrase.centre || phrase.side !== null || phrase.axle === null)
      return phrase;
    const words = before(tokens, phrase);
    if (endsWith(NONE_OF, words)) return { ...phrase, both: true };
    if (endsWith(ONE_OF, words)) return { ...phrase, both: false, plural: false, oneOf: true };
    return phrase;
  });

/** `all 195/65 R15 bar the ...`: the place of `all` where wheels are taken out of it; null where it is no place. */
export const allBefore = (tokens: readonly Token[], at: number): boolean => {
  if (/^(at|after|in)$/.test(tokens[at - 1]?.norm ?? '')) return false;
  const word = tokens[at]?.norm ?? '';
  if (
    word !== 'all' &&
    !(
      /^(every|each)$/.test(word) &&
      /^(wheel|corner|one|sensor|tyre|hub|bearing|ring|plug)$/.test(tokens[at + 1]?.norm ?? '') &&
      !/^(turn|revolution)$/.test(tokens[at + 2]?.norm ?? '')
    )
  )
    return false;
  for (let i = at + 1; i < tokens.length && i < at + 8; i++)
    if (ALL_BUT.test(tokens[i]?.norm ?? '')) return true;
  return false;
};

/** Whether words between two phrases take the second out of the first. */
export const takesOut = (words: readonly string[]): boolean => words.some((word) => ALL_BUT.test(word));

import { complete, type Phrase } from './phrase.ts';
import { FILLERS } from './positionLexicon.ts';

const LINKS: Readonly<Record<string, 'and' | 'or' | 'so'>> = {
  and: 'and',
  '&': 'and',
  '+': 'and',
  plus: 'and',
  also: 'and',
  or: 'or',
  so: 'so',
  ie: 'so',
  meaning: 'so',
  '=': 'so',
  aka: 'so',
};
const LINK_FILLERS = new Set([
  ...FILLERS,
  ',',
  'that',
  'as',
  'well',
  'its',
  'it',
  'maybe',
  'possibly',
  'i',
  'e',
  '.',
  'mean',
  '(',
  'not',
  'other',
  'words',
  'say',
  'then',
  'think',
]);

/** How two neighbouring phrases are tied, or null when other words stand between them. */
export const linkBetween = (words: readonly string[]): 'and' | 'or' | 'so' | 'not' | null => {
  if (words.length === 0 || words.length > 7) return null;
  const linking = words.find((word) => LINKS[word]);
  if (words.some((word) => !LINKS[word] && !LINK_FILLERS.has(word))) return null;
  if (words.includes('not')) return 'not';
  return linking
    ? (LINKS[linking] ?? null)
    : words.includes('that') && words.includes('is')
      ? 'so'
      : words.includes('(')
        ? 'so'
        : null;
};

/** A half phrase right after a whole one says the same place again: `front left, passenger side`. */
export const restates = (whole: Phrase, half: Phrase, words: readonly string[]): boolean =>
  complete(whole) &&
  !complete(half) &&
  !half.plural &&
  (half.side !== null || half.axle !== null) &&
  words.length > 0 &&
  words.length <= 4 &&
  words.every((word) => LINK_FILLERS.has(word) && word !== '.');

/** `front left and right`: the second takes its axle from the first. `left and right front`: the first from the second. */
export const lendMissingHalves = (phrases: Phrase[], links: readonly (string | null)[]): void => {
  for (let i = 1; i < phrases.length; i++) {
    const a = phrases[i - 1] as Phrase;
    const b = phrases[i] as Phrase;
    if (!links[i] || a.direct || b.direct || a.all || b.all || a.centre || b.centre) continue;
    if (b.axle === null && b.side !== null && a.axle !== null) b.axle = a.axle;
    else if (b.side === null && b.axle !== null && a.side !== null && a.axle !== null && !b.plural)
      b.side = a.side;
    else if (a.axle === null && a.side !== null && b.axle !== null && b.side !== null) a.axle = b.axle;
    else if (a.side === null && a.axle !== null && b.axle !== null && b.side !== null && !a.plural)
      a.side = b.side;
  }
};

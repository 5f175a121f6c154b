import { DIGIT_WORD, digitOf, groupsOf, NUMBER_WORD } from './numberWords.ts';
import type { Rewrite, Rewriter } from './rewriter.ts';

const LETTERS: Readonly<Record<string, string>> = {
  c: 'C',
  see: 'C',
  sea: 'C',
  charlie: 'C',
  p: 'P',
  papa: 'P',
  b: 'B',
  bravo: 'B',
  u: 'U',
  you: 'U',
  uniform: 'U',
};
const DIGIT = `(?:double (?:oh|zero)|${DIGIT_WORD}|o|\\d|[a-f])`;
const FIRST = `(?:double (?:oh|zero)|zero|oh|o|one|two|three|[0-3])`;
const CODE = new RegExp(
  `\\b(?<letter>${Object.keys(LETTERS).join('|')}) (?<digits>${FIRST}(?: ${DIGIT}){2,3})(?: (?:dash|hyphen|minus|stroke) (?<type>(?:${NUMBER_WORD}|\\d|[a-f])(?: (?:${NUMBER_WORD}|\\d|[a-f]))?))?(?![\\p{L}\\d])`,
  'giu',
);
const SPN = new RegExp(
  `\\b(?<name>spn|fmi)s? (?<number>(?:${NUMBER_WORD}|\\d)(?: (?:${NUMBER_WORD}|\\d))*)\\b`,
  'gi',
);

const digitsOf = (words: string): string =>
  words
    .toLowerCase()
    .replace(/double (oh|zero)/g, 'zero zero')
    .split(' ')
    .map((word) => digitOf(word) ?? word.toUpperCase())
    .join('');

/** Finds fault codes that are spelled out: "c zero zero three four dash one three", "spn seven eight nine fmi five". */
export const spelledCodes: Rewriter = (text) => {
  const found: Rewrite[] = [];
  for (const match of text.matchAll(CODE)) {
    const { letter = '', digits = '', type } = match.groups ?? {};
    const four = digitsOf(digits);
    // "c 0 0 3 1" is a code as well; words alone without a digit among them are not.
    if (four.length !== 4 || !/\d/.test(four)) continue;
    const spelled = type?.toLowerCase().split(' ') ?? [];
    const suffix = spelled.every((word) => digitOf(word) !== null || /^[a-f]$/.test(word))
      ? digitsOf(spelled.join(' '))
      : groupsOf(spelled).join('');
    found.push({
      start: match.index,
      end: match.index + match[0].length,
      written: `${LETTERS[letter.toLowerCase()] ?? ''}${four}${suffix.length === 2 ? `-${suffix}` : ''}`,
    });
  }
  for (const match of text.matchAll(SPN)) {
    const { name = '', number = '' } = match.groups ?? {};
    const words = number.toLowerCase().split(' ');
    if (words.every((word) => /^\d+$/.test(word))) continue;
    const written = `${name.toUpperCase()} ${words.every((word) => digitOf(word) !== null) ? words.map(digitOf).join('') : groupsOf(words).join('')}`;
    found.push({ start: match.index, end: match.index + match[0].length, written });
  }
  return found.sort((a, b) => a.start - b.start);
};

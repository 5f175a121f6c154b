import distance from 'damerau-levenshtein';
import type { Token } from './tokens.ts';

/** A closed set of words within which one slip is forgiven. */
export interface Spelling {
  /** The word meant, or null when it is known, too short, or two words are as near. */
  correct(word: string): string | null;
}

/** Words shorter than this are told by every letter. */
const SHORTEST = 4;
/** Up to here only swapped or dropped letters are forgiven: too many short words differ in one letter. */
const SHORT = 5;

const withoutOne = (word: string): string[] =>
  Array.from({ length: word.length }, (_, i) => word.slice(0, i) + word.slice(i + 1));

const swapped = (a: string, b: string): boolean =>
  a.length === b.length && [...a].sort().join('') === [...b].sort().join('');

/** Another ending is another word, not a slip: change, changed. */
const inflected = (a: string, b: string): boolean => {
  const [short, long] = a.length < b.length ? [a, b] : [b, a];
  return long.startsWith(short) && /^[desrny]$/.test(long.slice(short.length));
};

/** A vowel for a vowel, as one hears it: `reer` for rear. */
const vowelOnly = (a: string, b: string): boolean =>
  a.length === b.length &&
  [...a].filter((letter, i) => letter !== b[i]).length === 1 &&
  [...a].every((letter, i) => letter === b[i] || (/[aeiou]/.test(letter) && /[aeiou]/.test(b[i] ?? '')));

/**
 * Forgives one slip or one swapped pair in the words of a closed set. `ordinary` are words of everyday speech that are
 * near one of the set and must stay what they are: `night` is not a misspelt right.
 */
export const spelling = (closed: Iterable<string>, ordinary: Iterable<string>): Spelling => {
  const words = [...new Set(closed)].filter((word) => word.length >= SHORTEST && /^[a-z]+$/.test(word));
  const known = new Set([...words, ...ordinary]);
  const byPiece = new Map<string, string[]>();
  for (const word of words)
    for (const piece of new Set([word, ...withoutOne(word)]))
      byPiece.set(piece, [...(byPiece.get(piece) ?? []), word]);
  const kept = new Map<string, string | null>();
  const find = (word: string): string | null => {
    if (word.length < SHORTEST || word.length > 20 || known.has(word) || !/^[a-z]+$/.test(word)) return null;
    if (word.endsWith('s') && known.has(word.slice(0, -1))) return null;
    const near = new Set([word, ...withoutOne(word)].flatMap((piece) => byPiece.get(piece) ?? []));
    const fits = [...near].filter(
      (other) =>
        distance(word, other).steps === 1 &&
        other.startsWith(word.charAt(0)) &&
        !inflected(word, other) &&
        (other.length > SHORT ||
          swapped(word, other) ||
          other.length === word.length + 1 ||
          vowelOnly(word, other)),
    );
    const best = fits.some((other) => swapped(word, other))
      ? fits.filter((other) => swapped(word, other))
      : fits;
    return best.length === 1 ? (best[0] ?? null) : null;
  };
  return {
    correct(word) {
      const before = kept.get(word);
      if (before !== undefined) return before;
      const found = find(word);
      // A pasted report has endless words; those of speech are few.
      if (kept.size < 20000) kept.set(word, found);
      return found;
    },
  };
};

/** Tokens with one slip in a closed word forgiven; `text` keeps what was written. */
export const corrected = (tokens: readonly Token[], spelling: Spelling): Token[] =>
  tokens.map((token) => {
    const meant = token.kind === 'word' ? spelling.correct(token.norm) : null;
    return meant === null ? token : { ...token, norm: meant };
  });

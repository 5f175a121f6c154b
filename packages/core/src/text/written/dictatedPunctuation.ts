import type { Rewriter } from './rewriter.ts';

const MARKS: ReadonlyArray<readonly [RegExp, string]> = [
  [/\s*\bcomma\b/gi, ','],
  [/\s*\bfull stop\b/gi, '.'],
  [/\s*\bquestion mark\b/gi, '?'],
  [/\s*\bnew para ?graph\b/gi, '.\n'],
  [/\s*\bnew line\b/gi, '\n'],
];
/** A word of its own in other speech; a mark only in a text that dictates others. */
const PERIOD: readonly [RegExp, string] = [/\s*\bperiod\b/gi, '.'];

/** Finds punctuation that was dictated: "comma", "full stop", "new paragraph". */
export const dictatedPunctuation: Rewriter = (text) => {
  if (!/\b(?:comma|full stop|question mark|new para|new line)/i.test(text)) return [];
  return [...MARKS, PERIOD]
    .flatMap(([said, written]) =>
      [...text.matchAll(said)].map((match) => ({
        start: match.index,
        end: match.index + match[0].length,
        written,
      })),
    )
    .sort((a, b) => a.start - b.start);
};

/** What a customer says is shorter than this; the rest of a text with more words is not speech. */
export const MOST_WORDS = 4000;
/** No word of any language or code is longer. */
const LONGEST_WORD = 200;

/** The text up to where it holds as many words as are read as speech. */
export const spokenPart = (text: string): { speech: string; cut: boolean } => {
  let words = 0;
  for (const match of text.matchAll(/[\p{L}\d]+|[^\s\p{L}\d\u0001]/gu)) {
    if (match[0].length > LONGEST_WORD) return { speech: text.slice(0, match.index), cut: true };
    if (++words > MOST_WORDS) return { speech: text.slice(0, match.index), cut: true };
  }
  return { speech: text, cut: false };
};

/** The text with spans taken out; everything else stays where it was. */
export const blank = (
  text: string,
  spans: ReadonlyArray<{ start: number; end: number }>,
  mark = '\u0001',
): string => {
  let out = '';
  let at = 0;
  for (const span of [...spans].sort((a, b) => a.start - b.start)) {
    const start = Math.max(at, span.start);
    if (span.end <= start) continue;
    // A mark that is no word keeps what stood on both sides of a code from running together.
    out += text.slice(at, start) + mark.padEnd(span.end - start, ' ');
    at = span.end;
  }
  return out + text.slice(at);
};

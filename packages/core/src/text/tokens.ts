/** A word, number or mark of the text, with where it stands. `norm` is lower case without accents or apostrophes. */
export interface Token {
  readonly text: string;
  readonly norm: string;
  readonly start: number;
  readonly end: number;
  readonly kind: 'word' | 'mark' | 'newline';
}

/**
 * One alternative a token may be: initials written with slashes or dots (n/s/f, L/H, o.s.r.), words with inner
 * apostrophes and digits (driver's, 2nd, C0A31), a line end, or a single mark.
 */
const PIECES =
  /(?<initials>(?<![\p{L}\d/.])\p{L}(?:[/.]\p{L})+(?![\p{L}\d])\.?|(?<![\p{L}\d/.])\p{L}{1,2}\/\p{L}{1,2}(?![\p{L}\d/]))|(?<word>[\p{L}\d]+(?:['\u2019\u02BC`\u00B4][\p{L}]+|(?<=\d)[.,](?=\d)\d+)*)|(?<newline>(?:\r\n|\n|\r)(?:[ \t]*(?:\r\n|\n|\r))*)|(?<mark>[^\s\p{L}\d])/gu;

const PLAIN = /^[a-z0-9]+$/;
const ASCII = /^[A-Za-z0-9]+$/;

const plain = (text: string): string => {
  if (PLAIN.test(text)) return text;
  if (ASCII.test(text)) return text.toLowerCase();
  return text
    .normalize('NFD')
    .replace(/[\u0300-\u036f'\u2019\u02BC`\u00B4]/g, '')
    .toLowerCase();
};

/** Splits text into tokens. A hyphen between letters joins nothing and is dropped: `right-hand` is two words. */
export const tokenise = (text: string): Token[] => {
  const tokens: Token[] = [];
  for (const match of text.matchAll(PIECES)) {
    const start = match.index;
    const end = start + match[0].length;
    const { initials, word, newline, mark } = match.groups ?? {};
    if (mark === '-' && /[\p{L}\d]/u.test(text[start - 1] ?? '') && /[\p{L}\d]/u.test(text[end] ?? ''))
      continue;
    if (mark && /['\u2019\u02BC`\u00B4"\u201C\u201D]/.test(mark)) continue;
    const norm = initials ? plain(initials).replace(/[/.]/g, '') : plain(word ?? mark ?? '\n');
    tokens.push({ text: match[0], norm, start, end, kind: newline ? 'newline' : mark ? 'mark' : 'word' });
  }
  return tokens;
};

import { tokenise, type Token } from '../text/tokens.ts';

/** The text being read, its tokens, and which of them a reader has understood. */
export interface SourceText {
  readonly text: string;
  readonly tokens: readonly Token[];
  /** Marks tokens from..to (exclusive) as understood. */
  take(from: number, to: number): void;
  /** Marks the tokens that touch a character range as understood. */
  takeRange(start: number, end: number): void;
  taken(index: number): boolean;
  /** The first token that ends after a character position. */
  indexAt(position: number): number;
  /** The words between two tokens as written. */
  words(from: number, to: number): string;
}

export const sourceText = (text: string): SourceText => {
  const tokens = tokenise(text);
  const used = new Uint8Array(tokens.length);
  const firstEndingAfter = (position: number): number => {
    let low = 0;
    let high = tokens.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((tokens[middle]?.end ?? 0) <= position) low = middle + 1;
      else high = middle;
    }
    return low;
  };
  return {
    text,
    tokens,
    take: (from, to) => void used.fill(1, from, to),
    takeRange(start, end) {
      for (let i = firstEndingAfter(start); i < tokens.length && (tokens[i]?.start ?? end) < end; i++)
        used[i] = 1;
    },
    indexAt: firstEndingAfter,
    taken: (index) => used[index] === 1,
    words: (from, to) => text.slice(tokens[from]?.start ?? 0, tokens[to - 1]?.end ?? 0),
  };
};

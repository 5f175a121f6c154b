/** What is drawn beside a word: a part, what a look finds, or a lamp. */
export type GlossaryDrawing =
  | { readonly as: 'part'; readonly part: string }
  | { readonly as: 'look'; readonly check: string; readonly result: string }
  | { readonly as: 'lamp'; readonly lit: boolean }
  | { readonly as: 'sketch'; readonly of: string };

/** A word of the trade, in three lines. */
export interface GlossaryEntry {
  readonly term: string;
  /** Other words for it, as they stand on screens or are said. */
  readonly also: readonly string[];
  readonly kind: 'lamp' | 'reader' | 'code' | 'part' | 'tool' | 'word';
  readonly lines: readonly [string, string, string];
  readonly drawing: GlossaryDrawing;
}

export const look = (check: string, result: string): GlossaryDrawing => ({ as: 'look', check, result });
export const sketch = (of: string): GlossaryDrawing => ({ as: 'sketch', of });
export const part = (name: string): GlossaryDrawing => ({ as: 'part', part: name });

/** A span of a text and what is written in its place. */
export interface Rewrite {
  readonly start: number;
  readonly end: number;
  readonly written: string;
}

/** Finds what a text says in spoken form; the spans are in order and do not overlap. */
export type Rewriter = (text: string) => Rewrite[];

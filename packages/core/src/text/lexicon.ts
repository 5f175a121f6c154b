import type { Token } from './tokens.ts';

/** One line of a lexicon: the words, and what they mean. Several spellings are separated by `|`. */
export type LexiconLine<M> = readonly [spellings: string, meaning: M];

interface Node<M> {
  meaning?: M;
  readonly next: Map<string, Node<M>>;
}

/** A hit of a lexicon in a token stream: tokens `from` to `to` (exclusive). */
export interface Hit<M> {
  readonly from: number;
  readonly to: number;
  readonly meaning: M;
}

/** Phrases to meanings, matched over tokens, longest first. */
export interface Lexicon<M> {
  /** The longest phrase that starts at token `at`, or null. */
  at(tokens: readonly Token[], at: number): Hit<M> | null;
  /** Every hit from left to right, none overlapping. */
  all(tokens: readonly Token[]): Hit<M>[];
}

/** Builds a lexicon from its lines. Adding a synonym is one more `|` in a line. */
export const lexicon = <M>(lines: readonly LexiconLine<M>[]): Lexicon<M> => {
  const root: Node<M> = { next: new Map() };
  for (const [spellings, meaning] of lines)
    for (const spelling of spellings.split('|')) {
      let node = root;
      for (const word of spelling.trim().split(/\s+/)) {
        let next = node.next.get(word);
        if (!next) node.next.set(word, (next = { next: new Map() }));
        node = next;
      }
      node.meaning = meaning;
    }
  const at = (tokens: readonly Token[], from: number): Hit<M> | null => {
    let node: Node<M> | undefined = root;
    let best: Hit<M> | null = null;
    for (let i = from; i < tokens.length; i++) {
      const token = tokens[i];
      node = token && node.next.get(token.norm);
      if (!node) break;
      if (node.meaning !== undefined) best = { from, to: i + 1, meaning: node.meaning };
    }
    return best;
  };
  return {
    at,
    all(tokens) {
      const hits: Hit<M>[] = [];
      for (let i = 0; i < tokens.length;) {
        const hit = at(tokens, i);
        if (hit) hits.push(hit);
        i = hit ? hit.to : i + 1;
      }
      return hits;
    },
  };
};

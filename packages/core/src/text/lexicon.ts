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
  /** Every single word its phrases are made of. */
  readonly words: ReadonlySet<string>;
}

const NONE: ReadonlySet<string> = new Set();

/**
 * Builds a lexicon from its lines. Adding a synonym is one more `|` in a line.
 * @param skips small words that may stand inside a phrase of several words: `pedal soft` is found in "pedal is very soft"
 */
export const lexicon = <M>(
  lines: readonly LexiconLine<M>[],
  skips: ReadonlySet<string> = NONE,
): Lexicon<M> => {
  const root: Node<M> = { next: new Map() };
  const words = new Set<string>();
  for (const [spellings, meaning] of lines)
    for (const spelling of spellings.split('|')) {
      let node = root;
      for (const word of spelling.trim().split(/\s+/)) {
        words.add(word);
        let next = node.next.get(word);
        if (!next) node.next.set(word, (next = { next: new Map() }));
        node = next;
      }
      node.meaning = meaning;
    }
  // Both ways are tried at a small word: it may be part of the phrase, or stand inside one that does not have it.
  const longest = (tokens: readonly Token[], from: number, i: number, node: Node<M>): Hit<M> | null => {
    const best: Hit<M> | null = node.meaning === undefined ? null : { from, to: i, meaning: node.meaning };
    const token = tokens[i];
    if (!token) return best;
    const next = node.next.get(token.norm);
    const taken = next ? longest(tokens, from, i + 1, next) : null;
    const skipped = i > from && skips.has(token.norm) ? longest(tokens, from, i + 1, node) : null;
    const further = skipped && skipped.to > i + 1 && (!taken || skipped.to > taken.to) ? skipped : taken;
    return further && further.to > (best?.to ?? 0) ? further : best;
  };
  const at = (tokens: readonly Token[], from: number): Hit<M> | null => longest(tokens, from, from, root);
  return {
    words,
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

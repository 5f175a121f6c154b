import { CLOSED, ORDINARY } from '../../text/closedWords.ts';
import { lexicon, type Hit } from '../../text/lexicon.ts';
import { spelling } from '../../text/spelling.ts';
import { stem } from '../../text/stem.ts';
import type { Token } from '../../text/tokens.ts';
import { FELT, FLUID, LAMPS, LAMP_THINGS } from './complaints.ts';
import { DEEDS } from './deeds.ts';
import { FEELS } from './feels.ts';
import type { Item } from './item.ts';
import { LIVE } from './live.ts';
import { LOOKS } from './looks.ts';
import { THINGS } from './things.ts';
import { TONE } from './tone.ts';
import { WANTS } from './wants.ts';

/** Small words that may stand inside a phrase: `speedo dead`, "the speedo is now completely dead". */
const SMALL_INSIDE = new Set(
  'is are was were the a an has been have had very really quite now completely all totally just still'.split(
    ' ',
  ),
);

const LINES = [
  ...TONE,
  ...DEEDS,
  ...LIVE,
  ...LOOKS,
  ...FEELS,
  ...FLUID,
  ...LAMP_THINGS,
  ...LAMPS,
  ...FELT,
  ...THINGS,
  ...WANTS,
];

const EXACT = lexicon<Item>(LINES, SMALL_INSIDE);
const STEMS = lexicon<Item>(
  LINES.map(([spellings, meaning]) => [
    spellings
      .split('|')
      .map((spelling) => spelling.trim().split(/\s+/).map(stem).join(' '))
      .join('|'),
    meaning,
  ]),
  SMALL_INSIDE,
);

/**
 * Every word and phrase the reader knows. Where two lines have the same words, the later one says what they mean. A
 * phrase is found word for word, else in other endings of its words: `dropping out` where `drops out` is written.
 */
export const HEARD_WORDS = {
  words: EXACT.words,
  all(tokens: readonly Token[]): Array<Hit<Item>> {
    const stems = tokens.map((token) =>
      token.kind === 'word' ? { ...token, norm: stem(token.norm) } : token,
    );
    const hits: Array<Hit<Item>> = [];
    for (let i = 0; i < tokens.length;) {
      const exact = EXACT.at(tokens, i);
      const other = STEMS.at(stems, i);
      const hit = other && (!exact || other.to > exact.to) ? other : exact;
      if (hit) hits.push(hit);
      i = hit ? hit.to : i + 1;
    }
    return hits;
  },
};

/** The same, word for word: what takes a word of place away must be said exactly so. */
export const HEARD_EXACTLY = lexicon<Item>(LINES);

/** Spelling within the reader's closed words; a word it knows is never a misspelt other one. */
export const READER_SPELLING = spelling(CLOSED, [...ORDINARY, ...EXACT.words]);

import { lexicon } from '../../text/lexicon.ts';
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

/** Every word and phrase the reader knows. Where two lines have the same words, the later one says what they mean. */
export const HEARD_WORDS = lexicon<Item>(LINES, SMALL_INSIDE);

/** The same, word for word: what takes a word of place away must be said exactly so. */
export const HEARD_EXACTLY = lexicon<Item>(LINES);

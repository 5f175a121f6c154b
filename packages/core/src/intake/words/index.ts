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

/** Every word and phrase the reader knows. Where two lines have the same words, the later one says what they mean. */
export const HEARD_WORDS = lexicon<Item>([
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
]);

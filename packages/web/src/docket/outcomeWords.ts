import type { GOT_OUT, KNOWN_BY, OutcomeResult } from '@hardy/core/words';

/* What came of a sale, as one says it. */

export const RESULT_IN_WORDS: Readonly<Record<OutcomeResult, string>> = {
  cured: 'Cured',
  partly: 'Partly cured',
  'not-cured': 'Not cured',
  'came-back': 'Came back',
  'wrong-part': 'Wrong part',
  'returned-unused': 'Returned unopened',
  'returned-opened': 'Returned opened',
  'never-heard': 'Never heard',
};

export const KNOWN_IN_WORDS: Readonly<Record<(typeof KNOWN_BY)[number], string>> = {
  seen: 'seen',
  metered: 'metered',
  swapped: 'swapped over',
  cured: 'by the cure alone',
};

export const GOT_OUT_IN_WORDS: Readonly<Record<(typeof GOT_OUT)[number], string>> = {
  picked: 'picked out',
  drilled: 'drilled out',
  'knuckle-off': 'knuckle off',
};

/** What came of it, within a sentence; of an outcome this page does not know, that it is closed. */
export const resultInWords = (result: string | null): string =>
  (Object.entries(RESULT_IN_WORDS).find(([name]) => name === result)?.[1] ?? 'Closed').toLowerCase();

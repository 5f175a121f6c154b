import { lexicon } from './lexicon.ts';
import type { Token } from './tokens.ts';

/** Words with which people take back what they just said. */
const TAKES_BACK = lexicon<'between' | 'after'>([
  [
    'no wait|wait no|no sorry|sorry no|sorry|i mean|i meant|scratch that|strike that|correction|hang on|hold on|no actually|actually no|actually|make that|no make that|or rather|rather|no its|no it is|no hang on|no i mean|wait|my mistake|i tell a lie|tell a lie|should have been|it should have been|should be|it should be|let me correct that|wrong',
    'between',
  ],
]);
const POLITE = lexicon<true>([
  [
    'sorry to|sorry about|sorry for|so sorry|hang on to|rather than|would rather|should be ok|should be fine|should be able|should be a|should be the|wait for|wait until|wait till|to wait|cant wait|wrong part|wrong one|wrong size|the wrong|wrong with|should be in|should be here|should be ready|actually reads|it actually|is actually|should be done|should be changed|should be replaced|should be an',
    true,
  ],
]);
/** `I said left before`: what follows is taken back by the place after it. */
const SAID_BEFORE = lexicon<true>([
  [
    'i said|i told you|told you|we said|he said before|i thought|we thought|thought it was|i wrote|i had said',
    true,
  ],
]);

/** A place in the text where something said before is replaced by what comes after. */
export interface Correction {
  readonly from: number;
  readonly to: number;
  /** `said`: the thing right after the words is taken back, by the next of its kind. */
  readonly kind: 'between' | 'said';
}

/** Every correction of a text, from left to right. */
export const correctionsIn = (tokens: readonly Token[]): Correction[] => {
  const out: Correction[] = [];
  for (let i = 0; i < tokens.length;) {
    const polite = POLITE.at(tokens, i);
    const back = TAKES_BACK.at(tokens, i);
    if (polite && polite.to >= (back?.to ?? 0)) {
      i = polite.to;
      continue;
    }
    const said = SAID_BEFORE.at(tokens, i);
    // "left front? no, right front"
    const no =
      tokens[i]?.norm === 'no' && /^[?,]$/.test(tokens[i - 1]?.norm ?? '') && tokens[i + 1]?.norm === ',';
    if (no && !back) out.push({ from: i, to: i + 2, kind: 'between' });
    if (back) out.push({ from: back.from, to: back.to, kind: 'between' });
    else if (said) out.push({ from: said.from, to: said.to, kind: 'said' });
    i = Math.max(i + 1, back?.to ?? 0, said?.to ?? 0);
  }
  return out;
};

/** Words that may stand between a correction and what replaces. */
const REACH = 8;
/** So many things before a correction are looked at. */
const NEAREST = 8;

/**
 * Which things are taken back: each correction strikes the last thing of a kind before it that is near, where another of
 * that kind follows near. `things` are spans of one kind in the order of the text; gives indexes into them.
 */
export const struckBy = (
  corrections: readonly Correction[],
  things: ReadonlyArray<{ readonly from: number; readonly to: number }>,
  reach = REACH,
): Set<number> => {
  const struck = new Set<number>();
  let k = 0;
  for (const { from, to, kind } of corrections) {
    while (k < things.length && (things[k]?.from ?? 0) < to) k++;
    const after = things[k];
    if (!after || after.from > to + reach) continue;
    if (kind === 'said') {
      const next = things[k + 1];
      if (next && next.from <= after.to + REACH * 2) struck.add(k);
      continue;
    }
    for (let before = k - 1; before >= 0 && before > k - NEAREST; before--) {
      const thing = things[before];
      if (!thing || thing.to > from || struck.has(before)) continue;
      if (from - thing.to <= REACH * 2) struck.add(before);
      break;
    }
  }
  return struck;
};

import { lexicon } from '../text/lexicon.ts';
import type { Token } from '../text/tokens.ts';
import { acrossFrom, axleOf, sideOf, wheelEndAt } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import type { Phrase } from './phrase.ts';
import type { Span } from './roles.ts';

export type Relation = 'across' | 'diagonal' | 'behind' | 'ahead';

/** Words that place a wheel by another one. The reference itself is never the answer. */
const RELATIONS = lexicon<Relation>([
  [
    'opposite|opposite one|opposite side|opposite wheel|opposite number|opposite corner|other side|other one|other wheel|other corner|other end of the axle|neighbour|neighbor|neighbour across the axle|neighbour on the axle|one across|across from|one across from|across the axle|one on the other side|one across the axle|its opposite number|twin|its twin',
    'across',
  ],
  [
    'diagonal|diagonally|diagonal one|diagonally across|diagonally opposite|diagonally opposite one|one diagonal|one diagonally across|one diagonally opposite|diagonal wheel|diagonal corner|diagonal opposite|kitty corner',
    'diagonal',
  ],
  ['behind|one behind|wheel behind|directly behind', 'behind'],
  ['in front of|one in front of|wheel in front of|ahead of|one ahead of|directly in front of', 'ahead'],
]);

/** `the opposite of what he said`, `other one of my vans`: talk, not a wheel. */
const NO_RELATION = lexicon<true>([
  [
    'opposite of what|other side of town|other side of the road|the opposite end|other side of the island',
    true,
  ],
]);

/** A wheel named by another: the words, the kind, and the phrase they lean on (null: the place said last). */
export interface RelatedPlace extends Span {
  readonly relation: Relation;
  /** Index into the phrases of the reference said with it, or null. */
  readonly reference: number | null;
}

/** A person who lives next door: "my neighbour", "neighbour reckons". */
const isPerson = (tokens: readonly Token[], i: number): boolean =>
  /^neighbou?r$/.test(tokens[i]?.norm ?? '') &&
  (/^(my|his|her|our|your|a|old)$/.test(tokens[i - 1]?.norm ?? '') ||
    /^(reckons?|says?|said|thinks?|thought|told|swears?|is|who|heard|had|has|came|looked)$/.test(
      tokens[i + 1]?.norm ?? '',
    ));

const BETWEEN = /^(from|of|to|the|it|that|this|one|wheel|side|is|a)$/;

/** Finds places told by another place: `diagonal from the front right`, `the opposite side`, `the one behind it`. */
export const relationsIn = (
  tokens: readonly Token[],
  phrases: readonly Phrase[],
  taken: readonly Span[] = [],
): RelatedPlace[] => {
  const starts = new Map(phrases.map((phrase, i) => [phrase.from, i]));
  const inside = new Set(
    [...phrases, ...taken].flatMap((p) => Array.from({ length: p.to - p.from }, (_, k) => p.from + k)),
  );
  const out: RelatedPlace[] = [];
  for (let i = 0; i < tokens.length;) {
    const hit = inside.has(i) ? null : RELATIONS.at(tokens, i);
    if (!hit || NO_RELATION.at(tokens, i) || isPerson(tokens, i)) {
      i++;
      continue;
    }
    let to = hit.to;
    let reference: number | null = null;
    let leans = false;
    while (to < tokens.length && to < hit.to + 5) {
      const at = starts.get(to);
      if (at !== undefined) {
        const joined = tokens.slice(hit.to, to).some((t) => /^(from|of|to)$/.test(t.norm));
        const direct = /^(opposite|across)$/.test(tokens[hit.to - 1]?.norm ?? '');
        if (joined || direct || hit.meaning === 'behind' || hit.meaning === 'ahead') {
          reference = at;
          to = phrases[at]?.to ?? to;
        }
        break;
      }
      if (!BETWEEN.test(tokens[to]?.norm ?? '')) break;
      if (/^(it|that|this)$/.test(tokens[to]?.norm ?? '')) {
        leans = true;
        to++;
        break;
      }
      to++;
    }
    // `behind the liner`, `in front of the shop` are no wheels.
    const stands = reference !== null || leans || (hit.meaning !== 'behind' && hit.meaning !== 'ahead');
    if (reference === null && !leans) to = hit.to;
    if (stands) {
      out.push({ from: i, to, relation: hit.meaning, reference });
      i = to;
    } else i = hit.to;
  }
  return out;
};

/** The wheel that stands so to another, or null where there is none: behind the last axle, across from a sender. */
export const relatedWheel = (relation: Relation, from: WheelEnd, axles: number | null): WheelEnd | null => {
  const side = sideOf(from);
  if (side === null) return null;
  const axle = axleOf(from);
  switch (relation) {
    case 'across':
      return acrossFrom(from);
    case 'diagonal':
      // Only two axles have a diagonal that is one wheel.
      return (axles ?? 2) === 2 ? acrossFrom(wheelEndAt(axle === 1 ? 2 : 1, side)) : null;
    case 'behind':
      return axle < (axles ?? 2) ? wheelEndAt(axle + 1, side) : null;
    case 'ahead':
      return axle > 1 ? wheelEndAt(axle - 1, side) : null;
  }
};

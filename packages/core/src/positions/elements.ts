import type { Token } from '../text/tokens.ts';
import { between, canJoin, type Phrase } from './phrase.ts';
import { FILLERS, NOT_A_POSITION, POSITION_LEXICON } from './positionLexicon.ts';
import type { Span } from './roles.ts';

/** "Right, what do you want": a word to begin with, not a side. */
const saysRightThen = (tokens: readonly Token[], i: number): boolean =>
  tokens[i]?.norm === 'right' &&
  (i === 0 || /^[.;!?\n]$/.test(tokens[i - 1]?.norm ?? '')) &&
  (tokens[i + 1]?.norm === ',' || tokens[i + 1]?.norm === 'then') &&
  !POSITION_LEXICON.at(tokens, i + 2);

/** Every element of the text as a phrase of its own; what is no position and what is taken is passed over. */
export const elementsOf = (tokens: readonly Token[], taken: readonly Span[]): Phrase[] => {
  const phrases: Phrase[] = [];
  for (let i = 0; i < tokens.length;) {
    const inside = taken.find((span) => i >= span.from && i < span.to);
    if (inside) {
      i = inside.to;
      continue;
    }
    const direct = /^a[1-9][lrc]$/.test(tokens[i]?.norm ?? '') ? (tokens[i]?.norm ?? '').toUpperCase() : null;
    const hit = direct ? null : POSITION_LEXICON.at(tokens, i);
    const no = direct ? null : NOT_A_POSITION.at(tokens, i);
    // "front left not right" denies a side; "something is not right" says nothing of one.
    const deniesSide = tokens[i]?.norm === 'not' && phrases.at(-1)?.to === i;
    const opensTalk = !direct && saysRightThen(tokens, i);
    if (opensTalk || (no && !deniesSide && no.to >= (hit?.to ?? 0))) {
      i = no?.to ?? i + 1;
      continue;
    }
    if (direct || hit) {
      const m = hit?.meaning ?? {};
      phrases.push({
        from: i,
        to: hit?.to ?? i + 1,
        direct,
        axle: m.axle ?? null,
        side: m.side ?? null,
        both: m.both ?? false,
        all: m.all ?? false,
        centre: m.centre ?? false,
        plural: m.plural ?? false,
        weak: m.weak ?? false,
      });
    }
    i = hit?.to ?? i + 1;
  }
  return phrases;
};

/** `back` is a place after an article or preposition, unless it is a verb's. */
export const standsAsPlace = (tokens: readonly Token[], p: Span): boolean =>
  /^(the|at|on|rear)$/.test(tokens[p.from - 1]?.norm ?? '') ||
  /^(left|right|wheel|wheels|axle|one)$/.test(tokens[p.to]?.norm ?? '');

/** A weak word counts beside a strong element that lacks what it gives: `front r`, `passenger rear`. */
export const loneNeighbour = (tokens: readonly Token[], phrases: readonly Phrase[], i: number): boolean => {
  const me = phrases[i] as Phrase;
  if (
    me.axle === null &&
    me.side !== null &&
    /^(wheel|side|wheels)$/.test(tokens[me.to]?.norm ?? '') &&
    me.side !== 'left' &&
    me.side !== 'right'
  )
    return true;
  return [phrases[i - 1], phrases[i + 1]].some((other) => {
    if (!other || !canJoin(other, me)) return false;
    // Two weak words make a place only as words side by side: `back passenger`, not `back` somewhere near `r`.
    const side = other.from < me.from ? other.to === me.from : me.to === other.from;
    const word = (p: Phrase) => (tokens[p.from]?.norm.length ?? 0) > 2;
    if (other.weak && !(side && word(other) && word(me))) return false;
    const words = other.from < me.from ? between(tokens, other, me) : between(tokens, me, other);
    return words.length <= 2 && words.every((word) => FILLERS.has(word) || word === ',');
  });
};

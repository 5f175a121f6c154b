import { axleOf } from '../vocabulary/wheelEndWords.ts';
import type { Correction } from '../text/corrections.ts';
import type { Token } from '../text/tokens.ts';
import { chooseAmong } from './choices.ts';
import { elementsOf, loneNeighbour, standsAsPlace } from './elements.ts';
import type { Frame } from './frames.ts';
import { linkBetween, restates } from './links.ts';
import { between, canJoin, complete, joinWhere, type Phrase } from './phrase.ts';
import { FILLERS, TIGHT } from './positionLexicon.ts';

/** What `both` may be said of when it means the two wheels of an axle. */
const PAIRED =
  /^(rings|plugs|sensors|hubs|bearings|tips|leads|wheels|tyres|connectors|looms|read|growl|rock|wobble|hum)$/;

/** Elements put together into phrases, as far as their words go. */
export const phrasesOf = (tokens: readonly Token[], frames: readonly Frame[]): Phrase[] => {
  let phrases = elementsOf(tokens, frames);
  phrases = joinWhere(phrases, (a, b, next) => {
    // "both front left" is said of two things at one wheel.
    const sided = a.both && next?.side != null && next.from === b.to;
    return !sided && between(tokens, a, b).every((word) => TIGHT.has(word));
  });
  phrases = phrases.flatMap((p, i, all) =>
    !p.weak || (p.axle === 'rear' && standsAsPlace(tokens, p)) || loneNeighbour(tokens, all, i)
      ? [{ ...p, weak: false }]
      : [],
  );
  phrases = joinWhere(phrases, (a, b, next) => {
    const words = between(tokens, a, b, frames);
    if (words.length > 6 || words.some((word) => !FILLERS.has(word) && word !== ',')) return false;
    const tight =
      next && !complete(b) && canJoin(b, next) && between(tokens, b, next).every((word) => FILLERS.has(word));
    return !(tight && words.includes(','));
  });
  const axles = new Set<NonNullable<Phrase['axle']>>();
  return chooseAmong(
    tokens,
    phrases.flatMap((p) => {
      if (p.axle !== null) axles.add(p.axle);
      if (!(p.both && p.axle === null && p.side === null && !p.all)) return [p];
      // "both rings rusty" after two places of one axle are that axle's.
      const [axle] = axles;
      return axles.size === 1 && axle !== undefined && PAIRED.test(tokens[p.to]?.norm ?? '')
        ? [{ ...p, axle, borrowed: true }]
        : [];
    }),
  );
};

export type Link = 'and' | 'or' | 'so' | 'not' | null;

/** How each phrase is tied to the one before. */
export const linksOf = (
  tokens: readonly Token[],
  phrases: readonly Phrase[],
  frames: readonly Frame[],
  corrections: readonly Correction[],
): Link[] => {
  let c = 0;
  const links = phrases.map((phrase, i): Link => {
    const last = phrases[i - 1];
    while (c < corrections.length && (corrections[c]?.from ?? 0) < (last?.to ?? 0)) c++;
    if (!last || (corrections[c]?.from ?? Infinity) < phrase.from) return null;
    const words = between(tokens, last, phrase, frames);
    return linkBetween(words) ?? (restates(last, phrase, words) ? 'so' : null);
  });
  // "front left, rear left and rear right": the commas of a list are the "and" at its end.
  for (let i = phrases.length - 2; i > 0; i--)
    if (
      links[i] === null &&
      (links[i + 1] === 'and' || links[i + 1] === 'or') &&
      between(tokens, phrases[i - 1] as Phrase, phrases[i] as Phrase).join() === ','
    )
      links[i] = links[i + 1] as Link;
  return links;
};

/** A side alone takes its axle from the place said before it in the same sentence: `left front 1150, the right 1480`. */
export const borrowAxles = (
  phrases: Phrase[],
  links: readonly Link[],
  sentences: readonly number[],
): void => {
  let last: Phrase | null = null;
  phrases.forEach((phrase, i) => {
    if (
      last &&
      phrase.axle === null &&
      phrase.side !== null &&
      !phrase.direct &&
      !phrase.all &&
      !phrase.centre &&
      links[i] !== 'so' &&
      sentences[last.from] === sentences[phrase.from]
    ) {
      phrase.axle = last.direct ? axleOf(last.direct) : last.axle;
      phrase.borrowed = true;
    }
    if ((phrase.axle !== null || phrase.direct) && !phrase.centre) last = phrase;
  });
};

/** `same side rear`: the side of the place before it; a side alone that is the same names nothing new. */
export const sameSides = (phrases: readonly Phrase[]): Phrase[] => {
  let last: Phrase['side'] = null;
  return phrases.flatMap((phrase) => {
    if (phrase.side !== 'same') {
      if (phrase.direct)
        last = phrase.direct.endsWith('L') ? 'left' : phrase.direct.endsWith('R') ? 'right' : last;
      else last = phrase.side ?? last;
      return [phrase];
    }
    if (phrase.axle === null) return [];
    return [{ ...phrase, side: last === 'both' ? null : last, carried: true }];
  });
};

/** `rear left, rear axle`: part of a whole place said again right behind it. */
export const withoutEchoes = (phrases: readonly Phrase[]): Phrase[] =>
  phrases.filter((phrase, i) => {
    const last = phrases[i - 1];
    const echo =
      last &&
      complete(last) &&
      !complete(phrase) &&
      !phrase.plural &&
      !phrase.oneOf &&
      phrase.from - last.to <= 1 &&
      (phrase.axle === null || phrase.axle === last.axle) &&
      (phrase.side === null || phrase.side === last.side) &&
      (phrase.axle !== null || phrase.side !== null);
    return !echo;
  });

/** Tokens that belong to a place or tie two of them together. */
export const joinedTokens = (phrases: readonly Phrase[], links: readonly Link[]): Set<number> => {
  const joined = new Set<number>();
  phrases.forEach((phrase, i) => {
    const last = phrases[i - 1];
    if (last && (links[i] === 'and' || links[i] === 'or'))
      for (let k = last.to; k < phrase.from; k++) joined.add(k);
    for (let k = phrase.from; k < phrase.to; k++) joined.add(k);
  });
  return joined;
};

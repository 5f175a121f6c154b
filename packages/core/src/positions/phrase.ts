import type { Token } from '../text/tokens.ts';
import type { AxleWord, SideWord } from './positionLexicon.ts';
import type { Span } from './roles.ts';

/** Words that say one place, as far as they go. */
export interface Phrase extends Span {
  axle: AxleWord | null;
  side: SideWord | null;
  direct: string | null;
  both: boolean;
  all: boolean;
  centre: boolean;
  plural: boolean;
  weak: boolean;
  /** One of several wheels, and nobody said which. */
  oneOf?: boolean;
  /** Its axle was said with the place before it: `front left fine, right cracked`. */
  borrowed?: boolean;
  carried?: boolean;
}

/** Whether axle and side are both said, or neither is needed. */
export const complete = (p: Phrase): boolean =>
  p.direct !== null || p.all || p.centre || (p.axle !== null && (p.side !== null || p.both));

/** Whether the second has what the first lacks, and nothing twice. */
export const canJoin = (a: Phrase, b: Phrase): boolean =>
  !a.direct &&
  !b.direct &&
  !a.all &&
  !b.all &&
  !complete(a) &&
  !(a.axle !== null && b.axle !== null) &&
  !(a.side !== null && b.side !== null) &&
  !(a.both && b.both) &&
  !(a.centre && b.centre);

/** Two phrases as one. */
const joinPhrases = (a: Phrase, b: Phrase): Phrase => ({
  from: a.from,
  to: b.to,
  axle: a.axle ?? b.axle,
  side: a.side ?? b.side,
  direct: null,
  both: a.both || b.both,
  all: a.all || b.all,
  centre: a.centre || b.centre,
  plural: a.plural || b.plural,
  // With both halves it is a place, however weak the words: `back passenger`.
  weak: a.weak && b.weak && !((a.axle ?? b.axle) !== null && (a.side ?? b.side) !== null),
  ...(a.oneOf || b.oneOf ? { oneOf: true } : {}),
});

/** Words between two phrases; those that only say where the speaker looks from do not count. */
export const between = (tokens: readonly Token[], a: Span, b: Span, frames: readonly Span[] = []): string[] =>
  tokens
    .slice(a.to, b.from)
    .filter((_, i) => !frames.some((frame) => a.to + i >= frame.from && a.to + i < frame.to))
    .map((token) => token.norm);

/** Joins neighbours where `may` allows it. */
export const joinWhere = (
  phrases: Phrase[],
  may: (a: Phrase, b: Phrase, next: Phrase | undefined) => boolean,
): Phrase[] => {
  const out: Phrase[] = [];
  for (let i = 0; i < phrases.length; i++) {
    const phrase = phrases[i] as Phrase;
    const last = out.at(-1);
    if (last && canJoin(last, phrase) && may(last, phrase, phrases[i + 1]))
      out[out.length - 1] = joinPhrases(last, phrase);
    else out.push(phrase);
  }
  return out;
};

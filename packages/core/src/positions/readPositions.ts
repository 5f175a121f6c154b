import type { PositionConflict, ReadPosition } from '../vocabulary/intakeReading.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { axleOf } from '../vocabulary/wheelEndWords.ts';
import { CLOSED_WORDS } from '../text/closedWords.ts';
import { correctionsIn, struckBy, type Correction } from '../text/corrections.ts';
import { corrected } from '../text/spelling.ts';
import { tokenise, type Token } from '../text/tokens.ts';
import { chooseAmong, takesOut } from './choices.ts';
import { elementsOf, loneNeighbour, standsAsPlace } from './elements.ts';
import { findConflicts } from './findConflicts.ts';
import { findFrames, type Frame } from './frames.ts';
import { lendMissingHalves, linkBetween, restates } from './links.ts';
import { between, canJoin, complete, joinWhere, type Phrase } from './phrase.ts';
import { placePhrase, type PositionContext } from './placePhrase.ts';
import { FILLERS, TIGHT } from './positionLexicon.ts';
import { relatedWheel, relationsIn, type RelatedPlace } from './relations.ts';
import { roleOf, saysReturned, type Role, type Span } from './roles.ts';

/** A position phrase with its place in the text, in characters and in tokens. */
export interface LocatedPosition extends ReadPosition {
  readonly start: number;
  readonly end: number;
  readonly from: number;
  readonly to: number;
  /** Taken back by the speaker: nothing stands there. */
  readonly struck?: boolean;
  /** Only named to say where another wheel is. */
  readonly reference?: boolean;
  /** One of these wheels, and nobody said which. */
  readonly oneOf?: boolean;
  /** The axle, where its side is not said. */
  readonly axle?: number;
  /** All wheels of the text but those it names. */
  readonly all?: boolean;
}

/** Nobody says longer sentences. */
const LONGEST_SENTENCE = 200;

/** Sentence number of each token. */
const sentencesOf = (tokens: readonly Token[]): number[] => {
  let n = 0;
  let began = 0;
  return tokens.map((token, i) => {
    if (/^[.;!?\n]$/.test(token.norm) || i - began >= LONGEST_SENTENCE) {
      began = i + 1;
      return n++;
    }
    return n;
  });
};

/** Whether left and right are mirrored at a phrase: by the nearest frame of its sentence. */
const frameFor = (
  sentences: readonly number[],
  frames: ReadonlyMap<number, readonly Frame[]>,
  phrase: Span,
): boolean => {
  const mine = frames.get(sentences[phrase.from] ?? -1) ?? [];
  if (mine.length === 0) return false;
  const distance = (frame: Frame) =>
    Math.min(Math.abs(frame.from - phrase.to), Math.abs(phrase.from - frame.to));
  return mine.reduce((best, frame) => (distance(frame) < distance(best) ? frame : best)).mirrored;
};

/** What `both` may be said of when it means the two wheels of an axle. */
const PAIRED =
  /^(rings|plugs|sensors|hubs|bearings|tips|leads|wheels|tyres|connectors|looms|read|growl|rock|wobble|hum)$/;

/** Elements put together into phrases, as far as their words go. */
const phrasesOf = (tokens: readonly Token[], frames: readonly Frame[]): Phrase[] => {
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

type Link = 'and' | 'or' | 'so' | 'not' | null;

/** How each phrase is tied to the one before. */
const linksOf = (
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
const borrowAxles = (phrases: Phrase[], links: readonly Link[], sentences: readonly number[]): void => {
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
const sameSides = (phrases: readonly Phrase[]): Phrase[] => {
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
const withoutEchoes = (phrases: readonly Phrase[]): Phrase[] =>
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

/** The axle of a place whose side is not said. */
const axleNumber = (phrase: Phrase, { axles, trailer }: PositionContext): { axle?: number } => {
  if (typeof phrase.axle === 'number') return { axle: phrase.axle };
  if (phrase.axle === 'front') return { axle: 1 };
  return phrase.axle === 'rear' && !trailer ? { axle: axles ?? 2 } : {};
};

/** Tokens that belong to a place or tie two of them together. */
const joinedTokens = (phrases: readonly Phrase[], links: readonly Link[]): Set<number> => {
  const joined = new Set<number>();
  phrases.forEach((phrase, i) => {
    const last = phrases[i - 1];
    if (last && (links[i] === 'and' || links[i] === 'or'))
      for (let k = last.to; k < phrase.from; k++) joined.add(k);
    for (let k = phrase.from; k < phrase.to; k++) joined.add(k);
  });
  return joined;
};

/** Adds the places that were told by another place, each where it stands. */
const withRelated = (
  located: readonly LocatedPosition[],
  related: readonly RelatedPlace[],
  context: PositionContext,
  locate: (span: Span) => Pick<LocatedPosition, 'text' | 'start' | 'end' | 'from' | 'to'>,
  sentenceOf: (token: number) => number,
  roleAt: (span: Span) => Role,
): LocatedPosition[] => {
  const all = [...located] as LocatedPosition[];
  const out: Array<LocatedPosition | null> = [];
  let next = 0;
  let last: WheelEnd | null = null;
  const follow = (position: LocatedPosition) => {
    if (position.wheelEnds.length === 1) last = position.wheelEnds[0] ?? null;
    else if (position.wheelEnds.length > 1) last = null;
    out.push(position);
  };
  for (const place of related) {
    while (next < all.length && (all[next]?.from ?? 0) < place.from) follow(all[next++] as LocatedPosition);
    const leans = place.reference === null ? null : all[place.reference];
    const ahead = last === null ? all[next] : undefined;
    const near =
      ahead && sentenceOf(ahead.from) === sentenceOf(place.from) && ahead.wheelEnds.length === 1
        ? (ahead.wheelEnds[0] ?? null)
        : null;
    const from = leans
      ? leans.wheelEnds.length === 1
        ? (leans.wheelEnds[0] ?? null)
        : null
      : (last ?? near);
    const end = from === null ? null : relatedWheel(place.relation, from, context.axles);
    if (leans) {
      all[place.reference as number] = { ...leans, role: 'denied', reference: true };
      while (next < all.length && (all[next]?.from ?? 0) < place.to) follow(all[next++] as LocatedPosition);
    }
    const role = roleAt(place);
    follow({
      ...locate(place),
      wheelEnds: end ? [end] : [],
      needs: end ? null : 'side',
      ...(role === 'corner' ? {} : { role }),
    });
  }
  while (next < all.length) follow(all[next++] as LocatedPosition);
  return out.filter((position): position is LocatedPosition => position !== null);
};

/** A half that another place of the text makes whole needs no question: "hum from the rear, I think the left". */
const withoutHalves = (positions: readonly LocatedPosition[]): LocatedPosition[] => {
  const axles = new Set(
    positions.filter((p) => !p.role).flatMap((p) => p.wheelEnds.map((end) => axleOf(end))),
  );
  return positions.filter(
    (p) => !(p.needs === 'side' && p.axle !== undefined && !p.role && axles.has(p.axle)),
  );
};

/**
 * Reads every position phrase of a text and places it on the vehicle, or says exactly what is missing.
 *
 * Method: words become elements (axle, side, both, centre); elements side by side bind first, then across a few
 * filler words where one has what the other lacks; phrases tied by "and", "or", "so" lend each other the missing
 * half, and a side alone takes the axle of its sentence; words about where the speaker looks from mirror left and
 * right; places told by another place are worked out from it; what was taken back is denied; clauses with "not" or
 * past work set the role.
 *
 * Example: `readPositions("not the front left, it's the rear", ...)` gives A1L denied, and a corner that needs a side.
 */
export const readPositions = (
  text: string,
  context: PositionContext,
  given?: readonly Token[],
): { positions: LocatedPosition[]; conflicts: PositionConflict[] } => {
  const tokens = given ?? corrected(tokenise(text), CLOSED_WORDS);
  const sentences = sentencesOf(tokens);
  const frames: Frame[] = findFrames(tokens);
  const framesIn = new Map<number, Frame[]>();
  for (const frame of frames) {
    const at = sentences[frame.from] ?? -1;
    framesIn.set(at, [...(framesIn.get(at) ?? []), frame]);
  }
  const corrections = correctionsIn(tokens);
  const phrases = withoutEchoes(sameSides(phrasesOf(tokens, frames)));
  const links = linksOf(tokens, phrases, frames, corrections);
  lendMissingHalves(phrases, links);
  borrowAxles(phrases, links, sentences);
  const joined = joinedTokens(phrases, links);
  const locate = (span: Span) => {
    const start = tokens[span.from]?.start ?? 0;
    const end = tokens[span.to - 1]?.end ?? start;
    return { text: text.slice(start, end), start, end, from: span.from, to: span.to };
  };
  const placed = phrases.map((phrase, i): LocatedPosition => {
    const role: Role = links[i] === 'not' ? 'denied' : roleOf(tokens, phrases, i, joined);
    const link = links[i] ?? null;
    const place = placePhrase(phrase, frameFor(sentences, framesIn, phrase), context);
    const following = phrases[i + 1];
    const out =
      phrase.all && following && takesOut(between(tokens, phrase, following))
        ? placePhrase(following, frameFor(sentences, framesIn, following), context).wheelEnds
        : [];
    return {
      ...locate(phrase),
      ...place,
      wheelEnds: place.wheelEnds.filter((end) => !out.includes(end)),
      ...(role === 'corner' ? {} : { role }),
      ...(place.needs === 'side' && !phrase.oneOf ? axleNumber(phrase, context) : {}),
      ...(phrase.oneOf ? { oneOf: true } : {}),
      ...(phrase.all ? { all: true } : {}),
      ...(phrase.borrowed || phrase.carried ? { carried: true } : {}),
      ...(link === null || link === 'not' ? {} : { joinedBy: link }),
    };
  });
  const related = withRelated(
    placed,
    relationsIn(tokens, phrases),
    context,
    locate,
    (token) => sentences[token] ?? 0,
    (span) => roleOf(tokens, [span], 0, joined),
  );
  const struck = struckBy(corrections, related);
  const positions = related.map((position, i): LocatedPosition => {
    if (!struck.has(i)) return position;
    const denied = { ...position, role: 'denied' as const, struck: true };
    // A half that was taken back is no question: nobody needs its other half.
    return { ...denied, needs: null };
  });
  const kept = withoutHalves(positions.filter((p) => !(p.struck && p.wheelEnds.length === 0)));
  const returned = saysReturned(tokens);
  if (returned && !kept.some((p) => !p.role)) {
    const past = kept.filter((p) => p.role === 'past');
    const last = past.at(-1);
    if (last && past.every((p) => p.wheelEnds.join() === last.wheelEnds.join()))
      past.forEach((p) => delete p.role);
  }
  return { positions: kept, conflicts: findConflicts(kept, context) };
};

import type { PositionConflict } from '../vocabulary/intakeReading.ts';
import { axleOf } from '../vocabulary/wheelEndWords.ts';
import { CLOSED_WORDS } from '../text/closedWords.ts';
import { correctionsIn, struckBy } from '../text/corrections.ts';
import { corrected } from '../text/spelling.ts';
import { tokenise, type Token } from '../text/tokens.ts';
import {
  borrowAxles,
  joinedTokens,
  linksOf,
  phrasesOf,
  sameSides,
  withoutEchoes,
} from './assemblePhrases.ts';
import { takesOut } from './choices.ts';
import { findConflicts } from './findConflicts.ts';
import { findFrames, type Frame } from './frames.ts';
import { lendMissingHalves } from './links.ts';
import type { LocatedPosition } from './locatedPosition.ts';
import { between, type Phrase } from './phrase.ts';
import { placePhrase, type PositionContext } from './placePhrase.ts';
import { withRelated } from './placeRelated.ts';
import { relationsIn } from './relations.ts';
import { roleOf, saysReturned, type Role, type Span } from './roles.ts';

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

/** The axle of a place whose side is not said. */
const axleNumber = (phrase: Phrase, { axles, trailer }: PositionContext): { axle?: number } => {
  if (typeof phrase.axle === 'number') return { axle: phrase.axle };
  if (phrase.axle === 'front') return { axle: 1 };
  return phrase.axle === 'rear' && !trailer ? { axle: axles ?? 2 } : {};
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
    const last = phrases[i - 1];
    const excepted = last?.all === true && takesOut(between(tokens, last, phrase));
    const link = links[i] ?? (excepted ? 'and' : null);
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
    relationsIn(tokens, phrases, frames),
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

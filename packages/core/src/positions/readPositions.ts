import type { PositionConflict, ReadPosition } from '../vocabulary/intakeReading.ts';
import { tokenise, type Token } from '../text/tokens.ts';
import { elementsOf, loneNeighbour, standsAsPlace } from './elements.ts';
import { findConflicts } from './findConflicts.ts';
import { findFrames, type Frame } from './frames.ts';
import { lendMissingHalves, linkBetween, restates } from './links.ts';
import { between, canJoin, complete, joinWhere, type Phrase } from './phrase.ts';
import { placePhrase, type PositionContext } from './placePhrase.ts';
import { FILLERS, TIGHT } from './positionLexicon.ts';
import { roleOf, saysReturned, type Role, type Span } from './roles.ts';

/** A position phrase with its place in the text. */
export interface LocatedPosition extends ReadPosition {
  readonly start: number;
  readonly end: number;
}

/** Whether left and right are mirrored at a phrase: by the nearest frame of its sentence. */
const frameFor = (tokens: readonly Token[], frames: readonly Frame[], phrase: Span): boolean => {
  const sentence = (i: number) => tokens.slice(0, i).filter((t) => /^[.;!?\n]$/.test(t.norm)).length;
  const mine = frames.filter((frame) => sentence(frame.from) === sentence(phrase.from));
  if (mine.length === 0) return false;
  const distance = (frame: Frame) =>
    Math.min(Math.abs(frame.from - phrase.to), Math.abs(phrase.from - frame.to));
  return mine.reduce((best, frame) => (distance(frame) < distance(best) ? frame : best)).mirrored;
};

/**
 * Reads every position phrase of a text and places it on the vehicle, or says exactly what is missing.
 *
 * Method: words become elements (axle, side, both, centre); elements side by side bind first, then across a few
 * filler words where one has what the other lacks; phrases tied by "and", "or", "so" lend each other the missing
 * half; words about where the speaker looks from mirror left and right; clauses with "not" or past work set the role.
 *
 * Example: `readPositions("not the front left, it's the rear", ...)` gives A1L denied, and a corner that needs a side.
 */
export const readPositions = (
  text: string,
  context: PositionContext,
  given?: readonly Token[],
): { positions: LocatedPosition[]; conflicts: PositionConflict[] } => {
  const tokens = given ?? tokenise(text);
  const frames: Frame[] = findFrames(tokens);
  let phrases = elementsOf(tokens, frames);
  phrases = joinWhere(phrases, (a, b) => between(tokens, a, b).every((word) => TIGHT.has(word)));
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
  phrases = phrases.filter((p) => !(p.both && p.axle === null && p.side === null && !p.all));

  const links = phrases.map((phrase, i) => {
    const last = phrases[i - 1];
    if (!last) return null;
    const words = between(tokens, last, phrase, frames);
    return linkBetween(words) ?? (restates(last, phrase, words) ? 'so' : null);
  });
  // "front left, rear left and rear right": the commas of a list are the "and" at its end.
  for (let i = phrases.length - 2; i > 0; i--)
    if (
      links[i] === null &&
      links[i + 1] === 'and' &&
      between(tokens, phrases[i - 1] as Phrase, phrases[i] as Phrase).join() === ','
    )
      links[i] = 'and';
  lendMissingHalves(phrases, links);

  const joined = new Set<number>();
  phrases.forEach((phrase, i) => {
    const last = phrases[i - 1];
    if (last && (links[i] === 'and' || links[i] === 'or'))
      for (let k = last.to; k < phrase.from; k++) joined.add(k);
    for (let k = phrase.from; k < phrase.to; k++) joined.add(k);
  });

  const positions: LocatedPosition[] = phrases.map((phrase, i) => {
    const mirrored = frameFor(tokens, frames, phrase);
    const role: Role = links[i] === 'not' ? 'denied' : roleOf(tokens, phrase, phrases, joined);
    const start = tokens[phrase.from]?.start ?? 0;
    const end = tokens[phrase.to - 1]?.end ?? start;
    const link = links[i] ?? null;
    return {
      text: text.slice(start, end),
      ...placePhrase(phrase, mirrored, context),
      ...(role === 'corner' ? {} : { role }),
      start,
      end,
      ...(link === null || link === 'not' ? {} : { joinedBy: link }),
    };
  });
  const returned = saysReturned(tokens);
  if (returned && !positions.some((p) => !p.role)) {
    const past = positions.filter((p) => p.role === 'past');
    const last = past.at(-1);
    if (last && past.every((p) => p.wheelEnds.join() === last.wheelEnds.join()))
      past.forEach((p) => delete p.role);
  }
  return { positions, conflicts: findConflicts(positions, context) };
};

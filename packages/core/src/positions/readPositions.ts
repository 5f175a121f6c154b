import { oppositeSide, wheelEndAt, wheelEndInWords } from '../vocabulary/wheelEndWords.ts';
import type { PositionConflict, ReadPosition } from '../vocabulary/intakeReading.ts';
import type { PositionNeed, Side } from '../vocabulary/words.ts';
import { tokenise, type Token } from '../text/tokens.ts';
import { findFrames, type Frame } from './frames.ts';
import {
  FILLERS,
  NOT_A_POSITION,
  POSITION_LEXICON,
  TIGHT,
  type AxleWord,
  type SideWord,
} from './positionLexicon.ts';
import { roleOf, saysReturned, type Role, type Span } from './roles.ts';

/** What is known of the vehicle that turns words into wheel ends. Null: not known. */
export interface PositionContext {
  readonly steeringSide: Side | null;
  readonly trafficSide: Side | null;
  readonly axles: number | null;
  readonly trailer: boolean;
}

interface Phrase extends Span {
  axle: AxleWord | null;
  side: SideWord | null;
  direct: string | null;
  both: boolean;
  all: boolean;
  centre: boolean;
  plural: boolean;
  weak: boolean;
}

/** A position phrase with its place in the text. */
export interface LocatedPosition extends ReadPosition {
  readonly start: number;
  readonly end: number;
}

const complete = (p: Phrase): boolean =>
  p.direct !== null || p.all || p.centre || (p.axle !== null && (p.side !== null || p.both));

const canJoin = (a: Phrase, b: Phrase): boolean =>
  !a.direct &&
  !b.direct &&
  !a.all &&
  !b.all &&
  !complete(a) &&
  !(a.axle !== null && b.axle !== null) &&
  !(a.side !== null && b.side !== null) &&
  !(a.both && b.both) &&
  !(a.centre && b.centre);

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
});

/** Words between two phrases; those that only say where the speaker looks from do not count. */
const between = (tokens: readonly Token[], a: Span, b: Span, frames: readonly Span[] = []): string[] =>
  tokens
    .slice(a.to, b.from)
    .filter((_, i) => !frames.some((frame) => a.to + i >= frame.from && a.to + i < frame.to))
    .map((token) => token.norm);

const joinWhere = (
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

/** "Right, what do you want": a word to begin with, not a side. */
const saysRightThen = (tokens: readonly Token[], i: number): boolean =>
  tokens[i]?.norm === 'right' &&
  (i === 0 || /^[.;!?\n]$/.test(tokens[i - 1]?.norm ?? '')) &&
  (tokens[i + 1]?.norm === ',' || tokens[i + 1]?.norm === 'then') &&
  !POSITION_LEXICON.at(tokens, i + 2);

const elementsOf = (tokens: readonly Token[], taken: readonly Span[]): Phrase[] => {
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

const resolve = (
  p: Phrase,
  mirrored: boolean,
  context: PositionContext,
): { wheelEnds: string[]; needs: PositionNeed | null } => {
  const missing = (needs: PositionNeed) => ({ wheelEnds: [], needs });
  if (p.direct) return { wheelEnds: [p.direct], needs: null };
  const axles = context.axles ?? (context.trailer ? null : 2);
  const sides = ['left', 'right'] as const;
  if (p.all) {
    if (axles === null) return missing('axle');
    return {
      wheelEnds: Array.from({ length: axles }, (_, i) => sides.map((s) => wheelEndAt(i + 1, s))).flat(),
      needs: null,
    };
  }
  let side: Side | 'both' | null = null;
  switch (p.side) {
    case 'left':
    case 'right':
      side = mirrored ? oppositeSide(p.side) : p.side;
      break;
    case 'driver':
    case 'passenger':
      if (!context.steeringSide) return missing('steeringSide');
      side = p.side === 'driver' ? context.steeringSide : oppositeSide(context.steeringSide);
      break;
    case 'near':
    case 'off':
      if (!context.trafficSide) return missing('trafficSide');
      side = p.side === 'near' ? context.trafficSide : oppositeSide(context.trafficSide);
      break;
    case 'both':
      side = 'both';
      break;
    case null:
      side = p.axle !== null && (p.both || p.plural) ? 'both' : null;
  }
  let axle: number | null = null;
  if (p.axle === 'front') axle = 1;
  else if (p.axle === 'rear' || (p.axle === null && p.centre)) axle = axles;
  else if (p.axle === 'middle') axle = axles === null || context.axles === null || axles === 3 ? 2 : null;
  else if (typeof p.axle === 'number')
    axle = context.axles === null || p.axle <= context.axles ? p.axle : null;
  if (p.centre)
    return axle === null ? missing('axle') : { wheelEnds: [wheelEndAt(axle, 'centre')], needs: null };
  if (axle === null) {
    if (p.axle === null && p.both && side !== null && side !== 'both' && axles === 2)
      return { wheelEnds: [wheelEndAt(1, side), wheelEndAt(2, side)], needs: null };
    return missing('axle');
  }
  if (side === null) return missing('side');
  return {
    wheelEnds: side === 'both' ? sides.map((s) => wheelEndAt(axle, s)) : [wheelEndAt(axle, side)],
    needs: null,
  };
};

const LINKS: Readonly<Record<string, 'and' | 'or' | 'so'>> = {
  and: 'and',
  '&': 'and',
  '+': 'and',
  plus: 'and',
  also: 'and',
  or: 'or',
  so: 'so',
  ie: 'so',
  meaning: 'so',
  '=': 'so',
  aka: 'so',
};
const LINK_FILLERS = new Set([
  ...FILLERS,
  ',',
  'that',
  'as',
  'well',
  'its',
  'it',
  'maybe',
  'possibly',
  'i',
  'e',
  '.',
  'mean',
  '(',
  'not',
  'other',
  'words',
  'say',
  'then',
  'think',
]);

/** How two neighbouring phrases are tied, or null when other words stand between them. */
const linkBetween = (words: readonly string[]): 'and' | 'or' | 'so' | 'not' | null => {
  if (words.length === 0 || words.length > 7) return null;
  const linking = words.find((word) => LINKS[word]);
  if (words.some((word) => !LINKS[word] && !LINK_FILLERS.has(word))) return null;
  if (words.includes('not')) return 'not';
  return linking
    ? (LINKS[linking] ?? null)
    : words.includes('that') && words.includes('is')
      ? 'so'
      : words.includes('(')
        ? 'so'
        : null;
};

/** A half phrase right after a whole one says the same place again: `front left, passenger side`. */
const restates = (whole: Phrase, half: Phrase, words: readonly string[]): boolean =>
  complete(whole) &&
  !complete(half) &&
  !half.plural &&
  (half.side !== null || half.axle !== null) &&
  words.length > 0 &&
  words.length <= 4 &&
  words.every((word) => LINK_FILLERS.has(word) && word !== '.');

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
      ...resolve(phrase, mirrored, context),
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

/** `back` is a place after an article or preposition, unless it is a verb's. */
const standsAsPlace = (tokens: readonly Token[], p: Span): boolean =>
  /^(the|at|on|rear)$/.test(tokens[p.from - 1]?.norm ?? '') ||
  /^(left|right|wheel|wheels|axle|one)$/.test(tokens[p.to]?.norm ?? '');

/** A weak word counts beside a strong element that lacks what it gives: `front r`, `passenger rear`. */
const loneNeighbour = (tokens: readonly Token[], phrases: readonly Phrase[], i: number): boolean => {
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

const frameFor = (tokens: readonly Token[], frames: readonly Frame[], phrase: Span): boolean => {
  const sentence = (i: number) => tokens.slice(0, i).filter((t) => /^[.;!?\n]$/.test(t.norm)).length;
  const mine = frames.filter((frame) => sentence(frame.from) === sentence(phrase.from));
  if (mine.length === 0) return false;
  const distance = (frame: Frame) =>
    Math.min(Math.abs(frame.from - phrase.to), Math.abs(phrase.from - frame.to));
  return mine.reduce((best, frame) => (distance(frame) < distance(best) ? frame : best)).mirrored;
};

/** `front left and right`: the second takes its axle from the first. `left and right front`: the first from the second. */
const lendMissingHalves = (phrases: Phrase[], links: readonly (string | null)[]): void => {
  for (let i = 1; i < phrases.length; i++) {
    const a = phrases[i - 1] as Phrase;
    const b = phrases[i] as Phrase;
    if (!links[i] || a.direct || b.direct || a.all || b.all || a.centre || b.centre) continue;
    if (b.axle === null && b.side !== null && a.axle !== null) b.axle = a.axle;
    else if (b.side === null && b.axle !== null && a.side !== null && a.axle !== null && !b.plural)
      b.side = a.side;
    else if (a.axle === null && a.side !== null && b.axle !== null && b.side !== null) a.axle = b.axle;
    else if (a.side === null && a.axle !== null && b.axle !== null && b.side !== null && !a.plural)
      a.side = b.side;
  }
};

/**
 * Corner phrases that name different wheels although nothing says they are two corners: each pair with the reason.
 */
export const findConflicts = (
  positions: readonly ReadPosition[],
  context: Pick<PositionContext, 'axles' | 'steeringSide'>,
): PositionConflict[] => {
  const corners = positions.filter((p) => (p.role ?? 'corner') === 'corner' && p.wheelEnds.length > 0);
  const conflicts: PositionConflict[] = [];
  for (let i = 1; i < corners.length; i++) {
    const a = corners[i - 1] as ReadPosition;
    const b = corners[i] as ReadPosition;
    if (b.joinedBy === 'and' || b.joinedBy === 'or') continue;
    if (a.wheelEnds.some((end) => b.wheelEnds.includes(end))) continue;
    const where = (p: ReadPosition) =>
      p.wheelEnds.map((end) => wheelEndInWords(end, context.axles)).join(' and ');
    const relative = (p: ReadPosition) => /driver|passenger|\bd\W?s\b|\bp\W?s\b/i.test(p.text);
    const steering =
      context.steeringSide && (relative(a) || relative(b))
        ? ` on a vehicle steered from the ${context.steeringSide}`
        : '';
    conflicts.push({
      texts: [a.text, b.text],
      because: `"${a.text}" is ${where(a)}${steering}, "${b.text}" is ${where(b)}: they are not the same wheel`,
    });
  }
  return conflicts;
};

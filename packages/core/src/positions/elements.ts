import type { Token } from '../text/tokens.ts';
import { allBefore } from './choices.ts';
import { between, canJoin, type Phrase } from './phrase.ts';
import {
  FILLERS,
  NOT_A_POSITION,
  OTHER_PLACES,
  PARTS_WITH_A_BACK,
  POSITION_LEXICON,
  type Element,
} from './positionLexicon.ts';
import type { Span } from './roles.ts';

const NOWHERE: Phrase = {
  from: 0,
  to: 0,
  direct: null,
  axle: null,
  side: null,
  both: false,
  all: false,
  centre: false,
  plural: false,
  weak: false,
};

const norm = (tokens: readonly Token[], i: number): string => tokens[i]?.norm ?? '';
const STOPS = /^[.;!?\n]$/;
const isPlace = (tokens: readonly Token[], i: number): boolean => {
  const meaning = POSITION_LEXICON.at(tokens, i)?.meaning;
  return meaning !== undefined && !meaning.weak && meaning.side === undefined;
};

/** Who or what can have left, and what there can be left of: `he left it`, `one left in stock`. */
const LEAVERS =
  /^(i|he|she|they|we|you|it|customer|driver|guy|bloke|lad|lady|man|ive|weve|hes|shes|theyve|youve|had|have|has|got|any|none|only|whats|what|nothing|is|are|was|were|one|two|few|some|much|many|little|metal|tread|life|mm|who|just|been|being|be|not|that)$/;
const LEFT_ALONE =
  /^(it|me|us|him|her|my|his|our|their|your|here|there|over|overnight|off|out|behind|this|a|an|early|already|yesterday|today|in|for|alone|without|word|message|note|number|of|to|stuck|hanging|open|standing|parked|running|home|work|town|first|ago)$/;
const LEFT_THING = /^(it|me|us|him|her|my|his|our|their|your|a|an|this|here|there|over|behind)$/;
const SIDE_NOUNS =
  /^(side|hand|wheel|wheels|one|ones|hub|hubs|sensor|ring|bearing|plug|connector|tyre|loom|front|rear|back|fl|fr|axle|corner|reads|read|is|has|was|and|or|drops|growls|at|on|with)$/;

/** `left` as what someone did or what remains, not a side. */
const leftBehind = (tokens: readonly Token[], i: number): boolean => {
  const before = norm(tokens, i - 1);
  const after = norm(tokens, i + 1);
  if (isPlace(tokens, i + 1) || isPlace(tokens, i - 1)) return false;
  // "axle one left": a number, not what is left of it.
  if (norm(tokens, i - 2) === 'axle') return false;
  if (after === 'the') return !/^(the|on|at|to|side)$/.test(before) && !isPlace(tokens, i + 2);
  // "left on the front axle", "left at the rear": a side with its axle behind it.
  if (/^(on|at|with|of)$/.test(after) && [2, 3].some((k) => isPlace(tokens, i + k))) return false;
  if (/^(the|on|at|to|both|or|and)$/.test(before))
    return (
      LEFT_ALONE.test(after) &&
      after !== 'in' &&
      after !== 'of' &&
      after !== 'to' &&
      after !== 'a' &&
      after !== 'for' &&
      after !== 'first' &&
      after !== 'it'
    );
  if (after === 'with' || after === 'on') return !/^(hand|the|on|at)$/.test(before);
  if (LEAVERS.test(before)) return true;
  // Behind a mark it is a side unless someone left something: "rear axle: left open", "left it with us".
  const opens = before === '' || /^[^a-z0-9]$/.test(before) || before === '\n';
  return opens ? LEFT_THING.test(after) : LEFT_ALONE.test(after) && !/^(the|lower|top|bottom)$/.test(before);
};

/** `right` as yes, correct or straight, not a side. */
const rightEnough = (tokens: readonly Token[], i: number): boolean => {
  const before = norm(tokens, i - 1);
  const after = norm(tokens, i + 1);
  if (isPlace(tokens, i + 1) || isPlace(tokens, i - 1)) return false;
  if (before === 'the' && norm(tokens, i + 2) === 'for') return true;
  // "so that is it then, right?": a word between commas that asks for a yes.
  if (before === ',' && /^[,?]$/.test(after) && !isPlace(tokens, i - 2)) return true;
  const opens = i === 0 || STOPS.test(before);
  if (opens && (after === ',' || after === 'then' || after === 'so' || after === 'what' || after === 'i'))
    return true;
  if (
    /^(part|price|number|size|way|thing|tool|torque|place|person|shop|then|away|people|order|stuff|amount|kind|type|idea|answer|for)$/.test(
      after,
    )
  )
    return true;
  if (
    /^(is|are|that|thats|it|its|not|isnt|doesnt|all|feel|feels|quite|came|come|comes|you|be|seem|seems|sound|sounds|look|looks|price|am|was|get|got|just)$/.test(
      before,
    )
  )
    return !SIDE_NOUNS.test(after) || /^(is|and|or)$/.test(after);
  return opens && !SIDE_NOUNS.test(after) && !/^[:,\d]/.test(after) && after !== '';
};

/** `the back of the bearing`, `front camera`: a place word of something else. */
const ofSomethingElse = (tokens: readonly Token[], to: number): boolean => {
  const next = norm(tokens, to);
  if (OTHER_PLACES.has(next)) return true;
  if (next !== 'of') return false;
  const noun = /^(the|a|my|its)$/.test(norm(tokens, to + 1)) ? to + 2 : to + 1;
  return PARTS_WITH_A_BACK.has(norm(tokens, noun));
};

/** `the ring back left`, `a dip a turn left front`: the last word of an idiom belongs to a place behind it. */
const endsInPlace = (tokens: readonly Token[], to: number): boolean =>
  (/^(back|front|rear)$/.test(norm(tokens, to - 1)) && /^(left|right)$/.test(norm(tokens, to))) ||
  (/^(left|right)$/.test(norm(tokens, to - 1)) && /^(back|front|rear|hand)$/.test(norm(tokens, to)));

const AXLE = /^(front|rear|back)$/;
/** "rear left and right rear" is two places, "rear left and right" is both wheels of one axle. */
const splitsPair = (tokens: readonly Token[], from: number, to: number): boolean =>
  to - from === 3 &&
  norm(tokens, from + 1) === 'and' &&
  AXLE.test(norm(tokens, from - 1)) &&
  AXLE.test(norm(tokens, norm(tokens, to) === 'hand' ? to + 1 : to));

/** Idioms whose place words speak of no wheel. */
const speaksOfNoWheel = (tokens: readonly Token[], i: number, to: number, meaning: Element): boolean =>
  (norm(tokens, i) === 'left' && to === i + 1 && leftBehind(tokens, i)) ||
  (norm(tokens, i) === 'right' && to === i + 1 && rightEnough(tokens, i)) ||
  (meaning.axle !== undefined && meaning.side === undefined && ofSomethingElse(tokens, to)) ||
  (meaning.side !== undefined && OTHER_PLACES.has(norm(tokens, to)));

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
    const longest = direct ? null : POSITION_LEXICON.at(tokens, i);
    const hit =
      longest && splitsPair(tokens, i, longest.to)
        ? { from: i, to: i + 1, meaning: { side: 'left' as const } as Element }
        : longest;
    if (!direct && !hit && allBefore(tokens, i)) {
      phrases.push({ ...NOWHERE, from: i, to: i + 1, all: true });
      i++;
      continue;
    }
    const idiom = direct ? null : NOT_A_POSITION.at(tokens, i);
    // "the ring back left": the last word of the idiom belongs to a place.
    const no = idiom && endsInPlace(tokens, idiom.to) ? null : idiom;
    // "front left not right" denies a side; "something is not right" says nothing of one.
    const deniesSide = tokens[i]?.norm === 'not' && phrases.at(-1)?.to === i;
    // "1100 R" is a resistance, no right side.
    const ohms =
      hit?.meaning.weak === true && norm(tokens, i) === 'r' && /^\d{3,}$/.test(norm(tokens, i - 1));
    const opensTalk = hit !== null && (ohms || speaksOfNoWheel(tokens, i, hit.to, hit.meaning));
    if (opensTalk || (no && !deniesSide && no.to >= (hit?.to ?? 0))) {
      i = Math.max(no?.to ?? 0, opensTalk ? (hit?.to ?? 0) : 0, i + 1);
      continue;
    }
    if (direct || hit) {
      phrases.push({ ...NOWHERE, ...hit?.meaning, direct, from: i, to: hit?.to ?? i + 1 });
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

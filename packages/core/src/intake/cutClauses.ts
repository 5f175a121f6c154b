import { lexicon } from '../text/lexicon.ts';
import type { Token } from '../text/tokens.ts';
import { BREAKS, SIZE_MARK, STOPS } from './clauseEnds.ts';
import type { PlaceGroup, Said, Unit } from './unit.ts';

const KEPT_TOGETHER = lexicon<true>([
  [
    'top and bottom|twelve and six|12 and 6|six and twelve|three and nine|pads and discs|discs and pads|hub and bearing|bearing and hub|comes and goes|come and go|coming and going|cuts in and out|clean and dry|back and forth|up and down|in and out|side to side|bits and pieces|now and then|now and again|again and again|free and quiet|on and off|smooth and quiet|push and pull|pushed and pulled|nice and tight|black and green|read again|cleared and read again|cleared and reread|were cleared and read again|lower arm and track rod end|and a half|sixes and sevens|hum and haw|time and again|moves and squeaks|squeaks and moves|nuts and bolts|kit and caboodle|ins and outs|odds and ends',
    true,
  ],
]);
/** So long a list is denied by one word. */
const LONGEST_LIST = 12;

/** `no growling, humming or play`: one denial for a list, which is not cut at its commas. */
const deniedLists = (tokens: readonly Token[]): Array<{ from: number; to: number }> => {
  const out: Array<{ from: number; to: number }> = [];
  for (let i = 0; i < tokens.length; i++) {
    if (!/^(no|without|neither|any|not)$/.test(tokens[i]?.norm ?? '')) continue;
    let end = -1;
    for (let k = i + 1; k < tokens.length && k < i + LONGEST_LIST; k++) {
      const word = tokens[k]?.norm ?? '';
      if (STOPS.has(word) || /^(and|but|front|rear|left|right|back|on|is|are|has|reads|no|not)$/.test(word))
        break;
      if (word === 'or' || word === 'nor') end = k;
    }
    if (end > 0) out.push({ from: i, to: end });
    if (end > 0) i = end;
  }
  return out;
};

/** A clause as cut, before it is taken apart by places. */
export interface Cut {
  readonly from: number;
  readonly to: number;
  readonly sentence: number;
  readonly opener: Unit['opener'];
  readonly colon: boolean;
}

/** Nobody says longer clauses and sentences: what goes on without a mark is cut, so that the work grows with the length. */
const LONGEST_CLAUSE = 60;
const LONGEST_SENTENCE = 200;

/** Clauses by stops, marks and joining words; nothing is cut inside a place or a phrase. */
export const cutsOf = (
  tokens: readonly Token[],
  groups: readonly PlaceGroup[],
  items: readonly Said[],
): Cut[] => {
  const held = new Uint8Array(tokens.length);
  const endingAt = new Map(groups.map((group) => [group.to, group]));
  for (const { from, to } of groups) held.fill(1, from, to);
  for (const { from, to } of items) if (to - from > 1) held.fill(1, from, to);
  for (const { from, to } of KEPT_TOGETHER.all(tokens)) held.fill(1, from, to);
  for (const { from, to } of deniedLists(tokens)) held.fill(1, from, to);
  const out: Cut[] = [];
  let from = 0;
  let sentence = 0;
  let opener: Unit['opener'] = 'start';
  const spokenIn = (a: number, b: number): boolean => {
    for (let i = a; i < b; i++) if (tokens[i]?.kind === 'word' || tokens[i]?.norm === SIZE_MARK) return true;
    return false;
  };
  let began = 0;
  const close = (to: number, next: Unit['opener'], colon = false) => {
    if (spokenIn(from, to)) {
      out.push({ from, to, sentence, opener, colon });
      opener = next;
    } else if (opener === 'comma' || opener === 'start') opener = next === 'comma' ? opener : next;
  };
  tokens.forEach((token, i) => {
    if (STOPS.has(token.norm) || token.kind === 'newline') {
      close(i, 'start');
      from = i + 1;
      began = i + 1;
      sentence++;
      opener = 'start';
      return;
    }
    if (i - began >= LONGEST_SENTENCE) {
      close(i, 'start');
      from = i;
      began = i;
      sentence++;
      opener = 'start';
    } else if (i - from >= LONGEST_CLAUSE) {
      close(i, 'comma');
      from = i;
    }
    const breaks = held[i] ? undefined : BREAKS.get(token.norm);
    const dash = token.norm === '-' && token.kind === 'mark' && !held[i];
    if (!breaks && !dash) return;
    // "since 2019", "fine since": a time, not a clause of its own.
    if (
      breaks === 'since' &&
      !/^(the|we|i|he|they|it|a|you|she|my|our|his|that|new)$/.test(tokens[i + 1]?.norm ?? '')
    )
      return;
    // "fl: 1.12k fr: 1.13k": a label begins where its place does.
    const labels = breaks === 'colon' || dash;
    if (labels) {
      const place = endingAt.get(i);
      if (place && place.from > from && breaks === 'colon') {
        close(place.from, 'comma');
        from = place.from;
      }
    }
    close(i, dash ? 'comma' : (breaks as Unit['opener']), breaks === 'colon' || (dash && endingAt.has(i)));
    from = i + 1;
  });
  close(tokens.length, 'start');
  return out;
};

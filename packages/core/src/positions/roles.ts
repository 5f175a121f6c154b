import { FILLERS } from './positionLexicon.ts';
import { lexicon } from '../text/lexicon.ts';
import type { Token } from '../text/tokens.ts';

export type Role = 'corner' | 'past' | 'denied';

/** Words before a phrase that deny it. */
const DENY_BEFORE = lexicon<'deny' | 'pass'>([
  [
    'anything but|everything but|not|isnt|wasnt|aint|rather than|instead of|never|cant be|cannot be|arent|nothing wrong with|nothing wrong at|no fault at|no fault on|not on|not at|wont be|ruled out|neither of|its no the|it is no the|neither one of',
    'deny',
  ],
  ['not sure|not certain|not only|not just|dont know|not cured|not fixed|not working|not reading', 'pass'],
]);

/** Words after a phrase that say it is well. */
const DENY_AFTER = lexicon<true>([
  [
    'is fine|is ok|is okay|is good|are fine|are ok|are okay|are good|is sound|are sound|was fine|was ok|is alright|checks out|checked out ok|all fine|seems fine|seems ok|looks fine|looks ok|reads fine|reads ok|reads normal|ruled out|is not it|isnt it|not the problem|isnt the problem|is not the problem|works fine|is clear|spot on|is grand|are grand|found nothing|nothing found|not checked|not looked at|not been checked|havent got to|havent looked at|not got to|werent checked|wasnt checked|not tested|not accessible|untested',
    true,
  ],
]);

/** Words that put a phrase into the past. */
const PAST = lexicon<true>([
  [
    'was done|were done|been done|got done|was replaced|were replaced|been replaced|was changed|were changed|been changed|was fitted|were fitted|been fitted|was renewed|been renewed|was fixed|been fixed|was sorted|was swapped|been swapped|was repaired|been repaired|was the last|was last|had done|already done|already replaced|already changed|already had|already fitted|previously|last time|last year|last month|last week|last summer|last winter|last autumn|last spring|year ago|years ago|month ago|months ago|week ago|weeks ago|day ago|days ago|at easter|at christmas|yesterday|before christmas|used to be|did the|we did|i did|he did|they did|replaced the|changed the|fitted the|renewed the|replaced a|fitted a|changed a|swapped the|have replaced|have changed|have fitted|replaced it|has had a new|had a new|has had|already did|a while back|a while ago|replaced in|changed in|fitted in|done in|done at|in january|in february|in march|in april|in june|in july|in august|in september|in october|in november|in december|in the spring|in spring|in the summer|in the autumn|in the winter|did both|was bad before|replaced already|done already|done before|done recently|recently replaced|recently changed|recently|earlier this year|fixed the|repaired the|new sensor|new hub|new ring|new tyre|new tyres|new bearing|put a|put new',
    true,
  ],
]);

/** Words that say the trouble has returned to the same place. */
const RETURNED = lexicon<true>([
  [
    'again|same code|same fault|same again|is back|came back|come back|comes back|its back|back again|back on|returned|still on|still there|and back|same corner|same wheel|light is back|fault is back|code is back|same problem',
    true,
  ],
]);

/** "Had the front left done": the deed behind the place. */
const DONE = /^(done|replaced|changed|fitted|renewed|fixed|repaired)$/;

/** Words through which a denial reaches the place behind it. */
const DENIED_THROUGH = new Set([
  ...FILLERS,
  ',',
  'from',
  'anything',
  'found',
  'wrong',
  'fault',
  'with',
  'there',
  'was',
  'be',
  'other',
  'was',
  'either',
  'any',
  'problem',
  'even',
  'actually',
  'about',
  'my',
  'his',
  'old',
  'new',
  'bad',
  'faulty',
  'bearing',
  'ring',
  'whole',
]);

const STOP = new Set(['.', ';', '!', '?', '\n']);
const BREAK_WORDS = new Set(['but', 'now', 'then', 'however', 'though', 'today']);

export interface Span {
  readonly from: number;
  readonly to: number;
}

/** Nobody says longer clauses; a text without marks is not searched from end to end. */
const LONGEST_CLAUSE = 60;

/** Token range of the clause around a span: bounded by stops, commas, breaking words, or `and` that joins no two phrases. */
const clauseAround = (tokens: readonly Token[], span: Span, joined: ReadonlySet<number>): Span => {
  const ends = (i: number): boolean => {
    const norm = tokens[i]?.norm ?? '';
    if (STOP.has(norm) || BREAK_WORDS.has(norm)) return true;
    if (norm === ',' || norm === ':' || norm === '(' || norm === ')') return !joined.has(i);
    if (norm === 'and' || norm === 'so' || norm === 'its') return !joined.has(i);
    return false;
  };
  let from = span.from;
  while (from > 0 && from > span.from - LONGEST_CLAUSE && !ends(from - 1)) from--;
  let to = span.to;
  while (to < tokens.length && to < span.to + LONGEST_CLAUSE && !ends(to)) to++;
  return { from, to };
};

/** Whether a phrase is the corner complained of, something past, or something denied. */
export const roleOf = (
  tokens: readonly Token[],
  phrases: readonly Span[],
  index: number,
  joined: ReadonlySet<number>,
): Role => {
  const span = phrases[index] as Span;
  const clause = clauseAround(tokens, span, joined);
  const last = phrases[index - 1];
  const nearest = last && last.from >= clause.from ? last : undefined;
  const before = tokens.slice(
    Math.max(clause.from, nearest ? nearest.to : clause.from, span.from - 6),
    span.from,
  );
  const denials = DENY_BEFORE.all(before);
  const denial = denials.at(-1);
  // "sensor not pushed in, rear right" denies no wheel.
  if (denial?.meaning === 'deny' && before.slice(denial.to).every(({ norm }) => DENIED_THROUGH.has(norm)))
    return 'denied';
  const next = phrases[index + 1];
  const following = next && next.from < clause.to ? next : undefined;
  const after = tokens.slice(
    span.to,
    Math.min(clause.to, following ? following.from : clause.to, span.to + 6),
  );
  if (DENY_AFTER.all(after.filter((t) => !/^(one|wheel|sensor|side|speed|the)$/.test(t.norm))).length > 0)
    return 'denied';
  const had = before.some(({ norm }) => norm === 'had') && after.some(({ norm }) => DONE.test(norm));
  if (had || PAST.all(tokens.slice(clause.from, clause.to)).length > 0) return 'past';
  return 'corner';
};

export const saysReturned = (tokens: readonly Token[]): boolean => RETURNED.all(tokens).length > 0;

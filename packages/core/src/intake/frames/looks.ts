import type { Said } from '../unit.ts';
import type { Look, Looked } from '../words/item.ts';
import {
  all,
  check,
  deniedAt,
  first,
  has,
  lookAt,
  LOOKED,
  nearestThing,
  saysWord,
  spanOf,
  type Clause,
  type Frame,
  type Heard,
} from './clause.ts';

/** What a look is said of: the nearest thing of its clause, else what the sentence spoke of, else what it always is. */
const lookedThing = (
  clause: Clause,
  at: Said,
  of: Look['of'],
  alone: Looked | undefined,
): { thing: Looked; said: Said | null } | null => {
  const { unit, topic } = clause;
  const near = nearestThing(unit, at, (thing) => thing !== 'wheel' && thing !== 'code' && thing !== 'meter');
  if (near) {
    const thing = near.meaning.thing;
    if (LOOKED.has(thing) && of[thing as Looked]) return { thing: thing as Looked, said: near };
    const other = nearestThing(unit, at, (t) => LOOKED.has(t) && of[t as Looked] !== undefined);
    if (other) return { thing: other.meaning.thing as Looked, said: other };
    return alone && LOOKED.has(thing) ? { thing: alone, said: near } : null;
  }
  if (topic.looked && of[topic.looked]) return { thing: topic.looked, said: null };
  return alone ? { thing: alone, said: null } : null;
};

/** A sensor that broke on its way out is snapped, in whatever phrase. */
const BROKE = /^(broke|broken|snapped|sheared|split|in|came)$/;
const DRAWN = /^(coming|pulled|pulling|drawn|drawing|drew|removal|removing|removed|bore|knuckle)$/;

const SOUND: Look['of'] = Object.fromEntries([...LOOKED].map((thing) => [thing, 'sound']));

/** Looks at ring, tip, plug and loom. A denied bad look is a sound one: somebody looked. */
export const lookFrame: Frame = (clause) => {
  const { unit, topic } = clause;
  if (clause.doubtful || has(unit, 'unchecked')) return [];
  const heard: Heard[] = [];
  const seen = new Set<Looked>();
  const say = (thing: Looked, result: string, at: { from: number; to: number }) => {
    const kind = thing === 'teeth' ? 'ring' : thing;
    if (seen.has(kind)) return;
    seen.add(kind);
    topic.looked = thing;
    heard.push(check(clause, at, lookAt(thing, result)));
  };
  const loosePlay = heardLoose(clause);
  for (const item of all(unit, 'look')) {
    if (item.meaning.loose && loosePlay) continue;
    const found = lookedThing(clause, item, item.meaning.look.of, item.meaning.look.alone);
    if (!found) continue;
    const drawn =
      found.thing === 'sensor' && BROKE.test(clause.tokens[item.from]?.norm ?? '') && saysWord(clause, DRAWN);
    const result = drawn ? 'snapped' : (item.meaning.look.of[found.thing] ?? null);
    if (result === null) continue;
    const denied =
      deniedAt(unit, Math.min(item.from, found.said?.from ?? item.from)) || deniedAt(unit, item.from);
    if (denied && result === 'snapped') continue;
    say(found.thing, denied ? 'sound' : result, spanOf(item, found.said));
  }
  for (const item of all(unit, 'unseen')) {
    const ring = nearestThing(unit, item, (thing) => thing === 'ring' || thing === 'teeth');
    const spoken = topic.looked === 'ring' || topic.looked === 'teeth';
    if (ring || (spoken && !all(unit, 'thing').length)) say('ring', 'not-visible', spanOf(item, ring));
  }
  for (const item of all(unit, 'sound')) {
    const found = lookedThing(clause, item, SOUND, undefined);
    // "front left fine" after a look at the ring is the ring's, if a place is said; "still good" is nobody's.
    if (!found || (found.said === null && unit.group === null)) continue;
    // Every thing of a list is sound: "plug, pins and loom all fine" has one word for three.
    if (deniedAt(unit, item.from)) continue;
    if (found.said === null && (has(unit, 'rest') || clause.topic.measure !== null)) continue;
    say(found.thing, 'sound', spanOf(item, found.said));
  }
  if (heard.length > 0) topic.measure = null;
  else {
    const named = all(unit, 'thing').find((item) => LOOKED.has(item.meaning.thing));
    if (named) topic.looked = named.meaning.thing as Looked;
  }
  return heard;
};

/** Whether `loose` in this clause speaks of a wheel, which is play and not a look. */
const heardLoose = ({ unit, topic }: Clause): boolean => {
  const loose = all(unit, 'look').find((item) => item.meaning.loose);
  const near = loose ? nearestThing(unit, loose) : null;
  return near
    ? ['wheel', 'hub', 'bolts', 'tyre'].includes(near.meaning.thing)
    : first(unit, 'spun') !== null || (unit.group !== null && topic.looked === null);
};

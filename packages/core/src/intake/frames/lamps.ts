import { LIT_WORDS } from '../words/complaints.ts';
import type { Unit } from '../unit.ts';
import type { Token } from '../../text/tokens.ts';
import {
  all,
  check,
  deniedAt,
  first,
  has,
  isGone,
  staysOn,
  spanOf,
  speaksOf,
  type Clause,
  type Heard,
} from './clause.ts';
import { goneAfter } from './felt.ts';

/** What follows a lamp's name and makes it a part or a report, not a lamp. */
const PART_BEHIND =
  /^(sensor|sensors|ring|rings|pump|module|unit|controller|ecu|block|code|codes|plug|connector|fuse|relay|wiring|loom|lead|cable|pads|discs|fluid|pedal|pipe|hose|drum|shoes|caliper|work|job|kit|cleaner|disc|people|place|reader|scan|scanner|bulb|lever|wheel|wheels|model|version|van|car|truck|pickup)$/;

interface Named {
  readonly unit: Unit;
  readonly from: number;
  readonly to: number;
  readonly symptom: Extract<NonNullable<Heard['symptom']>, string>;
}

/** A radar's or camera's own sensor is the message's; a wheel's is a part. */
const isAssistSensor = ({ tokens }: Clause, item: { to: number; meaning: { symptom: string } }): boolean =>
  item.meaning.symptom === 'message.driver-assist' && /^sensors?$/.test(tokens[item.to]?.norm ?? '');

/** Whether the next clause only names lamps: "both lamps on, abs and brake". */
const namesFollow = (next: Unit | undefined): boolean =>
  next !== undefined && next.items.length > 0 && next.items.every((item) => item.meaning.is === 'lampName');

/** Lamps a clause names; a name before a part is the part's. */
const namesIn = (clause: Clause): Named[] =>
  all(clause.unit, 'lampName')
    .filter(
      (item) =>
        (!PART_BEHIND.test(clause.tokens[item.to]?.norm ?? '') || isAssistSensor(clause, item)) &&
        !/^\d/.test(clause.tokens[item.to]?.norm ?? ''),
    )
    .map((item) => ({ unit: clause.unit, from: item.from, to: item.to, symptom: item.meaning.symptom }));

/** Whether a clause denies that a lamp is lit; "not available" is lit. */
const deniesLamp = (unit: Unit, name: Named, lit: { from: number; to: number } | null): boolean => {
  const nots = all(unit, 'not').filter((item) => !(lit && item.from >= lit.from && item.to <= lit.to));
  return nots.some((item) => item.to <= Math.max(name.from, lit?.from ?? 0));
};

const litAt = (tokens: readonly Token[], unit: Unit): { from: number; to: number } | null => {
  const hits = LIT_WORDS.all(tokens.slice(unit.from, unit.to));
  // "on" before a place or a part is no lit lamp: "on the front left", "on the reader".
  const hit = hits.find(({ from, to }) => {
    const word = tokens[unit.from + from]?.norm ?? '';
    const after = tokens[unit.from + to]?.norm ?? '';
    return !(
      word === 'on' &&
      to - from === 1 &&
      /^(the|a|my|his|that|front|rear|left|right|both|all|it)$/.test(after)
    );
  });
  return hit ? { from: unit.from + hit.from, to: unit.from + hit.to } : null;
};

/** Lamps and messages of a sentence: named, lit, gone, or gone by themselves. Names of a list share what is said of one. */
export const lampsOf = (clauses: readonly Clause[]): Heard[] => {
  const heard: Heard[] = [];
  let pending: Named[] = [];
  let lit = false;
  clauses.forEach((clause, k) => {
    const { unit, tokens } = clause;
    const names = namesIn(clause);
    const lamp = all(unit, 'thing').find((item) => item.meaning.thing === 'lamp') ?? null;
    const next = clauses[k + 1]?.unit;
    const byItself =
      has(unit, 'byItself') ||
      (next !== undefined && has(next, 'byItself') && (goneAfter(clause) || next.items.length <= 2));
    const stays = staysOn(unit);
    // "The lamp has been off since the hub was done": gone, and what cured it.
    const offSince = lamp !== null && clauses[k + 1]?.unit.opener === 'since' && saysOffAt(clause, lamp.to);
    const gone = offSince || ((isGone(unit) || goneAfter(clause)) && !(stays && !isGone(unit)));
    const off = lamp !== null && saysOffAt(clause, lamp.to) && !gone;
    const isLit = lamp ?? litAt(tokens, unit);
    const chains = unit.opener === 'and' || unit.opener === 'comma' || unit.opener === 'colon';
    if (!chains) pending = [];
    if (names.length === 0 && pending.length === 0) {
      if (lamp && !clause.doubtful && clauses[k + 1]?.unit.opener !== 'colon')
        heard.push(...bareLamp(clause, lamp, { gone, byItself, off, stays }));
      // "All lamps on: abs, esp": the names follow.
      lit =
        lamp !== null &&
        (clauses[k + 1]?.unit.opener === 'colon' || namesFollow(clauses[k + 1]?.unit)) &&
        !deniedAt(unit, lamp.from) &&
        !off;
      return;
    }
    const named = [...pending, ...names];
    const share =
      lit &&
      names.length > 0 &&
      chains &&
      unit.items.every((item) => ['lampName', 'only', 'again', 'same', 'spun'].includes(item.meaning.is));
    if (!isLit && !gone && !stays && !has(unit, 'again') && !share) {
      pending = names.length > 0 ? named : [];
      lit = false;
      return;
    }
    pending = [];
    if (names.length === 0 && !lamp && !litAt(tokens, unit)) return;
    if (clause.doubtful) return;
    for (const name of named) {
      const at = name.unit === unit ? spanOf(name, lamp) : name;
      const denied =
        (name.unit === unit
          ? !stays && deniesLamp(unit, name, litAt(tokens, unit) ?? lamp)
          : deniedAt(name.unit, name.from)) ||
        (name.unit === unit &&
          !/^(not|un)/.test(wordAt(tokens, litAt(tokens, unit))) &&
          trailingNot(unit, name));
      if (gone && byItself) {
        heard.push({ ...check(clause, at, { check: 'lamps', result: 'out-by-itself' }) });
        continue;
      }
      if (!gone && (denied || off)) continue;
      // "abs is off" may be the lamp or the system: it is no complaint.
      if (!gone && !lamp && SAFE_WHEN_OFF.has(name.symptom) && saysOff(clause)) continue;
      if (gone && saysUsedTo(clause) && name.unit !== unit) continue;
      heard.push({
        is: 'complaint',
        symptom: gone ? { is: name.symptom, cured: 'yes' } : name.symptom,
        from: at.from,
        to: at.to,
        unit: name.unit,
        note: null,
      });
    }
    lit = !gone;
  });
  return heard;
};

/** `light off`, `lamp is off now`: right behind the lamp. */
const saysOffAt = ({ tokens }: Clause, from: number): boolean => {
  let i = from;
  while (/^(is|are|was|now|has|been)$/.test(tokens[i]?.norm ?? '')) i++;
  return tokens[i]?.norm === 'off' || tokens[i]?.norm === 'out';
};

const SAFE_WHEN_OFF: ReadonlySet<string> = new Set(['lamp.abs', 'lamp.brake', 'lamp.rear-abs', 'lamp.awd']);
const saysOff = ({ unit, tokens }: Clause): boolean =>
  tokens.slice(unit.from, unit.to).some((token) => token.norm === 'off' || token.norm === 'out');

const trailingNot = (unit: Unit, name: Named): boolean => {
  const not = all(unit, 'not').find((item) => item.from >= name.to);
  return (
    not !== undefined &&
    !staysOn(unit) &&
    !isGone(unit) &&
    all(unit, 'not').length === 1 &&
    !speaksOf(unit, 'code')
  );
};

const wordAt = (tokens: readonly Token[], at: { from: number } | null): string =>
  at ? (tokens[at.from]?.norm ?? '') : '';

const saysUsedTo = ({ unit, tokens }: Clause): boolean =>
  tokens.slice(unit.from, unit.to).some((token) => token.norm === 'used');

/** The lamp without a name: which one is not said, but that it is lit, or went out by itself. */
const bareLamp = (
  clause: Clause,
  lamp: { from: number; to: number },
  { gone, byItself, off, stays }: { gone: boolean; byItself: boolean; off: boolean; stays: boolean },
): Heard[] => {
  const { unit, tokens } = clause;
  if (gone && byItself) return [check(clause, lamp, { check: 'lamps', result: 'out-by-itself' })];
  if (gone && has(unit, 'cleared'))
    return [check(clause, lamp, { check: 'lamps', result: 'out-after-clearing' })];
  if (gone || off || clause.lampNamed || deniedAt(unit, lamp.from)) return [];
  const word = tokens[lamp.from]?.norm ?? '';
  if (!/^(light|lights|lamp|lamps|lite|telltale)$/.test(word) && lamp.to - lamp.from === 1) return [];
  const shines = stays || has(unit, 'again') || litAt(tokens, unit) !== null || first(unit, 'check') !== null;
  if (!shines || all(unit, 'check').some((item) => item.meaning.check.check === 'clear-and-drive')) return [];
  if (has(unit, 'lasted', 'cured', 'not')) return [];
  // "the light was on, he cleared it, still off": it is out.
  const later = clause.sentence.slice(clause.sentence.indexOf(unit) + 1);
  const outNow = later.some(
    (other) =>
      isGone(other) || tokens.slice(other.from, other.to).some((token) => /^(off|out)$/.test(token.norm)),
  );
  if (outNow && tokens.slice(unit.from, unit.to).some((token) => token.norm === 'was')) return [];
  return [check(clause, lamp, { check: 'lamps', result: 'on' })];
};

/** Whether a text names a lamp anywhere: the bare "lamp" of another sentence is then that one. */
export const namesALamp = (units: readonly Unit[]): boolean => units.some((unit) => has(unit, 'lampName'));

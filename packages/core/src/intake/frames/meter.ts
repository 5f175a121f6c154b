import type { Check } from '../../vocabulary/check.ts';
import type { NumberAt } from '../unit.ts';
import {
  all,
  check,
  deniedAt,
  first,
  has,
  saysWord,
  speaksOf,
  spanOf,
  type Clause,
  type Frame,
  type Heard,
} from './clause.ts';

type ResistanceOf = Extract<Check, { check: 'meter.resistance' }>['of'];

/** Bare numbers within this range may be ohms where ohms are spoken of. */
const OHMS = { least: 50, most: 100_000 };
/** Whether a bare number of a clause is read off something: of a sensor, by a verb of reading, or under a wheel's label. */
const saysReading = (clause: Clause): boolean => {
  const { unit, sentence } = clause;
  if (sentence.some((other) => speaksOf(other, 'teeth', 'tyre', 'battery'))) return false;
  if (speaksOf(unit, 'sensor')) return true;
  const before = sentence[sentence.indexOf(unit) - 1];
  const labelled = before?.label === true && unit.to - unit.from === 1;
  return labelled || saysWord(clause, /^(reads|reading|measures|measured|metered|meters|got)$/);
};

/** Words behind "open" or "short" that leave it what a meter found; before any other word it describes that thing. */
const BEHIND_A_RESULT =
  /^(circuit|loop|line|to|between|across|on|at|in|and|or|but|both|when|with|again|still|after|as|now|all|if|is|was|it|its|this|that|there|here|inside|even|same|other|no|not|so|then|too|cold|hot|warm|from|straight|by|for|i|he|she|we|they|the|a)$/;
const BEFORE_A_RESULT =
  /^(reads?|reading|is|are|was|were|went|gone|dead|goes|measures?|measured|metered|meters?|shows?|got|circuit|its|sensor|sensors|coil|winding|meter|resistance)$/;

/** Whether "open" or "short" describes what is named behind it, and not what was metered: "open road", "short lead", "too short". */
const isAttribute = ({ unit, tokens }: Clause, item: { from: number; to: number }): boolean => {
  const before = tokens[item.from - 1]?.norm ?? '';
  if (before === 'too') return true;
  if (item.to - item.from > 1 || item.to >= unit.to || BEFORE_A_RESULT.test(before)) return false;
  const after = tokens[item.to];
  const place = unit.group?.places.some(({ from, to }) => from <= item.to && item.to < to) ?? false;
  return after?.kind === 'word' && !place && !BEHIND_A_RESULT.test(after.norm);
};

/** Whether a reading is of a part not yet fitted, of the loom, or of the sensor in the vehicle. */
const measuredPart = (clause: Clause, at: { from: number }): ResistanceOf => {
  const { unit } = clause;
  const newOnes = all(unit, 'deed').filter((item) => item.meaning.deed === 'new');
  const newHere = newOnes.some((item) => Math.abs(item.from - at.from) <= 8);
  const last = clause.sentence[clause.sentence.indexOf(unit) - 1];
  const its =
    last !== undefined && !has(unit, 'thing') && unit.group === null && saysWord(clause, /^(it|this|that)$/);
  const newBefore =
    its &&
    all(last, 'deed').some((item) => item.meaning.deed === 'new') &&
    !all(last, 'deed').some((item) => item.meaning.deed === 'renewed');
  if ((newHere || newBefore) && !saysWord(clause, /^(old)$/)) return 'new-part';
  if (speaksOf(unit, 'loom') && !speaksOf(unit, 'sensor')) return 'harness';
  return 'sensor';
};

const degrees = (clause: Clause): number | null => {
  const { unit, sentence } = clause;
  const mine = unit.numbers.find((n) => n.measure === 'degree');
  if (mine) return mine.value;
  // ", 22 C" behind a reading belongs to it.
  const next = sentence[sentence.indexOf(unit) + 1];
  const only = next?.group === null && next.numbers.length === 1 ? next.numbers[0] : undefined;
  return only?.measure === 'degree' ? only.value : null;
};

/** Resistance by number or in words. */
export const resistanceFrame: Frame = (clause) => {
  const { unit, topic, sentence } = clause;
  if (has(unit, 'unchecked')) return [];
  const spoken =
    topic.measure === 'ohm' ||
    speaksOf(unit, 'meter') ||
    sentence.some(
      (other) =>
        speaksOf(other, 'meter') || has(other, 'open') || other.numbers.some((n) => n.measure === 'ohm'),
    );
  const say = (
    at: { from: number; to: number },
    ohms: number | 'open' | 'short' | 'unstable',
    note: string | null,
  ): Heard => {
    topic.measure = 'ohm';
    const temperatureC = typeof ohms === 'number' ? degrees(clause) : null;
    return check(
      clause,
      at,
      {
        check: 'meter.resistance',
        of: measuredPart(clause, at),
        ohms: ohms === 0 ? 'short' : ohms,
        ...(temperatureC === null ? {} : { temperatureC }),
      },
      note,
    );
  };
  const wiggled = sentence.some((other) =>
    all(other, 'check').some((item) => item.meaning.check.check === 'wiggle'),
  );
  const numbers = unit.numbers.filter(
    (n) =>
      n.measure === 'ohm' ||
      (n.measure === 'bare' &&
        spoken &&
        !speaksOf(unit, 'supply', 'teeth', 'tyre', 'battery') &&
        n.value >= OHMS.least &&
        n.value <= OHMS.most) ||
      (n.measure === 'bare' &&
        n.value >= clause.a.get('hearing.bare-ohms.least') &&
        n.value <= clause.a.get('hearing.bare-ohms.most') &&
        saysReading(clause)),
  );
  const heard = numbers.map((n) => say(n, n.value, n.note));
  if (heard.length > 0) return heard;
  // "at the open plug": how it is measured, not what was found.
  const open =
    all(unit, 'open').find(
      (item) =>
        !/^(plug|plugs|connector|terminals|pins)$/.test(clause.tokens[item.to]?.norm ?? '') &&
        !isAttribute(clause, item),
    ) ?? null;
  const metered =
    spoken ||
    speaksOf(unit, 'sensor', 'meter', 'lead', 'loom', 'sender') ||
    unit.group !== null ||
    saysWord(clause, /^(reads|read|meters|measures|one|circuit|ol|infinite|infinity|continuity)$/);
  if (open && metered && !clause.doubtful && !speaksOf(unit, 'other')) {
    if (deniedAt(unit, open.from)) return [];
    return [say(open, 'open', null)];
  }
  const short = all(unit, 'short').find((item) => !isAttribute(clause, item));
  if (short && !deniedAt(unit, short.from) && !clause.doubtful) return [say(short, 'short', null)];
  const unsteady = first(unit, 'jumps');
  if (unsteady && speaksOf(unit, 'meter') && !wiggled && !deniedAt(unit, unsteady.from) && !clause.doubtful)
    return [say(spanOf(unsteady), 'unstable', null)];
  if (speaksOf(unit, 'meter')) topic.measure = 'ohm';
  return [];
};

/** Volts on a vehicle's plug are at most this. */
const MOST_VOLTS = 32;

const asVolts = (clause: Clause): NumberAt[] =>
  clause.unit.numbers.filter((n) => n.measure === 'volt' || (n.measure === 'bare' && n.value <= MOST_VOLTS));

/** Supply at the open plug. */
export const supplyFrame: Frame = (clause) => {
  const { unit, topic, sentence } = clause;
  if (
    clause.doubtful ||
    has(unit, 'unchecked') ||
    speaksOf(unit, 'battery', 'fluid', 'steering') ||
    sentence.some((other) => cranks(clause, other))
  )
    return [];
  const atPlug = speaksOf(unit, 'plug') && saysWord(clause, /^(at|on|in|across)$/);
  const spoken =
    topic.measure === 'supply' ||
    speaksOf(unit, 'supply') ||
    sentence.some((o) => speaksOf(o, 'supply') && speaksOf(o, 'plug'));
  const spun = has(unit, 'spun');
  const [volts] = asVolts(clause);
  const bareOk = volts?.measure === 'volt' || topic.measure === 'supply' || atPlug;
  if (
    volts &&
    bareOk &&
    !spun &&
    (atPlug || spoken || (volts.measure === 'volt' && topic.measure === 'supply')) &&
    !(volts.measure === 'bare' && !atPlug && topic.measure !== 'supply')
  ) {
    topic.measure = 'supply';
    return [check(clause, volts, { check: 'meter.supply', volts: volts.value })];
  }
  const supply = all(unit, 'thing').find((item) => item.meaning.thing === 'supply');
  if (supply && !volts) {
    const nothing = first(unit, 'nothing');
    if ((deniedAt(unit, supply.from) || nothing) && !speaksOf(unit, 'meter', 'speed')) {
      topic.measure = 'supply';
      return [check(clause, spanOf(supply, nothing), { check: 'meter.supply', volts: 0 })];
    }
  }
  const nothing = first(unit, 'nothing') ?? (unit.items.length === 1 ? first(unit, 'not') : null);
  if (nothing && topic.measure === 'supply' && unit.group && !volts)
    return [check(clause, nothing, { check: 'meter.supply', volts: 0 })];
  return [];
};

/** A coil turned by hand gives less than this, in volts. */
const MOST_AC_BY_HAND = 20;

/** AC with the wheel turned: by unit, by the word AC, or by turning it. "No AC" when turned is none. */
export const acFrame: Frame = (clause) => {
  const { unit, sentence, tokens } = clause;
  if (unit.numbers.length === 0 && !has(unit, 'not', 'nothing')) return [];
  const named = (other: Clause['unit']): boolean =>
    tokens.slice(other.from, other.to).some((token) => /^v?ac$/.test(token.norm));
  const spoken = sentence.some(named);
  const spun = sentence.some((other) => has(other, 'spun'));
  const volts =
    unit.numbers.find((n) => n.measure === 'volt-ac') ??
    (spoken && !speaksOf(unit, 'battery')
      ? unit.numbers.find((n) => (n.measure === 'bare' || n.measure === 'volt') && n.value <= MOST_AC_BY_HAND)
      : undefined) ??
    (has(unit, 'spun') && !speaksOf(unit, 'battery', 'plug')
      ? unit.numbers.find((n) => n.measure === 'volt' && n.value <= MOST_AC_BY_HAND)
      : undefined);
  if (volts) return [check(clause, volts, { check: 'meter.ac', volts: volts.value })];
  const none = first(unit, 'not') ?? first(unit, 'nothing');
  return none && named(unit) && spun && unit.numbers.length === 0
    ? [check(clause, none, { check: 'meter.ac', volts: 0 })]
    : [];
};

/** Battery at rest and while cranking, both of one check. */
export const batteryFrame: Frame = (clause) => {
  const { unit, sentence } = clause;
  const spoken =
    sentence.some((other) => speaksOf(other, 'battery')) ||
    sentence.some((other) => other.numbers.length > 0 && cranks(clause, other));
  const volts = asVolts(clause).find((n) => n.value >= 4 && n.value <= MOST_VOLTS);
  if (!spoken || !volts || speaksOf(unit, 'plug', 'sensor')) return [];
  if (
    !speaksOf(unit, 'battery') &&
    !cranks(clause, unit) &&
    volts.measure === 'bare' &&
    !saysWord(clause, /^(resting|rest|standing)$/)
  )
    return [];
  return [
    check(
      clause,
      volts,
      cranks(clause, unit)
        ? { check: 'battery', crankingVolts: volts.value }
        : { check: 'battery', restingVolts: volts.value },
    ),
  ];
};

const cranks = ({ tokens }: Clause, unit: Clause['unit']): boolean =>
  tokens
    .slice(unit.from, unit.to)
    .some((token) => /^(crank|cranks|cranking|cranked|starting|turning)$/.test(token.norm));

const TEETH = { least: 20, most: 160 };

/** Teeth counted against teeth that should be there. */
export const teethOf = (clauses: readonly Clause[]): Heard[] => {
  if (!clauses.some(({ unit }) => speaksOf(unit, 'teeth') || unit.numbers.some((n) => n.measure === 'teeth')))
    return [];
  const counted = clauses.flatMap((clause) =>
    clause.unit.numbers
      .filter(
        (n) =>
          (n.measure === 'teeth' || n.measure === 'bare' || n.measure === 'reference') &&
          Number.isInteger(n.value) &&
          n.value >= TEETH.least &&
          n.value <= TEETH.most,
      )
      .map((number) => ({ clause, number })),
  );
  const [one, two] = counted;
  if (!one || !two || counted.length !== 2) return [];
  return [
    check(one.clause, one.number, {
      check: 'ring.teeth',
      counted: one.number.value,
      expected: two.number.value,
    }),
  ];
};

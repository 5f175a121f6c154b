import { RATIO_LIMIT } from '../../signal/classify.ts';
import type { NumberAt } from '../unit.ts';
import {
  all,
  check,
  deniedAt,
  first,
  has,
  LOOKED,
  nearestThing,
  saysWord,
  speaksOf,
  type Clause,
  type Frame,
  type Heard,
} from './clause.ts';

/** Things that are dead or flat without a wheel speed being meant. */
const OTHER_DEAD = [
  'battery',
  'speedo',
  'lamp',
  'sender',
  'pedal',
  'tyre',
  'other',
  'code',
  'supply',
] as const;

/** What has a signal, or shows nothing, that is no wheel's. */
const OTHER_SIGNAL = /^(phone|mobile|radio|satnav|wifi|internet|bluetooth|aerial)$/;
const SCAN_TOOL = /^(reader|scanner|scan|tool|laptop|dongle|tablet)$/;

/** Whether "nothing" or "no signal" is said of a telephone, or of the scan tool itself and not of a wheel it shows. */
const isOfAnother = (clause: Clause): boolean =>
  saysWord(clause, OTHER_SIGNAL) ||
  (!clause.sentence.some(({ group }) => group !== null) &&
    !speaksOf(clause.unit, 'speed', 'sensor') &&
    saysWord(clause, SCAN_TOOL));

const percentOf = (unit: Clause['unit']): NumberAt | null =>
  unit.numbers.find((number) => number.measure === 'percent') ?? null;

/** Words of losing a signal. */
const LOST = /^(drop|drops|dropped|dropping|falls|dies|vanishes|disappears|lost|loses|cuts|breaks|missing)$/;

/** Whether the sentence says that a difference grows with speed. */
const grows = ({ sentence, tokens }: Clause): boolean =>
  sentence.some((unit) =>
    tokens
      .slice(unit.from, unit.to)
      .some((token) => /^(grows|growing|increases|rises|widens)$/.test(token.norm)),
  );

/** What a live graph shows of a wheel. */
export const liveFrame: Frame = (clause) => {
  const { unit, topic } = clause;
  if (clause.doubtful || has(unit, 'unchecked')) return [];
  const excluding = unit.group?.places.some((place) => place.all) ?? false;
  const wiggled = clause.sentence.some((other) =>
    all(other, 'check').some((item) => item.meaning.check.check === 'wiggle'),
  );
  const patterns = all(unit, 'live');
  const turns = patterns.find((item) => item.meaning.pattern === 'once-per-turn');
  const weak = turns ?? patterns.find((item) => item.meaning.pattern === 'weak-at-low-speed');
  const heard: Heard[] = [];
  const percent = percentOf(unit);
  if (percent && (speaksOf(unit, 'speed') || !speaksOf(unit, 'battery', 'pedal', 'other'))) {
    const down = saysWord(clause, /^(low|lower|slow|slower|down|under|less|behind)$/);
    const up = saysWord(clause, /^(high|higher|fast|faster|up|over|more|quicker)$/);
    if (down !== up) {
      topic.measure = 'live';
      return [
        check(clause, percent, {
          check: 'live',
          pattern: down ? 'reads-low' : 'reads-high',
          percent: percent.value,
          ...(grows(clause) ? { growsWithSpeed: true } : {}),
        }),
      ];
    }
  }
  const round =
    saysWord(clause, /^(turn|turns|revolution|rotation|rev)$/) &&
    saysWord(clause, /^(once|one|every|each|per)$/) &&
    saysWord(clause, /^(dip|dips|drop|drops|gap|blip|glitch|spike|hiccup|jump|jumps|cut|cuts)$/);
  if (round && !patterns.some((item) => item.meaning.pattern === 'once-per-turn')) {
    topic.measure = 'live';
    return [check(clause, unit, { check: 'live', pattern: 'once-per-turn' })];
  }
  const still = unit.numbers.find(
    (number) =>
      number.value === 0 &&
      (number.measure === 'speed' || (number.measure === 'bare' && speaksOf(unit, 'speed'))),
  );
  if (still && !has(unit, 'open')) {
    topic.measure = 'live';
    return [check(clause, still, { check: 'live', pattern: 'no-signal' })];
  }
  for (const item of patterns) {
    const { pattern } = item.meaning;
    const near = nearestThing(unit, item);
    if (near && (OTHER_DEAD as readonly string[]).includes(near.meaning.thing)) continue;
    if (unit.numbers.some((number) => number.measure === 'ohm')) continue;
    if (
      pattern === 'weak-at-low-speed' &&
      !unit.group &&
      !speaksOf(unit, 'speed', 'sensor') &&
      patterns.length < 2 &&
      topic.measure !== 'live'
    )
      continue;
    if (wiggled && pattern === 'drops-out') continue;
    if (weak && item !== weak) continue;
    if (pattern === 'noisy' && !speaksOf(unit, 'speed') && topic.measure !== 'live' && !unit.group) continue;
    if (pattern === 'no-signal' && (deniedAt(unit, item.from) || isOfAnother(clause))) continue;
    // "dead again" of a part is no reading: a wheel or a graph must be spoken of.
    const one = item.to - item.from === 1;
    if (pattern === 'no-signal' && one && near?.meaning.thing === 'sensor') continue;
    if (pattern === 'no-signal' && one && has(unit, 'again') && !unit.group && !speaksOf(unit, 'speed'))
      continue;
    if ((pattern === 'reads-high' || pattern === 'reads-low') && topic.measure === 'ohm') continue;
    if (pattern === 'normal') {
      const live =
        speaksOf(unit, 'speed') ||
        topic.measure === 'live' ||
        /four|same on|speeds/.test(words(clause, item));
      if (!live || has(unit, 'rest') || excluding) continue;
      topic.measure = 'live';
      heard.push(check(clause, item, { check: 'live', pattern: 'normal' }));
      break;
    }
    if (deniedAt(unit, item.from)) {
      if (pattern === 'drops-out') heard.push(check(clause, item, { check: 'live', pattern: 'normal' }));
      continue;
    }
    topic.measure = 'live';
    const share = pattern === 'reads-high' || pattern === 'reads-low';
    heard.push(
      check(clause, item, {
        check: 'live',
        pattern,
        ...(share && grows(clause) ? { growsWithSpeed: true } : {}),
      }),
    );
    break;
  }
  // "the signal dies over bumps": a signal and a word of losing it, in whatever phrase.
  if (
    heard.length === 0 &&
    !wiggled &&
    speaksOf(unit, 'speed') &&
    !has(unit, 'not') &&
    saysWord(clause, LOST)
  ) {
    topic.measure = 'live';
    return [check(clause, unit, { check: 'live', pattern: 'drops-out' })];
  }
  const unsteady =
    first(unit, 'jumps') ??
    all(unit, 'noise').find((item) => nearestThing(unit, item)?.meaning.thing === 'speed') ??
    null;
  if (
    heard.length === 0 &&
    unsteady &&
    speaksOf(unit, 'speed') &&
    !wiggled &&
    !deniedAt(unit, unsteady.from)
  ) {
    topic.measure = 'live';
    heard.push(check(clause, unsteady, { check: 'live', pattern: 'noisy' }));
  }
  if (heard.length > 0) return heard;
  const even = first(unit, 'same') ?? first(unit, 'sound');
  if (
    even &&
    unit.group &&
    !has(unit, 'rest') &&
    !excluding &&
    !all(unit, 'thing').some((item) => LOOKED.has(item.meaning.thing)) &&
    (topic.measure === 'live' || speaksOf(unit, 'speed')) &&
    /steady|fine|ok|good|smooth/.test(words(clause, even))
  )
    return speaksOf(unit, 'speed') || words(clause, even) !== 'ok'
      ? [check(clause, even, { check: 'live', pattern: 'normal' })]
      : [];
  const nothing = first(unit, 'nothing');
  if (
    nothing &&
    ((unit.group && topic.measure === 'live') || speaksOf(unit, 'speed')) &&
    !has(unit, 'play', 'noise')
  )
    return [check(clause, nothing, { check: 'live', pattern: 'no-signal' })];
  if (speaksOf(unit, 'speed')) topic.measure = 'live';
  return [];
};

const words = ({ tokens }: Clause, at: { from: number; to: number }): string =>
  tokens
    .slice(at.from, at.to)
    .map((token) => token.norm)
    .join(' ');

/** No road vehicle shows more. */
const FASTEST_KMH = 200;

/** Whether two speeds are one: by the rounding of the screen, or by the share from which a wheel reads high or low. */
const isSame = (speed: number, middle: number, { a }: Clause): boolean =>
  Math.abs(speed - middle) <= a.get('hearing.speed-rounding') || Math.abs(speed / middle - 1) < RATIO_LIMIT;

/** Speeds read off wheel by wheel, `FL 12, FR 12, RL 0, RR 12 km/h`: at least three, held against their middle. */
export const speedList = (clauses: readonly Clause[]): Heard[] => {
  const groupOf = (clause: Clause) => {
    const before = clause.sentence[clause.sentence.indexOf(clause.unit) - 1];
    return clause.unit.group ?? (before?.label ? before.group : null);
  };
  const rows = clauses.flatMap((clause) => {
    const numbers = clause.unit.numbers.filter((n) => n.measure === 'bare' || n.measure === 'speed');
    const [number] = numbers;
    const fits =
      number &&
      numbers.length === 1 &&
      groupOf(clause) &&
      !groupOf(clause)?.choice &&
      number.value <= FASTEST_KMH;
    return fits ? [{ clause, number }] : [];
  });
  const called = clauses.some(
    ({ unit }) => speaksOf(unit, 'speed') || unit.numbers.some((n) => n.measure === 'speed'),
  );
  const measured = clauses.some(
    ({ unit }) =>
      unit.numbers.some(
        (n) =>
          n.measure === 'ohm' || n.measure === 'volt' || n.measure === 'teeth' || n.measure === 'volt-ac',
      ) ||
      has(unit, 'open') ||
      speaksOf(unit, 'supply', 'plug'),
  );
  const wheels = rows.reduce(
    (n, { clause }) => n + (groupOf(clause)?.places.flatMap((p) => p.wheelEnds).length ?? 0),
    0,
  );
  if (measured || wheels < (called ? 2 : 3)) return [];
  const sorted = rows.map(({ number }) => number.value).sort((a, b) => a - b);
  const middle = sorted.filter((value) => value > 0)[
    Math.floor(sorted.filter((value) => value > 0).length / 2)
  ];
  if (middle === undefined) return [];
  return rows.map(({ clause, number }) =>
    check(clause, number, {
      check: 'live',
      pattern:
        number.value === 0
          ? 'no-signal'
          : isSame(number.value, middle, clause)
            ? 'normal'
            : number.value > middle
              ? 'reads-high'
              : 'reads-low',
    }),
  );
};

import {
  all,
  check,
  deniedAt,
  first,
  has,
  isGone,
  nearestThing,
  saysWord,
  spanOf,
  speaksOf,
  type Frame,
  type Heard,
} from './clause.ts';
import { goneAfter } from './felt.ts';

const NOT_OF_A_WHEEL = [
  'pedal',
  'steering',
  'gearbox',
  'speedo',
  'other',
  'battery',
  'meter',
  'speed',
] as const;

/** Play: rocked, loose, tight. What moves is a wheel unless something else is named. */
export const playFrame: Frame = (clause) => {
  const { unit, topic } = clause;
  const amount = first(unit, 'amount')?.meaning.amount ?? 'clear';
  const heard: Heard[] = [];
  const say = (item: { from: number; to: number }, result: 'none' | 'slight' | 'clear', span = item) => {
    heard.push(check(clause, span, { check: 'bearing.play', result }));
  };
  if (clause.doubtful || has(unit, 'unchecked')) return [];
  for (const item of [...all(unit, 'play'), ...all(unit, 'rocking')]) {
    const near = nearestThing(unit, item);
    if (
      near &&
      (near.meaning.thing === 'pedal' || near.meaning.thing === 'steering' || near.meaning.thing === 'other')
    )
      continue;
    const nothing = all(unit, 'nothing').some((n) => n.from >= item.to);
    if (deniedAt(unit, item.from) || nothing || isGone(unit)) say(item, 'none');
    else say(item, amount, spanOf(item, first(unit, 'amount')));
  }
  if (heard.length > 0) {
    topic.measure = 'play';
    return heard.slice(0, 1);
  }
  const rocked = all(unit, 'spun').length > 0;
  for (const item of [...all(unit, 'look').filter((l) => l.meaning.loose), ...all(unit, 'moves')]) {
    const near = nearestThing(unit, item);
    const wheel = near
      ? ['wheel', 'hub', 'bolts', 'tyre'].includes(near.meaning.thing)
      : rocked || (item.meaning.is === 'look' && unit.group !== null && topic.looked === null);
    if (!wheel) continue;
    const moves = item.meaning.is === 'moves';
    if (moves && !rocked && !deniedAt(unit, item.from)) continue;
    say(item, deniedAt(unit, item.from) ? 'none' : amount);
  }
  for (const item of all(unit, 'tight')) {
    const near = nearestThing(unit, item);
    const wheel = near
      ? ['wheel', 'hub'].includes(near.meaning.thing)
      : unit.group !== null || topic.measure === 'play';
    if (wheel && !has(unit, 'rest') && !speaksOf(unit, 'bolts') && !deniedAt(unit, item.from))
      say(item, 'none');
  }
  const nothing = first(unit, 'nothing');
  if (heard.length === 0 && nothing && topic.measure === 'play' && unit.group) say(nothing, 'none');
  // "play is slight, no actually clear": the amount alone, of what was spoken of.
  const again = first(unit, 'amount');
  if (
    heard.length === 0 &&
    again &&
    topic.measure === 'play' &&
    unit.items.length <= 2 &&
    !has(unit, 'noise')
  )
    say(again, deniedAt(unit, again.from) ? 'none' : again.meaning.amount);
  if (heard.length > 0) topic.measure = 'play';
  return heard.slice(0, 1);
};

/** Noise of a wheel: a finding where a wheel, a bearing or spinning is spoken of, a complaint elsewhere. */
export const noiseFrame: Frame = (clause) => {
  const { unit, topic } = clause;
  if (clause.doubtful || has(unit, 'unchecked')) return [];
  for (const item of all(unit, 'noise')) {
    const near = nearestThing(unit, item);
    if (near && (NOT_OF_A_WHEEL as readonly string[]).includes(near.meaning.thing)) continue;
    if (near?.meaning.thing === 'brakes' || near?.meaning.thing === 'lamp') continue;
    // Brakes that grind as it stops are the pedal's complaint.
    if (saysWord(clause, /^(braking|brake|brakes|stopping|stop|standstill)$/) && !speaksOf(unit, 'hub'))
      continue;
    topic.measure = 'noise';
    const at = { from: item.from, to: item.to, unit, note: null };
    // "no growling now, it growled last week"
    const before =
      saysWord(clause, /^(last|yesterday|before|earlier)$/) &&
      clause.sentence.some(
        (other) => other !== unit && all(other, 'noise').some((n) => deniedAt(other, n.from)),
      );
    if (before || isGone(unit) || goneAfter(clause))
      return [{ ...at, is: 'complaint', symptom: { is: 'noise.wheel', cured: 'yes' } }];
    if (deniedAt(unit, item.from) || all(unit, 'nothing').some((n) => n.from >= item.to))
      return [{ ...at, is: 'check', check: { check: 'bearing.noise', result: 'none' } }];
    const felt = has(unit, 'spun') || speaksOf(unit, 'hub');
    return [{ ...at, is: felt ? 'check' : 'noise', check: { check: 'bearing.noise', result: 'growl' } }];
  }
  const quiet = first(unit, 'quiet');
  if (quiet && !nearestThing(unit, quiet, (t) => (NOT_OF_A_WHEEL as readonly string[]).includes(t)))
    return [
      check(clause, quiet, {
        check: 'bearing.noise',
        result: deniedAt(unit, quiet.from) ? 'growl' : 'none',
      }),
    ];
  const nothing = first(unit, 'nothing');
  if (nothing && topic.measure === 'noise' && unit.group)
    return [check(clause, nothing, { check: 'bearing.noise', result: 'none' })];
  return [];
};

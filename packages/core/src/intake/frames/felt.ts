import {
  all,
  deniedAt,
  has,
  isGone,
  nearestThing,
  saysWord,
  spanOf,
  type Clause,
  type Frame,
  type Heard,
} from './clause.ts';
import type { Unit } from '../unit.ts';
import { PUT_TOGETHER } from '../words/putTogether.ts';

/** Complaints felt by the driver, told whole. */
export const feltFrame: Frame = (clause) => {
  const { unit } = clause;
  const heard: Heard[] = all(unit, 'complaint').flatMap((item): Heard[] => {
    const { symptom } = item.meaning;
    if (symptom === 'wheel.hot') {
      const near = nearestThing(unit, item);
      const wheel = near
        ? ['wheel', 'hub', 'tyre', 'brakes', 'bolts'].includes(near.meaning.thing)
        : unit.group !== null;
      if (!wheel) return [];
    }
    if (clause.doubtful) return [];
    const gone = isGone(unit) || goneAfter(clause);
    if (!gone && deniedAt(unit, item.from)) return [];
    return [complaintAt(clause, item, symptom, gone)];
  });
  if (!clause.doubtful && heard.length === 0 && !has(unit, 'complaint')) heard.push(...putTogether(clause));
  return heard;
};

const speedoOf = (unit: Unit) => all(unit, 'thing').find((item) => item.meaning.thing === 'speedo') ?? null;

/** A speedometer that is back works: other things that are back are faults. */
export const speedoIsBack = ({ unit, tokens }: Clause): boolean => {
  const speedo = speedoOf(unit);
  if (!speedo) return false;
  const at = tokens[speedo.to]?.norm === 'is' ? speedo.to + 1 : speedo.to;
  return tokens[at]?.norm === 'back';
};

/** Complaints put together from a thing and a word beside it; a speedometer that is back is cured. */
const putTogether = (clause: Clause): Heard[] => {
  const { unit, tokens } = clause;
  const gone = isGone(unit) || goneAfter(clause);
  for (const { thing, words, symptom } of PUT_TOGETHER) {
    const named = all(unit, 'thing').find((item) => item.meaning.thing === thing);
    if (!named) continue;
    for (let i = unit.from; i < unit.to; i++) {
      if (!words.test(tokens[i]?.norm ?? '') || (i >= named.from && i < named.to)) continue;
      if (!gone && deniedAt(unit, i)) return [];
      return [complaintAt(clause, spanOf(named, { from: i, to: i + 1 }), symptom, gone)];
    }
  }
  const speedo = speedoOf(unit);
  const back =
    speedo !== null &&
    (speedoIsBack(clause) || (isGone(unit) && saysWord(clause, /^(again|working|works|normal)$/)));
  return back ? [complaintAt(clause, speedo, 'speedometer.dead', true)] : [];
};

/** The clause right after says that it is over: "that is cured", "fine since", "but it went away after ...". */
export const goneAfter = ({ unit, sentence, tokens }: Clause): boolean => {
  const next = sentence[sentence.indexOf(unit) + 1];
  if (!next) return false;
  const over = isGone(next) || all(next, 'cured').some((item) => item.meaning.cured === 'yes');
  const later = sentence[sentence.indexOf(unit) + 2];
  // "came on, went off, came on again": it is there.
  if (!over || (later && has(later, 'again') && !isGone(later))) return false;
  const pronoun = /^(it|that|this|they|these|those)$/.test(tokens[next.from]?.norm ?? '');
  return (
    (pronoun && !has(next, 'lampName', 'complaint')) ||
    !next.items.some((item) =>
      ['complaint', 'lampName', 'noise', 'play', 'thing', 'deed'].includes(item.meaning.is),
    )
  );
};

const complaintAt = (
  clause: Clause,
  at: { from: number; to: number },
  symptom: Extract<NonNullable<Heard['symptom']>, string>,
  gone: boolean,
): Heard => ({
  is: 'complaint',
  symptom: gone ? { is: symptom, cured: 'yes' } : symptom,
  from: at.from,
  to: at.to,
  unit: clause.unit,
  note: null,
});

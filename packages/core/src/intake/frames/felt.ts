import {
  all,
  deniedAt,
  first,
  has,
  isGone,
  nearestThing,
  saysWord,
  spanOf,
  type Clause,
  type Frame,
  type Heard,
} from './clause.ts';

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
  const speedo = all(unit, 'thing').find((item) => item.meaning.thing === 'speedo');
  if (
    speedo &&
    !all(unit, 'complaint').some((item) => item.meaning.symptom.startsWith('speedometer')) &&
    !clause.doubtful
  ) {
    const live = all(unit, 'live').find((item) => item.meaning.pattern === 'no-signal');
    const jumps =
      first(unit, 'jumps') ??
      all(unit, 'live').find(
        (item) => item.meaning.pattern === 'noisy' || item.meaning.pattern === 'drops-out',
      );
    const gone = isGone(unit) || goneAfter(clause);
    if (jumps && (gone || !deniedAt(unit, jumps.from)))
      heard.push(complaintAt(clause, spanOf(speedo, jumps), 'speedometer.erratic', gone));
    else if (live && (gone || !deniedAt(unit, live.from)))
      heard.push(complaintAt(clause, spanOf(speedo, live), 'speedometer.dead', gone));
    else if (
      (isGone(unit) && saysWord(clause, /^(again|working|works|normal)$/)) ||
      /^back$/.test(clause.tokens[speedo.to]?.norm ?? '') ||
      (clause.tokens[speedo.to]?.norm === 'is' && clause.tokens[speedo.to + 1]?.norm === 'back')
    )
      heard.push(complaintAt(clause, speedo, 'speedometer.dead', true));
  }
  return heard;
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

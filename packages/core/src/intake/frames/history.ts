import type { HistoryEvent } from '../../vocabulary/docket.ts';
import type { EventName } from '../../vocabulary/words.ts';
import type { Token } from '../../text/tokens.ts';
import { agoIn, durationAt } from '../when.ts';
import type { Unit } from '../unit.ts';
import { all, first, has, isGone, spanOf, type Clause, type Heard } from './clause.ts';
import { speedoIsBack } from './felt.ts';

/** Things whose work is an event even where nobody says `renewed`: "pads last week". */
const WORK_BY_NAME: ReadonlySet<EventName> = new Set<EventName>(['brake-work', 'suspension-work']);
/** Things that are repaired, not only renewed. */
const REPAIRED: ReadonlySet<EventName> = new Set<EventName>([
  'connector-repaired',
  'brake-work',
  'suspension-work',
  'axle-shaft-work',
]);

const AFTER = /^(after|since)$/;
const ARTICLE = /^(the|a|my|his|her|our|that|this|their)$/;

interface Told {
  readonly unit: Unit;
  readonly event: EventName;
  readonly from: number;
  readonly to: number;
}

const tokensOf = (clause: Clause, unit: Unit): readonly Token[] => clause.tokens.slice(unit.from, unit.to);

/** Whether a clause says when: a day, a month, so long ago. */
const timeOf = (clause: Clause, unit: Unit): { days: number; from: number; to: number } | null => {
  const ago = agoIn(tokensOf(clause, unit), clause.today);
  return ago && { days: ago.days, from: unit.from + ago.from, to: unit.from + ago.to };
};

const denied = (unit: Unit): boolean => {
  const deed = first(unit, 'deed');
  return all(unit, 'not').some((item) => !deed || item.from < deed.to + 2);
};

/** Whether a clause has its deed from the one before: a thing and a time, joined by "and". */
const goesOn = (clauses: readonly Clause[], k: number): boolean => {
  const unit = clauses[k]?.unit;
  const before = clauses[k - 1]?.unit;
  return (
    unit?.opener === 'and' &&
    !has(unit, 'deed', 'look', 'noise', 'play') &&
    before !== undefined &&
    all(before, 'deed').some((item) => item.meaning.deed === 'renewed') &&
    all(before, 'thing').some((item) => item.meaning.event !== undefined)
  );
};

/** A clause that says nothing but when: "pads all round, 3 weeks ago". */
const timeAlone = (clause: Clause, next: Unit | undefined): { days: number } | null => {
  const time = next?.items.length === 0 ? timeOf(clause, next) : null;
  return time && next && time.to - time.from >= next.to - next.from - 1 ? time : null;
};

/** "Had the drive shaft out", "took the hub off": it was worked on. */
const tookOut = (tokens: readonly Token[], unit: Unit, item: { from: number; to: number }): boolean => {
  const words = (from: number, to: number) => tokens.slice(from, to).map((token) => token.norm);
  return (
    words(Math.max(unit.from, item.from - 4), item.from).some((word) =>
      /^(had|took|taken|pulled)$/.test(word),
    ) && words(item.to, Math.min(unit.to, item.to + 5)).some((word) => /^(out|off|apart)$/.test(word))
  );
};

/** Events a clause tells: a thing and what was done to it. */
const toldIn = (clause: Clause, clauses: readonly Clause[], k: number): Told[] => {
  const { unit, tokens } = clause;
  const out: Told[] = all(unit, 'event')
    .filter(() => !clause.doubtful)
    .map((item) => ({ unit, event: item.meaning.event, from: item.from, to: item.to }));
  // Tyres moved round the vehicle are none renewed.
  const words = tokens
    .slice(unit.from, unit.to)
    .map((token) => token.norm)
    .join(' ');
  if (
    /\b(front to (rear|back)|(rear|back) to front|side to side|swapped (over|round|around)|rotated)\b/.test(
      words,
    )
  )
    return out;
  if (clause.doubtful || has(unit, 'wanted') || denied(unit) || has(unit, 'check', 'doubt')) return out;
  const things = all(unit, 'thing').filter((item) => item.meaning.event !== undefined);
  const measured = unit.numbers.some(
    (n) => n.measure === 'ohm' || n.measure === 'volt' || n.measure === 'bare',
  );
  const strong = all(unit, 'deed').filter(
    (item) => item.meaning.deed === 'renewed' || item.meaning.deed === 'worked',
  );
  const fresh = all(unit, 'deed').filter((item) => item.meaning.deed === 'new');
  const next = clauses[k + 1];
  // "sensor and ring changed": one deed for both.
  const shared =
    next?.unit.opener === 'and' &&
    unit.numbers.length === 0 &&
    unit.items.every((item) => item.meaning.is === 'thing' || item.meaning.is === 'deed') &&
    all(next.unit, 'deed').some((item) => item.meaning.deed === 'renewed') &&
    all(next.unit, 'thing').some((item) => item.meaning.event !== undefined);
  // "the hub was replaced in May and the sensor last week": the deed of the clause before.
  const elliptical = goesOn(clauses, k);
  const seen = new Set<EventName>();
  for (const item of things) {
    const event = item.meaning.event as EventName;
    if (seen.has(event)) continue;
    const near = (deed: { from: number; to: number }) =>
      deed.to <= item.from ? item.from - deed.to : deed.from - item.to;
    const done = strong
      .filter((deed) => deed.meaning.deed === 'renewed' || REPAIRED.has(event))
      .sort((a, b) => near(a) - near(b))[0];
    // "new tyre place", "hub makers": the thing is another word's.
    if (/^(maker|makers|price|number|box|supplier)$/.test(tokens[item.to]?.norm ?? '')) continue;
    const time = timeOf(clause, unit);
    const renewed = fresh.find((deed) => near(deed) <= 4 && (deed.to <= item.from || time !== null));
    // "after the new sender", "since the hub": what is told of it says that it was done.
    const after =
      AFTER.test(tokens[(renewed ?? item).from - 1]?.norm ?? '') ||
      (ARTICLE.test(tokens[(renewed ?? item).from - 1]?.norm ?? '') &&
        AFTER.test(tokens[(renewed ?? item).from - 2]?.norm ?? ''));
    const outcome =
      after &&
      clauses.some(
        ({ unit: other }) =>
          isGone(other) ||
          has(other, 'lasted', 'cured', 'complaint', 'lampName', 'again', 'play', 'rocking', 'look', 'noise'),
      );
    const ordinal = all(unit, 'deed').find((deed) => deed.meaning.deed === 'in' && deed.to === item.from);
    const taken = REPAIRED.has(event) && tookOut(tokens, unit, item);
    const told =
      done ??
      (taken ? item : null) ??
      ordinal ??
      (outcome && !measured && (renewed !== undefined || !has(unit, 'look', 'noise', 'play'))
        ? (renewed ?? item)
        : null) ??
      (renewed && !measured && (time || lastedAfter(clauses, k) !== null || curedAfter(clauses, k) !== null)
        ? renewed
        : null) ??
      ((time ?? timeAlone(clause, clauses[k + 1]?.unit)) &&
      WORK_BY_NAME.has(event) &&
      !measured &&
      !has(unit, 'look', 'noise')
        ? item
        : null) ??
      (shared ? item : null) ??
      (elliptical && time ? item : null);
    if (!told) continue;
    // A look at what was repaired before is a look.
    if (done && has(unit, 'look') && done.meaning.deed === 'worked') continue;
    // One deed is of the thing nearest to it; a list of things shares it.
    if (done && things.length > 1 && done.meaning.deed === 'renewed') {
      const nearest = [...things].sort((a, b) => gapOf(a, done) - gapOf(b, done))[0];
      if (nearest !== item && nearest?.meaning.event !== event) continue;
    }
    seen.add(event);
    out.push({ unit, event, ...spanOf(item, told) });
  }
  return out;
};

const gapOf = (a: { from: number; to: number }, b: { from: number; to: number }): number =>
  a.to <= b.from ? b.from - a.to : a.from - b.to;

/** Clauses that may say what became of it: its own and those after, up to the next event or the end of the next sentence. */
const aftermath = (clauses: readonly Clause[], k: number): Unit[] => {
  const own = clauses[k]?.unit;
  if (!own) return [];
  const rest: Unit[] = [];
  const later = [...clauses.slice(k + 1).map(({ unit }) => unit), ...(clauses[k]?.following ?? [])];
  for (const unit of later) {
    if (
      all(unit, 'event').length > 0 ||
      (all(unit, 'thing').some((item) => item.meaning.event) && has(unit, 'deed'))
    )
      break;
    rest.push(unit);
  }
  return [own, ...rest];
};

const lastedAfter = (clauses: readonly Clause[], k: number): { days: number; unit: Unit } | null => {
  for (const unit of aftermath(clauses, k)) {
    const tokens = clauses[k]?.tokens ?? [];
    for (const item of all(unit, 'lasted')) {
      const stretch = durationAt(tokens, item.to);
      if (stretch && stretch.to <= unit.to) return { days: stretch.days, unit };
    }
  }
  return null;
};

const saysStill = (clause: Clause, unit: Unit): boolean =>
  tokensOf(clause, unit).some((token) => token.norm === 'still');

const curedAfter = (clauses: readonly Clause[], k: number): 'no' | 'yes' | 'back' | null => {
  const clause = clauses[k];
  if (!clause) return null;
  // "works again since the sender was changed", "the growl has gone since": the deed cured it.
  const before = clauses[k - 1]?.unit;
  const off =
    before !== undefined &&
    (has(before, 'lampName') || all(before, 'thing').some((item) => item.meaning.thing === 'lamp')) &&
    tokensOf(clause, before).some((token) => /^(off|out)$/.test(token.norm));
  if (clause.unit.opener === 'since' && before && (off || isGone(before) || has(before, 'cured')))
    return 'yes';
  const units = aftermath(clauses, k);
  for (const unit of units) {
    const said = first(unit, 'cured');
    if (said) return said.meaning.cured;
    if (unit !== clause.unit && has(unit, 'same') && !unit.group && all(unit, 'check').length === 0)
      return 'no';
    if (
      all(unit, 'check').some(
        ({ meaning: { check } }) => check.check === 'clear-and-drive' && check.result === 'back-at-once',
      )
    )
      return 'no';
    if (
      unit !== clause.unit &&
      (has(unit, 'stays') || saysStill(clause, unit)) &&
      all(unit, 'complaint').some((item) => item.meaning.symptom.startsWith('speedometer'))
    )
      return 'no';
    if (
      unit !== clause.unit &&
      unit.sentence === clause.unit.sentence &&
      has(unit, 'stays') &&
      has(unit, 'lampName') &&
      !units.some((other) => isGone(other))
    )
      return null;
  }
  if (isGone(clause.unit) && has(clause.unit, 'complaint')) return 'yes';
  if (
    clause.tokens
      .slice(clause.unit.from, clause.unit.to)
      .some((t) => t.norm === 'after' || t.norm === 'since') &&
    isGone(clause.unit)
  )
    return 'yes';
  if (speedoIsBack(clause)) return 'yes';
  // "bearing replaced, noise is gone": what went after it, where nothing stays.
  const went = units.some(
    (unit) =>
      unit !== clause.unit &&
      unit.sentence === clause.unit.sentence &&
      isGone(unit) &&
      has(unit, 'noise', 'complaint', 'lampName', 'thing'),
  );
  if (went && !units.some((unit) => has(unit, 'stays'))) return 'yes';
  if (returned(units, clause)) return 'back';
  return null;
};

/** What can come back: the trouble itself, not the ferry. */
const TROUBLE =
  /^(code|codes|fault|faults|light|lights|lamp|lamps|same|it|problem|trouble|growls|noise|message)$/;

/** The trouble is there again, and nobody said after how long. */
const returned = (units: readonly Unit[], clause: Clause): boolean =>
  units.some(
    (unit) =>
      unit.sentence - clause.unit.sentence <= 1 &&
      has(unit, 'again') &&
      !has(unit, 'lasted', 'check') &&
      all(unit, 'thing').every((item) => ['code', 'lamp', 'wheel'].includes(item.meaning.thing)) &&
      (has(unit, 'noise', 'lampName', 'complaint', 'live') ||
        tokensOf(clause, unit).some((token) => TROUBLE.test(token.norm)) ||
        all(unit, 'again').some((item) => item.to - item.from > 1 && item.from === unit.from)),
  );

/** What was done, when, and whether it helped, of one sentence. */
export const historyOf = (clauses: readonly Clause[]): Heard[] =>
  clauses.flatMap((clause, k) =>
    toldIn(clause, clauses, k).map(({ unit, event, from, to }): Heard => {
      const next = clauses[k + 1]?.unit;
      const before = clauses[k - 1]?.unit;
      const free = (other: Unit | undefined): other is Unit =>
        other !== undefined && !has(other, 'deed', 'event', 'lasted') && !has(other, 'complaint', 'lampName');
      const when =
        timeOf(clause, unit) ??
        (free(next) ? timeOf(clause, next) : null) ??
        (free(before) && !before.group ? timeOf(clause, before) : null);
      const lasted = event.startsWith('battery') ? null : lastedAfter(clauses, k);
      const cured = event.startsWith('battery') ? null : curedAfter(clauses, k);
      const said: HistoryEvent = {
        event,
        wheelEnd: null,
        daysAgo: when?.days ?? null,
        ...(lasted
          ? { cured: 'for-a-while' as const, daysUntilReturn: lasted.days }
          : cured === 'back'
            ? {
                cured:
                  (when?.days ?? 0) <= clause.a.get('hearing.never-cured')
                    ? ('no' as const)
                    : ('for-a-while' as const),
              }
            : cured
              ? { cured }
              : {}),
      };
      return {
        is: 'event',
        event: said,
        from,
        to,
        unit,
        note: null,
        also: when ? [when] : [],
        ...(goesOn(clauses, k) && before ? { placeAs: before } : {}),
      };
    }),
  );

import { meanInterval, shareInterval, type Interval } from '../chance/intervals.ts';
import type { LedgerEntry } from '../vocabulary/ledgerEntry.ts';
import type { LedgerFigures, LedgerGroup, LedgerShare } from '../vocabulary/ledgerViews.ts';

const shareOf = (
  entries: readonly LedgerEntry[],
  of: (entry: LedgerEntry) => boolean | null,
): LedgerShare => {
  const known = entries.map(of).filter((each): each is boolean => each !== null);
  const n = known.filter(Boolean).length;
  return { n, of: known.length, interval: shareInterval(n, known.length) };
};
const meanOf = (
  entries: readonly LedgerEntry[],
  of: (entry: LedgerEntry) => number | null,
): Interval | null => {
  const interval = meanInterval(entries.map(of).filter((each): each is number => each !== null));
  return interval && Number.isFinite(interval.low)
    ? interval
    : interval && { ...interval, low: interval.mean, high: interval.mean };
};

/** Nobody heard of is no outcome. */
const heard = (entry: LedgerEntry): boolean => entry.result !== 'never-heard';
const wrongPart = (entry: LedgerEntry): boolean | null =>
  !heard(entry) || entry.parts.length === 0
    ? null
    : entry.result === 'wrong-part' || entry.result === 'not-cured';

/** What a group of jobs is made of, so that two groups are not compared as if they were alike. */
const mixOf = (entries: readonly LedgerEntry[], of: (entry: LedgerEntry) => string | null) => {
  const counts = new Map<string, number>();
  for (const entry of entries) {
    const name = of(entry);
    if (name) counts.set(name, (counts.get(name) ?? 0) + 1);
  }
  return [...counts]
    .sort((p, q) => q[1] - p[1] || (p[0] < q[0] ? -1 : 1))
    .slice(0, 5)
    .map(([name, n]) => ({ name, n }));
};

const MOST_MONTHS = 60;

const groupOf = (entries: readonly LedgerEntry[]): LedgerGroup => ({
  jobs: entries.length,
  cured: shareOf(entries, ({ firstTime }) => firstTime),
  wrongPart: shareOf(entries, wrongPart),
  comeback: shareOf(entries, (entry) => (heard(entry) ? entry.comeback : null)),
  /** How good a chance was said: who overrules sees other jobs. */
  said: meanOf(entries, ({ said }) => said?.cures ?? null),
  parts: mixOf(entries, ({ parts }) => parts[0] ?? null),
  lines: mixOf(entries, ({ lineName, line }) => lineName ?? line),
  causes: mixOf(entries, ({ cause }) => cause),
});

/** Counts and money of closed jobs, each with its interval: 1 of 3 is not 33 in 100. */
export const figuresOf = (entries: readonly LedgerEntry[]): LedgerFigures => {
  const months = new Map<string, LedgerEntry[]>();
  for (const entry of entries) {
    const month = entry.closedOn.slice(0, 7);
    months.set(month, [...(months.get(month) ?? []), entry]);
  }
  const margins = entries.flatMap(({ marginCents }) => (marginCents === null ? [] : [marginCents]));
  return {
    jobs: entries.length,
    neverHeard: entries.filter((entry) => !heard(entry)).length,
    cured: shareOf(entries, ({ firstTime }) => firstTime),
    wrongPart: shareOf(entries, wrongPart),
    comeback: shareOf(entries, (entry) => (heard(entry) ? entry.comeback : null)),
    returned: shareOf(entries, (entry) => (entry.sold > 0 ? entry.returned > 0 : null)),
    badFromBox: shareOf(entries, (entry) => (entry.sold > 0 ? entry.badFromBox > 0 : null)),
    snapped: shareOf(entries, ({ seizure }) => seizure?.snapped ?? null),
    marginCents: margins.reduce((sum, each) => sum + each, 0),
    marginEach: meanOf(entries, ({ marginCents }) => marginCents),
    minutes: meanOf(entries, ({ minutes }) => minutes),
    months: [...months]
      .sort(([p], [q]) => (p < q ? -1 : 1))
      .slice(-MOST_MONTHS)
      .map(([month, own]) => ({
        month,
        jobs: own.length,
        cured: shareOf(own, ({ firstTime }) => firstTime),
        comeback: shareOf(own, (entry) => (heard(entry) ? entry.comeback : null)),
      })),
    followed: groupOf(entries.filter(({ followed }) => followed === true)),
    overruled: groupOf(entries.filter(({ followed }) => followed === false)),
  };
};

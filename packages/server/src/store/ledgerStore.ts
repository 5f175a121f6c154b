import {
  countsOf,
  entryOf,
  localDay,
  mainLine,
  soldOn,
  type Assumptions,
  type Count,
  type Docket,
  type Knowledge,
  type LedgerEntry,
  type MonthCount,
  type SaleFacts,
} from '@hardy/core';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import { setImmediate } from 'node:timers/promises';
import type { Recounted } from '../advising/recount.ts';
import { rawRows, rawRun } from './catalogueRows.ts';
import { LedgerRow } from './entities.ts';
import { adviceGiven } from './givenAdvice.ts';
import { inChunks } from './inChunks.ts';
import { LEDGER, locks } from './keyedMutex.ts';
import { addCounts, judgedFor, replaceCounts } from './learnedStore.ts';
import { shopSettings } from './shopStore.ts';

/** What is needed to count a closed docket. */
export interface ToCount {
  readonly docket: Docket;
  readonly facts: SaleFacts;
  readonly knowledge: Knowledge;
}
/** Counts a closed docket: in a thread, or here. */
export type Counter = (given: ToCount) => Promise<LedgerEntry>;
export const countHere: Counter = ({ docket, facts, knowledge }) =>
  Promise.resolve(entryOf(docket, docket.outcome as NonNullable<Docket['outcome']>, facts, knowledge));

const MINUTE = 60_000;

interface Closing {
  readonly id: string;
  readonly number: number;
  readonly openedAt: Date;
  readonly at: Date;
}

/** What came of a docket as the ledger counts it; null where it has no outcome. */
export const entryFor = async (
  em: EntityManager,
  docket: Docket,
  { id, number, openedAt, at }: Closing,
  knowledge: Knowledge,
  count: Counter,
): Promise<LedgerEntry | null> => {
  const { outcome, chosen } = docket;
  if (!outcome) return null;
  const given = await adviceGiven(em, id);
  const minutes = given ? (given.at.getTime() - openedAt.getTime()) / MINUTE : null;
  const longest = judgedFor(await shopSettings(em)).get('learning.longest-sale');
  const facts: SaleFacts = {
    docketNumber: number,
    soldOn:
      soldOn(docket, (chosen && mainLine(chosen)?.partNumber) ?? null) ??
      (given ? localDay(given.at) : localDay(openedAt)),
    closedOn: outcome.on ?? localDay(at),
    minutes: minutes !== null && minutes >= 0 && minutes <= longest ? minutes : null,
    given: given?.advice ?? null,
    learnedThen: given?.learned ?? {},
  };
  return count({ docket, facts, knowledge });
};

/** Puts an entry in the ledger in the place of the one before, with what it counts; null takes it out without a trace. */
export const putEntry = async (
  tx: EntityManager,
  id: string,
  entry: LedgerEntry | null,
  personId: number | null,
): Promise<boolean> => {
  const before = await tx.findOne(LedgerRow, { docketId: id }, { refresh: true });
  if (!before && !entry) return false;
  const a = judgedFor(await shopSettings(tx));
  if (before) {
    await addCounts(tx, JSON.parse(before.counts) as Count[], before.closedOn.slice(0, 7), -1);
    await tx.nativeDelete(LedgerRow, { docketId: id });
  }
  if (entry) await insert(tx, id, entry, personId, a);
  return true;
};

const insert = async (
  tx: EntityManager,
  id: string,
  entry: LedgerEntry,
  personId: number | null,
  a: Assumptions,
): Promise<void> => {
  const counts = countsOf(entry, a);
  await tx.insert(LedgerRow, rowOf(id, entry, personId, counts));
  await addCounts(tx, counts, entry.closedOn.slice(0, 7), 1);
};

const rowOf = (id: string, entry: LedgerEntry, personId: number | null, counts: readonly Count[]) => ({
  docketId: id,
  number: entry.docket,
  closedOn: entry.closedOn,
  line: entry.line,
  wheelEnd: entry.wheelEnd,
  part: entry.parts[0] ?? null,
  cause: entry.cause,
  desk: entry.desk,
  personId,
  result: entry.result,
  entry: JSON.stringify(entry),
  counts: JSON.stringify(counts),
});

/** Counts of many entries added up by month. */
const monthSums = (
  all: ReadonlyArray<{ readonly month: string; readonly counts: readonly Count[] }>,
): MonthCount[] => {
  const sums = new Map<string, MonthCount>();
  for (const { month, counts } of all)
    for (const { key, n, e, x, jobs } of counts) {
      const name = `${month} ${key}`;
      const sum = sums.get(name) ?? { key, month, n: 0, e: 0, x: 0, jobs: 0 };
      sums.set(name, { key, month, n: sum.n + n, e: sum.e + e, x: sum.x + x, jobs: sum.jobs + jobs });
    }
  return [...sums.values()];
};

/** Fills an empty ledger with many entries at once. */
export const fillLedger = async (
  tx: EntityManager,
  entries: ReadonlyArray<{
    readonly id: string;
    readonly entry: LedgerEntry;
    readonly personId: number | null;
  }>,
): Promise<void> => {
  const a = judgedFor(await shopSettings(tx));
  const counted = entries.map(({ entry }) => ({
    month: entry.closedOn.slice(0, 7),
    counts: countsOf(entry, a),
  }));
  await inChunks(
    entries.map(({ id, entry, personId }, i) => rowOf(id, entry, personId, counted[i]?.counts ?? [])),
    (some) => tx.insertMany(LedgerRow, some),
  );
  await replaceCounts(tx, monthSums(counted));
};

/** So many entries are read before somebody else is served. */
const READ_AT_ONCE = 1000;

/** What of the ledger is looked at. Days are inclusive. */
export interface LedgerFilter {
  readonly from?: string | undefined;
  readonly to?: string | undefined;
  readonly line?: string | undefined;
  readonly part?: string | undefined;
  readonly wheelEnd?: string | undefined;
  readonly cause?: string | undefined;
  readonly desk?: string | undefined;
  readonly customer?: number | undefined;
}
const COLUMNS: ReadonlyArray<readonly [keyof LedgerFilter, string]> = [
  ['from', 'closed_on >= ?'],
  ['to', 'closed_on <= ?'],
  ['line', 'line = ?'],
  ['part', 'part = ?'],
  ['wheelEnd', 'wheel_end = ?'],
  ['cause', 'cause = ?'],
  ['desk', 'desk = ?'],
  ['customer', 'person_id = ?'],
];

/** Entries of the ledger by filter, oldest first. */
export const ledgerEntries = async (em: EntityManager, filter: LedgerFilter = {}): Promise<LedgerEntry[]> => {
  const set = COLUMNS.filter(([name]) => filter[name] !== undefined && filter[name] !== '');
  const where = set.length ? ` where ${set.map(([, sql]) => sql).join(' and ')}` : '';
  const params = set.map(([name]) => filter[name]);
  const entries: LedgerEntry[] = [];
  for (;;) {
    const rows = await rawRows(
      em,
      `select entry from ledger_entry${where} order by closed_on, number limit ${READ_AT_ONCE} offset ?`,
      [...params, entries.length],
    );
    for (const { entry } of rows) entries.push(JSON.parse(String(entry)) as LedgerEntry);
    if (rows.length < READ_AT_ONCE) return entries;
    // Whoever waits is served in between.
    await setImmediate();
  }
};

/** What the filters can be set to. */
export const ledgerChoices = async (
  em: EntityManager,
): Promise<{ lines: Array<{ id: string; name: string }>; desks: string[] }> => ({
  lines: (
    await rawRows(
      em,
      `select line as id, max(json_extract(entry, '$.lineName')) as name from ledger_entry where line is not null group by line order by name`,
    )
  ).map(({ id, name }) => ({ id: String(id), name: String(name ?? id) })),
  desks: (
    await rawRows(em, 'select distinct desk from ledger_entry where desk is not null order by desk')
  ).map(({ desk }) => String(desk)),
});

/** So many entries are written in one go: nobody waits long for the database meanwhile. */
const WRITTEN_AT_ONCE = 200;

/** Learns again from entries of the ledger; null for an entry that is believed as before. */
type Relearn = (
  entries: LedgerEntry[],
  overrides: Assumptions['overrides'],
  month: string,
) => Promise<Array<Recounted | null>>;

/**
 * Learns again from the first closed docket on. It is calculated before anything is written, then written a few hundred
 * entries at a time, each with the difference of its counts. Outcomes that come meanwhile wait until it is done: an entry
 * that changes between the calculation and the writing would give other counts at the next time.
 */
export const relearnAll = (em: EntityManager, today: string, reckon: Relearn): Promise<{ jobs: number }> =>
  locks.run([LEDGER], () => relearnLocked(em, today, reckon));

const relearnLocked = async (
  em: EntityManager,
  today: string,
  reckon: Relearn,
): Promise<{ jobs: number }> => {
  const { overrides } = judgedFor(await shopSettings(em));
  const rows = await rawRows(em, 'select docket_id, entry, counts from ledger_entry order by number');
  const entries = rows.map(({ entry }) => JSON.parse(String(entry)) as LedgerEntry);
  const believed = await reckon(entries, overrides, today.slice(0, 7));
  for (let from = 0; from < rows.length; from += WRITTEN_AT_ONCE)
    await em.transactional(async (tx) => {
      const changed = [];
      for (const [i, row] of rows.slice(from, from + WRITTEN_AT_ONCE).entries()) {
        const now = believed[from + i];
        if (!now) continue;
        const done = (await rawRun(
          tx,
          'update ledger_entry set entry = ?, counts = ? where docket_id = ? and entry = ?',
          [JSON.stringify(now.entry), JSON.stringify(now.counts), row.docket_id, row.entry],
        )) as { affectedRows?: number };
        if (done.affectedRows === 0) continue;
        const month = now.entry.closedOn.slice(0, 7);
        const before = JSON.parse(String(row.counts)) as Count[];
        changed.push({ month, counts: [...now.counts, ...before.map(negated)] });
      }
      const months = new Map<string, Count[]>();
      for (const { month, ...count } of monthSums(changed))
        if (count.n !== 0 || count.e !== 0 || count.x !== 0 || count.jobs !== 0)
          months.set(month, [...(months.get(month) ?? []), count]);
      for (const [month, counts] of months) await addCounts(tx, counts, month, 1);
    });
  return { jobs: believed.length };
};

const negated = ({ key, n, e, x, jobs }: Count): Count => ({ key, n: -n, e: -e, x: -x, jobs: -jobs });

import type { Advice, Docket } from '@hardy/core';
import type { DocketLine, DocketLines, DocketState, Figures } from '@hardy/core/contract';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import { rawRows } from './catalogueRows.ts';
import { linesOf } from './docketRows.ts';
import { docketOf } from './people.ts';
import { DocketRow } from './entities.ts';

/** Shorter words are no trigram: they are looked for among the newest dockets. */
const LEAST_INDEXED = 3;
const NEWEST = 2000;
/** More than so many are not counted out. */
const MOST_COUNTED = 1000;

/** Columns of a docket that words are looked for in. */
const SEARCHED = ['vehicle_name', 'fleet_number', 'customer_name', 'firm', 'plate', 'headline'] as const;

/** Everything of a line but the document, which is read only where it is shown. */
export const LINE = `d.id, d.number, d.state, d.wheel_end, d.vehicle_name, d.fleet_number, d.customer_name, d.action, d.headline, d.outcome, d.created_at, d.updated_at, d.closed_at`;

const time = (value: unknown): string => new Date(Number(value)).toISOString();

export const lineOf = (row: Readonly<Record<string, unknown>>): DocketLine => ({
  id: String(row.id),
  number: Number(row.number),
  state: row.state as DocketState,
  wheelEnd: (row.wheel_end ?? null) as DocketLine['wheelEnd'],
  vehicleName: (row.vehicle_name ?? null) as string | null,
  fleetNumber: (row.fleet_number ?? null) as string | null,
  customerName: (row.customer_name ?? null) as string | null,
  action: row.action as DocketLine['action'],
  headline: String(row.headline),
  outcome: (row.outcome ?? null) as string | null,
  createdAt: time(row.created_at),
  updatedAt: time(row.updated_at),
  closedAt: row.closed_at === null ? null : time(row.closed_at),
});

export interface DocketFilter {
  readonly state: 'all' | 'current' | DocketState;
  readonly words: string;
  readonly limit: number;
  readonly offset: number;
}

const STATES: Readonly<Record<DocketFilter['state'], string>> = {
  all: `'open', 'ordered', 'closed'`,
  current: `'open', 'ordered'`,
  open: `'open'`,
  ordered: `'ordered'`,
  closed: `'closed'`,
};

/** A piece of SQL with what stands for its question marks. */
interface Source {
  readonly from: string;
  readonly params: readonly unknown[];
  readonly order: string;
  readonly orderParams?: readonly unknown[];
}

/** Where the dockets come from, and how they are put in order. */
const source = ({ state, words }: DocketFilter): Source => {
  const where = state === 'all' ? '' : `d.state in (${STATES[state]})`;
  const and = where && ` and ${where}`;
  if (!words) return { from: `docket d${where && ` where ${where}`}`, order: 'd.changed desc', params: [] };
  const isNumber = /^\d{1,9}$/.test(words);
  if (words.length >= LEAST_INDEXED)
    return {
      // Newest numbers first: in the order of the index, however many there are.
      from: `docket_search s join docket d on d.number = s.rowid where docket_search match ?${and}`,
      order: isNumber ? 's.rowid = ? desc, s.rowid desc' : 's.rowid desc',
      params: [`"${words.replaceAll('"', '""')}"`],
      orderParams: isNumber ? [Number(words)] : [],
    };
  const looks = SEARCHED.map((column) => `instr(lower(d.${column}), lower(?)) > 0`);
  const params: unknown[] = SEARCHED.map(() => words);
  if (isNumber) {
    looks.push('d.number = ?');
    params.push(Number(words));
  }
  return {
    from: `(select * from docket order by changed desc limit ${NEWEST}) d where (${looks.join(' or ')})${and}`,
    order: 'd.changed desc',
    params,
  };
};

/**
 * Dockets by state and words, newest first, so many from a place on, and how many there are in all, as far as they are
 * counted. The words are looked for as they are written, whatever the case: no sign in them stands for another.
 */
export const listDockets = async (em: EntityManager, filter: DocketFilter): Promise<DocketLines> => {
  const { from, params, order, orderParams = [] } = source(filter);
  const rows = await rawRows(em, `select ${LINE} from ${from} order by ${order} limit ? offset ?`, [
    ...params,
    ...orderParams,
    filter.limit,
    filter.offset,
  ]);
  const [counted] = await rawRows(
    em,
    `select count(*) as n from (select 1 from ${from} limit ${MOST_COUNTED + 1})`,
    params,
  );
  const total = Number(counted?.n);
  return {
    dockets: rows.map(lineOf),
    total: Math.max(Math.min(total, MOST_COUNTED), rows.length > 0 ? filter.offset + rows.length : 0),
    isMore: total > MOST_COUNTED,
  };
};

/**
 * Brings the list's lines of dockets up to what is advised now: after a change of the shop's settings the same facts may
 * say something else. No change of a docket: its version and its time stay.
 */
export const refreshLines = async (
  em: EntityManager,
  advised: ReadonlyArray<{ id: string; advice: Advice }>,
): Promise<void> => {
  for (const { id, advice } of advised) await em.nativeUpdate(DocketRow, { id }, linesOf(advice));
};

/** When the last change of a docket was made, as the clock was then, in milliseconds; 0 without any. */
export const newestRecord = async (em: EntityManager): Promise<number> => {
  const [row] = await rawRows(em, 'select max(updated_at) as at from docket');
  return Number(row?.at ?? 0);
};

/** The dockets on the counter, newest first. */
export const currentIds = async (em: EntityManager): Promise<string[]> =>
  (
    await em.find(DocketRow, { state: { $ne: 'closed' } }, { orderBy: { changed: 'desc' }, fields: ['id'] })
  ).map(({ id }) => id);

/** A docket on the counter as it is; null where it is there no more. */
export const currentDocket = async (
  em: EntityManager,
  id: string,
): Promise<{ number: number; headline: string; docket: Docket } | null> => {
  const row = await em.findOne(DocketRow, { id, state: { $ne: 'closed' } });
  return row && { number: row.number, headline: row.headline, docket: await docketOf(em, row.document) };
};

/** Today's figures: from the start of the day that `now` is in, local time. */
export const figures = async (em: EntityManager, now: Date): Promise<Figures> => {
  const midnight = new Date(now.getFullYear(), now.getMonth(), now.getDate());
  const closedAs = (...results: string[]) => em.count(DocketRow, { outcome: { $in: results } });
  const [openedToday, closedToday, open, ordered, cured, cameBack, wrongPart, notCured, unused] =
    await Promise.all([
      em.count(DocketRow, { createdAt: { $gte: midnight } }),
      em.count(DocketRow, { closedAt: { $gte: midnight } }),
      em.count(DocketRow, { state: 'open' }),
      em.count(DocketRow, { state: 'ordered' }),
      closedAs('cured'),
      closedAs('came-back'),
      closedAs('wrong-part'),
      closedAs('not-cured', 'partly'),
      closedAs('returned-unused', 'returned-opened'),
    ]);
  return {
    openedToday,
    closedToday,
    open,
    ordered,
    closed: { cured, cameBack, wrongPart, notCured, unused },
  };
};

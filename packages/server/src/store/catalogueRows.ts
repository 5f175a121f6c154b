import { keptName, type CatalogueTable } from '@hardy/core';
import type { EntityManager } from '@mikro-orm/better-sqlite';

type Raw = Readonly<Record<string, unknown>>;

/** Rows as the database has them, without entities: a slice is read at every change of a docket. */
export const rawRows = (em: EntityManager, sql: string, params: readonly unknown[] = []): Promise<Raw[]> =>
  // In the transaction’s own context: the pool has one connection, another would wait for itself.
  em.getConnection().execute<Raw[]>(sql, [...params], 'all', em.getTransactionContext());

/** Rows of a table of the catalogue; `rest` is what comes after its name in SQL. */
export const catalogueRows = async <T>(
  em: EntityManager,
  table: CatalogueTable<T>,
  rest = '',
  params: readonly unknown[] = [],
): Promise<T[]> =>
  (await rawRows(em, `select * from "${table.name}" ${rest}`, params)).map((raw) => table.kept(raw));

/** Marks for so many values of a list. */
export const marks = (list: readonly unknown[]): string => list.map(() => '?').join(', ');

/** Rows in one statement: SQLite takes no more values in one. */
const MOST_VALUES = 30000;

/** A statement that gives no rows. */
export const rawRun = (em: EntityManager, sql: string, params: readonly unknown[] = []): Promise<unknown> =>
  em.getConnection().execute(sql, [...params], 'run', em.getTransactionContext());

const inSql = (value: unknown): unknown => (typeof value === 'boolean' ? Number(value) : value);

/**
 * Puts rows into a table of the catalogue; one that is there already is changed. Straight SQL in as few statements as
 * there may be: a catalogue has a million rows, and no entity is needed to carry them.
 */
export const putRows = async <T>(
  em: EntityManager,
  table: CatalogueTable<T>,
  rows: readonly T[],
): Promise<void> => {
  const kept = rows.map((row) => table.keep(row));
  const [first] = kept;
  if (!first) return;
  const fields = Object.keys(first);
  const columns = fields.map((field) => `"${keptName(field)}"`);
  let change = '';
  if (table.unique) {
    const known = keptName(table.unique);
    change = ` on conflict ("${known}") do update set ${columns
      .filter((name) => name !== `"${known}"`)
      .map((name) => `${name} = excluded.${name}`)
      .join(', ')}`;
  } else {
    const same = table.identity.map((field) => `"${keptName(field)}" is ?`).join(' and ');
    for (const row of kept)
      await rawRun(
        em,
        `delete from "${table.name}" where ${same}`,
        table.identity.map((field) => inSql(row[field])),
      );
  }
  const each = Math.max(1, Math.floor(MOST_VALUES / fields.length));
  const mark = `(${marks(fields)})`;
  for (let at = 0; at < kept.length; at += each) {
    const part = kept.slice(at, at + each);
    await rawRun(
      em,
      `insert into "${table.name}" (${columns.join(', ')}) values ${part.map(() => mark).join(', ')}${change}`,
      part.flatMap((row) => fields.map((field) => inSql(row[field]))),
    );
  }
};

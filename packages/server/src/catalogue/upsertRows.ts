import type { EntityManager } from '@mikro-orm/better-sqlite';

const snake = (name: string): string => name.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
const plain = (value: unknown): unknown =>
  value === undefined ? null : typeof value === 'boolean' ? Number(value) : value;

/** Rows in one statement: SQLite takes no more values in one. */
const MOST_VALUES = 30000;

/**
 * Puts rows of one shape into a table in as few statements as there may be. With a `key`, a row that is there already
 * is changed. Straight SQL: a catalogue has a million rows, and no entity is needed to carry them.
 */
export const upsertRows = async (
  em: EntityManager,
  table: string,
  key: string | null,
  rows: readonly object[],
): Promise<void> => {
  const first = rows[0];
  if (!first) return;
  const names = Object.keys(first);
  const columns = names.map((name) => `"${snake(name)}"`);
  const change = key
    ? ` on conflict ("${snake(key)}") do update set ${names
        .filter((name) => name !== key)
        .map((name) => `"${snake(name)}" = excluded."${snake(name)}"`)
        .join(', ')}`
    : '';
  const each = Math.max(1, Math.floor(MOST_VALUES / names.length));
  for (let at = 0; at < rows.length; at += each) {
    const part = rows.slice(at, at + each);
    const marks = `(${names.map(() => '?').join(', ')})`;
    await em.getConnection().execute(
      `insert into "${table}" (${columns.join(', ')}) values ${part.map(() => marks).join(', ')}${change}`,
      part.flatMap((row) => names.map((name) => plain((row as Record<string, unknown>)[name]))),
      'run',
      em.getTransactionContext(),
    );
  }
};

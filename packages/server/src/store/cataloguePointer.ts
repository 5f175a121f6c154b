import type { Database } from 'better-sqlite3';

/** Where the database says which catalogue is its own. */
export const POINTER = 'catalogue';

/** The catalogue’s file a database names; null where it names none yet. */
export const catalogueNamed = (connection: Database): string | null => {
  const settings = connection
    .prepare(`select 1 from main.sqlite_master where type = 'table' and name = 'setting'`)
    .get();
  if (!settings) return null;
  const row = connection.prepare(`select value from main.setting where key = ?`).get(POINTER) as
    { value: string } | undefined;
  return row ? (JSON.parse(row.value) as { file: string }).file : null;
};

import type { Database } from 'better-sqlite3';
import { randomBytes } from 'node:crypto';
import { basename, dirname, join } from 'node:path';

/** Where the database says which catalogue is its own. */
export const POINTER = 'catalogue';

/** Where a training database says whose catalogue it has a copy of. */
export const CATALOGUE_COPIED_FROM = 'practice-catalogue-of';

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

/**
 * How files of catalogues of a database begin: `shop.sqlite` has `shop.sqlite.catalogue-1a2b3c4d` beside it. The whole
 * name is in it: another database of the folder must never take them for its own.
 */
export const stemOf = (database: string): string => `${basename(database)}.catalogue-`;

/** A name for a catalogue that is yet to be made. */
export const newCatalogueFile = (database: string): string =>
  join(dirname(database), `${stemOf(database)}${randomBytes(4).toString('hex')}`);

import Sqlite, { type Database } from 'better-sqlite3';
import {
  accessSync,
  constants,
  existsSync,
  mkdirSync,
  openSync,
  readSync,
  closeSync,
  statSync,
} from 'node:fs';
import { dirname } from 'node:path';
import { CannotOpen } from './cannotOpen.ts';
import { MIGRATIONS } from './migrations/index.ts';

const HEADER = 'SQLite format 3\0';

const headerOf = (file: string): string => {
  const handle = openSync(file, 'r');
  try {
    const bytes = Buffer.alloc(HEADER.length);
    readSync(handle, bytes, 0, HEADER.length, 0);
    return bytes.toString('latin1');
  } finally {
    closeSync(handle);
  }
};

const mustBeWritable = (path: string, database: string, what: string): void => {
  try {
    accessSync(path, constants.W_OK);
  } catch {
    throw new CannotOpen(database, `${what} may not be written; give this user the right to write it`);
  }
};

/** What is wrong with a database’s inside, in words; null for nothing. */
const wrongInside = (connection: Database): string | null => {
  const found = connection.pragma('quick_check(1)') as Array<{ quick_check: string }>;
  return found[0]?.quick_check === 'ok' ? null : (found[0]?.quick_check ?? 'nothing can be read');
};

/** Migrations a database has had; null where it is no database of ours. */
const stepsIn = (connection: Database): string[] | null => {
  const tables = new Set(
    (
      connection.prepare(`select name from sqlite_master where type = 'table'`).all() as Array<{
        name: string;
      }>
    ).map(({ name }) => name),
  );
  if (!tables.has('mikro_orm_migrations') || (!tables.has('docket') && tables.size > 2)) return null;
  return (connection.prepare('select name from mikro_orm_migrations').all() as Array<{ name: string }>).map(
    ({ name }) => name,
  );
};

/** What a database file was found to be. */
export type Examined = { readonly kind: 'new' } | { readonly kind: 'ours'; readonly behind: boolean };

/**
 * Looks at a database file before anything of it is touched: whether it can be opened and written, is whole, ours, and
 * not of a newer version. Whether it is whole inside takes a while on a large one: `isToBeWhole` leaves that out.
 * @throws CannotOpen with one sentence that says what is wrong and what to do.
 */
export const examineFile = (file: string, isToBeWhole = true): Examined => {
  const folder = dirname(file);
  if (!existsSync(folder)) {
    // One folder is made; a whole path that is not there is a slip, or a disk that is not.
    if (!existsSync(dirname(folder)))
      throw new CannotOpen(file, `the folder ${folder} is not there; make it, or give another --database`);
    mkdirSync(folder);
  }
  mustBeWritable(folder, file, `the folder ${folder}`);
  if (!existsSync(file)) return { kind: 'new' };
  const state = statSync(file);
  if (state.isDirectory()) throw new CannotOpen(file, 'it is a folder; name a file in it');
  mustBeWritable(file, file, 'the file');
  if (state.size === 0)
    throw new CannotOpen(
      file,
      'it is empty (0 bytes): restore a backup with hardy restore, or remove it to begin anew',
    );
  if (headerOf(file) !== HEADER)
    throw new CannotOpen(file, 'it is no database; name another file, or restore a backup');
  const connection = new Sqlite(file, { readonly: true, timeout: 5000 });
  try {
    const steps = stepsIn(connection);
    if (!steps) throw new CannotOpen(file, 'it is the database of another program; name another file');
    const known = new Set<string>(MIGRATIONS.map(({ name }) => name));
    const newer = steps.filter((step) => !known.has(step));
    if (newer.length > 0)
      throw new CannotOpen(
        file,
        `it was written by a newer version of this program (${newer.join(', ')}); start that one`,
      );
    const wrong = isToBeWhole ? wrongInside(connection) : null;
    if (wrong) throw new CannotOpen(file, `it is damaged (${wrong}); restore a backup with hardy restore`);
    return { kind: 'ours', behind: steps.length < known.size };
  } catch (error) {
    if (error instanceof CannotOpen) throw error;
    throw new CannotOpen(
      file,
      `it is damaged (${error instanceof Error ? error.message : String(error)}); restore a backup with hardy restore`,
    );
  } finally {
    connection.close();
  }
};

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
import { dirname, join } from 'node:path';
import { CannotOpen } from './cannotOpen.ts';
import { catalogueNamed } from './cataloguePointer.ts';
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
 * Looks at a database file without opening it as one: whether it is there, can be written, and begins like a database.
 * @throws CannotOpen with one sentence that says what is wrong and what to do
 */
export const examinePlainly = (file: string): 'new' | 'database' => {
  const folder = dirname(file);
  if (!existsSync(folder)) {
    // One folder is made; a whole path that is not there is a slip, or a disk that is not.
    if (!existsSync(dirname(folder)))
      throw new CannotOpen(file, `the folder ${folder} is not there; make it, or give another --database`);
    mkdirSync(folder, { mode: 0o700 });
  }
  mustBeWritable(folder, file, `the folder ${folder}`);
  if (!existsSync(file)) return 'new';
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
  return 'database';
};

/**
 * Looks inside a database file before anything of it is touched: whether it is whole, ours, and not of a newer version.
 * To be called with its lock held.
 * @throws CannotOpen with one sentence that says what is wrong and what to do
 */
export const examineFile = (file: string): Examined => {
  if (examinePlainly(file) === 'new') return { kind: 'new' };
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
    const wrong = wrongInside(connection);
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

/**
 * Looks at the catalogue a database names, before it is attached.
 * @throws CannotOpen where it is no catalogue, or cannot be read
 */
export const examineCatalogue = (database: string): void => {
  const connection = new Sqlite(database, { readonly: true, timeout: 5000 });
  const name = (() => {
    try {
      return catalogueNamed(connection);
    } finally {
      connection.close();
    }
  })();
  const file = join(dirname(database), name ?? '');
  // One that is gone is told where the database is opened.
  if (!name || !existsSync(file)) return;
  const damaged = (why: string) =>
    new CannotOpen(
      database,
      `its catalogue ${name} is damaged (${why}); restore a backup with hardy restore`,
    );
  let catalogue: Database | null = null;
  try {
    if (headerOf(file) !== HEADER) throw new Error('it is no database');
    catalogue = new Sqlite(file, { readonly: true, timeout: 5000 });
    const tables = catalogue
      .prepare(`select count(*) as n from sqlite_master where name in ('part', 'mikro_orm_migrations')`)
      .get() as { n: number };
    if (tables.n !== 2) throw new Error('it has no parts');
    catalogue.prepare('select * from part limit 1').all();
  } catch (error) {
    throw damaged((error as Error).message);
  } finally {
    catalogue?.close();
  }
};

import { MikroORM } from '@mikro-orm/better-sqlite';
import { Migrator } from '@mikro-orm/migrations';
import type { Database } from 'better-sqlite3';
import { existsSync, realpathSync, renameSync, rmSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { attachCatalogue, type CatalogueInUse } from './catalogueFile.ts';
import { CannotOpen } from './cannotOpen.ts';
import { DatabaseMoved } from './databaseMoved.ts';
import { ENTITIES } from './entities.ts';
import { examineCatalogue, examineFile, examinePlainly } from './examineFile.ts';
import { lockFile, type Lock } from './lockFile.ts';
import { MIGRATIONS } from './migrations/index.ts';
import { ownerOnly } from './ownerOnly.ts';
import { settleCatalogue } from './settleCatalogue.ts';
import { toDisk } from './toDisk.ts';

/** A database that is open: nobody else has it. */
export interface Store {
  readonly orm: MikroORM;
  readonly file: string;
  readonly catalogue: CatalogueInUse;
  /** Closes it and lets go of its lock. */
  close(): Promise<void>;
}

/** Statements that write, as they begin. */
const WRITES = /^\s*(begin|insert|update|delete|replace|with)\b/i;

const setUp = (connection: Database, file: string, lock: Lock): void => {
  connection.pragma('journal_mode = WAL');
  connection.pragma('synchronous = FULL');
  connection.pragma('foreign_keys = ON');
  connection.pragma('busy_timeout = 5000');
  // What is erased on request is overwritten in the file.
  connection.pragma('secure_delete = ON');
  // What replaces a row deletes it: the triggers that keep history for good are asked then too.
  connection.pragma('recursive_triggers = ON');
  // A catalogue of a million rows is read all over: pages in memory and mapped, not fetched each time.
  connection.pragma('cache_size = -65536');
  connection.pragma('mmap_size = 536870912');
  // A backup holds the log back while it copies; the log is cut again afterwards.
  connection.pragma('journal_size_limit = 67108864');
  const prepare = connection.prepare.bind(connection);
  connection.prepare = (sql: string) => {
    if (WRITES.test(sql) && !connection.inTransaction && !lock.isInPlace()) throw new DatabaseMoved();
    // Whoever begins means to write: it waits at the beginning, not after it has read what another then changes.
    return prepare(sql === 'BEGIN;' ? 'BEGIN IMMEDIATE;' : sql);
  };
  attachCatalogue(connection, file);
};

/** Connects to a database file, which need not exist, and brings it to the newest migration. */
const connect = async (file: string, each: (connection: Database) => void): Promise<MikroORM> => {
  const orm = await MikroORM.init({
    dbName: file,
    entities: ENTITIES,
    extensions: [Migrator],
    migrations: { migrationsList: MIGRATIONS, snapshot: false, silent: true },
    metadataCache: { enabled: false },
    // The search index is the database’s own business, not an entity.
    schemaGenerator: { skipTables: [/^docket_search/] },
    pool: {
      afterCreate: (connection: Database, done: (error: unknown, connection: unknown) => void) => {
        try {
          each(connection);
          done(null, connection);
        } catch (error) {
          done(error, connection);
        }
      },
    },
  });
  try {
    await orm.migrator.up();
    return orm;
  } catch (error) {
    await orm.close();
    throw error;
  }
};

/** Makes an empty database. It is made under another name, so that one that is not whole is never taken for one. */
const makeDatabase = async (file: string): Promise<void> => {
  const making = `${file}.making`;
  const clear = () =>
    ['', '-wal', '-shm', '-journal'].forEach((end) => rmSync(`${making}${end}`, { force: true }));
  clear();
  try {
    const orm = await connect(making, (connection) => connection.pragma('synchronous = FULL'));
    await orm.close();
    ownerOnly(making);
    toDisk(making);
    renameSync(making, file);
    toDisk(dirname(file));
  } finally {
    clear();
  }
};

/** An error of the disk while a database is opened, as a sentence; any other error as it is. */
export const asSentence = (file: string, error: unknown): unknown => {
  const { code } = (error ?? {}) as { code?: unknown };
  return typeof code === 'string' && /^(SQLITE_FULL|ENOSPC|EDQUOT)/.test(code)
    ? new CannotOpen(file, 'the disk is full; make room and start again')
    : error;
};

/**
 * Opens the database at `path`, brings it to the newest migration, and sets it so that an acknowledged change survives a
 * killed process and a power cut: write-ahead log, full synchronisation. `before` is called when a migration is to come.
 * @throws CannotOpen with one sentence where it cannot be; nothing was touched.
 */
export const openStore = async (
  path: string,
  before: (file: string) => Promise<void> = () => Promise.resolve(),
): Promise<Store> => {
  const file = existsSync(path) ? realpathSync(path) : resolve(path);
  examinePlainly(file);
  const lock = lockFile(file);
  let orm: MikroORM | null = null;
  try {
    // Whoever had it until now may have changed it.
    const examined = examineFile(file);
    if (examined.kind === 'new') {
      await makeDatabase(file);
      lock.hold();
    } else {
      examineCatalogue(file);
      if (examined.behind) await before(file);
    }
    ownerOnly(file, `${file}-wal`, `${file}-shm`, `${file}.lock`);
    const opened = (orm = await connect(file, (connection) => setUp(connection, file, lock)));
    const catalogue = await settleCatalogue(orm, file);
    ownerOnly(await catalogue.file());
    return {
      orm,
      file,
      catalogue,
      async close() {
        await opened.close();
        lock.release();
      },
    };
  } catch (error) {
    await orm?.close();
    lock.release();
    throw asSentence(file, error);
  }
};

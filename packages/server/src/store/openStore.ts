import { MikroORM } from '@mikro-orm/better-sqlite';
import { Migrator } from '@mikro-orm/migrations';
import type { Database } from 'better-sqlite3';
import { existsSync, realpathSync } from 'node:fs';
import { resolve } from 'node:path';
import { attachCatalogue, type CatalogueInUse } from './catalogueFile.ts';
import { ENTITIES } from './entities.ts';
import { examineFile } from './examineFile.ts';
import { lockFile } from './lockFile.ts';
import { MIGRATIONS } from './migrations/index.ts';
import { settleCatalogue } from './settleCatalogue.ts';

/** A database that is open: nobody else has it. */
export interface Store {
  readonly orm: MikroORM;
  readonly file: string;
  readonly catalogue: CatalogueInUse;
  /** Closes it and lets go of its lock. */
  close(): Promise<void>;
}

const setUp = (connection: Database, file: string): void => {
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
  // Whoever begins means to write: it waits at the beginning, not after it has read what another then changes.
  const prepare = connection.prepare.bind(connection);
  connection.prepare = (sql: string) => prepare(sql === 'BEGIN;' ? 'BEGIN IMMEDIATE;' : sql);
  attachCatalogue(connection, file);
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
  examineFile(file, false);
  const lock = lockFile(file);
  let orm: MikroORM | null = null;
  try {
    // Whoever had it until now may have changed it.
    const examined = examineFile(file);
    if (examined.kind === 'ours' && examined.behind) await before(file);
    orm = await MikroORM.init({
      dbName: file,
      entities: ENTITIES,
      extensions: [Migrator],
      migrations: { migrationsList: MIGRATIONS, snapshot: false, silent: true },
      metadataCache: { enabled: false },
      // The search index is the database’s own business, not an entity.
      schemaGenerator: { skipTables: [/^docket_search/] },
      pool: {
        afterCreate: (connection: Database, done: (error: unknown, connection: unknown) => void) => {
          setUp(connection, file);
          done(null, connection);
        },
      },
    });
    await orm.migrator.up();
    const opened = orm;
    return {
      orm,
      file,
      catalogue: await settleCatalogue(orm, file),
      async close() {
        await opened.close();
        lock.release();
      },
    };
  } catch (error) {
    await orm?.close();
    lock.release();
    throw error;
  }
};

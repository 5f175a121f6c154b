import { MikroORM } from '@mikro-orm/better-sqlite';
import { Migrator } from '@mikro-orm/migrations';
import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { ENTITIES } from './entities.ts';
import { MIGRATIONS } from './migrations/index.ts';

/**
 * Opens the database at `file`, brings it to the newest migration, and sets it so that an acknowledged change
 * survives a killed process and a power cut: write-ahead log, full synchronisation.
 */
export const openStore = async (file: string): Promise<MikroORM> => {
  if (file !== ':memory:') mkdirSync(dirname(file), { recursive: true });
  const orm = await MikroORM.init({
    dbName: file,
    entities: ENTITIES,
    extensions: [Migrator],
    migrations: { migrationsList: MIGRATIONS, snapshot: false, silent: true },
    metadataCache: { enabled: false },
    // The search index is the database’s own business, not an entity.
    schemaGenerator: { skipTables: [/^part_search/] },
    pool: {
      afterCreate: (
        connection: { pragma(text: string): void },
        done: (error: unknown, connection: unknown) => void,
      ) => {
        connection.pragma('journal_mode = WAL');
        connection.pragma('synchronous = FULL');
        connection.pragma('foreign_keys = ON');
        connection.pragma('busy_timeout = 5000');
        // A catalogue of a million rows is read all over: pages in memory and mapped, not fetched each time.
        connection.pragma('cache_size = -65536');
        connection.pragma('mmap_size = 536870912');
        done(null, connection);
      },
    },
  });
  await orm.migrator.up();
  return orm;
};

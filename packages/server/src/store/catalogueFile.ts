import { CATALOGUE_TABLES } from '@hardy/core';
import { MikroORM, type EntityManager } from '@mikro-orm/better-sqlite';
import { Migrator } from '@mikro-orm/migrations';
import type { Database } from 'better-sqlite3';
import { constants, existsSync, readdirSync, rmSync } from 'node:fs';
import { copyFile } from 'node:fs/promises';
import { basename, dirname, join } from 'node:path';
import { CATALOGUE_ENTITIES } from './catalogueEntities.ts';
import { CATALOGUE_MIGRATIONS } from './catalogueMigrations/index.ts';
import { catalogueNamed, newCatalogueFile, POINTER, stemOf } from './cataloguePointer.ts';
import { SettingRow } from './entities.ts';
import { withConnection } from './rawConnection.ts';
import { ownerOnly } from './ownerOnly.ts';
import { toDisk } from './toDisk.ts';

/** Attaches the catalogue a database names, where there is one: its tables are read as if they were the database’s own. */
export const attachCatalogue = (connection: Database, database: string): void => {
  const file = catalogueNamed(connection);
  if (file && existsSync(join(dirname(database), file)))
    connection.prepare('attach database ? as catalogue').run(join(dirname(database), file));
};

const detach = (connection: Database): void => {
  const attached = connection.pragma('database_list') as Array<{ name: string }>;
  if (attached.some(({ name }) => name === 'catalogue'))
    connection.prepare('detach database catalogue').run();
};

/**
 * Opens a catalogue’s file by itself and brings it to its newest migration. Only files nobody reads yet are opened so:
 * one in use is never written, another takes its place. Nothing is synchronised while it is filled; `seal` does that.
 */
export const openCatalogueFile = async (file: string): Promise<MikroORM> => {
  const orm = await MikroORM.init({
    dbName: file,
    entities: CATALOGUE_ENTITIES,
    extensions: [Migrator],
    migrations: { migrationsList: CATALOGUE_MIGRATIONS, snapshot: false, silent: true },
    metadataCache: { enabled: false },
    schemaGenerator: { skipTables: [/^part_search/] },
    pool: {
      afterCreate: (connection: Database, done: (error: unknown, connection: unknown) => void) => {
        connection.pragma('journal_mode = MEMORY');
        connection.pragma('synchronous = OFF');
        connection.pragma('cache_size = -65536');
        done(null, connection);
      },
    },
  });
  await orm.migrator.up();
  return orm;
};

/** Makes sure that a filled file survives a power cut. */
export const seal = (file: string): void => {
  ownerOnly(file);
  toDisk(file);
  toDisk(dirname(file));
};

/** The catalogue of a database: which file it is, and how another takes its place. */
export class CatalogueInUse {
  constructor(
    private readonly orm: MikroORM,
    private readonly database: string,
  ) {}

  /** The path of the file in use. */
  async file(): Promise<string> {
    const name = await withConnection(this.orm, catalogueNamed);
    return join(dirname(this.database), name ?? '');
  }

  /** A copy of the file in use, to be changed and then put in its place. */
  async copy(): Promise<string> {
    const to = newCatalogueFile(this.database);
    await copyFile(await this.file(), to, constants.COPYFILE_FICLONE);
    return to;
  }

  /**
   * Puts a sealed file in the place of the one in use, wholly; `also` is written in the same transaction. The former one
   * is deleted. When it fails the former one stays.
   */
  async change(
    to: string,
    also: (tx: EntityManager) => Promise<void> = () => Promise.resolve(),
  ): Promise<void> {
    await withConnection(this.orm, (connection) => {
      detach(connection);
      connection.prepare('attach database ? as catalogue').run(to);
    });
    try {
      await this.orm.em.fork().transactional(async (tx) => {
        await tx.upsert(SettingRow, { key: POINTER, value: JSON.stringify({ file: basename(to) }) });
        await also(tx);
      });
    } catch (error) {
      await withConnection(this.orm, (connection) => {
        detach(connection);
        attachCatalogue(connection, this.database);
      });
      rmSync(to, { force: true });
      throw error;
    }
    this.sweep(to);
  }

  /** Deletes catalogues that were never put to use, or are no more. */
  sweep(inUse: string): void {
    const folder = dirname(this.database);
    for (const name of readdirSync(folder))
      if (name.startsWith(stemOf(this.database)) && !name.startsWith(basename(inUse)))
        rmSync(join(folder, name), { force: true });
  }
}

/** The catalogue’s tables by their names in the database. */
export const CATALOGUE_TABLE_NAMES: readonly string[] = CATALOGUE_TABLES.map(({ name }) => name);

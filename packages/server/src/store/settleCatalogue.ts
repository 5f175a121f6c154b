import type { MikroORM } from '@mikro-orm/better-sqlite';
import Sqlite from 'better-sqlite3';
import { copyFileSync, existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { CATALOGUE_TABLE_NAMES, CatalogueInUse, openCatalogueFile, seal } from './catalogueFile.ts';
import { CATALOGUE_MIGRATIONS } from './catalogueMigrations/index.ts';
import { CannotOpen } from './cannotOpen.ts';
import { catalogueNamed, newCatalogueFile } from './cataloguePointer.ts';
import { rawRun } from './catalogueRows.ts';
import { withConnection } from './rawConnection.ts';

/** The catalogue of a database of an older version, whose tables stand among its own, into a file of its own. */
const moveOut = async (database: string, inUse: CatalogueInUse): Promise<void> => {
  const to = newCatalogueFile(database);
  const catalogue = await openCatalogueFile(to);
  await withConnection(catalogue, (connection) => {
    connection.prepare('attach database ? as old').run(database);
    for (const table of CATALOGUE_TABLE_NAMES) {
      const columns = (connection.pragma(`old.table_info("${table}")`) as Array<{ name: string }>)
        .map(({ name }) => `"${name}"`)
        .join(', ');
      // A table that version did not have yet.
      if (!columns) continue;
      connection
        .prepare(`insert into main."${table}" (${columns}) select ${columns} from old."${table}"`)
        .run();
    }
    connection.prepare('detach database old').run();
  });
  await catalogue.close();
  seal(to);
  await inUse.change(to, async (tx) => {
    for (const table of ['part_search', ...CATALOGUE_TABLE_NAMES])
      await rawRun(tx, `drop table if exists main."${table}"`);
  });
};

const knownSteps = (file: string): Set<string> => {
  const connection = new Sqlite(file, { readonly: true });
  try {
    const rows = connection.prepare('select name from mikro_orm_migrations').all() as Array<{ name: string }>;
    return new Set(rows.map(({ name }) => name));
  } finally {
    connection.close();
  }
};

/**
 * Sees to it that a database has its catalogue: one of today’s shape in a file of its own, however old the database is.
 * @throws CannotOpen where the file it names is gone.
 */
export const settleCatalogue = async (orm: MikroORM, database: string): Promise<CatalogueInUse> => {
  const inUse = new CatalogueInUse(orm, database);
  const name = await withConnection(orm, catalogueNamed);
  if (!name) await moveOut(database, inUse);
  else {
    const file = join(dirname(database), name);
    if (!existsSync(file))
      throw new CannotOpen(
        database,
        `its catalogue ${name} is not beside it; put it back, or restore a backup`,
      );
    const steps = knownSteps(file);
    if (CATALOGUE_MIGRATIONS.some((step) => !steps.has(step.name))) {
      const to = newCatalogueFile(database);
      copyFileSync(file, to);
      await (await openCatalogueFile(to)).close();
      seal(to);
      await inUse.change(to);
    }
  }
  inUse.sweep(await inUse.file());
  return inUse;
};

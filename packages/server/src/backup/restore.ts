import Sqlite from 'better-sqlite3';
import { copyFileSync, existsSync, linkSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { CannotOpen } from '../store/cannotOpen.ts';
import { catalogueNamed, newCatalogueFile, POINTER } from '../store/cataloguePointer.ts';
import { toDisk } from '../store/toDisk.ts';
import { lockFile } from '../store/lockFile.ts';
import { BACKUP_FILES, readBackup, verifyBackup } from './backup.ts';

/** Copies beside the place a file is to take, changes the copy, and puts it there in one step. */
const putInPlace = (from: string, to: string, change: (copy: string) => void = () => undefined): void => {
  const beside = `${to}.restoring`;
  copyFileSync(from, beside);
  change(beside);
  toDisk(beside);
  renameSync(beside, to);
  toDisk(dirname(to));
};

/** Has a database name this catalogue as its own. */
const pointTo = (database: string, catalogue: string): void => {
  const connection = new Sqlite(database);
  try {
    connection.pragma('synchronous = FULL');
    connection
      .prepare('update setting set value = ? where key = ?')
      .run(JSON.stringify({ file: catalogue }), POINTER);
  } finally {
    connection.close();
  }
};

/** Keeps a database that is to be replaced in a folder of its own, with its catalogue, so that it can be opened there. */
const keepAside = (database: string, aside: string): void => {
  mkdirSync(aside);
  const to = join(aside, basename(database));
  try {
    const connection = new Sqlite(database);
    try {
      connection.pragma('wal_checkpoint(TRUNCATE)');
      const catalogue = catalogueNamed(connection);
      if (catalogue) linkSync(join(dirname(database), catalogue), join(aside, catalogue));
    } finally {
      connection.close();
    }
  } catch {
    // A damaged one is kept as it is, with the log that cannot be written back.
    if (existsSync(`${database}-wal`)) copyFileSync(`${database}-wal`, `${to}-wal`);
  }
  linkSync(database, to);
  toDisk(aside);
  // A log of one database must never be read into another.
  for (const end of ['-wal', '-shm']) rmSync(`${database}${end}`, { force: true });
};

/** What a restore did. */
export interface Restored {
  readonly database: string;
  /** The folder the replaced one is kept in; null where there was none. */
  readonly replaced: string | null;
  /** Rows by table, as the backup has them. */
  readonly rows: Readonly<Record<string, number>>;
}

/**
 * Puts a backup in the place of a database. The replaced one is kept aside in a folder of its own. However it is
 * interrupted, either the old or the restored database stands there, whole.
 * @throws CannotOpen where a server has it open, or the backup is not whole; nothing was touched.
 */
export const restoreBackup = async (
  folder: string,
  database: string,
  now: Date = new Date(),
): Promise<Restored> => {
  const backup = readBackup(folder);
  await verifyBackup(backup);
  if (!existsSync(dirname(database)))
    throw new CannotOpen(database, `the folder ${dirname(database)} is not there; make it first`);
  const lock = lockFile(database, 0);
  try {
    const { catalogue } = backup.manifest;
    // Under a name of its own: a database beside this one may still have the catalogue of the old name.
    const beside = catalogue ? newCatalogueFile(database) : null;
    if (beside) putInPlace(join(folder, BACKUP_FILES.catalogue), beside);
    let replaced: string | null = null;
    if (existsSync(database)) {
      replaced = `${database}.replaced-${now.toISOString().replace(/[:.]/g, '-')}`;
      keepAside(database, replaced);
    }
    putInPlace(join(folder, BACKUP_FILES.database), database, (copy) => {
      if (beside) pointTo(copy, basename(beside));
    });
    return { database, replaced, rows: { ...backup.manifest.database.rows, ...catalogue?.rows } };
  } finally {
    lock.release();
  }
};

import Sqlite from 'better-sqlite3';
import { copyFileSync, existsSync, linkSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { CannotOpen } from '../store/cannotOpen.ts';
import {
  CATALOGUE_COPIED_FROM,
  catalogueNamed,
  newCatalogueFile,
  POINTER,
} from '../store/cataloguePointer.ts';
import { toDisk } from '../store/toDisk.ts';
import { lockFile } from '../store/lockFile.ts';
import { trainingFileOf } from '../store/trainingFile.ts';
import { BACKUP_FILES, readBackup, verifyBackup } from './backupManifest.ts';

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
    // A training database compares its catalogue with the shop's again when it is next opened.
    connection.prepare('delete from setting where key = ?').run(CATALOGUE_COPIED_FROM);
  } finally {
    connection.close();
  }
};

/** Keeps a database that is to be replaced in a folder of its own, with its catalogue, so that it can be opened there. */
const keepAside = (database: string, aside: string): void => {
  mkdirSync(aside, { recursive: true, mode: 0o700 });
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

/** How a backup is restored. */
export interface RestoreOptions {
  readonly now?: Date;
  /** Whether the training database in the backup is restored as well; true when absent. */
  readonly training?: boolean;
}

/**
 * Puts one database of a backup in its place, with a copy of the backup's catalogue under a name of its own: a database
 * beside this one may still use the former name.
 */
const restoreOne = (
  folder: string,
  from: string,
  to: string,
  hasCatalogue: boolean,
  aside: string,
): boolean => {
  const beside = hasCatalogue ? newCatalogueFile(to) : null;
  if (beside) putInPlace(join(folder, BACKUP_FILES.catalogue), beside);
  const existed = existsSync(to);
  if (existed) keepAside(to, aside);
  putInPlace(join(folder, from), to, (copy) => {
    if (beside) pointTo(copy, basename(beside));
  });
  return existed;
};

/**
 * Puts a backup in the place of a database. The replaced one is kept in a folder of its own. However it is interrupted,
 * either the old or the restored database is there, complete; the same holds for the training database.
 * @throws CannotOpen where a server has it open, or the backup is damaged; nothing was changed
 */
export const restoreBackup = async (
  folder: string,
  database: string,
  { now = new Date(), training = true }: RestoreOptions = {},
): Promise<Restored> => {
  const backup = readBackup(folder);
  await verifyBackup(backup);
  if (!existsSync(dirname(database)))
    throw new CannotOpen(database, `the folder ${dirname(database)} is not there; make it first`);
  const lock = lockFile(database, 0);
  try {
    const { catalogue, database: shop, training: trained } = backup.manifest;
    const aside = `${database}.replaced-${now.toISOString().replace(/[:.]/g, '-')}`;
    const hasCatalogue = catalogue !== null;
    let isReplaced = restoreOne(folder, BACKUP_FILES.database, database, hasCatalogue, aside);
    if (trained && training)
      isReplaced =
        restoreOne(folder, BACKUP_FILES.training, trainingFileOf(database), hasCatalogue, aside) ||
        isReplaced;
    return { database, replaced: isReplaced ? aside : null, rows: { ...shop.rows, ...catalogue?.rows } };
  } finally {
    lock.release();
  }
};

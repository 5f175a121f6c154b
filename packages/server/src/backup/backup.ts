import Sqlite, { type Database } from 'better-sqlite3';
import {
  constants,
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  renameSync,
  rmSync,
  statfsSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { dirname, join } from 'node:path';
import { CannotOpen } from '../store/cannotOpen.ts';
import { catalogueNamed } from '../store/cataloguePointer.ts';
import { toDisk } from '../store/toDisk.ts';
import { trainingFileOf } from '../store/trainingFile.ts';
import { MAKING, nextSequence, rotate } from './backupFolder.ts';
import {
  BACKUP_FILES,
  hashOf,
  MANIFEST,
  type BackupManifest,
  type BackupReason,
  type KeptBackup,
} from './backupManifest.ts';
import { copySnapshot } from './copySnapshot.ts';

/** An import may replace the catalogue during the copy; then the copy is made again. */
const MAXIMUM_TRIES = 3;
/** A backup that takes longer than this fails, in milliseconds. */
const DEADLINE_MS = 30 * 60_000;
/** Space that must stay free beside a backup, in bytes: the database goes on growing while it is copied. */
const SPARE_BYTES = 50e6;
const MB = 1e6;

/** How a backup is made. */
export interface BackUpOptions {
  readonly now?: Date;
  /** Whether the training database is copied as well; true when absent. */
  readonly training?: boolean;
  /** Receives the share of the copy that is done, 0 to 1. */
  readonly progress?: (share: number) => void;
  /** Time after which it fails, in milliseconds. */
  readonly deadlineMs?: number;
}

const rowsOf = (connection: Database): Record<string, number> => {
  const tables = connection
    .prepare(
      `select name from sqlite_master where type = 'table' and name not like 'sqlite_%' and instr(name, '_search') = 0 order by name`,
    )
    .all() as Array<{ name: string }>;
  return Object.fromEntries(
    tables.map(({ name }) => [
      name,
      (connection.prepare(`select count(*) as n from "${name}"`).get() as { n: number }).n,
    ]),
  );
};

/** Checks every page of a copy and counts its rows. @throws CannotOpen where it is damaged. */
const examined = (file: string): Record<string, number> => {
  const connection = new Sqlite(file);
  try {
    // One file, without a log beside it.
    connection.pragma('journal_mode = DELETE');
    const found = connection.pragma('integrity_check(1)') as Array<{ integrity_check: string }>;
    if (found[0]?.integrity_check !== 'ok')
      throw new CannotOpen(file, `it is damaged (${found[0]?.integrity_check ?? 'nothing can be read'})`);
    return rowsOf(connection);
  } finally {
    connection.close();
  }
};

const copied = async (file: string) => ({ rows: examined(file), ...(await hashOf(file)) });

const sizeOf = (file: string): number => statSync(file, { throwIfNoEntry: false })?.size ?? 0;

/** @throws CannotOpen where a backup of these files would not fit into the folder. */
const mustFit = (database: string, files: readonly string[], folder: string): void => {
  const needed = files.reduce((sum, file) => sum + sizeOf(file), SPARE_BYTES);
  const { bavail, bsize } = statfsSync(folder);
  if (bavail * bsize < needed)
    throw new CannotOpen(
      database,
      `a backup needs ${Math.ceil(needed / MB)} MB in ${folder} and ${Math.floor((bavail * bsize) / MB)} MB are free; make room, or choose another folder`,
    );
};

/** A folder name such as `2026-11-26T14-03-22-117Z-import`; a number follows where it is taken. */
const newFolder = (folder: string, at: Date, why: BackupReason): string => {
  const name = join(folder, `${at.toISOString().replace(/[:.]/g, '-')}-${why}`);
  for (let n = 1; ; n++) {
    const path = n === 1 ? name : `${name}-${n}`;
    if (!existsSync(path)) return path;
  }
};

/**
 * Copies a database, its catalogue and the training database into a new folder below `folder`, also beside a running
 * server, and checks the copy. It counts as a backup only then.
 * @throws CannotOpen where the database cannot be read, the copy is damaged, does not fit, or takes too long
 */
export const backUp = async (
  database: string,
  folder: string,
  why: BackupReason,
  {
    now = new Date(),
    training = true,
    progress = () => undefined,
    deadlineMs = DEADLINE_MS,
  }: BackUpOptions = {},
): Promise<KeptBackup> => {
  if (!existsSync(database)) throw new CannotOpen(database, 'it does not exist; check the path');
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const made = mkdtempSync(join(folder, MAKING));
  const until = performance.now() + deadlineMs;
  const trainingFile = training ? trainingFileOf(database) : null;
  const withTraining = trainingFile !== null && existsSync(trainingFile);
  const step = (from: number, to: number) => (share: number) => {
    if (performance.now() > until)
      throw new Error(`it took longer than ${Math.round(deadlineMs / 1000)} s; is the disk slow?`);
    progress(from + (to - from) * share);
  };
  try {
    for (let tries = 1; ; tries++) {
      mustFit(
        database,
        [database, `${database}-wal`, ...(withTraining ? [trainingFile, `${trainingFile}-wal`] : [])],
        folder,
      );
      await copySnapshot(database, join(made, BACKUP_FILES.database), step(0, 0.4));
      if (withTraining) await copySnapshot(trainingFile, join(made, BACKUP_FILES.training), step(0.4, 0.5));
      const copy = new Sqlite(join(made, BACKUP_FILES.database), { readonly: true });
      const name = catalogueNamed(copy);
      copy.close();
      try {
        if (name) {
          const catalogue = join(dirname(database), name);
          mustFit(database, [catalogue], folder);
          copyFileSync(catalogue, join(made, BACKUP_FILES.catalogue), constants.COPYFILE_FICLONE);
        }
      } catch (error) {
        if ((error as NodeJS.ErrnoException).code === 'ENOENT' && tries < MAXIMUM_TRIES) continue;
        throw error;
      }
      step(0.5, 0.6)(1);
      const manifest: BackupManifest = {
        format: 'hardy-spoke/backup',
        version: 1,
        at: now.toISOString(),
        why,
        sequence: nextSequence(folder),
        database: await copied(join(made, BACKUP_FILES.database)),
        catalogue: name ? { name, ...(await copied(join(made, BACKUP_FILES.catalogue))) } : null,
        training: withTraining ? await copied(join(made, BACKUP_FILES.training)) : null,
      };
      step(0.6, 0.95)(1);
      writeFileSync(join(made, MANIFEST), JSON.stringify(manifest, null, 2));
      for (const file of readdirSync(made)) toDisk(join(made, file));
      const to = newFolder(folder, now, why);
      renameSync(made, to);
      toDisk(folder);
      rotate(folder, now);
      progress(1);
      return { folder: to, manifest };
    }
  } catch (error) {
    rmSync(made, { recursive: true, force: true });
    if (error instanceof CannotOpen) throw error;
    throw new CannotOpen(database, `no backup of it could be made (${(error as Error).message})`);
  }
};

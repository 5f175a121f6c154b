import Sqlite, { type Database } from 'better-sqlite3';
import { createHash } from 'node:crypto';
import {
  constants,
  copyFileSync,
  createReadStream,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { dirname, join } from 'node:path';
import { z } from 'zod';
import { CannotOpen } from '../store/cannotOpen.ts';
import { toDisk } from '../store/toDisk.ts';
import { catalogueNamed } from '../store/cataloguePointer.ts';

/** Why a backup was made: each reason has its own number that is kept. */
export const BACKUP_REASONS = ['scheduled', 'command', 'import', 'migration'] as const;
export type BackupReason = (typeof BACKUP_REASONS)[number];

/** The newest so many are kept for each reason. */
const KEPT: Readonly<Record<BackupReason, number>> = { scheduled: 14, command: 14, import: 5, migration: 5 };
/** Older ones go, however few there are, but for the newest of all: what a customer had erased is gone from all by then. */
const EXPIRES_DAYS = 60;
const DAY_MS = 86_400_000;
/** An import may exchange the catalogue while it is copied: then the copy is made anew. */
const MOST_TRIES = 3;

/** A backup that is being made; one left so long was never finished, in milliseconds. */
const MAKING = '.making-';
const LEFT_MS = 6 * 3600_000;

const MANIFEST = 'manifest.json';
const DATABASE = 'database.sqlite';
const CATALOGUE = 'catalogue.sqlite';

const CopiedFile = z.object({
  sha256: z.string(),
  bytes: z.number().int(),
  /** Rows by table. */
  rows: z.record(z.string(), z.number().int()),
});

/** What a backup says of itself; written last, so that a folder without it is none. */
export const BackupManifest = z.object({
  format: z.literal('hardy-spoke/backup'),
  version: z.literal(1),
  at: z.iso.datetime(),
  why: z.enum(BACKUP_REASONS),
  database: CopiedFile,
  /** The catalogue with the name its database knows it by; null for a database that has none of its own yet. */
  catalogue: CopiedFile.extend({ name: z.string().regex(/^[^/\\]+$/) }).nullable(),
});
export type BackupManifest = z.infer<typeof BackupManifest>;

/** SHA-256 of a file, in hexadecimal, and its size. */
export const hashOf = async (file: string): Promise<{ sha256: string; bytes: number }> => {
  const hash = createHash('sha256');
  let bytes = 0;
  for await (const piece of createReadStream(file)) {
    hash.update(piece as Buffer);
    bytes += (piece as Buffer).length;
  }
  return { sha256: hash.digest('hex'), bytes };
};

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

/** Looks at every page of a copy and counts its rows. @throws CannotOpen where it is not whole. */
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

/** `2026-11-26T14-03-22-117Z-import` */
const folderName = (at: Date, why: BackupReason): string =>
  `${at.toISOString().replace(/[:.]/g, '-')}-${why}`;

/** A backup that is there: its folder and what it says of itself. */
export interface KeptBackup {
  readonly folder: string;
  readonly manifest: BackupManifest;
}

/** @throws CannotOpen where a folder is no whole backup. */
export const readBackup = (folder: string): KeptBackup => {
  const file = join(folder, MANIFEST);
  if (!existsSync(file)) throw new CannotOpen(folder, `it is no backup: it has no ${MANIFEST}`);
  const read = BackupManifest.safeParse(JSON.parse(readFileSync(file, 'utf8')));
  if (!read.success) throw new CannotOpen(folder, `its ${MANIFEST} is not of a backup of this version`);
  return { folder, manifest: read.data };
};

/** The backups in a folder, newest first. */
export const backupsIn = (folder: string): KeptBackup[] => {
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .filter((name) => existsSync(join(folder, name, MANIFEST)))
    .map((name) => readBackup(join(folder, name)))
    .sort((a, b) => b.manifest.at.localeCompare(a.manifest.at));
};

/** Deletes what is more than is kept, and what is too old; the newest of all stays. */
export const rotate = (folder: string, now: Date = new Date()): void => {
  for (const name of readdirSync(folder))
    if (name.startsWith(MAKING) && now.getTime() - statSync(join(folder, name)).mtimeMs > LEFT_MS)
      rmSync(join(folder, name), { recursive: true, force: true });
  const kept = backupsIn(folder);
  const counted = new Map<BackupReason, number>();
  for (const [i, { folder: path, manifest }] of kept.entries()) {
    const before = counted.get(manifest.why) ?? 0;
    counted.set(manifest.why, before + 1);
    const isOld = now.getTime() - Date.parse(manifest.at) > EXPIRES_DAYS * DAY_MS;
    if (i > 0 && (isOld || before >= KEPT[manifest.why])) rmSync(path, { recursive: true, force: true });
  }
};

const copied = async (file: string) => ({ rows: examined(file), ...(await hashOf(file)) });

/**
 * Copies a database and its catalogue into a new folder below `folder`, beside a running server too, and looks whether
 * the copy is whole. Only then it counts as a backup.
 * @throws CannotOpen where the database cannot be read or the copy is not whole.
 */
export const backUp = async (
  database: string,
  folder: string,
  why: BackupReason,
  now: Date = new Date(),
): Promise<KeptBackup> => {
  if (!existsSync(database)) throw new CannotOpen(database, 'it does not exist; check the path');
  mkdirSync(folder, { recursive: true });
  const made = mkdtempSync(join(folder, MAKING));
  try {
    for (let tries = 1; ; tries++) {
      const source = new Sqlite(database, { readonly: true, timeout: 5000 });
      try {
        await source.backup(join(made, DATABASE));
      } finally {
        source.close();
      }
      const copy = new Sqlite(join(made, DATABASE), { readonly: true });
      const name = catalogueNamed(copy);
      copy.close();
      try {
        if (name)
          copyFileSync(join(dirname(database), name), join(made, CATALOGUE), constants.COPYFILE_FICLONE);
      } catch (error) {
        if ((error as NodeJS.ErrnoException).code === 'ENOENT' && tries < MOST_TRIES) continue;
        throw error;
      }
      const manifest: BackupManifest = {
        format: 'hardy-spoke/backup',
        version: 1,
        at: now.toISOString(),
        why,
        database: await copied(join(made, DATABASE)),
        catalogue: name ? { name, ...(await copied(join(made, CATALOGUE))) } : null,
      };
      writeFileSync(join(made, MANIFEST), JSON.stringify(manifest, null, 2));
      for (const file of readdirSync(made)) toDisk(join(made, file));
      const to = join(folder, folderName(now, why));
      renameSync(made, to);
      toDisk(folder);
      rotate(folder, now);
      return { folder: to, manifest };
    }
  } catch (error) {
    rmSync(made, { recursive: true, force: true });
    if (error instanceof CannotOpen) throw error;
    throw new CannotOpen(database, `no backup of it could be made (${(error as Error).message})`);
  }
};

/** Whether the files of a backup are as they were written. @throws CannotOpen naming the file that is not. */
export const verifyBackup = async ({ folder, manifest }: KeptBackup): Promise<void> => {
  for (const [name, said] of [
    [DATABASE, manifest.database],
    [CATALOGUE, manifest.catalogue],
  ] as const) {
    if (!said) continue;
    const file = join(folder, name);
    if (!existsSync(file)) throw new CannotOpen(file, 'it is gone from the backup; take another backup');
    if ((await hashOf(file)).sha256 !== said.sha256)
      throw new CannotOpen(file, 'it is not as it was when the backup was made; take another backup');
  }
};

/** Files of a backup by what they are. */
export const BACKUP_FILES = { database: DATABASE, catalogue: CATALOGUE } as const;

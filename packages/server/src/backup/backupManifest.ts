import { createHash } from 'node:crypto';
import { createReadStream, existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import { CannotOpen } from '../store/cannotOpen.ts';

/** Why a backup was made. Each reason has its own number of backups that are kept. */
export const BACKUP_REASONS = ['scheduled', 'command', 'import', 'migration', 'erasure'] as const;
export type BackupReason = (typeof BACKUP_REASONS)[number];

export const MANIFEST = 'manifest.json';
/** File names inside a backup. */
export const BACKUP_FILES = {
  database: 'database.sqlite',
  catalogue: 'catalogue.sqlite',
  training: 'training.sqlite',
} as const;

const CopiedFile = z.object({
  sha256: z.string(),
  bytes: z.number().int(),
  /** Rows by table. */
  rows: z.record(z.string(), z.number().int()),
});

/** Describes a backup. It is written last, so a folder without it is not a backup. */
export const BackupManifest = z.object({
  format: z.literal('hardy-spoke/backup'),
  version: z.literal(1),
  at: z.iso.datetime(),
  why: z.enum(BACKUP_REASONS),
  /** Position in the order in which the backups of a folder were made; absent in backups of older versions. */
  sequence: z.number().int().min(1).optional(),
  database: CopiedFile,
  /** The catalogue and the name its database knows it by; null for a database that has no catalogue file yet. */
  catalogue: CopiedFile.extend({ name: z.string().regex(/^[^/\\]+$/) }).nullable(),
  /** The training database; absent or null where it was left out or did not exist. */
  training: CopiedFile.nullish(),
});
export type BackupManifest = z.infer<typeof BackupManifest>;

/** A backup on disk: its folder and its manifest. */
export interface KeptBackup {
  readonly folder: string;
  readonly manifest: BackupManifest;
}

/** Returns the SHA-256 of a file in hexadecimal, and its size in bytes. */
export const hashOf = async (file: string): Promise<{ sha256: string; bytes: number }> => {
  const hash = createHash('sha256');
  let bytes = 0;
  for await (const piece of createReadStream(file)) {
    hash.update(piece as Buffer);
    bytes += (piece as Buffer).length;
  }
  return { sha256: hash.digest('hex'), bytes };
};

/**
 * Reads the manifest of a backup.
 * @throws CannotOpen where the folder is not a backup that this version can read
 */
export const readBackup = (folder: string): KeptBackup => {
  const file = join(folder, MANIFEST);
  if (!existsSync(file)) throw new CannotOpen(folder, `it is no backup: it has no ${MANIFEST}`);
  let content: unknown;
  try {
    content = JSON.parse(readFileSync(file, 'utf8'));
  } catch (error) {
    throw new CannotOpen(folder, `its ${MANIFEST} cannot be read (${(error as Error).message})`);
  }
  const read = BackupManifest.safeParse(content);
  if (!read.success) throw new CannotOpen(folder, `its ${MANIFEST} is not of a backup of this version`);
  return { folder, manifest: read.data };
};

/**
 * Checks that the files of a backup are unchanged since it was made.
 * @throws CannotOpen naming the first file that is missing or changed
 */
export const verifyBackup = async ({ folder, manifest }: KeptBackup): Promise<void> => {
  for (const [name, expected] of [
    [BACKUP_FILES.database, manifest.database],
    [BACKUP_FILES.catalogue, manifest.catalogue],
    [BACKUP_FILES.training, manifest.training],
  ] as const) {
    if (!expected) continue;
    const file = join(folder, name);
    if (!existsSync(file)) throw new CannotOpen(file, 'it is gone from the backup; take another backup');
    if ((await hashOf(file)).sha256 !== expected.sha256)
      throw new CannotOpen(file, 'it is not as it was when the backup was made; take another backup');
  }
};

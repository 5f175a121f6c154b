import { readdirSync, rmSync, statSync } from 'node:fs';
import { basename, join } from 'node:path';
import { CannotOpen } from '../store/cannotOpen.ts';
import { MANIFEST, readBackup, type BackupReason, type KeptBackup } from './backupManifest.ts';

/** The newest so many are kept for each reason. */
const KEPT: Readonly<Record<BackupReason, number>> = {
  scheduled: 14,
  command: 14,
  import: 5,
  migration: 5,
  erasure: 5,
};
/** Backups that are kept whatever the clock says. */
const ALWAYS_KEPT = 5;
/** Older ones are deleted, except the newest five. */
const EXPIRES_DAYS = 60;
const DAY_MS = 86_400_000;

/** Prefix of a backup that is being made. One that is older than this, in milliseconds, was never finished. */
export const MAKING = '.making-';
const ABANDONED_MS = 6 * 3600_000;

/** An entry of the folder that claims to be a backup and cannot be read. It is never counted and never deleted. */
export interface UnreadableBackup {
  readonly name: string;
  readonly reason: string;
}

/** What a folder of backups holds. */
export interface BackupFolder {
  /** Newest first, by the order in which they were made. */
  readonly backups: readonly KeptBackup[];
  readonly unreadable: readonly UnreadableBackup[];
}

/** The order in which backups were made; those of older versions have no sequence and come first, by their date. */
const byMaking = (a: KeptBackup, b: KeptBackup): number =>
  (a.manifest.sequence ?? 0) - (b.manifest.sequence ?? 0) || a.manifest.at.localeCompare(b.manifest.at);

const namesIn = (folder: string): string[] => {
  try {
    return readdirSync(folder);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ENOENT') return [];
    throw error;
  }
};

/**
 * Lists the backups of a folder. A damaged entry, or one of a newer version, is reported and does not hide the others.
 * @throws the operating system's error where the folder itself cannot be read
 */
export const listBackups = (folder: string): BackupFolder => {
  const backups: KeptBackup[] = [];
  const unreadable: UnreadableBackup[] = [];
  for (const name of namesIn(folder)) {
    if (name.startsWith(MAKING)) continue;
    try {
      const path = join(folder, name);
      if (!statSync(path).isDirectory()) continue;
      if (!statSync(join(path, MANIFEST), { throwIfNoEntry: false })) continue;
      backups.push(readBackup(path));
    } catch (error) {
      unreadable.push({
        name,
        reason: error instanceof CannotOpen ? error.reason : (error as Error).message,
      });
    }
  }
  return { backups: backups.sort((a, b) => byMaking(b, a)), unreadable };
};

/** The backups of a folder that can be read, newest first. */
export const backupsIn = (folder: string): readonly KeptBackup[] => listBackups(folder).backups;

/** The sequence number of the next backup in a folder. */
export const nextSequence = (folder: string): number =>
  Math.max(0, ...backupsIn(folder).map(({ manifest }) => manifest.sequence ?? 0)) + 1;

/**
 * Deletes the backups that exceed the number kept for their reason, and those that have expired. The newest five stay
 * whatever their dates say, so a clock that is wrong cannot delete what was just made.
 *
 * @returns what could not be deleted, with the reason
 */
export const rotate = (folder: string, now: Date = new Date()): UnreadableBackup[] => {
  const kept: UnreadableBackup[] = [];
  const remove = (name: string) => {
    try {
      rmSync(join(folder, name), { recursive: true, force: true });
    } catch (error) {
      kept.push({ name, reason: (error as Error).message });
    }
  };
  for (const name of namesIn(folder)) {
    if (!name.startsWith(MAKING)) continue;
    const state = statSync(join(folder, name), { throwIfNoEntry: false });
    if (state && now.getTime() - state.mtimeMs > ABANDONED_MS) remove(name);
  }
  const counted = new Map<BackupReason, number>();
  for (const [i, { folder: path, manifest }] of backupsIn(folder).entries()) {
    const newer = counted.get(manifest.why) ?? 0;
    counted.set(manifest.why, newer + 1);
    const hasExpired = now.getTime() - Date.parse(manifest.at) > EXPIRES_DAYS * DAY_MS;
    if (i >= ALWAYS_KEPT && (hasExpired || newer >= KEPT[manifest.why])) remove(basename(path));
  }
  return kept;
};

/**
 * Deletes one backup by its folder name. The newest one stays.
 * @throws CannotOpen where there is no such backup, or it is the newest
 */
export const deleteBackup = (folder: string, name: string): void => {
  const { backups } = listBackups(folder);
  const at = backups.findIndex((each) => basename(each.folder) === name);
  const path = join(folder, name);
  if (at < 0) throw new CannotOpen(path, 'there is no such backup; read the list again');
  if (at === 0) throw new CannotOpen(path, 'it is the newest backup and stays; make another one first');
  rmSync(path, { recursive: true, force: true });
};

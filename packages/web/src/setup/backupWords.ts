import type { BackupLine, BackupsView } from '@hardy/core/contract';

/** Why a backup was made, as one says it. */
export const WHY_IN_WORDS: Readonly<Record<BackupLine['why'], string>> = {
  scheduled: 'daily',
  command: 'by hand',
  import: 'before an import',
  migration: 'before an update',
  erasure: 'after an erasure',
};

const MB = 1e6;
/** A size in megabytes. */
export const megabytes = (bytes: number): string => `${(bytes / MB).toFixed(bytes < 10 * MB ? 1 : 0)} MB`;

/** What a backup still holds of customers that were erased; null for nothing. */
export const heldInWords = ({ erased }: Pick<BackupLine, 'erased'>): string | null =>
  erased === null
    ? 'may hold erased customers'
    : erased === 0
      ? null
      : `holds ${erased} erased ${erased === 1 ? 'customer' : 'customers'}`;

/** Backups that hold erased customers and may be deleted: all but the newest. */
export const deletable = ({ backups }: Pick<BackupsView, 'backups'>): BackupLine[] =>
  backups.slice(1).filter((backup) => heldInWords(backup) !== null);

const HOUR_MS = 3_600_000;
/** A jump of the clock, as one says it. */
export const jumpInWords = (byMs: number): string => {
  const hours = Math.abs(byMs) / HOUR_MS;
  const size =
    hours >= 48
      ? `${Math.round(hours / 24)} days`
      : hours >= 2
        ? `${Math.round(hours)} hours`
        : `${Math.round(hours * 60)} minutes`;
  return `${size} ${byMs > 0 ? 'ahead' : 'back'}`;
};

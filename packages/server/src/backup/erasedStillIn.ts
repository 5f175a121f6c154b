import Sqlite from 'better-sqlite3';
import { join } from 'node:path';
import { BACKUP_FILES, type KeptBackup } from './backupManifest.ts';

/** Ids bound to one statement. */
const AT_ONCE = 500;

/**
 * How many of the customers that were erased in the shop a backup still holds.
 *
 * @param erased ids of the persons that were erased
 * @returns null where the backup cannot be read, or is older than the table of persons
 */
export const erasedStillIn = ({ folder }: KeptBackup, erased: readonly number[]): number | null => {
  if (erased.length === 0) return 0;
  try {
    const connection = new Sqlite(join(folder, BACKUP_FILES.database), { readonly: true });
    try {
      let held = 0;
      for (let from = 0; from < erased.length; from += AT_ONCE) {
        const ids = erased.slice(from, from + AT_ONCE);
        const { n } = connection
          .prepare(
            `select count(*) as n from person where erased_at is null and id in (${ids.map(() => '?').join(', ')})`,
          )
          .get(...ids) as { n: number };
        held += n;
      }
      return held;
    } finally {
      connection.close();
    }
  } catch {
    return null;
  }
};

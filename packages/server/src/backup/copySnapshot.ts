import Sqlite from 'better-sqlite3';

/** Pages copied before the deadline is looked at again. */
const PAGES_AT_ONCE = 2000;

/**
 * Copies a database as it is at this moment. The copy is read inside one transaction: SQLite's online copy starts again
 * whenever another connection writes, unless its own connection holds a snapshot.
 *
 * @param progress receives the share that was copied, 0 to 1; what it throws ends the copy
 */
export const copySnapshot = async (
  from: string,
  to: string,
  progress: (share: number) => void,
): Promise<void> => {
  const source = new Sqlite(from, { readonly: true, timeout: 5000 });
  try {
    source.exec('begin');
    // A transaction has its snapshot from its first read on.
    source.prepare('select count(*) from sqlite_master').get();
    await source.backup(to, {
      progress: ({ totalPages, remainingPages }) => {
        progress(totalPages === 0 ? 1 : 1 - remainingPages / totalPages);
        return PAGES_AT_ONCE;
      },
    });
  } finally {
    source.close();
  }
};

import Sqlite from 'better-sqlite3';
import { CannotOpen } from './cannotOpen.ts';

/** A server that is being ended lets go within its grace; the next waits so long, in milliseconds. */
const WAIT_MS = 2000;

/** A lock held; the system lets go of it when the process dies, however it dies. */
export interface Lock {
  release(): void;
}

/**
 * Takes the lock of a database for this process: one server a file. Held as a lock of the system on a file beside it, so
 * nothing is left behind that a killed process could leave locked.
 * @throws CannotOpen where another holds it.
 */
export const lockFile = (database: string, waitMs = WAIT_MS): Lock => {
  const connection = new Sqlite(`${database}.lock`, { timeout: waitMs });
  try {
    connection.pragma('journal_mode = MEMORY');
    connection.exec('begin exclusive');
  } catch (error) {
    connection.close();
    if ((error as { code?: string }).code !== 'SQLITE_BUSY') throw error;
    throw new CannotOpen(
      database,
      'another server has it open; end that one first, or give this one another file',
    );
  }
  return { release: () => void connection.close() };
};

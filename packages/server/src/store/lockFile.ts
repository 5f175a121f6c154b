import Sqlite from 'better-sqlite3';
import { flockSync } from 'fs-ext';
import { closeSync, existsSync, fstatSync, openSync, statSync } from 'node:fs';
import { CannotOpen } from './cannotOpen.ts';

/** A server that is being ended lets go within its grace; the next waits so long, in milliseconds. */
const WAIT_MS = 2000;

/** A lock held; the system lets go of it when the process dies, however it dies. */
export interface Lock {
  /**
   * Locks the database file itself, once it exists: under whatever name it is opened, it is locked.
   * @throws CannotOpen where another process has it, perhaps under another name
   */
  hold(): void;
  /** Whether the file that is held is still the one under the database's name. */
  isInPlace(): boolean;
  /** To be called after the database is closed. */
  release(): void;
}

const taken = (database: string) =>
  new CannotOpen(database, 'another server has it open; end that one first, or give this one another file');

/** Locks a file by itself. Null where the file system knows no such locks: then its name alone is locked. */
const holdFile = (database: string): number | null => {
  const handle = openSync(database, 'r');
  try {
    flockSync(handle, 'exnb');
    return handle;
  } catch (error) {
    closeSync(handle);
    const { code } = error as { code?: string };
    if (code === 'EAGAIN' || code === 'EWOULDBLOCK') throw taken(database);
    return null;
  }
};

/**
 * Takes the lock of a database for this process: one server for each file. The name is locked first, as a lock of the
 * system on a file beside it, so that two cannot make the same database; then the file itself, so that neither a second
 * name nor a deleted lock file lets another server in.
 * @throws CannotOpen where another holds it
 */
export const lockFile = (database: string, waitMs = WAIT_MS): Lock => {
  const connection = new Sqlite(`${database}.lock`, { timeout: waitMs });
  let handle: number | null = null;
  const hold = () => {
    if (handle === null && existsSync(database)) handle = holdFile(database);
  };
  try {
    connection.pragma('journal_mode = MEMORY');
    connection.exec('begin exclusive');
    hold();
  } catch (error) {
    connection.close();
    if ((error as { code?: string }).code !== 'SQLITE_BUSY') throw error;
    throw taken(database);
  }
  return {
    hold,
    isInPlace() {
      if (handle === null) return true;
      const held = fstatSync(handle);
      const named = statSync(database, { throwIfNoEntry: false });
      return named?.ino === held.ino && named.dev === held.dev;
    },
    release() {
      // Closing any handle of a file drops the locks SQLite has on it: the database must be closed by now.
      if (handle !== null) closeSync(handle);
      handle = null;
      connection.close();
    },
  };
};

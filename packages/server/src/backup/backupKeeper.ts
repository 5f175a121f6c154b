import Sqlite from 'better-sqlite3';
import type { Worker } from 'node:worker_threads';
import { problem } from '../problem.ts';
import { startWorker } from '../workers/startWorker.ts';
import { listBackups } from './backupFolder.ts';
import type { BackupReason, KeptBackup } from './backupManifest.ts';
import type { BackupMessage, BackupTask } from './backupWorker.ts';

/** One backup a day. */
const EVERY_MS = 24 * 3600_000;
/** A backup dated further ahead than this was made while the clock was wrong. */
const AHEAD_MS = 3600_000;
/** The first look comes when the morning's rush to open is over, the next ones at this interval. */
const FIRST_MS = 60_000;
const LOOKS_MS = 3600_000;
const MEMORY_MB = 200;

/** Whether today's backup is still to be made. One dated in the future does not count. */
export const isBackupDue = (backups: readonly KeptBackup[], now: number): boolean => {
  const newest = backups.find(({ manifest }) => manifest.why === 'scheduled');
  if (!newest) return true;
  const age = now - Date.parse(newest.manifest.at);
  return age >= EVERY_MS || age < -AHEAD_MS;
};

/** Rows of a table, 0 where the database has no such table. */
const countRows = (database: string, table: string): number => {
  const connection = new Sqlite(database, { readonly: true, timeout: 5000 });
  try {
    const { n } = connection
      .prepare(`select count(*) as n from sqlite_master where type = 'table' and name = ?`)
      .get(table) as { n: number };
    if (n === 0) return 0;
    return (connection.prepare(`select count(*) as n from "${table}"`).get() as { n: number }).n;
  } finally {
    connection.close();
  }
};

/** What the keeper is doing, and what went wrong last. */
export interface BackupActivity {
  /** The backup that is being made, with the share that is done, 0 to 1; null between backups. */
  readonly making: { readonly why: BackupReason; readonly progress: number } | null;
  /** Why the last backup failed; null where it did not. */
  readonly problem: string | null;
}

/** Makes backups of an open database, each in a worker thread, one at a time. */
export class BackupKeeper {
  private timer: ReturnType<typeof setTimeout> | undefined;
  private worker: Worker | null = null;
  private last: Promise<unknown> = Promise.resolve();
  private closed = false;
  activity: BackupActivity = { making: null, problem: null };

  constructor(
    private readonly database: string,
    readonly folder: string,
    private readonly failed: (error: unknown) => void,
  ) {}

  /** Begins to make backups by the day. */
  begin(): void {
    const look = () => {
      // A timer must not throw: nobody would catch it, and the server would end.
      this.look().catch(this.failed);
      this.timer = setTimeout(look, LOOKS_MS).unref();
    };
    this.timer = setTimeout(look, FIRST_MS).unref();
  }

  /** Makes the backups that are due: today's, and one after an erasure that the newest backup does not have yet. */
  async look(now = Date.now()): Promise<void> {
    const { backups } = listBackups(this.folder);
    const erased = backups[0]?.manifest.database.rows.erasure ?? 0;
    if (isBackupDue(backups, now)) await this.make('scheduled');
    else if (countRows(this.database, 'erasure') > erased) await this.make('erasure');
  }

  /**
   * Makes one, after those in progress.
   * @returns its folder
   * @throws HttpError 503 while the server stops; Error with the reason where it could not be made
   */
  make(why: BackupReason): Promise<string> {
    const made = this.last.then(() => this.run(why));
    this.last = made.catch(() => undefined);
    return made;
  }

  private async run(why: BackupReason): Promise<string> {
    if (this.closed) throw problem(503, 'Stopping', 'the server is being stopped; no backup was made');
    this.activity = { making: { why, progress: 0 }, problem: null };
    try {
      const folder = await this.inThread(why);
      this.activity = { making: null, problem: null };
      return folder;
    } catch (error) {
      this.activity = { making: null, problem: (error as Error).message };
      throw error;
    }
  }

  private inThread(why: BackupReason): Promise<string> {
    return new Promise((resolve, reject) => {
      const task: BackupTask = { database: this.database, folder: this.folder, why };
      const worker = startWorker(new URL('../workers/backupThread.mjs', import.meta.url), task, MEMORY_MB);
      this.worker = worker;
      worker.on('message', (message: BackupMessage) => {
        if ('progress' in message)
          this.activity = { making: { why, progress: message.progress }, problem: null };
        else if ('folder' in message) resolve(message.folder);
        else reject(new Error(message.problem));
      });
      worker.on('error', reject);
      worker.on('exit', () => {
        this.worker = null;
        reject(new Error('the backup ended before it was complete'));
      });
    });
  }

  /** Ends the backup in progress: one that is not complete does not count. */
  async close(): Promise<void> {
    this.closed = true;
    clearTimeout(this.timer);
    await this.worker?.terminate();
    await this.last;
  }
}

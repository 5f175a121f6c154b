import type { Worker } from 'node:worker_threads';
import { startWorker } from '../workers/startWorker.ts';
import { backupsIn, type BackupReason } from './backup.ts';
import type { BackupTask } from './backupWorker.ts';

/** A backup a day. */
const EVERY_MS = 24 * 3600_000;
/** The first is looked at when the morning’s rush to open is over, then so often. */
const FIRST_MS = 60_000;
const LOOKS_MS = 3600_000;
const MEMORY_MB = 200;

/** Makes backups of a database that is open, in a thread of their own: nobody waits for them. */
export class BackupKeeper {
  private timer: ReturnType<typeof setTimeout> | undefined;
  private worker: Worker | null = null;
  private last: Promise<unknown> = Promise.resolve();

  constructor(
    private readonly database: string,
    private readonly folder: string,
    private readonly failed: (error: unknown) => void,
  ) {}

  /** Begins to make them by the day. */
  begin(): void {
    const look = () => {
      const newest = backupsIn(this.folder).find(({ manifest }) => manifest.why === 'scheduled');
      if (!newest || Date.now() - Date.parse(newest.manifest.at) >= EVERY_MS)
        this.make('scheduled').catch(this.failed);
      this.timer = setTimeout(look, LOOKS_MS).unref();
    };
    this.timer = setTimeout(look, FIRST_MS).unref();
  }

  /** Makes one, after those under way. @throws Error in words where it could not be made. */
  make(why: BackupReason): Promise<string> {
    const made = this.last.then(() => this.thread(why));
    this.last = made.catch(() => undefined);
    return made;
  }

  private thread(why: BackupReason): Promise<string> {
    return new Promise((resolve, reject) => {
      const task: BackupTask = { database: this.database, folder: this.folder, why };
      const worker = startWorker(new URL('../workers/backupThread.mjs', import.meta.url), task, MEMORY_MB);
      this.worker = worker;
      worker.on('message', (said: { folder: string } | { problem: string }) =>
        'folder' in said ? resolve(said.folder) : reject(new Error(said.problem)),
      );
      worker.on('error', reject);
      worker.on('exit', () => {
        this.worker = null;
        reject(new Error('the backup ended before it was done'));
      });
    });
  }

  /** Ends what is under way: a backup that is not whole is none. */
  async close(): Promise<void> {
    clearTimeout(this.timer);
    await this.worker?.terminate();
  }
}

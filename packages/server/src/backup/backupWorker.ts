import { parentPort, workerData } from 'node:worker_threads';
import { backUp, type BackupReason } from './backup.ts';

/** What the thread is given. */
export interface BackupTask {
  readonly database: string;
  readonly folder: string;
  readonly why: BackupReason;
}

const { database, folder, why } = workerData as BackupTask;
backUp(database, folder, why).then(
  (made) => parentPort?.postMessage({ folder: made.folder }),
  (error: unknown) => parentPort?.postMessage({ problem: String((error as Error).message) }),
);

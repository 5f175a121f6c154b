import { parentPort, workerData } from 'node:worker_threads';
import { backUp } from './backup.ts';
import type { BackupReason } from './backupManifest.ts';
import { lowPriority } from '../workers/lowPriority.ts';

lowPriority();

/** What the thread is given. */
export interface BackupTask {
  readonly database: string;
  readonly folder: string;
  readonly why: BackupReason;
}

/** What the thread sends. */
export type BackupMessage =
  { readonly progress: number } | { readonly folder: string } | { readonly problem: string };

/** Shortest time between two messages of progress, in milliseconds. */
const PROGRESS_MS = 200;

const { database, folder, why } = workerData as BackupTask;
const send = (message: BackupMessage): void => parentPort?.postMessage(message);
let sent = 0;
const progress = (share: number): void => {
  if (performance.now() - sent < PROGRESS_MS) return;
  sent = performance.now();
  send({ progress: share });
};
backUp(database, folder, why, { progress }).then(
  (made) => send({ folder: made.folder }),
  (error: unknown) => send({ problem: String((error as Error).message) }),
);

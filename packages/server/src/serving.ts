import type Koa from 'koa';
import type { WorkerPool } from './advising/workerPool.ts';
import type { ClockWatch } from './clockWatch.ts';
import type { BackupKeeper } from './backup/backupKeeper.ts';
import type { DeviceFile } from './devices/deviceFile.ts';
import type { BodyLimits } from './requestBody.ts';
import type { Store } from './store/openStore.ts';

/** The application, and how to end what it has under way. */
export interface Served {
  readonly app: Koa;
  readonly close: () => Promise<void>;
  /** Goes on with what a server that ended before left undone; called once it listens. */
  readonly resume: () => Promise<void>;
  /** Forgets what it reckoned: its catalogue or its settings were changed from outside. */
  readonly forget: () => void;
}

/** What the application is made of. */
export interface Serving {
  readonly store: Store;
  readonly pool: WorkerPool;
  /** Makes backups; null: none are made. */
  readonly backups: BackupKeeper | null;
  /** The built pages; null where only the API is served. */
  readonly webFolder: string | null;
  /** Devices named in the start-up file; none where there is no file. */
  readonly devices?: DeviceFile;
  /** Watches the clock; null: nobody does. */
  readonly clock?: ClockWatch | null;
  /** How long request bodies may take; the usual limits when absent. */
  readonly bodyLimits?: BodyLimits;
  /** Whether there is a space for practice beside it; false for the one that is that space. */
  readonly practises?: boolean;
}

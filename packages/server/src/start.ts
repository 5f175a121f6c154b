import type { MikroORM } from '@mikro-orm/better-sqlite';
import type { Server } from 'node:http';
import { createWorkerPool } from './advising/workerPool.ts';
import { createApp } from './app.ts';
import type { Served } from './serving.ts';
import { backUp } from './backup/backup.ts';
import { BackupKeeper } from './backup/backupKeeper.ts';
import { readDeviceFile } from './devices/deviceFile.ts';
import { ClockWatch } from './clockWatch.ts';
import { logFault, logNotice } from './log.ts';
import type { BodyLimits } from './requestBody.ts';
import { seedScenario } from './seed/seedScenario.ts';
import { newestRecord } from './store/docketLines.ts';
import { asSentence, openStore } from './store/openStore.ts';

export interface Options {
  readonly database: string;
  readonly port: number;
  readonly webFolder: string | null;
  /** Scenario folder to fill an empty database from. */
  readonly scenario: string | null;
  /** Whether the scenario’s year of closed dockets goes in too. */
  readonly year?: boolean;
  /** Folder for backups: by the day, before an import and before a migration; none are made when absent or null. */
  readonly backups?: string | null;
  /** Threads that reckon advice; 0, also when absent: it is reckoned where requests are answered. */
  readonly threads?: number;
  /** How long request bodies may take; the usual limits when absent. */
  readonly bodyLimits?: BodyLimits;
  /** Start-up file of devices and suppliers’ services; absent or null: none can be reached. */
  readonly devices?: string | null;
}

export interface Running {
  readonly address: string;
  readonly orm: MikroORM;
  /** Finishes what is under way, then closes the database. */
  stop(): Promise<void>;
}

const HOST = '127.0.0.1';
const GRACE_MS = 5000;
/** Connections at a time: far more than the pages of eight desks keep, so that stalled ones shut nobody out. */
const MAXIMUM_CONNECTIONS = 1024;
/** A page's idle connection is kept longer than a person thinks, and told to the client. */
const KEEP_ALIVE_MS = 75_000;
/** A request says what it wants in this time, and is all here in that: an import is the longest. */
const HEADERS_MS = 10_000;
const REQUEST_MS = 300_000;

const listen = (app: Served['app'], port: number): Promise<Server> =>
  new Promise((resolve, reject) => {
    const server = app.listen(port, HOST);
    server.maxConnections = MAXIMUM_CONNECTIONS;
    server.keepAliveTimeout = KEEP_ALIVE_MS;
    server.headersTimeout = HEADERS_MS;
    server.requestTimeout = REQUEST_MS;
    server.once('listening', () => resolve(server));
    server.once('error', reject);
  });

/** Starts the server on this machine only. */
export const start = async (options: Options): Promise<Running> => {
  const {
    database,
    port,
    webFolder,
    scenario,
    year = false,
    backups = null,
    threads = 0,
    devices = null,
    bodyLimits,
  } = options;
  // The demonstration reaches no host but this one, whatever a file says.
  const named = devices ? readDeviceFile(devices, scenario !== null) : {};
  // Threads load the program while the database is opened.
  const pool = createWorkerPool(threads);
  const store = await openStore(database, async (file) => {
    if (backups) await backUp(file, backups, 'migration');
  }).catch(async (error: unknown) => {
    await pool.close();
    throw error;
  });
  const keeper = backups ? new BackupKeeper(store.file, backups, logFault) : null;
  const { orm } = store;
  const clock = new ClockWatch(({ byMs }) =>
    logNotice(
      `the clock jumped by ${Math.round(byMs / 1000)} s, or records are dated ahead of it: check the date of this machine`,
    ),
  );
  try {
    if (scenario) await seedScenario(store, scenario, new Date(), year);
    await pool.ready;
    const { app, close, resume } = createApp({
      store,
      pool,
      backups: keeper,
      webFolder,
      devices: named,
      clock,
      ...(bodyLimits ? { bodyLimits } : {}),
    });
    const server = await listen(app, port);
    keeper?.begin();
    clock.compareWithNewest(await newestRecord(orm.em.fork()));
    clock.begin();
    const resumed = resume().catch(logFault);
    const bound = server.address();
    return {
      address: `http://${HOST}:${typeof bound === 'object' && bound ? bound.port : port}`,
      orm,
      async stop() {
        const closed = new Promise<void>((resolve) => server.close(() => resolve()));
        server.closeIdleConnections();
        const timer = setTimeout(() => server.closeAllConnections(), GRACE_MS);
        await closed;
        clearTimeout(timer);
        clock.close();
        await resumed;
        await close();
        await store.close();
      },
    };
  } catch (error) {
    await pool.close();
    await store.close();
    throw asSentence(store.file, error);
  }
};

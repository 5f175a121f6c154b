import Sqlite from 'better-sqlite3';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { BackupsView, DocketView } from '@hardy/core/contract';
import { caller, hasEnded, isOpen, ownServer } from '../scripts/ownServer.ts';
import { sized } from './size.ts';

const ROOT = join(import.meta.dirname, '..');
const PORT = 4398;
const DESKS = 8;
const ROW_BYTES = 50_000;
const call = caller(`http://127.0.0.1:${PORT}/api`);
const wait = (ms: number) => new Promise<void>((go) => setTimeout(go, ms));
const p95 = (times: number[]) => times.sort((a, b) => a - b)[Math.floor(times.length * 0.95)] ?? 0;

/** Makes a backup by the API and returns how long it took, in seconds. */
const backUp = async (): Promise<number> => {
  const began = performance.now();
  await call('POST', '/backups', {});
  for (;;) {
    await wait(50);
    const { making, problem } = await call<BackupsView>('GET', '/backups');
    if (problem) throw new Error(problem);
    if (!making) return (performance.now() - began) / 1000;
  }
};

/** A desk that changes a docket of its own, one change after another, as fast as people do at their busiest. */
const desk = async (name: number, waits: number[], isOver: () => boolean): Promise<void> => {
  let view = await call<DocketView>('POST', '/dockets', { words: `abs light front left, desk ${name}` });
  for (let i = 0; !isOver(); i++) {
    await wait(300 + 50 * name);
    const began = performance.now();
    view = await call<DocketView>('PUT', `/dockets/${view.id}`, {
      version: view.version,
      docket: { ...view.docket, wants: [`wish ${i}`] },
      label: 'wish',
    });
    waits.push(performance.now() - began);
  }
};

/** A backup of a database of so many megabytes alone and beside eight desks that write; what a change waits for, p95. */
export const backupBeside = async (megabytes = 300) => {
  const folder = mkdtempSync(join(tmpdir(), 'backup-'));
  const database = join(folder, 'shop.sqlite');
  const launch = async () => {
    const server = ownServer({ root: ROOT, port: PORT, database, demo: true });
    await isOpen(server);
    return server;
  };
  const end = async (server: Awaited<ReturnType<typeof launch>>) => {
    server.kill('SIGTERM');
    await hasEnded(server);
  };
  try {
    await end(await launch());
    const raw = new Sqlite(database);
    raw.exec('create table filler (id integer primary key, bytes blob)');
    const insert = raw.prepare(`insert into filler (bytes) values (randomblob(${ROW_BYTES}))`);
    for (let i = 0; i < (megabytes * 1e6) / ROW_BYTES; i++) insert.run();
    raw.close();
    const server = await launch();
    const playing = async (seconds: number | null) => {
      const waits: number[] = [];
      let isOver = false;
      const desks = Array.from({ length: DESKS }, (_, i) => desk(i, waits, () => isOver));
      let took = 0;
      if (seconds === null) took = await backUp();
      else await wait(seconds * 1000);
      isOver = true;
      await Promise.all(desks);
      return { waits, took };
    };
    // A server that has just begun is slow: the first changes are not counted.
    await playing(sized(8, 1));
    const alone = await backUp();
    const quiet = await playing(sized(15, 2));
    const busy = await playing(null);
    await end(server);
    return {
      alone,
      beside: busy.took,
      changeAlone: p95(quiet.waits),
      changeBeside: p95(busy.waits),
      changes: busy.waits.length,
    };
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
};

import { mkdtempSync, rmSync, createWriteStream } from 'node:fs';
import { createReadStream } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { once } from 'node:events';
import { PARTS } from '@hardy/core';
import type { DocketView } from '@hardy/core/contract';
import { randomFrom } from '../packages/core/src/chance/random.ts';
import { caller, hasEnded, isOpen, memoryOf, ownServer } from '../scripts/ownServer.ts';
import { sized } from './size.ts';

const ROOT = join(import.meta.dirname, '..');
const PORT = 4396;
const API = `http://127.0.0.1:${PORT}/api`;
const DESKS = 8;

interface Waits {
  readonly key: number[];
  readonly create: number[];
  readonly change: number[];
  readonly read: number[];
}
const none = (): Waits => ({ key: [], create: [], change: [], read: [] });
const p95 = (times: number[]) => times.sort((a, b) => a - b)[Math.floor(times.length * 0.95)] ?? 0;
const wait = (ms: number) => new Promise<void>((go) => setTimeout(go, ms));

const call = caller(API);

/** A person at a desk: types a line, opens the docket, looks, changes it, searches, and breathes in between. */
const desk = async (name: number, waits: Waits, isOver: () => boolean): Promise<void> => {
  const random = randomFrom(100 + name);
  const timed = async <T>(what: keyof Waits, act: () => Promise<T>): Promise<T> => {
    const began = performance.now();
    const answer = await act();
    waits[what].push(performance.now() - began);
    return answer;
  };
  await wait(random.below(1500));
  while (!isOver()) {
    const words = `merrowby 2018 minibus, abs light, C0A31-13 ${random.pick(['front left', 'front right', 'rear left'])}`;
    for (let length = 10; length <= words.length && !isOver(); length += 3) {
      await timed('key', () => call('POST', '/preview', { text: words.slice(0, length) }));
      await wait(120 + random.below(160));
    }
    let view = await timed('create', () => call<DocketView>('POST', '/dockets', { words }));
    for (let i = 0; i < 3 && !isOver(); i++) {
      await wait(600 + random.below(1200));
      view = await timed('change', () =>
        call<DocketView>('PUT', `/dockets/${view.id}`, {
          version: view.version,
          docket: { ...view.docket, wants: [`wish ${name} ${i} ${random.below(1e6)}`] },
          label: 'wish',
        }),
      );
      await timed('read', () => call('GET', '/dockets'));
      await timed('read', () => call('GET', '/parts?q=ring'));
    }
  }
};

/** A file of parts of so many megabytes. */
const writeParts = async (file: string, megabytes: number): Promise<number> => {
  const out = createWriteStream(file);
  out.write(`${PARTS.headings.join(',')}\n`);
  let bytes = 0;
  let rows = 0;
  while (bytes < megabytes * 1e6) {
    const row = `LP${rows},sensor,good,Corvane,"front sensor of a long line with a grey plug, number ${rows}",12.50,1,A01,1,24,1,0,,,,,reach=30,colour=grey,\n`;
    bytes += row.length;
    rows++;
    if (!out.write(row)) await once(out, 'drain');
  }
  out.end();
  await once(out, 'finish');
  return rows;
};

/**
 * What people at eight desks wait for, alone and while a catalogue of so many megabytes is brought in: p95 in
 * milliseconds, the longest wait of any request, and the most memory the server took.
 */
export const deskLoad = async (megabytes = 100, seconds = 40) => {
  const folder = mkdtempSync(join(tmpdir(), 'load-'));
  const server = ownServer({
    root: ROOT,
    port: PORT,
    database: join(folder, 'load.sqlite'),
    demo: true,
    backups: 'none',
  });
  await isOpen(server);
  const memory = () => memoryOf(server);
  const played = async (until: () => boolean): Promise<Waits> => {
    const waits = none();
    await Promise.all(Array.from({ length: DESKS }, (_, i) => desk(i, waits, until)));
    return waits;
  };
  const forSeconds = (length: number) => {
    const end = Date.now() + length * 1000;
    return () => Date.now() > end;
  };
  await played(forSeconds(sized(12, 1)));
  const idle = await played(forSeconds(seconds));
  const idleMemory = memory();
  const file = join(folder, 'parts.csv');
  const rows = await writeParts(file, megabytes);
  let most = 0;
  let isDone = false;
  const began = Date.now();
  const importing = (async () => {
    const { id } = await call<{ id: string }>('POST', '/imports', {});
    await fetch(`${API}/imports/${id}/files/parts.csv`, {
      method: 'PUT',
      body: createReadStream(file) as unknown as ReadableStream,
      duplex: 'half',
    } as RequestInit);
    await call('POST', `/imports/${id}/run`, { mode: 'whole' });
    for (;;) {
      await wait(250);
      most = Math.max(most, memory());
      const { state, problem } = await call<{ state: string; problem: string | null }>(
        'GET',
        `/imports/${id}`,
      );
      if (state !== 'running') {
        isDone = true;
        return problem ?? state;
      }
    }
  })();
  const busy = await played(() => isDone);
  const ended = await importing;
  const took = (Date.now() - began) / 1000;
  server.kill('SIGTERM');
  await hasEnded(server);
  rmSync(folder, { recursive: true, force: true });
  const said = ({ key, create, change, read }: Waits) => ({
    key: p95(key),
    create: p95(create),
    change: p95(change),
    read: p95(read),
  });
  const { key, create, change, read } = busy;
  return {
    rows,
    ended,
    took,
    idle: said(idle),
    busy: said(busy),
    longest: Math.max(...key, ...create, ...change, ...read),
    idleMemory,
    most,
  };
};

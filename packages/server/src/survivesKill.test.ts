import { expect, test } from '@jest/globals';
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ROOT } from './tests/openScenario.ts';

const KILLS = 4;
const PORT = 4391;
const ADDRESS = `http://127.0.0.1:${PORT}/api`;

const launch = async (database: string): Promise<ChildProcess> => {
  const server = spawn(
    process.execPath,
    ['--import', 'tsx', 'packages/server/src/main.ts', '--database', database, '--port', String(PORT)],
    { cwd: ROOT, stdio: ['ignore', 'pipe', 'inherit'] },
  );
  await new Promise<void>((resolve, reject) => {
    server.stdout?.on('data', (chunk: Buffer) => chunk.toString().includes('open at') && resolve());
    server.once('exit', (code) => reject(new Error(`server ended with ${code}`)));
  });
  return server;
};

const call = async (method: string, path: string, body?: unknown) => {
  const response = await fetch(ADDRESS + path, {
    method,
    ...(body === undefined
      ? {}
      : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
  });
  expect(response.ok).toBe(true);
  return (await response.json()) as { id: string; version: number; docket: { customer?: { name: string } } };
};

test(`nothing acknowledged is lost when the server is killed, ${KILLS} times`, async () => {
  const folder = mkdtempSync(join(tmpdir(), 'hardy-kill-'));
  const database = join(folder, 'kill.sqlite');
  try {
    let server = await launch(database);
    let view = await call('POST', '/dockets', { words: 'abs light front left' });
    for (let i = 1; i <= KILLS; i++) {
      const name = `customer ${i}`;
      view = await call('PUT', `/dockets/${view.id}`, {
        version: view.version,
        docket: { ...view.docket, customer: { name } },
        label: name,
      });
      const gone = new Promise((resolve) => server.once('exit', resolve));
      server.kill('SIGKILL');
      await gone;
      server = await launch(database);
      const found = await call('GET', `/dockets/${view.id}`);
      expect(found.docket.customer?.name).toBe(name);
      expect(found.version).toBe(view.version);
      const history = (await call('GET', `/dockets/${view.id}/history`)) as unknown as Array<{
        label: string;
      }>;
      expect(history).toHaveLength(i + 1);
      expect(history.at(-1)?.label).toBe(name);
    }
    const ended = new Promise<number | null>((resolve) => server.once('exit', resolve));
    server.kill('SIGTERM');
    expect(await ended).toBe(0);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}, 180_000);

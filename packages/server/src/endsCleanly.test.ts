import { afterAll, expect, test } from '@jest/globals';
import type { ChildProcess } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { hasEnded, isOpen, ownServer } from '../../../scripts/ownServer.ts';
import { ROOT } from './tests/openScenario.ts';

const folder = mkdtempSync(join(tmpdir(), 'hardy-ends-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const PORT = 4392;
const API = `http://127.0.0.1:${PORT}/api`;

const serve = (name: string): ChildProcess =>
  ownServer({
    root: ROOT,
    port: PORT,
    database: join(folder, name, 'shop.sqlite'),
    demo: true,
    backups: 'none',
    threads: 0,
  });
const json = { 'content-type': 'application/json' };

test('asked to end in its first moments, at any of them, it ends, and the next start is whole', async () => {
  for (const [i, ms] of [0, 900, 1700, 2600].entries()) {
    const server = serve(`early-${i}`);
    const over = hasEnded(server);
    await new Promise((go) => setTimeout(go, ms));
    server.kill('SIGTERM');
    expect([0, 'SIGTERM']).toContain(await over);
  }
  const server = serve('early-2');
  await isOpen(server);
  const { total } = (await (await fetch(`${API}/dockets?state=all`)).json()) as { total: number };
  expect(total).toBeGreaterThan(8);
  const over = hasEnded(server);
  server.kill('SIGTERM');
  expect(await over).toBe(0);
}, 120_000);

test('asked to end in the middle of an import it ends within its grace; nothing went in, and the next one says so', async () => {
  let server = serve('import');
  await isOpen(server);
  const { id } = (await (
    await fetch(`${API}/imports`, { method: 'POST', headers: json, body: '{}' })
  ).json()) as {
    id: string;
  };
  const csv = await (await fetch(`${API}/catalogue/parts.csv`)).text();
  const rows = csv.trim().split('\n');
  const body = [
    rows[0],
    ...Array.from({ length: 60 }, (_, i) => rows.slice(1).map((row) => `X${i}${row}`)).flat(),
  ].join('\n');
  await fetch(`${API}/imports/${id}/files/parts.csv`, { method: 'PUT', body });
  await fetch(`${API}/imports/${id}/run`, { method: 'POST', headers: json, body: '{"mode":"good"}' });
  for (;;) {
    const its = (await (await fetch(`${API}/imports/${id}`)).json()) as { state: string; progress: number };
    expect(its.state).toBe('running');
    if (its.progress > 0) break;
    await new Promise((go) => setTimeout(go, 20));
  }
  let over = hasEnded(server);
  server.kill('SIGTERM');
  expect(await over).toBe(0);
  expect(readdirSync(join(folder, 'import')).filter((name) => name.includes('.catalogue-'))).toHaveLength(1);
  server = serve('import');
  await isOpen(server);
  expect(await (await fetch(`${API}/imports`)).json()).toMatchObject({
    import: { state: 'failed', problem: expect.stringMatching(/nothing of it went in/) },
  });
  expect(((await (await fetch(`${API}/parts?q=X0`)).json()) as unknown[]).length).toBe(0);
  over = hasEnded(server);
  server.kill('SIGTERM');
  expect(await over).toBe(0);
}, 120_000);

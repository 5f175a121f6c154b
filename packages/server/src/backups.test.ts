import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { parse, type Docket } from '@hardy/core';
import { API, type BackupsView, type DocketView } from '@hardy/core/contract';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { start, type Running } from './start.ts';

let folder: string;
let running: Running;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'hardy-backups-'));
  running = await start({
    database: join(folder, 'shop.sqlite'),
    port: 0,
    webFolder: null,
    scenario: null,
    backups: join(folder, 'kept'),
  });
});
afterAll(async () => {
  await running.stop();
  rmSync(folder, { recursive: true, force: true });
});

const call = async (method: string, path: string, body?: unknown) => {
  const answer = await fetch(`${running.address}/api${path}`, {
    method,
    ...(body === undefined
      ? {}
      : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
  });
  return { status: answer.status, body: (await answer.json()) as never };
};
const view = async (): Promise<BackupsView> =>
  parse(API['GET /backups'].answer, (await call('GET', '/backups')).body, 'backups');
/** The list once nothing is being made and `is` holds of it; a test that waits for ever is ended by its own limit. */
const settled = async (is: (view: BackupsView) => boolean): Promise<BackupsView> => {
  for (;;) {
    const now = await view();
    if (now.making === null && is(now)) return now;
    await new Promise((go) => setTimeout(go, 20));
  }
};
const customer = async (name: string): Promise<number> => {
  const docket = { format: 'hardy-spoke/docket', version: 1, customer: { name } } as Docket;
  const opened: DocketView = (await call('POST', '/dockets', { docket })).body;
  const { customerId } = (await call('GET', `/dockets/${opened.id}/earlier`)).body as { customerId: number };
  return customerId;
};

test('after an erasure a backup is made without the customer; older ones say that they hold them, and can be deleted', async () => {
  const id = await customer('Ina Skerry');
  await customer('Bo Firth');
  expect((await call('POST', '/backups', {})).status).toBe(202);
  const before = await settled(({ backups }) => backups.length === 1);
  expect(before.backups[0]).toMatchObject({ why: 'command', erased: 0 });
  expect((await call('POST', `/customers/${id}/erase`, {})).status).toBe(200);
  const after = await settled(({ backups }) => backups.length === 2);
  expect(after.problem).toBeNull();
  expect(after.backups.map(({ why, erased }) => [why, erased])).toEqual([
    ['erasure', 0],
    ['command', 1],
  ]);
  const [newest, older] = after.backups.map(({ name }) => name);
  expect((await call('DELETE', `/backups/${newest}`)).status).toBe(409);
  expect((await call('DELETE', '/backups/..%2Fshop.sqlite')).status).toBe(409);
  const left = await call('DELETE', `/backups/${older}`);
  expect(left.status).toBe(200);
  expect((left.body as BackupsView).backups.map(({ name }) => name)).toEqual([newest]);
});

test('a damaged entry is reported beside the others', async () => {
  mkdirSync(join(folder, 'kept', 'broken'), { recursive: true });
  writeFileSync(join(folder, 'kept', 'broken', 'manifest.json'), '{"format":');
  const { unreadable, backups } = await view();
  expect(unreadable).toEqual([
    { name: 'broken', reason: expect.stringContaining('cannot be read') as unknown as string },
  ]);
  expect(backups.length).toBeGreaterThan(0);
  expect((await call('DELETE', '/backups/broken')).status).toBe(409);
});

import { afterAll, beforeAll, expect, test } from '@jest/globals';
import Koa from 'koa';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { problems } from './problem.ts';

let server: Server;
let address: string;
const faults: unknown[] = [];
beforeAll(async () => {
  const app = new Koa();
  app.on('error', (error: unknown) => faults.push(error));
  app.use(problems);
  app.use((ctx) => {
    throw Object.assign(new Error('SECRET of a customer'), { code: ctx.path.slice(1) });
  });
  await new Promise<void>((open) => (server = app.listen(0, '127.0.0.1', open)));
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(() => new Promise((closed) => server.close(closed)));

test.each([
  ['ENOSPC', 507, 'Disk full'],
  ['EDQUOT', 507, 'Disk full'],
  ['SQLITE_FULL', 507, 'Disk full'],
  ['EROFS', 503, 'Not writable'],
  ['EACCES', 503, 'Not writable'],
  ['SQLITE_READONLY_DBMOVED', 503, 'Not writable'],
  ['EIO', 503, 'Disk fault'],
  ['SQLITE_IOERR_WRITE', 503, 'Disk fault'],
  ['EMFILE', 503, 'Busy'],
  ['SQLITE_BUSY', 503, 'Busy'],
  ['SQLITE_CORRUPT', 503, 'Damaged'],
  ['HARDY_MOVED', 503, 'Database moved'],
  ['SQLITE_CONSTRAINT_UNIQUE', 409, 'Made already'],
  ['SQLITE_CONSTRAINT_PRIMARYKEY', 409, 'Made already'],
  ['ANYTHING', 500, 'Internal fault'],
])('%s is answered with %i, without its innards', async (code, status, title) => {
  const before = faults.length;
  const answer = await fetch(`${address}/${code}`);
  const text = await answer.text();
  expect([answer.status, (JSON.parse(text) as { title: string }).title]).toEqual([status, title]);
  expect(text).not.toContain('SECRET');
  // Two that make the same at once are no fault of the server.
  expect(faults.length - before).toBe(status === 409 ? 0 : 1);
  expect(answer.headers.get('retry-after')).toBe([503, 507].includes(status) ? '5' : null);
});

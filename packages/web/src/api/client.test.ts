import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import type * as Client from './client.ts';

let client: typeof Client;
const sent: string[] = [];
/** What the network does with each request, in turn; after the last it answers. */
let fates: Array<'cut' | 'silent'> = [];
const realFetch = globalThis.fetch;
const page = globalThis as { window?: unknown; location?: unknown };
beforeEach(async () => {
  sent.length = 0;
  fates = [];
  page.location ??= { pathname: '/' };
  page.window ??= globalThis;
  globalThis.fetch = (address, init) => {
    sent.push(`${init?.method} ${address as string}`);
    const fate = fates.shift();
    if (fate === 'cut') return Promise.reject(new TypeError('Failed to fetch'));
    if (fate === 'silent')
      return new Promise((_, reject) =>
        init?.signal?.addEventListener('abort', () => reject(new DOMException('aborted', 'AbortError'))),
      );
    return Promise.resolve(new Response('{"ok":true}', { headers: { 'content-type': 'application/json' } }));
  };
  client = await import('./client.ts');
});
afterEach(() => {
  globalThis.fetch = realFetch;
  jest.useRealTimers();
});

describe('a call of the page', () => {
  test('a cut connection is tried once more where nothing can be done twice', async () => {
    fates = ['cut'];
    expect(await client.call('GET /health')).toEqual({ ok: true });
    fates = ['cut'];
    const body = { version: 1, changeId: '2f1c0b52-94a4-4c3f-9a53-0f2a9d3f7b11' };
    await client.call('POST /dockets/:id/undo', { params: { id: 'x' }, body });
    expect(sent).toHaveLength(4);
  });

  test('an act without a name is not sent twice, and what stays cut is told', async () => {
    fates = ['cut'];
    await expect(client.call('POST /backups', { body: {} })).rejects.toMatchObject({ status: 0 });
    expect(sent).toHaveLength(1);
    fates = ['cut', 'cut'];
    await expect(client.call('GET /health')).rejects.toMatchObject({ status: 0, title: 'No answer' });
    expect(sent).toHaveLength(3);
  });

  test('a silent server is given up after its time; a page that leaves is an abort', async () => {
    jest.useFakeTimers();
    fates = ['silent'];
    const late = expect(client.call('GET /health')).rejects.toMatchObject({ status: 0 });
    await jest.advanceTimersByTimeAsync(20_000);
    await late;
    fates = ['silent'];
    const leave = new AbortController();
    const left = expect(client.call('GET /health', { signal: leave.signal })).rejects.toMatchObject({
      name: 'AbortError',
    });
    leave.abort();
    await left;
    expect(sent).toHaveLength(2);
  });
});

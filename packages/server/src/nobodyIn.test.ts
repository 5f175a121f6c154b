import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { API } from '@hardy/core/contract';
import { request } from 'node:http';
import { gzipSync } from 'node:zlib';
import { openScenario } from './tests/openScenario.ts';

let server: Awaited<ReturnType<typeof openScenario>>;
beforeAll(async () => {
  server = await openScenario();
});
afterAll(() => server.running.stop());

interface Sent {
  readonly method?: string;
  readonly path?: string;
  readonly headers?: Readonly<Record<string, string>>;
  readonly body?: string | Buffer;
}

/** A request just as it is given, whatever a browser would allow. */
const send = ({ method = 'GET', path = '/api/dockets', headers = {}, body }: Sent) =>
  new Promise<{ status: number; headers: NodeJS.Dict<string | string[]>; text: string }>(
    (resolve, reject) => {
      const { hostname, port } = new URL(server.running.address);
      const sent = request({ hostname, port, method, path, headers }, (response) => {
        let text = '';
        response.setEncoding('utf8');
        response.on('data', (piece: string) => (text += piece));
        response.on('end', () =>
          resolve({ status: response.statusCode ?? 0, headers: response.headers, text }),
        );
      });
      sent.on('error', reject);
      sent.end(body);
    },
  );
const home = () => new URL(server.running.address).host;
const json = { 'content-type': 'application/json' };
const settings = async () => (await send({ path: '/api/shop' })).text;

describe('a page of another site', () => {
  test('is refused at every route, however it is spelled', async () => {
    const before = await settings();
    const spellings: Array<(path: string) => string> = [
      (path) => path,
      (path) => path.toUpperCase(),
      (path) => path.replace('/api', '/Api'),
      (path) => path.replace('/api', '/%61pi'),
      (path) => path.replace('/api', '/ap%69'),
      (path) => `/${path}`,
      (path) => path.replace('/api', '/api/'),
      (path) => `${path}/`,
      (path) => path.replace('/api', '/./api'),
      (path) => path.replace('/api', '/x/../api'),
      (path) => path.replace('/api', '/api;v=1'),
      (path) => path.replace('/api/', '/api%2f'),
      (path) => path.replace('/api/', '\\api\\'),
      (path) => `${path}?/x`,
      (path) => `http://${home()}${path}`,
    ];
    const opened: string[] = [];
    for (const name of Object.keys(API)) {
      const [method = '', plain = ''] = name.split(' ');
      const filled = plain.replace(/:\w+/g, 'x1');
      for (const root of ['/api', '/practice/api'])
        for (const spelled of spellings) {
          const path = spelled(`${root}${filled}`);
          const { status, headers, text } = await send({
            method,
            path,
            headers: { host: home(), 'sec-fetch-site': 'cross-site', ...json },
            ...(method === 'GET' || method === 'DELETE' ? {} : { body: '{}' }),
          });
          if (status < 400) opened.push(`${method} ${path}: ${status} ${text.slice(0, 60)}`);
          expect(String(headers['cache-control'] ?? '')).not.toContain('public');
        }
    }
    expect(opened).toEqual([]);
    expect(await settings()).toBe(before);
  });

  test('cannot reach the counter by a name of its own', async () => {
    for (const host of ['evil.example', `evil.example:${home().split(':')[1]}`, '127.0.0.1.evil.example']) {
      const { status, text } = await send({ headers: { host } });
      expect([400, 421]).toContain(status);
      expect(text).not.toContain('Merrowby');
    }
    // The practice counter is behind the same gate.
    const asked = await send({ path: '/practice/api/dockets', headers: { host: 'evil.example' } });
    expect(asked.status).toBe(421);
    const foreign = await send({
      path: '/practice/api/dockets',
      headers: { host: home(), 'sec-fetch-site': 'cross-site' },
    });
    expect(foreign.status).toBe(403);
    for (const host of ['localhost', '[::1]', '127.0.0.1'])
      expect((await send({ headers: { host: `${host}:4310` } })).status).toBe(200);
  });

  test('can neither read nor change anything', async () => {
    const before = await settings();
    const foreign: Array<Record<string, string>> = [
      { origin: 'http://evil.example' },
      { origin: 'null' },
      { origin: 'http://localhost:9' },
      { 'sec-fetch-site': 'cross-site' },
      { 'sec-fetch-site': 'same-site' },
    ];
    for (const headers of foreign)
      for (const sent of [
        { path: '/api/dockets' },
        { path: '/api/shop', method: 'PATCH', body: '{}', headers: json },
        { path: '/api/imports', method: 'POST', body: '{}', headers: json },
      ])
        expect((await send({ ...sent, headers: { ...sent.headers, ...headers } })).status).toBe(403);
    expect(await settings()).toBe(before);
  });

  test('our own pages can', async () => {
    const headers = { origin: `http://${home()}`, 'sec-fetch-site': 'same-origin' };
    expect((await send({ headers })).status).toBe(200);
    expect((await send({ headers: { 'sec-fetch-site': 'none' } })).status).toBe(200);
  });
});

test('nothing of the shop is kept by a browser or by what stands between', async () => {
  const { headers } = await send({});
  expect(headers['cache-control']).toBe('no-store');
  expect(headers['x-frame-options'] ?? headers['content-security-policy']).toBeTruthy();
  expect(headers['x-powered-by']).toBeUndefined();
});

describe('what cannot be read is the sender’s to mend', () => {
  const deep = `${'['.repeat(100_000)}${']'.repeat(100_000)}`;
  test.each<[string, Sent]>([
    ['a NUL in an address', { path: '/api/dockets/%00' }],
    ['a broken escape', { path: '/api/parts/%E0%A4%A' }],
    ['a NUL in a search', { path: '/api/parts?q=%00%00abc' }],
    ['half a surrogate', { path: '/api/dockets?q=%ED%A0%80' }],
    ['depth', { method: 'POST', path: '/api/dockets', headers: json, body: `{"docket":${deep}}` }],
    ['depth to advise', { method: 'POST', path: '/api/advise', headers: json, body: deep }],
    [
      'broken gzip',
      {
        method: 'POST',
        path: '/api/intake',
        headers: { ...json, 'content-encoding': 'gzip' },
        body: gzipSync('{"text":"abs"}').subarray(0, 12),
      },
    ],
    [
      'gzip that is none',
      { method: 'POST', path: '/api/intake', headers: { ...json, 'content-encoding': 'gzip' }, body: 'abs' },
    ],
    [
      'an unknown encoding',
      { method: 'POST', path: '/api/intake', headers: { ...json, 'content-encoding': 'rot13' }, body: 'abs' },
    ],
  ])('%s', async (_, sent) => {
    const { status } = await send(sent);
    expect(status).toBeGreaterThanOrEqual(200);
    expect(status).toBeLessThan(500);
  });

  test.each<[string, Sent]>([
    [
      'a name every object has',
      {
        method: 'PATCH',
        path: '/api/shop',
        headers: json,
        body: '{"version":0,"change":{"overrides":{"constructor":1}}}',
      },
    ],
    [
      'a prototype',
      {
        method: 'PATCH',
        path: '/api/shop',
        headers: json,
        body: '{"version":0,"change":{"overrides":{"__proto__":{"a":1}}}}',
      },
    ],
  ])('%s is no assumption', async (_, sent) => {
    expect((await send(sent)).status).toBe(400);
  });
});

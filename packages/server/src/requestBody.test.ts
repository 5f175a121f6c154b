import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { connect, type Socket } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { start, type Running } from './start.ts';

let running: Running;
let folder: string;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'hardy-body-'));
  running = await start({
    database: join(folder, 'body.sqlite'),
    port: 0,
    webFolder: null,
    scenario: null,
    bodyLimits: { totalMs: 2000, idleMs: 2000, drainMs: 60_000 },
  });
});
afterAll(async () => {
  await running.stop();
  rmSync(folder, { recursive: true, force: true });
});

const agent = new Agent({ keepAlive: true, maxSockets: 1 });
afterAll(() => agent.destroy());
/** One request on the agent's only connection; returns the status and the port of our end. */
const onOneConnection = (method: string, path: string, headers: object, body?: Buffer | string) =>
  new Promise<{ status: number; from: number; keepAlive: string }>((resolve, reject) => {
    const { hostname, port } = new URL(running.address);
    const sent = request({ hostname, port, method, path, agent, headers: { ...headers } }, (response) => {
      response.resume();
      response.on('end', () =>
        resolve({
          status: response.statusCode ?? 0,
          from: sent.socket?.localPort ?? 0,
          keepAlive: String(response.headers['keep-alive']),
        }),
      );
    });
    sent.on('error', reject);
    sent.end(body);
  });
const stalled = async (method: string, path: string): Promise<Socket> => {
  const { hostname, port } = new URL(running.address);
  const socket = connect(Number(port), hostname);
  await once(socket, 'connect');
  socket.write(
    `${method} ${path} HTTP/1.1\r\nHost: ${hostname}:${port}\r\nContent-Type: application/json\r\nContent-Length: 900\r\n\r\n{"words":`,
  );
  return socket.on('error', () => undefined);
};

describe('the body of a request', () => {
  test('a refused compressed body leaves the connection for the next request', async () => {
    const json = { 'content-type': 'application/json', 'content-encoding': 'gzip' };
    const large = gzipSync(Buffer.alloc(8 << 20, 0x61));
    const broken = Buffer.concat([gzipSync('{"words":"abs"}').subarray(0, 12), Buffer.alloc(200_000, 7)]);
    const first = await onOneConnection('POST', '/api/dockets', json, large);
    expect(first.status).toBe(413);
    const second = await onOneConnection('POST', '/api/dockets', json, broken);
    expect(second.status).toBe(400);
    const third = await onOneConnection('GET', '/api/health', {});
    expect(third.status).toBe(200);
    expect([second.from, third.from]).toEqual([first.from, first.from]);
  });

  test('idle connections are kept, and the client is told for how long', async () => {
    expect((await onOneConnection('GET', '/api/health', {})).keepAlive).toBe('timeout=75');
  });

  test('a client that stops in the middle of a body is disconnected; others are served meanwhile', async () => {
    const id = (
      (await (
        await fetch(`${running.address}/api/imports`, {
          method: 'POST',
          body: '{}',
          headers: { 'content-type': 'application/json' },
        })
      ).json()) as { id: string }
    ).id;
    const sockets = await Promise.all([
      ...Array.from({ length: 300 }, () => stalled('POST', '/api/dockets')),
      stalled('PUT', `/api/imports/${id}/files/parts.csv`),
    ]);
    const ended = sockets.map((socket) => once(socket, 'close'));
    expect((await fetch(`${running.address}/api/health`)).status).toBe(200);
    await Promise.all(ended);
    expect(sockets.every((socket) => socket.destroyed)).toBe(true);
  });
});

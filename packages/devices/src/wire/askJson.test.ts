import { afterEach, describe, expect, test } from '@jest/globals';
import { LONGEST } from '@hardy/core/limits';
import { createServer, type RequestListener, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { z } from 'zod';
import { supplierAt } from '../supplier/supplierClient.ts';
import { SupplierWireOrder, type SupplierAnswer } from '../supplier/supplierMessages.ts';
import { askJson } from './askJson.ts';
import { DeviceTrouble } from './deviceTrouble.ts';

const open: Server[] = [];
afterEach(() => {
  for (const server of open.splice(0)) {
    server.closeAllConnections();
    server.close();
  }
});
const serve = (act: RequestListener): Promise<string> =>
  new Promise((resolve) => {
    const server = createServer(act);
    open.push(server);
    server.listen(0, '127.0.0.1', () =>
      resolve(`http://127.0.0.1:${(server.address() as AddressInfo).port}`),
    );
  });
/** Far above what an answer takes on a busy machine: only what never comes may be late. */
const LONG_MS = 60_000;
const ask = (url: string, { signal, withinMs = LONG_MS }: { signal?: AbortSignal; withinMs?: number } = {}) =>
  askJson({ name: 'depot', url, answer: z.object({ n: z.number() }), withinMs, signal });
const trouble = async (asked: Promise<unknown>): Promise<DeviceTrouble> => {
  const error = await asked.then(
    () => null,
    (thrown: unknown) => thrown,
  );
  expect(error).toBeInstanceOf(DeviceTrouble);
  return error as DeviceTrouble;
};

describe('a service that speaks JSON', () => {
  test('answers what was asked', async () => {
    expect(await ask(await serve((_, res) => res.end('{"n":3,"more":1}')))).toEqual({ n: 3 });
  });
  test('what is only read is asked once more when the connection breaks; what changes something is not', async () => {
    let asked = 0;
    const breaksOnce = await serve((req, res) => {
      if (++asked === 1) req.socket.destroy();
      else res.end('{"n":1}');
    });
    expect(await ask(breaksOnce)).toEqual({ n: 1 });
    expect(asked).toBe(2);
    const breaks = await serve((req) => {
      asked++;
      req.socket.destroy();
    });
    asked = 0;
    expect((await trouble(ask(breaks))).kind).toBe('unreachable');
    expect(asked).toBe(2);
    asked = 0;
    const changed = askJson({ name: 'depot', url: breaks, answer: z.unknown(), body: {}, withinMs: LONG_MS });
    expect((await trouble(changed)).kind).toBe('unreachable');
    expect(asked).toBe(1);
  });
  test('a redirect is not followed: no host is reached that the start-up file does not name', async () => {
    let reached = 0;
    const other = await serve((_, res) => {
      reached++;
      res.end('{"n":1}');
    });
    const url = await serve((_, res) => res.writeHead(302, { location: other }).end());
    expect((await trouble(ask(url))).kind).toBe('unreachable');
    expect(reached).toBe(0);
  });
  test.each([
    ['no JSON', '<html>', 'garbage'],
    ['another shape', '{"n":"three"}', 'garbage'],
    ['an answer without end', 'x'.repeat(5 << 20), 'garbage'],
  ] as const)('%s is told as garbage', async (_, body, kind) => {
    expect((await trouble(ask(await serve((__, res) => res.end(body))))).kind).toBe(kind);
  });
  test('its own sentence is told where it refuses; silence and a stop are told as such', async () => {
    const refusing = await serve((_, res) => res.writeHead(409).end('{"refused":"Closed on Sundays."}'));
    expect(await trouble(ask(refusing))).toMatchObject({ kind: 'refused', message: 'Closed on Sundays.' });
    expect((await trouble(ask(await serve((_, res) => res.writeHead(500).end('{}'))))).kind).toBe('refused');
    const silent = await serve(() => undefined);
    expect((await trouble(ask(silent, { withinMs: 50 }))).kind).toBe('silent');
    const stop = new AbortController();
    const asked = trouble(ask(silent, { signal: stop.signal }));
    stop.abort();
    expect((await asked).kind).toBe('stopped');
    expect((await trouble(ask(silent, { signal: stop.signal }))).kind).toBe('stopped');
  });
  test('one that trickles without end is ended by its time, whatever garbage is collected meanwhile', async () => {
    setFlagsFromString('--expose-gc');
    const collect = runInNewContext('gc') as () => void;
    let trickling = 0;
    const url = await serve((_, res) => {
      res.writeHead(200);
      const timer = setInterval(() => {
        trickling++;
        res.write(' ');
        collect();
      }, 5);
      res.on('close', () => clearInterval(timer));
    });
    expect((await trouble(ask(url, { withinMs: 300 }))).kind).toBe('silent');
    expect(trickling).toBeGreaterThan(0);
  });
});

describe('an order by wire', () => {
  const order: SupplierWireOrder = {
    format: 'hardy-spoke/supplier-wire-order',
    version: 1,
    id: '2f1c0b52-94a4-4c3f-9a53-0f2a9d3f7b11',
    number: 5001,
    from: 'the counter',
    lines: [{ partNumber: 'A-1', quantity: 2, priceCents: 100 }],
    atTodaysPrices: false,
  };
  const line = {
    partNumber: 'A-1',
    ordered: 2,
    coming: 2,
    on: '2026-11-28',
    backOrdered: 0,
    backOn: null,
    priceCents: 100,
  };
  const answer = (more: Partial<SupplierAnswer>): SupplierAnswer => ({
    format: 'hardy-spoke/supplier-answer',
    version: 1,
    id: order.id,
    reference: 'W-1',
    state: 'confirmed',
    lines: [line],
    ...more,
  });
  const sent = async (said: SupplierAnswer) =>
    supplierAt(await serve((_, res) => res.end(JSON.stringify(said))), LONG_MS).order(order);

  test('an answer about it is taken, a line told twice alike once', async () => {
    expect((await sent(answer({ lines: [line, line] }))).lines).toEqual([line]);
  });
  test.each([
    ['another order', { id: '00000000-0000-4000-8000-000000000000' }],
    ['a part nobody ordered', { lines: [{ ...line, partNumber: 'B-2' }] }],
    ['more than was ordered', { lines: [{ ...line, coming: 3 }] }],
    ['nothing of a line', { lines: [] }],
    ['two things of one part', { lines: [line, { ...line, coming: 1 }] }],
  ] as const)('an answer about %s books nothing', async (_, more) => {
    expect((await trouble(sent(answer(more as Partial<SupplierAnswer>)))).kind).toBe('garbage');
  });
  test('one whose answer never came is asked for once more under its id', async () => {
    const ids: string[] = [];
    const url = await serve((req, res) => {
      let body = '';
      req.on('data', (piece: Buffer) => (body += piece.toString()));
      req.on('end', () => {
        ids.push((JSON.parse(body) as { id: string }).id);
        if (ids.length === 1) req.socket.destroy();
        else res.end(JSON.stringify(answer({})));
      });
    });
    expect((await supplierAt(url, LONG_MS).order(order)).reference).toBe('W-1');
    expect(ids).toEqual([order.id, order.id]);
  });

  test('takes as many lines, and as long a part number, as the catalogue and an order may have', () => {
    const partNumber = 'P'.repeat(LONGEST.partNumber);
    const many = Array.from({ length: 501 }, (_, i) => ({
      partNumber: `${partNumber.slice(4)}${1000 + i}`,
      quantity: 1,
      priceCents: null,
    }));
    expect(SupplierWireOrder.parse({ ...order, lines: many }).lines).toHaveLength(501);
    expect(
      SupplierWireOrder.safeParse({ ...order, lines: [{ ...many[0], partNumber: `${partNumber}X` }] })
        .success,
    ).toBe(false);
  });
});

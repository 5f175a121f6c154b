import { afterEach, describe, expect, test } from '@jest/globals';
import { createServer, type RequestListener, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { z } from 'zod';
import { supplierAt } from '../supplier/supplierClient.ts';
import type { SupplierAnswer, SupplierWireOrder } from '../supplier/supplierMessages.ts';
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
const ask = (url: string, signal?: AbortSignal) =>
  askJson({ name: 'depot', url, answer: z.object({ n: z.number() }), withinMs: 300, signal });
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
    expect((await trouble(ask(silent))).kind).toBe('silent');
    const stop = new AbortController();
    setTimeout(() => stop.abort(), 30);
    expect((await trouble(ask(silent, stop.signal))).kind).toBe('stopped');
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
    supplierAt(await serve((_, res) => res.end(JSON.stringify(said))), 300).order(order);

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
    expect((await supplierAt(url, 300).order(order)).reference).toBe('W-1');
    expect(ids).toEqual([order.id, order.id]);
  });
});

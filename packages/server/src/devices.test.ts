import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Answer } from '@hardy/core/contract';
import { readDeviceFile } from './devices/deviceFile.ts';
import { openScenario } from './tests/openScenario.ts';
import { standInDevices } from './tests/standInDevices.ts';
import { takenOrder } from './tests/takenOrder.ts';

const SUPPLIER = 'corvane-direct';
let devices: Awaited<ReturnType<typeof standInDevices>>;
let server: Awaited<ReturnType<typeof openScenario>>;
beforeAll(async () => {
  devices = await standInDevices(SUPPLIER);
  server = await openScenario(true, devices.file);
});
afterAll(async () => {
  await server.running.stop();
  devices.stop();
});

const call = (method: string, path: string, body?: unknown) => server.api(method, path, body);
const docket = async (words = 'merrowby 2018 minibus, abs light, C0031-13 front left') =>
  (await call('POST', '/dockets', { words })).body as Answer<'POST /dockets'>;
const view = async () => (await call('GET', '/devices')).body as Answer<'GET /devices'>;
const readToEnd = async (docketId: string) => {
  expect((await call('POST', '/devices/reader/read', { docketId })).status).toBe(200);
  for (;;) {
    const { reading } = await view();
    if (reading.state !== 'reading') return reading;
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
};
const switches = (...faults: string[]) =>
  fetch(`${devices.supplierUrl}/switches`, {
    method: 'POST',
    body: JSON.stringify({ faults }),
    headers: { 'content-type': 'application/json' },
  });

describe('the start-up file', () => {
  const folder = mkdtempSync(join(tmpdir(), 'hardy-devices-'));
  afterAll(() => rmSync(folder, { recursive: true, force: true }));
  const file = (content: unknown): string => {
    const path = join(folder, 'devices.json');
    writeFileSync(path, typeof content === 'string' ? content : JSON.stringify(content));
    return path;
  };
  const away = { meter: { host: '192.0.2.7', port: 5025 } };
  test('is the only place where a host is named, and the demonstration reaches none but its own', () => {
    expect(readDeviceFile(file(away), false)).toEqual(away);
    expect(() => readDeviceFile(file(away), true)).toThrow(/names 192\.0\.2\.7/);
    expect(() => readDeviceFile(file({ suppliers: { x: { url: 'http://example.invalid' } } }), true)).toThrow(
      /example\.invalid/,
    );
    expect(() => readDeviceFile(file({ bench: { url: 'http://192.0.2.7' } }), false)).toThrow(/this machine/);
  });
  test.each([
    ['{', /is no JSON/],
    [{ printer: {} }, /printer/],
    [{ reader: { host: 'x y', port: 1, controllers: [] } }, /reader/],
    [{ meter: { host: '127.0.0.1', port: 0 } }, /port/],
  ])('says what is wrong with %j', (content, why) => {
    expect(() => readDeviceFile(file(content), false)).toThrow(why);
    expect(() => readDeviceFile(join(folder, 'none.json'), false)).toThrow(/cannot be read/);
  });
  test('without one every device is off, and asking for one says so', async () => {
    const bare = await openScenario(false);
    expect((await bare.api('GET', '/devices')).body).toMatchObject({ off: true, devices: [], bench: null });
    for (const [path, body] of [
      ['/devices/meter/measure', { what: 'ohms' }],
      ['/devices/bench/skip', {}],
      ['/devices/reader/stop', {}],
    ] as const) {
      const { status, body: told } = await bare.api('POST', path, body);
      expect([status, (told as { detail: string }).detail]).toEqual([
        409,
        expect.stringMatching(/start-up file/),
      ]);
    }
    await bare.running.stop();
  });
});

describe('reader, meter and bench', () => {
  test('a vehicle is put on the bench, read, measured, mended, and drives without a lamp', async () => {
    const { id } = await docket();
    const put = await call('POST', '/devices/bench/vehicle', { docketId: id, seed: 5 });
    expect(put.body).toMatchObject({ vehicle: { docketId: id }, driving: null });
    const reading = await readToEnd(id);
    expect(reading).toMatchObject({ state: 'done', done: 3, of: 3, result: { wasCleared: false } });
    // What was told of it is what the bench found for it.
    expect(reading.result?.codes).toContainEqual({
      module: 'ABS',
      code: 'C0031-13',
      status: expect.stringMatching(/active|stored/),
    });
    await call('POST', '/devices/bench/probes', {
      wheelEnd: 'A1R',
      plug: 'loom',
      pins: 'feed to ground',
      turnsPerSecond: 0,
    });
    expect((await call('POST', '/devices/meter/measure', { what: 'voltsDc' })).body).toMatchObject({
      reading: { is: 'steady' },
      celsius: null,
    });
    const look = await call('POST', '/devices/bench/check', { check: 'visual.connector', wheelEnd: 'A1L' });
    expect(look.body).toMatchObject({ found: { check: 'visual.connector', wheelEnd: 'A1L' } });
    for (const work of [
      { wheelEnd: 'A1L', fit: 'sensor', work: null },
      { wheelEnd: 'A1L', fit: 'connector-kit', work: null },
      { wheelEnd: 'A1L', fit: null, work: 'loom' },
      { wheelEnd: 'A1L', fit: 'hub-assembly', work: null },
    ])
      expect((await call('POST', '/devices/bench/work', work)).status).toBe(200);
    expect((await call('POST', '/devices/bench/drive', { drive: 'town' })).body).toMatchObject({
      driving: { drive: 'town' },
    });
    await call('POST', '/devices/bench/skip', {});
    expect((await call('POST', '/devices/reader/clear', { docketId: id, sure: true })).body).toEqual({
      cleared: ['ABS', 'Engine', 'Gearbox'],
      refused: [],
    });
    await call('POST', '/devices/bench/drive', { drive: 'town' });
    expect((await call('POST', '/devices/bench/skip', {})).body).toMatchObject({
      lamp: false,
      driving: null,
    });
    expect((await readToEnd(id)).result).toMatchObject({ codes: [], wasCleared: true });
    expect((await readToEnd(id)).result).toMatchObject({ wasCleared: false });
    expect((await view()).devices.find(({ kind }) => kind === 'reader')?.words.at(-1)).toMatchObject({
      who: 'it',
    });
  });

  test('codes are not cleared while wheels turn, nor while a stop stands, nor without saying that one is sure', async () => {
    const { id } = await docket(
      'merrowby 2018 minibus, abs light, C0037-13 rear left, clear play and growl rear left',
    );
    const stop = await call('POST', '/devices/reader/clear', { docketId: id, sure: true });
    expect([stop.status, (stop.body as { detail: string }).detail]).toEqual([
      409,
      expect.stringMatching(/nothing was cleared, this vehicle may not be driven/),
    ]);
    expect((await call('POST', '/devices/reader/clear', { docketId: id })).status).toBe(400);
    const other = await docket();
    await call('POST', '/devices/bench/vehicle', { docketId: other.id, seed: 6 });
    await call('POST', '/devices/bench/drive', { drive: 'yard' });
    // Pulling away takes a moment.
    for (let i = 0; i < 100 && devices.station.speedsAt(Date.now()).every((kmh) => kmh < 1); i++)
      await new Promise((resolve) => setTimeout(resolve, 50));
    const moving = await call('POST', '/devices/reader/clear', { docketId: other.id, sure: true });
    expect([moving.status, (moving.body as { detail: string }).detail]).toEqual([
      409,
      expect.stringMatching(/Nothing was cleared: the vehicle moves/),
    ]);
    await call('POST', '/devices/bench/skip', {});
  });

  test('what is read of one vehicle does not come onto the docket of another', async () => {
    const [mine, other] = [await docket(), await docket()];
    await call('POST', '/devices/bench/vehicle', { docketId: mine.id, seed: 5 });
    for (const [path, body] of [
      ['/devices/reader/read', { docketId: other.id }],
      ['/devices/reader/clear', { docketId: other.id, sure: true }],
    ] as const)
      expect((await call('POST', path, body)).body).toMatchObject({
        status: 409,
        detail: expect.stringMatching(/another docket’s vehicle stands on the bench/),
      });
    expect((await readToEnd(mine.id)).state).toBe('done');
  });

  test('speeds come as they go, and end when nobody listens', async () => {
    const { id } = await docket();
    await call('POST', '/devices/bench/vehicle', { docketId: id, seed: 7 });
    await call('POST', '/devices/bench/drive', { drive: 'town' });
    const stop = new AbortController();
    const answer = await fetch(`${server.running.address}/api/devices/reader/live?hz=50`, {
      signal: stop.signal,
    });
    expect(answer.headers.get('content-type')).toMatch(/event-stream/);
    const samples: number[][] = [];
    let text = '';
    const reader = answer.body?.getReader();
    while (reader && samples.length < 20) {
      const { done, value } = await reader.read();
      if (done) break;
      text += new TextDecoder().decode(value);
      for (let end = text.indexOf('\n\n'); end >= 0; end = text.indexOf('\n\n')) {
        samples.push(JSON.parse(text.slice(6, end)) as number[]);
        text = text.slice(end + 2);
      }
    }
    stop.abort();
    expect(samples.every((sample) => sample.length === 5)).toBe(true);
    expect(samples.every(([ms], i) => i === 0 || (ms as number) > (samples[i - 1]?.[0] as number))).toBe(
      true,
    );
    for (let i = 0; i < 100; i++) {
      const line = (await view()).devices.find(({ kind }) => kind === 'reader');
      if (line?.state !== 'busy') return;
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
    throw new Error('the stream goes on without a listener');
  });

  test('an empty bench, a vehicle of four axles and a wheel it has not are told', async () => {
    await call('POST', '/devices/bench/skip', {});
    const { id } = await docket('trailer with four axles, abs light');
    const body = (await call('GET', `/dockets/${id}`)).body as Answer<'GET /dockets/:id'>;
    await call('PUT', `/dockets/${id}`, {
      version: body.version,
      docket: { ...body.docket, vehicle: { ...body.docket.vehicle, axles: 4 } },
      label: 'axles',
    });
    expect((await call('POST', '/devices/bench/vehicle', { docketId: id })).body).toMatchObject({
      detail: expect.stringMatching(/two or three axles/),
    });
    expect(
      (await call('POST', '/devices/bench/work', { wheelEnd: 'A3L', fit: 'sensor', work: null })).body,
    ).toMatchObject({ status: 409, detail: expect.stringMatching(/no wheel A3L/) });
    expect(
      (await call('POST', '/devices/bench/work', { wheelEnd: 'A1L', fit: null, work: null })).status,
    ).toBe(400);
  });
});

describe('a frame log of a bus', () => {
  const codes = (text: string) => call('POST', '/devices/frame-log', { text });
  test('tells of those that told of their codes; one without such a message says nothing, and is refused', async () => {
    expect((await codes('(0.000000) bus 18FECA0B#04FF18030501FFFF\n')).body).toMatchObject({
      codes: [{ module: 'Brakes (bus 0B)', code: 'SPN 792 FMI 5', status: 'active' }],
      read: ['Brakes (bus 0B)'],
      unread: [{ name: 'others' }],
    });
    // The engine's speed alone: that no code is in it is no finding.
    expect((await codes('(0.000000) bus 0CF00400#FFFFFF6813FFFFFF\n')).body).toMatchObject({
      status: 400,
      detail: expect.stringMatching(/no message of codes/),
    });
    expect((await codes('nothing of a bus')).body).toMatchObject({ status: 400 });
  });
});

describe('a supplier by wire', () => {
  const ordered = async () => {
    const number = devices.notOnShelf.shift() ?? '';
    await call('POST', '/dockets', {
      docket: {
        format: 'hardy-spoke/docket',
        version: 1,
        chosen: takenOrder([number, 40]),
      },
    });
    const { body } = (await call('POST', '/orders', { supplier: SUPPLIER })) as { body: object };
    return { id: (body as Answer<'POST /orders'>).id, partNumber: number };
  };
  const wire = (id: string, atTodaysPrices = false) => call('POST', `/orders/${id}/wire`, { atTodaysPrices });

  test('stock by branch, an order, its confirmation; what it has not is to be got elsewhere', async () => {
    const order = await ordered();
    const number = order.partNumber;
    expect((await call('GET', `/suppliers/${SUPPLIER}/stock?partNumber=${number}`)).body).toMatchObject({
      partNumber: number,
      branches: [{ branch: 'harbour depot' }, { branch: 'mainland' }],
    });
    const { status, body } = await wire(order.id);
    expect(status).toBe(200);
    const { order: after, said } = body as Answer<'POST /orders/:id/wire'>;
    expect(after.state).toBe('confirmed');
    const line = after.lines.find(({ partNumber }) => partNumber === number);
    expect(line?.promisedBy).toMatch(/by wire, W-/);
    // Nobody has forty of a sensor.
    expect(line?.confirmed).toBeLessThan(40);
    expect(said.join()).toMatch(/to be got elsewhere/);
    expect((await wire(order.id)).body).toEqual(body);
  });

  test.each([
    ['a price that changed since is asked about, and nothing is ordered', ['price-changed'], 'prices'],
    ['what is short is told', ['short'], 'short'],
    ['what is on back-order counts as promised for its day', ['back-order'], 'back'],
    ['an answer that says a line twice says it once', ['twice'], 'fine'],
    ['an answer that never came is asked for again, and it is one order', ['hangs-up'], 'fine'],
  ] as const)('%s', async (_, faults, kind) => {
    await switches();
    const order = await ordered();
    await switches(...faults);
    const { status, body } = await wire(order.id);
    expect(status).toBe(200);
    const answer = body as Answer<'POST /orders/:id/wire'>;
    const mine = ({ order: { lines } }: typeof answer) =>
      lines.find(({ partNumber }) => partNumber === order.partNumber);
    if (kind === 'prices') {
      expect(answer.order.state).toBe('sent');
      expect(answer.changed[0]?.nowCents).toBeGreaterThan(answer.changed[0]?.wasCents ?? Infinity);
      expect(((await wire(order.id, true)).body as typeof answer).order.state).toBe('confirmed');
    } else {
      expect(answer.order.state).toBe('confirmed');
      if (kind === 'back') {
        expect(answer.said.join()).toMatch(/40 on back-order until 2026-12-11/);
        expect(mine(answer)).toMatchObject({ confirmed: 40, promised: '2026-12-11' });
      } else expect(mine(answer)?.confirmed).toBeGreaterThan(0);
    }
    await switches();
  });

  test('a service that is slow is waited for twice, then it is said; nothing is booked', async () => {
    const order = await ordered();
    await switches('slow');
    expect((await wire(order.id)).body).toMatchObject({
      status: 504,
      detail: expect.stringMatching(/did not answer in time/),
    });
    await switches();
    // What it may have taken under that name is the same order.
    expect(((await wire(order.id)).body as Answer<'POST /orders/:id/wire'>).order.state).toBe('confirmed');
  });

  test('two answers in one, and a service that is down: nothing is booked, and it is said', async () => {
    const order = await ordered();
    await switches('contradicts');
    expect((await wire(order.id)).body).toMatchObject({
      status: 502,
      detail: expect.stringMatching(/two things/),
    });
    await switches('down');
    expect((await wire(order.id)).body).toMatchObject({
      status: 503,
      detail: expect.stringMatching(/cannot be reached/),
    });
    await switches();
    const { orders } = (await call('GET', '/orders')).body as Answer<'GET /orders'>;
    const after = orders.find(({ id }) => id === order.id);
    expect(after?.state).toBe('sent');
    expect(after?.lines.every(({ confirmed }) => confirmed === null)).toBe(true);
    expect((await call('POST', '/orders/none/wire', { atTodaysPrices: false })).status).toBe(404);
  });
});

import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { parse, type CataloguePart } from '@hardy/core';
import { API, type ApiName, type Answer } from '@hardy/core/contract';
import { takenOrder } from './tests/takenOrder.ts';
import { openScenario } from './tests/openScenario.ts';
import { standInDevices } from './tests/standInDevices.ts';

let server: Awaited<ReturnType<typeof openScenario>>;
let devices: Awaited<ReturnType<typeof standInDevices>>;
beforeAll(async () => {
  devices = await standInDevices('makers-parts');
  server = await openScenario(true, devices.file);
});
afterAll(async () => {
  await server.running.stop();
  devices.stop();
});

const seen = new Set<ApiName>();
/** Asks, and holds the answer against the contract. */
const ask = async <N extends ApiName>(name: N, path: string, body?: unknown): Promise<Answer<N>> => {
  const [method = ''] = name.split(' ');
  const answer = await server.api(method, path, body);
  expect([name, answer.status]).toEqual([
    name,
    ['POST /dockets', 'POST /imports', 'POST /orders'].includes(name)
      ? 201
      : answer.status < 300
        ? answer.status
        : 200,
  ]);
  seen.add(name);
  return parse(API[name].answer, answer.body, name) as Answer<N>;
};

test('every way in answers as the contract says', async () => {
  await ask('GET /health', '/health');
  const opened = await ask('POST /dockets', '/dockets', {
    words: 'merrowby 2018 minibus, abs light, C0A31-13 front left',
  });
  const at = `/dockets/${opened.id}`;
  const heard = await ask('POST /dockets/:id/words', `${at}/words`, {
    version: opened.version,
    words: 'no play',
  });
  const edited = await ask('PUT /dockets/:id', at, {
    version: heard.version,
    docket: heard.docket,
    label: 'same',
  });
  const undone = await ask('POST /dockets/:id/undo', `${at}/undo`, { version: edited.version });
  await ask('POST /dockets/:id/redo', `${at}/redo`, { version: undone.version });
  await ask('GET /dockets/:id', at);
  await ask('GET /dockets/:id/knowledge', `${at}/knowledge`);
  await ask('GET /dockets/:id/compare', `${at}/compare`);
  expect((await ask('GET /dockets/:id/history', `${at}/history`)).length).toBe(5);
  await ask('GET /dockets/:id/file', `${at}/file`);
  expect((await ask('GET /dockets', '/dockets?state=all')).dockets.length).toBeGreaterThan(5);
  await ask('GET /figures', '/figures');
  await ask('GET /dockets/:id/earlier', `${at}/earlier`);
  const named = await ask('POST /dockets', '/dockets', {
    docket: { format: 'hardy-spoke/docket', version: 1, customer: { name: 'Ina Skerry' } },
  });
  expect(named.docket.customer?.name).toBe('Ina Skerry');
  const [found] = await ask('GET /customers', '/customers?q=skerry');
  await ask('POST /customers/:id/erase', `/customers/${found?.id}/erase`, {});
  await ask('GET /erasures', '/erasures');
  const closed = await server.api('PUT', at, {
    version: (await ask('GET /dockets/:id', at)).version,
    docket: { ...undone.docket, outcome: { result: 'cured', trueCause: 'ring', knownBy: 'seen' } },
    label: 'closed',
  });
  expect(closed.status).toBe(200);
  await ask('GET /ledger', '/ledger?part=sensor');
  const file = await fetch(`${server.running.address}/api/ledger/file`);
  expect(API['GET /ledger/file'].answer.parse(await file.text())).toMatch(/^docket,sold on,/);
  seen.add('GET /ledger/file');
  await ask('GET /ledger/calibration', '/ledger/calibration');
  await ask('GET /ledger/unheard', '/ledger/unheard?limit=5');
  await ask('GET /ledger/learned', '/ledger/learned');
  const counts = await ask('GET /ledger/counts', '/ledger/counts');
  await ask('POST /ledger/counts', '/ledger/counts', { ...counts, shop: 'another' });
  await ask('POST /ledger/relearn', '/ledger/relearn', {});
  await ask('GET /dockets/:id/comebacks', `${at}/comebacks`);
  const ours = { format: 'hardy-spoke/docket', version: 1, vehicle: { plate: 'HRB 12' } };
  const before = await ask('POST /dockets', '/dockets', {
    docket: { ...ours, chosen: { ...takenOrder(['X-1', 1]), on: '2026-01-02' } },
  });
  const after = await ask('POST /dockets', '/dockets', { docket: ours });
  await ask('POST /dockets/:id/comebacks', `/dockets/${after.id}/comebacks`, { of: before.number });
  const missing = await server.api('GET', '/parts?class=sensor');
  const wanted = (missing.body as CataloguePart[]).find(
    ({ stock, supplier }) => stock === 0 && supplier === 'makers-parts',
  );
  await ask('POST /dockets', '/dockets', {
    docket: {
      format: 'hardy-spoke/docket',
      version: 1,
      chosen: takenOrder([wanted?.number ?? '', 1]),
    },
  });
  const { toOrder } = await ask('GET /orders', '/orders');
  const supplied = await ask('POST /orders', '/orders', {
    supplier: toOrder[0]?.supplier,
  });
  await ask('GET /orders/:id/file', `/orders/${supplied.id}/file`);
  const [line] = supplied.lines;
  await ask('POST /orders/:id/wire', `/orders/${supplied.id}/wire`, { atTodaysPrices: true });
  await ask(
    'GET /suppliers/:id/stock',
    `/suppliers/makers-parts/stock?partNumber=${encodeURIComponent(line?.partNumber ?? '')}`,
  );
  await ask('POST /orders/:id/confirm', `/orders/${supplied.id}/confirm`, {
    by: 'the depot',
    lines: [{ partNumber: line?.partNumber, quantity: 1, promised: '2030-01-02' }],
  });
  await ask('POST /orders/:id/receive', `/orders/${supplied.id}/receive`, {
    id: randomUUID(),
    lines: [{ partNumber: line?.partNumber, quantity: 1 }],
    close: true,
  });
  await ask('POST /devices/find', '/devices/find', {});
  await ask('POST /devices/bench/vehicle', '/devices/bench/vehicle', { docketId: opened.id, seed: 3 });
  await ask('POST /devices/reader/read', '/devices/reader/read', { docketId: opened.id });
  await ask('POST /devices/reader/stop', '/devices/reader/stop', {});
  let state = 'reading';
  while (state === 'reading') state = (await ask('GET /devices', '/devices')).reading.state;
  const { log } = await ask('GET /devices/bench/frame-log', '/devices/bench/frame-log');
  expect((await ask('POST /devices/frame-log', '/devices/frame-log', { text: log })).read).toEqual([
    'Brakes (bus 0B)',
  ]);
  await ask('POST /devices/reader/clear', '/devices/reader/clear', { docketId: opened.id, sure: true });
  await ask('POST /devices/bench/probes', '/devices/bench/probes', {
    wheelEnd: 'A1L',
    plug: 'sensor',
    pins: 'across',
    turnsPerSecond: 1,
  });
  await ask('POST /devices/meter/measure', '/devices/meter/measure', { what: 'ohms' });
  await ask('POST /devices/bench/work', '/devices/bench/work', {
    wheelEnd: 'A1L',
    fit: 'sensor',
    work: null,
  });
  await ask('POST /devices/bench/check', '/devices/bench/check', {
    check: 'visual.connector',
    wheelEnd: 'A1L',
  });
  await ask('POST /devices/bench/drive', '/devices/bench/drive', { drive: 'yard' });
  const live = await fetch(`${server.running.address}/api/devices/reader/live?hz=10`);
  const first = await live.body?.getReader().read();
  expect(new TextDecoder().decode(first?.value)).toMatch(/^data: \[\d+(,[\d.]+){4}\]\n\n/);
  seen.add('GET /devices/reader/live');
  await ask('POST /devices/bench/skip', '/devices/bench/skip', {});
  await ask('POST /intake', '/intake', { text: 'abs light front left' });
  await ask('POST /preview', '/preview', { text: 'abs light front left' });
  await ask('POST /advise', '/advise', opened.docket);
  await ask('GET /vehicles', '/vehicles');
  const shop = await ask('GET /shop', '/shop');
  await ask('PATCH /shop', '/shop', { version: shop.version, change: { name: shop.name } });
  await ask('GET /shop/turned', '/shop/turned');
  await ask('GET /assumptions', '/assumptions');
  const [part] = await ask('GET /parts', '/parts?q=ring');
  await ask('GET /parts/:number', `/parts/${part?.number ?? ''}`);
  await ask('POST /match', '/match', {
    partClass: 'tone-ring',
    readings: [{ key: 'teeth', value: 48, tool: 'eye' }],
  });
  const learner = await ask('POST /practice/learners', '/practice/learners', { name: 'Ada' });
  const round = await ask('POST /practice/rounds', '/practice/rounds', {
    name: 'Tuesday',
    level: 1,
    customers: 2,
  });
  expect((await ask('GET /practice', '/practice')).rounds).toEqual([round]);
  const visit = await ask('POST /practice/visits', '/practice/visits', { learnerId: learner.id, level: 1 });
  const called = `/practice/visits/${visit.id}`;
  const opening = await fetch(`${server.running.address}/practice/api/dockets`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ words: visit.words }),
  });
  const theirs = parse(API['POST /dockets'].answer, await opening.json(), 'docket') as { id: string };
  await ask('POST /practice/visits/:id/docket', `${called}/docket`, { docketId: theirs.id });
  await ask('POST /practice/visits/:id/uncover', `${called}/uncover`, {});
  const asked = await ask('POST /practice/visits/:id/deeds', `${called}/deeds`, {
    after: 0,
    deed: { kind: 'question', about: 'history' },
  });
  expect(asked.helped).toBe(true);
  await ask('GET /practice/visits/:id', called);
  await ask('POST /practice/visits/:id/replay', `${called}/replay`, { keep: 0 });
  const exercise = await ask('POST /practice/exercises', '/practice/exercises', { learnerId: learner.id });
  const { skill, variant, seed } = exercise;
  await ask('POST /practice/answers', '/practice/answers', {
    learnerId: learner.id,
    skill,
    variant,
    seed,
    answer: '',
    ms: 900,
  });
  await ask('GET /practice/learners/:id', `/practice/learners/${learner.id}`);
  await ask('GET /practice/team', '/practice/team');
  expect((await ask('GET /backups', '/backups')).folder).toBeNull();
  // This server makes none: what they answer is in their own test.
  for (const [name, path] of [
    ['POST /backups', '/backups'],
    ['DELETE /backups/:name', '/backups/x'],
  ] as const) {
    expect(
      (await server.api(name.split(' ')[0] ?? '', path, name.startsWith('POST') ? {} : undefined)).status,
    ).toBe(409);
    seen.add(name);
  }
  const { id } = await ask('POST /imports', '/imports', {});
  await ask('GET /imports', '/imports');
  await ask('GET /imports/:id', `/imports/${id}`);
  const sent = await fetch(`${server.running.address}/api/imports/${id}/files/vehicles.csv`, {
    method: 'PUT',
    body: await (await fetch(`${server.running.address}/api/catalogue/vehicles.csv`)).text(),
  });
  expect(sent.status).toBe(204);
  await ask('POST /imports/:id/run', `/imports/${id}/run`, { mode: 'whole' });
  await ask('DELETE /imports/:id', `/imports/${id}`);
  expect([...seen].sort()).toEqual(Object.keys(API).sort());
});

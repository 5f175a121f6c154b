import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Docket } from '@hardy/core';
import type { Answer, DocketView } from '@hardy/core/contract';
import type { PracticeDeed } from '@hardy/core/words';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { commitSnapshots, watchCommits } from './tests/commitSnapshots.ts';
import { openScenario } from './tests/openScenario.ts';
import { standInDevices } from './tests/standInDevices.ts';
import { takenOrder } from './tests/takenOrder.ts';

/*
 * Every act that writes in two places, ended at each of its steps: a server started on what was left has all of it or
 * nothing, and the same request again makes it whole exactly once.
 */
const SUPPLIER = 'makers-parts';
type Server = Awaited<ReturnType<typeof openScenario>>;
let devices: Awaited<ReturnType<typeof standInDevices>>;
let server: Server;
let copies: string;
beforeAll(async () => {
  watchCommits();
  devices = await standInDevices(SUPPLIER);
  server = await openScenario(true, devices.file);
  copies = mkdtempSync(join(tmpdir(), 'hardy-whole-'));
});
afterAll(async () => {
  await server.running.stop();
  devices.stop();
  rmSync(copies, { recursive: true, force: true });
});

const call = async <T>(at: Server, method: string, path: string, body?: unknown): Promise<T> => {
  const response = await fetch(`${at.running.address}${path}`, {
    method,
    ...(body === undefined
      ? {}
      : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
  });
  const answer = (await response.json()) as T;
  if (!response.ok) throw new Error(`${method} ${path}: ${response.status} ${JSON.stringify(answer)}`);
  return answer;
};

/** Runs an act and tries each state it leaves behind: `look` sees what is there, `again` sends the same request. */
const atEachStep = async <T>(
  name: string,
  act: (at: Server) => Promise<unknown>,
  look: (at: Server) => Promise<T>,
  expected: { readonly states: readonly T[]; readonly whole: T; readonly steps: number },
): Promise<void> => {
  const left = await commitSnapshots(dirname(server.database), join(copies, name), () => act(server));
  expect(await look(server)).toEqual(expected.whole);
  expect(left.length - 1).toBe(expected.steps);
  for (const folder of left) {
    const killed = await openScenario(false, devices.file, join(folder, 'test.sqlite'));
    try {
      expect(expected.states).toContainEqual(await look(killed));
      await act(killed);
      expect(await look(killed)).toEqual(expected.whole);
      await act(killed);
      expect(await look(killed)).toEqual(expected.whole);
    } finally {
      await killed.running.stop();
    }
  }
};

const changed = async (view: DocketView, more: Partial<Docket>): Promise<DocketView> =>
  call(server, 'PUT', `/api/dockets/${view.id}`, {
    version: view.version,
    docket: { ...view.docket, ...more },
    label: 'changed',
  });
const opened = (docket: Partial<Docket>): Promise<DocketView> =>
  call(server, 'POST', '/api/dockets', { docket: { format: 'hardy-spoke/docket', version: 1, ...docket } });
const read = (at: Server, id: string): Promise<DocketView> => call(at, 'GET', `/api/dockets/${id}`);

test('a comeback is on both dockets or on none', async () => {
  const vehicle = { plate: 'HB 123' };
  const parts: Array<{ number: string; stock: number }> = await call(
    server,
    'GET',
    '/api/parts?q=sensor&class=sensor',
  );
  const part = parts.find(({ stock }) => stock > 2)?.number ?? '';
  const on = '2026-11-20';
  const first = await opened({ vehicle });
  const taken = await changed(first, { chosen: { ...takenOrder([part, 1]), on } });
  const handed = await changed(taken, { handed: [{ partNumber: part, quantity: 1, on }] });
  await changed(handed, { outcome: { result: 'cured', on } });
  const second = await opened({ vehicle });
  const body = { of: first.number, changeId: randomUUID() };
  await atEachStep(
    'comeback',
    (at) => call(at, 'POST', `/api/dockets/${second.id}/comebacks`, body),
    async (at) => [
      (await read(at, first.id)).docket.outcome?.result,
      (await read(at, second.id)).docket.comebackOf ?? null,
      (await read(at, second.id)).version,
    ],
    {
      states: [
        ['cured', null, 1],
        ['came-back', first.number, 2],
      ],
      whole: ['came-back', first.number, 2],
      steps: 1,
    },
  );
});

test('what is taken is on the docket and put aside on the shelf, or neither', async () => {
  const parts: Array<{ number: string; stock: number }> = await call(
    server,
    'GET',
    '/api/parts?q=ring&class=tone-ring',
  );
  const part = parts.find(({ stock }) => stock > 1)?.number ?? '';
  const view = await opened({});
  const body = {
    version: view.version,
    docket: { ...view.docket, chosen: { ...takenOrder([part, 1]), on: '2026-11-20' } },
    label: 'taken',
    changeId: randomUUID(),
  };
  await atEachStep(
    'taken',
    (at) => call(at, 'PUT', `/api/dockets/${view.id}`, body),
    async (at) => {
      const { docket, order, version } = await read(at, view.id);
      return [docket.chosen != null, order?.lines[0]?.aside ?? 0, version];
    },
    {
      states: [
        [false, 0, 1],
        [true, 1, 2],
      ],
      whole: [true, 1, 2],
      steps: 1,
    },
  );
});

test('an order by wire that the supplier has is known to the shop when it starts again', async () => {
  const number = devices.notOnShelf.shift() ?? '';
  await opened({ chosen: takenOrder([number, 2]) });
  const order: Answer<'POST /orders'> = await call(server, 'POST', '/api/orders', { supplier: SUPPLIER });
  const stateOf = async (at: Server) => {
    const { orders }: Answer<'GET /orders'> = await call(at, 'GET', '/api/orders');
    const mine = orders.find(({ id }) => id === order.id);
    return [mine?.state, mine?.unanswered ?? null];
  };
  /** The state once the server has gone on with what was left undone. */
  const settled = async (at: Server) => {
    for (;;) {
      const state = await stateOf(at);
      if (state[1] === null) return state;
      await new Promise((go) => setTimeout(go, 20));
    }
  };
  await atEachStep(
    'wire',
    (at) => call(at, 'POST', `/api/orders/${order.id}/wire`, { atTodaysPrices: false }),
    settled,
    {
      states: [
        ['sent', null],
        ['confirmed', null],
      ],
      whole: ['confirmed', null],
      steps: 2,
    },
  );
});

test('a training action is done to the customer and on the docket, or neither', async () => {
  const { id: learnerId } = await call<{ id: string }>(server, 'POST', '/api/practice/learners', {
    name: 'Ada',
  });
  const visit = await call<{ id: string; words: string; wheels: Array<{ wheelEnd: string }> }>(
    server,
    'POST',
    '/api/practice/visits',
    { learnerId, level: 2 },
  );
  const { id: docketId } = await call<{ id: string }>(server, 'POST', '/practice/api/dockets', {
    words: visit.words,
  });
  await call(server, 'POST', `/api/practice/visits/${visit.id}/docket`, { docketId });
  const deed = { kind: 'check', check: 'visual.connector', at: visit.wheels[0]?.wheelEnd } as PracticeDeed;
  await atEachStep(
    'training',
    (at) => call(at, 'POST', `/api/practice/visits/${visit.id}/deeds`, { after: 0, deed }),
    async (at) => {
      const { steps } = await call<{ steps: unknown[] }>(at, 'GET', `/api/practice/visits/${visit.id}`);
      const { docket, version } = await call<DocketView>(at, 'GET', `/practice/api/dockets/${docketId}`);
      return [steps.length, JSON.stringify(docket).includes('visual.connector'), version];
    },
    {
      states: [
        [0, false, 1],
        [1, true, 2],
      ],
      whole: [1, true, 2],
      steps: 1,
    },
  );
});

test('lists follow a change of the settings also where the server ended before they did', async () => {
  await opened({ codes: [{ code: 'C0031-13' }] });
  const shop: { version: number } = await call(server, 'GET', '/api/shop');
  const body = { version: shop.version, change: { overrides: { 'labour.rate': 140 } } };
  /** Once the lists have followed. */
  const followed = async (at: Server) => {
    for (;;) {
      const { version }: { version: number } = await call(at, 'GET', '/api/shop');
      const turned: { version: number; done: boolean } = await call(at, 'GET', '/api/shop/turned');
      // A server that found its lists up to date has nothing to do.
      const [row] = await at.running.orm.em
        .getConnection()
        .execute<Array<{ value: string }>>(`select value from setting where key = 'lines-of-shop'`);
      if (Number(row?.value ?? 0) === version && turned.done) return version - shop.version;
      if (version === shop.version) return 0;
      await new Promise((go) => setTimeout(go, 20));
    }
  };
  const left = await commitSnapshots(dirname(server.database), join(copies, 'settings'), async () => {
    await call(server, 'PATCH', '/api/shop', body);
    await followed(server);
  });
  expect(left.length).toBeGreaterThan(2);
  for (const folder of [left[0], left[1], left[Math.floor(left.length / 2)], left.at(-1)]) {
    const killed = await openScenario(false, devices.file, join(folder ?? '', 'test.sqlite'));
    expect([0, 1]).toContain(await followed(killed));
    await killed.running.stop();
  }
});

import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { localDay, type Docket, type SupplierOrder, type ToOrder } from '@hardy/core';
import type { DocketView } from '@hardy/core/contract';
import { rawRows } from './store/catalogueRows.ts';
import { docketDesk } from './tests/docketDesk.ts';
import { takenOrder } from './tests/takenOrder.ts';
import { openScenario } from './tests/openScenario.ts';

let server: Awaited<ReturnType<typeof openScenario>>;
beforeAll(async () => {
  server = await openScenario();
});
afterAll(() => server.running.stop());
const { opened, put } = docketDesk(() => server.api);
const sql = (text: string, params: unknown[] = []) => rawRows(server.running.orm.em.fork(), text, params);
const onHand = async (part: string): Promise<number> =>
  Number((await sql('select on_hand from shelf_level where part_number = ?', [part]))[0]?.on_hand);

/** Today, as the server sees it. */
const TODAY = localDay(new Date());
const order = (...parts: Array<[string, number]>) => ({ ...takenOrder(...parts), on: TODAY });
const taken = async (view: DocketView, more: Partial<Docket>): Promise<DocketView> => {
  const answer = await put(view, { ...view.docket, ...more });
  if (answer.status !== 200) throw new Error(JSON.stringify(answer.body));
  return answer.body;
};
const take = async (...parts: Array<[string, number]>) => taken(await opened(), { chosen: order(...parts) });

/** A part of the demo with so many pieces, that no other test has touched. */
const used = new Set<string>();
const partWith = async (stock: number): Promise<string> => {
  const rows = await sql(
    `select number from part where stock = ? and supplier is not null and part_class = 'sensor' order by number`,
    [stock],
  );
  const found = rows.map((row) => String(row.number)).find((number) => !used.has(number));
  if (!found) throw new Error(`no part with ${stock}`);
  used.add(found);
  return found;
};

describe('the shelf', () => {
  test('two desks cannot sell the last one: the second waits, and is told', async () => {
    const part = await partWith(1);
    const [a, b] = [await take([part, 1]), await take([part, 1])];
    expect(a.order).toMatchObject({ next: 'hand-over', lines: [{ state: 'ready', aside: 1 }] });
    expect(b.order).toMatchObject({ next: 'order', lines: [{ state: 'to-order', aside: 0 }] });
    const refused = await put(b, { ...b.docket, handed: [{ partNumber: part, quantity: 1, on: TODAY }] });
    expect(refused.status).toBe(409);
    expect(refused.body).toMatchObject({ title: 'Not on the shelf' });
    expect(((await server.api('GET', `/dockets/${b.id}`)).body as DocketView).version).toBe(b.version);
  });

  test('put back by one, it is the other’s; handed over it is gone; undone it is back; brought back it is there', async () => {
    const part = await partWith(1);
    const a = await take([part, 1]);
    let b = await take([part, 1]);
    await taken(a, { chosen: null });
    b = (await server.api('GET', `/dockets/${b.id}`)).body;
    expect(b.order?.lines[0]).toMatchObject({ state: 'ready', aside: 1 });
    b = await taken(b, { handed: [{ partNumber: part, quantity: 1, on: TODAY }] });
    expect(b.order).toMatchObject({ next: 'prove', lines: [{ state: 'handed', handed: 1 }] });
    expect(await onHand(part)).toBe(0);
    b = (await server.api('POST', `/dockets/${b.id}/undo`, { version: b.version })).body;
    expect(await onHand(part)).toBe(1);
    b = (await server.api('POST', `/dockets/${b.id}/redo`, { version: b.version })).body;
    expect(await onHand(part)).toBe(0);
    await taken(b, { returned: [{ partNumber: part, quantity: 1, opened: false, on: TODAY }] });
    expect(await onHand(part)).toBe(1);
    expect(
      (await sql('select kind from shelf_move where part_number = ? order by id', [part])).map(
        (row) => row.kind,
      ),
    ).toEqual(['sold', 'sale-undone', 'sold', 'returned']);
  });

  test('what is put aside is not on the shelf for others: their advice says so', async () => {
    const part = await partWith(2);
    await take([part, 2]);
    expect(((await server.api('GET', `/parts/${part}`)).body as { part: { stock: number } }).part.stock).toBe(
      0,
    );
  });

  test('another count of the catalogue begins anew', async () => {
    const part = await partWith(2);
    await taken(await take([part, 1]), { handed: [{ partNumber: part, quantity: 1, on: TODAY }] });
    const stock = async () =>
      ((await server.api('GET', `/parts/${part}`)).body as { part: { stock: number } }).part.stock;
    expect(await stock()).toBe(1);
    // As it stands after an import whose file counted five before.
    await sql('update shelf_level set counted = 5 where part_number = ?', [part]);
    expect(await stock()).toBe(2);
  });

  test('movements are kept for good', async () => {
    await expect(sql('delete from shelf_move')).rejects.toMatchObject({
      message: expect.stringMatching(/append-only/),
    });
  });

  test('what was taken is kept with the advice and the numbers it was given under', async () => {
    const part = await partWith(3);
    const view = await take([part, 1]);
    const rows = await sql('select advice, settings from given_advice where docket_id = ?', [view.id]);
    expect(rows).toHaveLength(1);
    expect(JSON.parse(String(rows[0]?.advice))).toMatchObject({ format: 'hardy-spoke/advice' });
    await expect(sql('update given_advice set version = 9')).rejects.toMatchObject({
      message: expect.stringMatching(/append-only/),
    });
    await taken(view, { wants: ['today'] });
    expect(await sql('select 1 from given_advice where docket_id = ?', [view.id])).toHaveLength(1);
  });
});

describe('what is put aside is let go', () => {
  const longAgo = '2020-01-01';
  const aged = async (part: string, quantity: number) =>
    taken(await opened(), { chosen: { ...order([part, quantity]), on: longAgo } });

  test('after its days, and the docket says so; taken anew it is put aside again', async () => {
    const part = await partWith(1);
    const old = await aged(part, 1);
    expect(old.order).toMatchObject({ next: 'renew', lines: [{ state: 'let-go', aside: 0 }] });
    const other = await take([part, 1]);
    expect(other.order?.next).toBe('hand-over');
    await taken(other, { chosen: null });
    const renewed = await taken(old, { chosen: { ...old.docket.chosen!, on: TODAY } });
    expect(renewed.order).toMatchObject({ next: 'hand-over', lines: [{ state: 'ready', aside: 1 }] });
  });

  test('what was let go is the next one’s before anything is ordered for them', async () => {
    const part = await partWith(1);
    const first = await take([part, 1]);
    const waiting = await take([part, 1]);
    expect(waiting.order?.next).toBe('order');
    // Days pass.
    await sql(`update shelf_claim set until = '2020-01-01' where docket_id = ?`, [first.id]);
    const { toOrder } = (await server.api('GET', '/orders')).body as { toOrder: ToOrder[] };
    expect(toOrder.flatMap(({ lines }) => lines).filter((line) => line.partNumber === part)).toEqual([]);
    expect(((await server.api('GET', `/dockets/${waiting.id}`)).body as DocketView).order?.next).toBe(
      'hand-over',
    );
  });

  test('but never what a supplier was asked for', async () => {
    const part = await partWith(0);
    const view = await take([part, 1]);
    const supplier = String((await sql('select supplier from part where number = ?', [part]))[0]?.supplier);
    expect((await server.api('POST', '/orders', { supplier })).status).toBe(201);
    const later = await taken(view, { chosen: { ...view.docket.chosen!, on: longAgo } });
    expect(later.order).toMatchObject({ next: 'wait', lines: [{ state: 'waiting', coming: 1 }] });
  });
});

test('more cannot come back than left', async () => {
  const part = await partWith(2);
  const view = await take([part, 1]);
  const back = [{ partNumber: part, quantity: 2, opened: false, on: TODAY }];
  const refused = await put(view, { ...view.docket, returned: back });
  expect(refused).toMatchObject({ status: 409, body: { title: 'More than left' } });
  expect(await sql('select 1 from shelf_move where part_number = ?', [part])).toEqual([]);
});

describe('suppliers', () => {
  const orders = async () =>
    (await server.api('GET', '/orders')).body as { toOrder: ToOrder[]; orders: SupplierOrder[] };
  const supplierOf = async (part: string) =>
    String((await sql('select supplier from part where number = ?', [part]))[0]?.supplier);

  test('collected over dockets, sent once, confirmed short, received, the rest ordered again', async () => {
    const part = await partWith(0);
    const supplier = await supplierOf(part);
    let [a, b] = [await take([part, 1]), await take([part, 2])];
    const mine = (lists: { toOrder: ToOrder[] }) =>
      lists.toOrder
        .find((each) => each.supplier === supplier)
        ?.lines.filter((line) => line.partNumber === part)
        .map((line) => [line.docketNumber, line.quantity]);
    expect(mine(await orders())).toEqual([
      [a.number, 1],
      [b.number, 2],
    ]);
    const id = randomUUID();
    const sent = (await server.api('POST', '/orders', { id, supplier })).body as SupplierOrder;
    expect((await server.api('POST', '/orders', { id, supplier })).body).toEqual(sent);
    expect(mine(await orders())).toBeUndefined();
    const file = (await server.api('GET', `/orders/${id}/file`)).body as {
      lines: Array<{ partNumber: string; quantity: number }>;
    };
    expect(file.lines.find((line) => line.partNumber === part)?.quantity).toBe(3);

    const said = {
      by: 'Marit at the depot',
      lines: [{ partNumber: part, quantity: 2, promised: '2026-12-01' }],
    };
    expect((await server.api('POST', `/orders/${id}/confirm`, said)).status).toBe(200);
    const look = async (view: DocketView) =>
      (await server.api('GET', `/dockets/${view.id}`)).body as DocketView;
    a = await look(a);
    expect(a.order).toMatchObject({
      next: 'wait',
      lines: [{ state: 'waiting', coming: 1, promised: '2026-12-01', promisedBy: 'Marit at the depot' }],
    });
    b = await look(b);
    expect(b.order).toMatchObject({ next: 'order', lines: [{ coming: 1 }] });

    const most = { id: randomUUID(), lines: [{ partNumber: part, quantity: 9 }], close: false };
    expect((await server.api('POST', `/orders/${id}/receive`, most)).status).toBe(409);
    // Sent twice it is booked once.
    const some = { id: randomUUID(), lines: [{ partNumber: part, quantity: 1 }], close: false };
    for (let i = 0; i < 2; i++)
      expect((await server.api('POST', `/orders/${id}/receive`, some)).body).toMatchObject({
        state: 'part-received',
      });
    expect(await onHand(part)).toBe(1);
    const came = { id: randomUUID(), lines: [{ partNumber: part, quantity: 1 }], close: true };
    expect(((await server.api('POST', `/orders/${id}/receive`, came)).body as SupplierOrder).state).toBe(
      'closed',
    );
    a = await taken(await look(a), { customer: { name: 'A. Skerry', phone: '555 0199' } });
    expect(a.order).toMatchObject({ next: 'call', lines: [{ state: 'ready', came: true }] });
    b = await look(b);
    expect(b.order?.lines[0]).toMatchObject({ aside: 1, coming: 0, state: 'to-order' });
    expect(mine(await orders())).toEqual([[b.number, 1]]);
    const more = { ...came, id: randomUUID() };
    expect((await server.api('POST', `/orders/${id}/receive`, more)).status).toBe(409);
  });

  test('an order of nothing is refused, one of nowhere not found', async () => {
    expect((await server.api('POST', '/orders', { supplier: 'nobody' })).status).toBe(409);
    expect((await server.api('GET', '/orders/none/file')).status).toBe(404);
  });
});

test('two desks at it in any order: counts stay right, and what was refused changed nothing', async () => {
  const part = await partWith(4);
  const begin = 4;
  let seed = 20261126;
  const chance = (n: number) => {
    seed = (seed * 1103515245 + 12345) % 2147483648;
    return Math.floor((seed / 2147483648) * n);
  };
  const views = [await opened(), await opened(), await opened()];
  for (let step = 0; step < 60; step++) {
    const i = chance(views.length);
    const view = views[i] as DocketView;
    const wanted = chance(4);
    const handed = chance(3);
    const back = handed > 0 ? chance(handed + 1) : 0;
    const docket: Docket = {
      ...view.docket,
      chosen: wanted > 0 ? order([part, wanted]) : null,
      handed: handed > 0 ? [{ partNumber: part, quantity: handed, on: TODAY }] : [],
      returned: back > 0 ? [{ partNumber: part, quantity: back, opened: chance(2) === 0, on: TODAY }] : [],
    };
    const answer = await put(view, docket);
    expect([200, 409]).toContain(answer.status);
    if (answer.status === 200) views[i] = answer.body;
    const claims = await sql('select * from shelf_claim where part_number = ?', [part]);
    const moves = await sql('select change from shelf_move where part_number = ?', [part]);
    const there = await onHand(part).then((n) => (Number.isNaN(n) ? begin : n));
    expect(there).toBe(begin + moves.reduce((sum, row) => sum + Number(row.change), 0));
    expect(there).toBeGreaterThanOrEqual(0);
    expect(claims.reduce((sum, row) => sum + Number(row.reserved), 0)).toBeLessThanOrEqual(there);
    for (const row of claims)
      expect(Number(row.reserved)).toBeLessThanOrEqual(Math.max(0, Number(row.wanted) - Number(row.handed)));
  }
});

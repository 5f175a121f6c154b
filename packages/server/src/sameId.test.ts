import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { DocketView } from '@hardy/core/contract';
import { randomUUID } from 'node:crypto';
import { openScenario } from './tests/openScenario.ts';
import { takenOrder } from './tests/takenOrder.ts';

let server: Awaited<ReturnType<typeof openScenario>>;
beforeAll(async () => {
  server = await openScenario();
});
afterAll(() => server.running.stop());

const opened = async (words = 'merrowby 2018 minibus, abs light front left'): Promise<DocketView> =>
  (await server.api('POST', '/dockets', { words })).body;
const read = async (id: string): Promise<DocketView> => (await server.api('GET', `/dockets/${id}`)).body;
const named = (view: DocketView, name: string, changeId: string, version = view.version) =>
  server.api('PUT', `/dockets/${view.id}`, {
    version,
    docket: { ...view.docket, customer: { name } },
    label: 'customer',
    changeId,
  });

describe('an id belongs to its target and its content', () => {
  test('a change id known from another docket is another change: it is written, also four at once', async () => {
    const changeId = randomUUID();
    const views = [await opened(), await opened(), await opened(), await opened()];
    const answers = await Promise.all(views.map((view, i) => named(view, `Customer ${i}`, changeId)));
    expect(answers.map(({ status }) => status)).toEqual([200, 200, 200, 200]);
    for (const [i, view] of views.entries())
      expect((await read(view.id)).docket.customer?.name).toBe(`Customer ${i}`);
    expect((await named(views[0]!, 'Customer 0', changeId)).status).toBe(200);
    expect((await read(views[0]!.id)).version).toBe(2);
  });

  test('the same id with other content is refused, and nothing is written', async () => {
    const view = await opened();
    const changeId = randomUUID();
    expect((await named(view, 'Ina', changeId)).status).toBe(200);
    const other = await named(view, 'Bo', changeId);
    expect([other.status, (other.body as { title: string }).title]).toEqual([409, 'Id used already']);
    const heard = (words: string, id: string) =>
      server.api('POST', `/dockets/${view.id}/words`, { version: 2, words, changeId: id });
    const words = randomUUID();
    expect((await heard('no play front left', words)).status).toBe(200);
    expect((await heard('no play front left', words)).status).toBe(200);
    expect((await heard('no play rear left', words)).status).toBe(409);
    expect((await heard('no play front left', changeId)).status).toBe(409);
    const now = await read(view.id);
    expect([now.version, now.docket.customer?.name]).toEqual([3, 'Ina']);
  });

  test('the same change laid on a newer version is known', async () => {
    const view = await opened();
    const changeId = randomUUID();
    await named(view, 'Ina', changeId);
    const other = await server.api('PUT', `/dockets/${view.id}`, {
      version: 1,
      docket: { ...view.docket, wants: ['mirror'] },
      label: 'wish',
    });
    expect(other.status).toBe(200);
    const now = await read(view.id);
    // As a page that never heard of its own change sends it again: without it, on what it knows.
    const again = { ...now, docket: { ...now.docket, customer: null }, version: 1 } as unknown as DocketView;
    expect((await named({ ...again, docket: view.docket }, 'Ina', changeId, 1)).status).toBe(200);
    expect((await read(view.id)).version).toBe(3);
  });

  test('a docket opened twice from the same is one; from something else it is refused', async () => {
    const id = randomUUID();
    const open = (words: string) => server.api('POST', '/dockets', { id, words });
    const all = await Promise.all([open('abs light front left'), open('abs light front left')]);
    expect(all.map(({ status }) => status)).toEqual([201, 201]);
    expect((all[0]?.body as unknown as DocketView).number).toBe(
      (all[1]?.body as unknown as DocketView).number,
    );
    expect((await open('abs light rear right')).status).toBe(409);
  });

  test('ten equal names at once are one learner', async () => {
    const answers = await Promise.all(
      Array.from({ length: 10 }, () => server.api('POST', '/practice/learners', { name: 'Ada' })),
    );
    expect(new Set(answers.map(({ status, body }) => `${status} ${(body as { id: string }).id}`)).size).toBe(
      1,
    );
  });

  test('an order and a delivery sent twice are one; under the same id something else is refused', async () => {
    const [row] = await server.running.orm.em
      .getConnection()
      .execute<Array<{ number: string; supplier: string }>>(
        `select number, supplier from part where stock = 0 and supplier is not null limit 1`,
      );
    const { number = '', supplier = '' } = row ?? {};
    await server.api('POST', '/dockets', {
      docket: { format: 'hardy-spoke/docket', version: 1, chosen: takenOrder([number, 3]) },
    });
    const id = randomUUID();
    const order = (from: string) => server.api('POST', '/orders', { id, supplier: from });
    expect((await Promise.all([order(supplier), order(supplier)])).map(({ status }) => status)).toEqual([
      201, 201,
    ]);
    expect((await order('somebody else')).status).toBe(409);
    const receipt = randomUUID();
    const receive = (quantity: number) =>
      server.api('POST', `/orders/${id}/receive`, {
        id: receipt,
        lines: [{ partNumber: number, quantity }],
        close: false,
      });
    const twice = await Promise.all([receive(1), receive(1)]);
    expect(twice.map(({ status }) => status)).toEqual([200, 200]);
    expect((await receive(2)).status).toBe(409);
    const lines = (twice[1]?.body as unknown as { lines: Array<{ received: number }> }).lines;
    expect(lines.map(({ received }) => received)).toEqual([1]);
  });

  test('twenty desks on one docket: every change is there and nobody is turned away', async () => {
    const view = await opened();
    const fields = ['wants', 'notes'] as const;
    const answers = await Promise.all(
      Array.from({ length: 20 }, (_, i) =>
        server.api('POST', `/dockets/${view.id}/words`, {
          version: 1,
          words: `no play ${i % 2 ? 'front' : 'rear'} ${i % 3 ? 'left' : 'right'} ${fields[i % 2]} ${i}`,
          changeId: randomUUID(),
        }),
      ),
    );
    expect(answers.map(({ status }) => status)).toEqual(Array.from({ length: 20 }, () => 200));
    expect((await read(view.id)).version).toBe(21);
  });
});

import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { localDay, type Docket, type LearnedCounts } from '@hardy/core';
import type { Answer, Comeback, DocketView, LearnedLine } from '@hardy/core/contract';
import { rawRows } from './store/catalogueRows.ts';
import { docketDesk } from './tests/docketDesk.ts';
import { openScenario } from './tests/openScenario.ts';
import { takenOrder } from './tests/takenOrder.ts';

let server: Awaited<ReturnType<typeof openScenario>>;
beforeAll(async () => {
  server = await openScenario();
});
afterAll(() => server.running.stop());
const { opened, put } = docketDesk(() => server.api);
const sql = (text: string, params: unknown[] = []) => rawRows(server.running.orm.em.fork(), text, params);
const TODAY = localDay(new Date());

const changed = async (view: DocketView, more: Partial<Docket>): Promise<DocketView> => {
  const answer = await put(view, { ...view.docket, ...more });
  if (answer.status !== 200) throw new Error(JSON.stringify(answer.body));
  return answer.body;
};
/** A part that no test has touched yet, with a few pieces. */
const used = new Set<string>();
const stocked = async (): Promise<string> => {
  const rows = await sql(`select number from part where stock > 3 and part_class = 'sensor' order by number`);
  const found = rows.map(({ number }) => String(number)).find((number) => !used.has(number)) ?? '';
  used.add(found);
  return found;
};
const sold = async (vehicle: Docket['vehicle'] = {}, number?: string): Promise<DocketView> => {
  const part = number ?? (await stocked());
  const view = await changed(await opened(), { vehicle });
  const taken = await changed(view, { chosen: { ...takenOrder([part, 1]), on: TODAY } });
  return changed(taken, { handed: [{ partNumber: part, quantity: 1, on: TODAY }] });
};
const countsNow = async () =>
  JSON.stringify(
    await sql(
      'select * from learned_count where n <> 0 or e <> 0 or x <> 0 or jobs <> 0 order by key, month',
    ),
  );
const ledger = async (query = ''): Promise<Answer<'GET /ledger'>> =>
  (await server.api('GET', `/ledger${query}`)).body;

describe('the ledger', () => {
  test('a docket closed is counted; opened again it leaves no trace, to the last bit', async () => {
    const view = await sold();
    const before = [await countsNow(), (await ledger()).figures.jobs];
    const closed = await changed(view, {
      outcome: { result: 'cured', trueCause: 'ring', knownBy: 'seen', hours: 2, snapped: false },
    });
    expect((await ledger()).figures.jobs).toBe((before[1] as number) + 1);
    const corrected = await changed(closed, { outcome: { result: 'not-cured' } });
    expect((await ledger()).figures.jobs).toBe((before[1] as number) + 1);
    expect(await countsNow()).not.toBe(before[0]);
    await changed(corrected, { outcome: null });
    expect([await countsNow(), (await ledger()).figures.jobs]).toEqual(before);
  });

  test('an order that went out is asked for until it is heard of', async () => {
    const view = await sold();
    const asked = async () =>
      (await server.api('GET', '/ledger/unheard?limit=200')).body as Answer<'GET /ledger/unheard'>;
    expect((await asked()).unheard.map(({ number }) => number)).toContain(view.number);
    await changed(view, { outcome: { result: 'never-heard' } });
    expect((await asked()).unheard.map(({ number }) => number)).not.toContain(view.number);
  });

  test('filters count what they name, and a filter that is none is refused', async () => {
    await changed(await sold(), { outcome: { result: 'cured', trueCause: 'encoder' } });
    expect((await ledger('?cause=encoder')).figures.jobs).toBe(1);
    expect((await ledger('?from=2999-01-01')).figures.jobs).toBe(0);
    expect((await server.api('GET', '/ledger?colour=red')).status).toBe(400);
    expect((await server.api('GET', '/ledger?from=soon')).status).toBe(400);
  });
});

describe('a comeback', () => {
  test('is recognised by the plate, becomes history, and corrects what was counted as cured', async () => {
    const vehicle = { plate: 'HRB 909', name: 'Tolvane Drift' };
    const first = await changed(await sold(vehicle), { outcome: { result: 'cured', trueCause: 'sensor' } });
    const again = await changed(await opened(), { vehicle });
    const [found] = (await server.api('GET', `/dockets/${again.id}/comebacks`)).body as Comeback[];
    expect(found).toMatchObject({ number: first.number, sameVehicle: true, daysAgo: 0, linked: false });
    expect(found?.warrantyUntil === null || found?.underWarranty).toBe(true);
    const linked = (await server.api('POST', `/dockets/${again.id}/comebacks`, { of: first.number }))
      .body as DocketView;
    expect(linked.docket).toMatchObject({
      comebackOf: first.number,
      history: [{ event: 'sensor-replaced', wheelEnd: 'A1L', daysAgo: 0, cured: 'no' }],
    });
    const earlier = (await server.api('GET', `/dockets/${first.id}`)).body as DocketView;
    expect(earlier.docket.outcome).toMatchObject({
      result: 'came-back',
      backOn: again.number,
      trueCause: 'sensor',
    });
    expect((await ledger('?cause=sensor')).figures.comeback.n).toBeGreaterThan(0);
    const refused = await server.api('POST', `/dockets/${again.id}/comebacks`, { of: 999_999 });
    expect([refused.status, (refused.body as { title: string }).title]).toEqual([404, 'Not an earlier sale']);
  });
});

describe('what is learned', () => {
  const learned = async () => (await server.api('GET', '/ledger/learned')).body as LearnedLine[];
  const ring = async () => (await learned()).find(({ key, line }) => key === 'prior.ring' && line === null);

  test('moves with what was told, is frozen and set back, and counts no more when it is turned off', async () => {
    const start = (await ring())?.learned ?? 0;
    expect(await ring()).toMatchObject({ held: 'too-few', inForce: (await ring())?.prior });
    const { version } = (await server.api('GET', '/shop')).body as { version: number };
    await server.api('PATCH', '/shop', { version, change: { overrides: { 'learning.least-jobs': 1 } } });
    for (let i = 0; i < 6; i++)
      await changed(await sold(), { outcome: { result: 'cured', trueCause: 'ring', knownBy: 'seen' } });
    const moved = await ring();
    expect(moved?.learned).toBeGreaterThan(start);
    expect(moved?.inForce).toBe(moved?.learned);
    const shop = (await server.api('GET', '/shop')).body as { version: number };
    const frozen = await server.api('PATCH', '/shop', {
      version: shop.version,
      change: { frozen: { 'prior.ring': moved?.prior } },
    });
    expect(frozen.status).toBe(200);
    expect(await ring()).toMatchObject({ held: 'frozen', inForce: moved?.prior });
    const off = await server.api('PATCH', '/shop', {
      version: shop.version + 1,
      change: { frozen: { 'prior.ring': null }, learning: false },
    });
    expect(off.status).toBe(200);
    expect((await ring())?.inForce).toBe(moved?.prior);
    await server.api('PATCH', '/shop', { version: shop.version + 2, change: { learning: true } });
  });

  test('leaves the shop as counts without a customer, none of a few jobs, and enters another', async () => {
    const file = (await server.api('GET', '/ledger/counts')).body as LearnedCounts;
    expect(file.counts.length).toBeGreaterThan(0);
    expect(Math.min(...file.counts.map(({ jobs }) => jobs))).toBeGreaterThanOrEqual(3);
    const before = (await ring())?.learned ?? 0;
    const poured = { ...file, shop: 'the mainland' };
    expect((await server.api('POST', '/ledger/counts', poured)).status).toBe(200);
    const after = (await ring())?.learned ?? 0;
    expect(after).not.toBe(before);
    // Poured in twice it counts once.
    await server.api('POST', '/ledger/counts', poured);
    expect((await ring())?.learned).toBe(after);
    const bad = await server.api('POST', '/ledger/counts', { ...poured, counts: [{ key: 'x' }] });
    expect(bad.status).toBe(400);
    const [count] = poured.counts;
    for (const counts of [[count, count], [{ ...count, n: -5 }], [{ ...count, e: 1e300 }]])
      expect((await server.api('POST', '/ledger/counts', { ...poured, counts })).status).toBe(400);
    expect((await server.api('POST', '/ledger/counts', file)).status).toBe(400);
    await server.api('POST', '/ledger/counts', { ...poured, counts: [] });
    expect((await ring())?.learned).toBeCloseTo(before, 9);
  });

  test('learned anew it counts the same jobs', async () => {
    const jobs = (await ledger()).figures.jobs;
    const answer = await server.api('POST', '/ledger/relearn', {});
    expect(answer.body).toEqual({ jobs });
    expect((await ledger()).figures.jobs).toBe(jobs);
  });

  test('while outcomes come in, and several at once, learning again twice gives the same counts', async () => {
    const parts = [await stocked(), await stocked()];
    const views = [];
    for (let i = 0; i < 6; i++) views.push(await sold({}, parts[i % 2]));
    const counts = () =>
      server.running.orm.em
        .getConnection()
        .execute(
          'select shop, key, month, n, e, x, jobs from learned_count where n <> 0 or jobs <> 0 order by 1, 2, 3',
        );
    const entries = () =>
      server.running.orm.em
        .getConnection()
        .execute('select entry, counts from ledger_entry order by docket_id');
    const relearn = () => server.api('POST', '/ledger/relearn', {});
    await Promise.all([
      relearn(),
      ...views.flatMap((view, i) => [
        changed(view, { outcome: { result: i % 2 ? 'cured' : 'not-cured' } }),
        ...(i % 3 === 0 ? [relearn()] : []),
      ]),
    ]);
    await relearn();
    const [once, onceCounts] = [await entries(), await counts()];
    await relearn();
    expect(await entries()).toEqual(once);
    expect(await counts()).toEqual(onceCounts);
  });
});

test('a part that was bad from the box three times is told when the next is on offer', async () => {
  const part = await stocked();
  for (let i = 0; i < 3; i++) {
    const view = await sold({}, part);
    await changed(view, {
      returned: [{ partNumber: part, quantity: 1, opened: true, bad: true, on: TODAY }],
      outcome: { result: 'cured' },
    });
  }
  const bad = (await ledger()).bad.find(({ partNumber }) => partNumber === part);
  expect(bad?.bad).toBe(3);
  expect(bad?.interval.low).toBeGreaterThan(0.01);
});

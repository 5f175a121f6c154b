import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Docket } from '@hardy/core';
import type { CustomerLine, DocketLines, DocketView } from '@hardy/core/contract';
import { rawRows } from './store/catalogueRows.ts';
import { takenOrder } from './tests/takenOrder.ts';
import { openScenario } from './tests/openScenario.ts';

let server: Awaited<ReturnType<typeof openScenario>>;
beforeAll(async () => {
  server = await openScenario();
});
afterAll(() => server.running.stop());
const sql = (text: string) => rawRows(server.running.orm.em.fork(), text);
const open = async (docket: Partial<Docket>): Promise<DocketView> =>
  (await server.api('POST', '/dockets', { docket: { format: 'hardy-spoke/docket', version: 1, ...docket } }))
    .body;
const put = async (view: DocketView, more: Partial<Docket>, label = 'edited'): Promise<DocketView> =>
  (
    await server.api('PUT', `/dockets/${view.id}`, {
      version: view.version,
      docket: { ...view.docket, ...more },
      label,
    })
  ).body;
const look = async (id: string) => (await server.api('GET', `/dockets/${id}`)).body as DocketView;
const find = async (q: string) =>
  (await server.api('GET', `/customers?q=${encodeURIComponent(q)}`)).body as CustomerLine[];
const search = async (q: string) =>
  (
    (await server.api('GET', `/dockets?state=all&q=${encodeURIComponent(q)}`)).body as DocketLines
  ).dockets.map(({ number }) => number);

describe('who a customer is', () => {
  test('stands in a table of its own: documents and history hold a number', async () => {
    const view = await open({ customer: { name: 'Orla Brackwater', phone: '0555 20-31', kind: 'self' } });
    expect((await look(view.id)).docket.customer).toEqual({
      name: 'Orla Brackwater',
      phone: '0555 20-31',
      kind: 'self',
    });
    for (const table of ['docket', 'docket_change'])
      expect(
        await sql(`select 1 from ${table} where document like '%Brackwater%' or document like '%20-31%'`),
      ).toEqual([]);
  });

  test('a name mended and undone is as it was', async () => {
    const view = await open({ customer: { name: 'Orla Brackwate' } });
    const mended = await put(view, { customer: { name: 'Orla Brackwater the second' } });
    const undone = await server.api('POST', `/dockets/${view.id}/undo`, { version: mended.version });
    expect((undone.body as DocketView).docket.customer?.name).toBe('Orla Brackwate');
  });

  test('is found by a piece of the name, by the phone however it is written, by plate, firm and part number', async () => {
    const view = await open({
      customer: { name: 'Peder Holmvik', phone: '0555 (77) 41 23', firm: 'Holmvik Nets' },
      vehicle: { plate: 'QX 9921' },
      chosen: takenOrder(['WS-4007', 1]),
    });
    for (const words of ['olmvi', '0555774123', '77) 41', 'qx9921', 'QX 99', 'Nets', 'WS4007', 'ws-4007'])
      expect([words, (await search(words)).includes(view.number)]).toEqual([words, true]);
    expect((await find('holm')).map(({ name, firm }) => [name, firm])).toEqual([
      ['Peder Holmvik', 'Holmvik Nets'],
    ]);
    expect((await find('774123'))[0]?.phone).toBe('0555 (77) 41 23');
    expect(await find('%')).toEqual([]);
  });

  test('earlier dockets of the customer and of the vehicle stand beside', async () => {
    const first = await open({
      customer: { name: 'Ebba Tarn', phone: '0555 1' },
      vehicle: { plate: 'TT 1' },
    });
    const other = await open({
      customer: { name: 'Nils Tarn', phone: '0555 2' },
      vehicle: { plate: 'TT 1' },
    });
    const again = await open({ customer: { name: 'ebba tarn' }, vehicle: { plate: 'TT 2' } });
    const earlier = async (id: string) => {
      const { customer, vehicle } = (await server.api('GET', `/dockets/${id}/earlier`)).body as {
        customer: Array<{ number: number }>;
        vehicle: Array<{ number: number }>;
      };
      return [customer.map(({ number }) => number), vehicle.map(({ number }) => number)];
    };
    expect(await earlier(again.id)).toEqual([[first.number], []]);
    expect(await earlier(first.id)).toEqual([[again.number], [other.number]]);
    expect((await server.api('GET', '/dockets/none/earlier')).status).toBe(404);
  });
});

describe('erased on request', () => {
  test('words, history, labels and search forget who; the job stays, and others are not touched', async () => {
    const words = 'Ragna Fjordholt rang, 0555 88 12 34, abs light front left, old one rusted in';
    let view = await open({
      words,
      customer: { name: 'Ragna Fjordholt', phone: '0555 88 12 34', kind: 'self' },
      vehicle: { name: 'pickup', plate: 'RF 77', vin: 'RFVIN0000000001', saltExposure: 'high' },
      symptoms: ['lamp.abs'],
      wheelEnd: 'A1L',
    });
    view = await put(view, { wants: ['call Ragna on 0555-881234'] }, 'heard: Ragna says today');
    view = await put(view, { outcome: { result: 'cured', note: 'Fjordholt is glad' } });
    const fleet = await open({
      customer: { name: 'Ragna Fjordholt', phone: '0555 881234' },
      vehicle: { fleetNumber: 'G-01', plate: 'HB 4410' },
    });
    const bystander = await open({ customer: { name: 'Ragna Other', phone: '0555 99' } });
    const [customer] = await find('fjordholt');
    const answer = await server.api('POST', `/customers/${customer?.id}/erase`, {});
    expect(answer).toMatchObject({ status: 200, body: { dockets: 2 } });

    const after = await look(view.id);
    expect(after.docket.words).toBe('[erased] rang, [erased], abs light front left, old one rusted in');
    expect(after.docket).toMatchObject({
      customer: { kind: 'self' },
      symptoms: ['lamp.abs'],
      wheelEnd: 'A1L',
      outcome: { result: 'cured', note: '[erased] is glad' },
      vehicle: { name: 'pickup', saltExposure: 'high' },
    });
    expect(after.docket.vehicle?.plate ?? null).toBeNull();
    expect((await look(fleet.id)).docket.vehicle).toMatchObject({ fleetNumber: 'G-01', plate: 'HB 4410' });
    expect((await look(bystander.id)).docket.customer?.name).toBe('Ragna Other');
    for (const words of ['fjordholt', '0555881234', 'RF 77']) expect(await search(words)).toEqual([]);
    for (const pattern of ['%Fjordholt%', '%88%12%34%', '%RFVIN%'])
      for (const column of [
        'docket.document',
        'docket_change.document',
        'docket_change.label',
        'person.name',
        'person.phone',
      ]) {
        const [table, field] = column.split('.');
        expect([column, await sql(`select ${field} from ${table} where ${field} like '${pattern}'`)]).toEqual(
          [column, []],
        );
      }
    expect((await server.api('POST', `/customers/${customer?.id}/erase`, {})).status).toBe(404);
    expect((await server.api('GET', '/erasures')).body).toMatchObject([{ dockets: 2 }]);
  });

  test('a name mistyped before it was mended goes too, and so does the advice that was kept', async () => {
    const view = await open({
      customer: { name: 'Solveig Strandd' },
      wheelEnd: 'A1L',
      symptoms: ['lamp.abs'],
    });
    let now = await put(view, { customer: { name: 'Solveig Strand', phone: '0555 4' } });
    now = await put(now, {
      doubts: [{ about: 'pedal', words: 'Solveig says the pedal is funny' }],
      chosen: takenOrder(),
    });
    const kept = () => sql(`select 1 from given_advice where advice like '%Solveig%'`);
    expect(await kept()).toHaveLength(1);
    // Somebody else the docket once spoke of has dockets of their own: they stay.
    const friend = await open({ customer: { name: 'Gro Friend', phone: '0555 5' } });
    now = await put(now, { customer: { name: 'Gro Friend', phone: '0555 5' } });
    now = await put(now, { customer: { name: 'Solveig Strand', phone: '0555 4' } });
    expect((await find('strand')).map(({ name }) => name)).toEqual(['Solveig Strand']);
    await server.api('POST', `/customers/${(await find('strand'))[0]?.id}/erase`, {});
    expect(await sql(`select 1 from person where name like '%Strand%' or name_key like '%strand%'`)).toEqual(
      [],
    );
    expect(await kept()).toEqual([]);
    expect((await look(friend.id)).docket.customer?.name).toBe('Gro Friend');
    expect((await look(now.id)).docket.customer ?? null).toEqual({});
  });

  test('the history is for good again after', async () => {
    await expect(sql(`update docket_change set label = 'x'`)).rejects.toMatchObject({
      message: expect.stringMatching(/append-only/),
    });
    await expect(sql('delete from erasure')).rejects.toMatchObject({
      message: expect.stringMatching(/append-only/),
    });
  });

  test('undo after it does not bring anybody back', async () => {
    const view = await open({ customer: { name: 'Sunniva Gangway', phone: '0555 3' } });
    const changed = await put(view, { symptoms: ['lamp.abs'] });
    const [customer] = await find('gangway');
    await server.api('POST', `/customers/${customer?.id}/erase`, {});
    const undone = (await server.api('POST', `/dockets/${view.id}/undo`, { version: changed.version }))
      .body as DocketView;
    expect(JSON.stringify(undone)).not.toMatch(/Sunniva|Gangway/);
  });
});

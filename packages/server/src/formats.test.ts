import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { advise, Advice, parse, parseDocket, quoteCsv, type Docket } from '@hardy/core';
import { API, type Answer } from '@hardy/core/contract';
import Papa from 'papaparse';
import { openScenario } from './tests/openScenario.ts';
import { takenOrder } from './tests/takenOrder.ts';

let server: Awaited<ReturnType<typeof openScenario>>;
beforeAll(async () => {
  server = await openScenario();
});
afterAll(() => server.running.stop());
const call = (method: string, path: string, body?: unknown) => server.api(method, path, body);
const text = async (path: string) => (await fetch(`${server.running.address}/api${path}`)).text();
const rowsOf = (csv: string) =>
  Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: true }).data;

describe('what goes out comes in again as it was', () => {
  test('every docket of the demo, as JSON, and its advice with it', async () => {
    const { dockets } = (await call('GET', '/dockets?state=all&limit=500')).body as Answer<'GET /dockets'>;
    expect(dockets.length).toBeGreaterThan(5);
    for (const { id } of dockets) {
      const file = await text(`/dockets/${id}/file`);
      const opened = (await call('POST', '/dockets', { docket: JSON.parse(file) as unknown }))
        .body as Answer<'POST /dockets'>;
      expect(JSON.parse(await text(`/dockets/${opened.id}/file`))).toEqual(JSON.parse(file));
      // The advice is what the contract says, printed and read again.
      expect(parse(Advice, JSON.parse(JSON.stringify(opened.advice)))).toEqual(opened.advice);
      const knowledge = (await call('GET', `/dockets/${opened.id}/knowledge`))
        .body as Answer<'GET /dockets/:id/knowledge'>;
      expect(advise(parseDocket(JSON.parse(file)), knowledge).verdict).toEqual(opened.advice.verdict);
    }
  });

  test('an order to a supplier: its JSON and its CSV say the same', async () => {
    const wanted: Docket = {
      format: 'hardy-spoke/docket',
      version: 1,
      chosen: takenOrder(['WS30624', 3], ['=x', 1]),
    };
    await call('POST', '/dockets', { docket: wanted });
    const { toOrder } = (await call('GET', '/orders')).body as Answer<'GET /orders'>;
    const supplier = toOrder.find(({ lines }) =>
      lines.some(({ partNumber }) => partNumber === 'WS30624'),
    )?.supplier;
    const { id } = (await call('POST', '/orders', { supplier })).body as Answer<'POST /orders'>;
    const json = API['GET /orders/:id/file'].answer.parse(JSON.parse(await text(`/orders/${id}/file`)));
    const rows = rowsOf(await text(`/orders/${id}/file?as=csv`));
    expect(rows.map(({ partNumber, quantity }) => [partNumber, Number(quantity)])).toEqual(
      json.lines.map(({ partNumber, quantity }) => [partNumber, quantity]),
    );
  });

  test('a quote: a line a way, to the cent', () => {
    const csv = quoteCsv(
      {
        number: 2,
        on: '2026-11-27',
        until: '2026-12-11',
        withWork: true,
        taxPercent: 20,
        ways: [
          {
            way: 'a',
            label: '=sensor, with its bolt',
            partsCents: 4005,
            workCents: 9999,
            workHours: 1.2,
            taxCents: 2801,
            depositCents: 0,
            cures: 0.7,
            waitDays: 1,
          },
        ],
      },
      1012,
      'EUR',
    );
    expect(rowsOf(csv)).toEqual([
      expect.objectContaining({
        docket: '1012',
        way: "'=sensor, with its bolt",
        parts: '40.05',
        toPay: '168.05',
      }),
    ]);
  });

  test('the ledger: a row for every closed docket that counts', async () => {
    const view = (
      await call('POST', '/dockets', { words: 'merrowby 2018 minibus, abs light, C0031-13 front left' })
    ).body as Answer<'POST /dockets'>;
    await call('PUT', `/dockets/${view.id}`, {
      version: view.version,
      docket: { ...view.docket, outcome: { result: 'cured', trueCause: 'sensor', knownBy: 'seen' } },
      label: 'closed',
    });
    const { figures } = (await call('GET', '/ledger')).body as Answer<'GET /ledger'>;
    const rows = rowsOf(await text('/ledger/file'));
    expect(rows.length).toBeGreaterThan(0);
    expect(rows.map(({ docket }) => Number(docket))).toContain(view.number);
    expect(figures.jobs).toBe(rows.length);
  });
});

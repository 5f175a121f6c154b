import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Advice, Comparison, Docket, parse } from '@hardy/core';
import { CATALOGUE_ENTITIES } from './store/catalogueEntities.ts';
import { openCatalogueFile } from './store/catalogueFile.ts';
import { ENTITIES } from './store/entities.ts';
import { docketDesk } from './tests/docketDesk.ts';
import { openScenario } from './tests/openScenario.ts';
import type { DocketView } from '@hardy/core/contract';

type Api = Awaited<ReturnType<typeof openScenario>>['api'];
type View = DocketView;

let server: Awaited<ReturnType<typeof openScenario>>;
let api: Api;
beforeAll(async () => {
  server = await openScenario();
  api = server.api;
});
afterAll(() => server.running.stop());

const { opened, put } = docketDesk(() => api);

describe('the scenario', () => {
  test('is all there', async () => {
    const { dockets: lines }: { dockets: Array<{ state: string; headline: string }> } = (
      await api('GET', '/dockets?state=all')
    ).body;
    expect(lines).toHaveLength(12);
    expect(lines.filter((line) => line.state === 'closed')).toHaveLength(3);
    expect(new Set(lines.map((line) => line.state))).toEqual(new Set(['open', 'ordered', 'closed']));
    const vehicles: Array<{ name: string }> = (await api('GET', '/vehicles')).body;
    expect(vehicles.length).toBeGreaterThanOrEqual(12);
    expect(new Set(vehicles.map((v) => v.name.split(' ')[0])).size).toBe(6);
  });
});

describe('looking for a docket', () => {
  const found = async (q: string): Promise<number> =>
    ((await api('GET', `/dockets?state=all&q=${encodeURIComponent(q)}`)).body as { dockets: unknown[] })
      .dockets.length;

  test.each(['%', '_', 'min%bus', 'm_nibus', '\\'])('%s is looked for as it is written', async (q) => {
    expect(await found(q)).toBe(0);
  });

  test('what is there is found, percent signs too', async () => {
    const view = await opened('merrowby minibus');
    await put(view, { ...view.docket, customer: { name: 'Grit 100%_ Ltd' } });
    expect(await found('100%_')).toBe(1);
    expect(await found('MERROWBY')).toBeGreaterThan(0);
  });
});

describe('words on a docket that is full', () => {
  test('are taken, and what could not be kept is in its words', async () => {
    const view = await opened();
    const full = await put(view, {
      ...view.docket,
      codes: Array.from({ length: 500 }, (_, i) => ({ code: `B${1000 + i}` })),
    });
    expect(full.status).toBe(200);
    const heard = await api('POST', `/dockets/${view.id}/words`, {
      version: (full.body as View).version,
      words: 'no play front left, C0034-13',
    });
    expect(heard.status).toBe(200);
    expect((heard.body as View).docket.checks).toHaveLength(1);
  });

  test('a voltage no vehicle has stays in the words, and the docket opens', async () => {
    const view = await opened('abs light, 99 V at the open plug front left, 350 V AC turned by hand');
    expect((await api('GET', `/dockets/${view.id}`)).status).toBe(200);
    expect(view.docket.words).toContain('99 V');
  });
});

describe('dockets', () => {
  test('words become a docket with advice from the catalogue', async () => {
    const view = await opened();
    parse(Docket, view.docket);
    parse(Advice, view.advice);
    expect(view.advice.wheelEnd).toBe('A1L');
    const sensor = view.advice.offers.find((offer) => offer.part === 'sensor');
    expect(sensor?.lines[0]).toMatchObject({
      partNumber: expect.any(String) as unknown,
      brand: expect.any(String) as unknown,
    });
    expect(sensor?.lines.length).toBeGreaterThan(2);
    expect(view.advice.offers.map((offer) => offer.part)).toContain('connector-kit');
  });

  test('the build date decides between two sensors', async () => {
    const early = (await opened('merrowby 2016 minibus C0A31-13')).advice.offers.find(
      (o) => o.part === 'sensor',
    );
    const late = (await opened('merrowby 2018 minibus C0A31-13')).advice.offers.find(
      (o) => o.part === 'sensor',
    );
    expect(early?.lines[0]?.description).toContain('square plug');
    expect(late?.lines[0]?.description).toContain('oval plug');
  });

  test('undo and redo walk back and forth, and are history themselves', async () => {
    let view = await opened();
    const states: Docket[] = [view.docket];
    for (const symptom of ['noise.wheel', 'steering.heavy'] as const) {
      view = (await put(view, { ...view.docket, symptoms: [...(view.docket.symptoms ?? []), symptom] })).body;
      states.push(view.docket);
    }
    const step = async (direction: 'undo' | 'redo') =>
      (view = (await api('POST', `/dockets/${view.id}/${direction}`, { version: view.version })).body);
    await step('undo');
    expect(view.docket).toEqual(states[1]);
    await step('undo');
    expect(view.docket).toEqual(states[0]);
    expect(view.canUndo).toBe(false);
    await step('redo');
    expect(view.docket).toEqual(states[1]);
    await step('redo');
    expect(view.docket).toEqual(states[2]);
    expect(view.canRedo).toBe(false);
    await step('undo');
    view = (await put(view, { ...view.docket, wheelEnd: 'A1R' })).body;
    expect(view.canRedo).toBe(false);
    await step('undo');
    expect(view.docket).toEqual(states[1]);
    const history: Array<{ kind: string }> = (await api('GET', `/dockets/${view.id}/history`)).body;
    expect(history.map((change) => change.kind)).toEqual([
      'create',
      'edit',
      'edit',
      'undo',
      'undo',
      'redo',
      'redo',
      'undo',
      'edit',
      'undo',
    ]);
  });

  test('further words add facts at the corner', async () => {
    const view = await opened();
    const after: View = (
      await api('POST', `/dockets/${view.id}/words`, { version: 1, words: 'connector corroded' })
    ).body;
    expect(after.docket.checks).toEqual([{ check: 'visual.connector', result: 'corroded' }]);
    expect(after.advice.causes[0]).toMatchObject({ cause: 'wiring', wheelEnd: 'A1L' });
  });

  test('the ways of a docket compared: checked, seeded, and refused while there is no corner', async () => {
    const view = await opened();
    const first = await api('GET', `/dockets/${view.id}/compare`);
    expect(first.status).toBe(200);
    parse(Comparison, first.body);
    expect((await api('GET', `/dockets/${view.id}/compare?seed=1`)).body).toEqual(first.body);
    expect((await api('GET', `/dockets/${view.id}/compare?seed=-3`)).status).toBe(400);
    const lost = await opened('abs light');
    expect((await api('GET', `/dockets/${lost.id}/compare`)).status).toBe(400);
  });

  test('a docket of older days with prices as fractions is read in whole hundredths', async () => {
    const view = await opened('fleet P-23 abs light C1B30');
    const taken = await api('PUT', `/dockets/${view.id}`, {
      version: view.version,
      label: 'taken',
      docket: {
        ...view.docket,
        chosen: { part: 'sensor', wheelEnd: 'A1L', price: 41.5, allInMean: 199.99, cures: 0.5 },
      },
    });
    expect((taken.body as View).docket.chosen).toMatchObject({ priceCents: 4150, allInMeanCents: 19999 });
  });

  test('taking an offer and closing set the state; closed ones are found again', async () => {
    const view = await opened('fleet P-23 abs light C1B30');
    const taken: View = (
      await put(view, {
        ...view.docket,
        chosen: {
          part: 'hub-assembly',
          wheelEnd: 'A1L',
          partNumber: 'x',
          priceCents: 1000,
          allInMeanCents: 2000,
          cures: 0.5,
        },
      })
    ).body;
    expect(taken.state).toBe('ordered');
    const closed: View = (
      await put(taken, { ...taken.docket, outcome: { result: 'cured', trueCause: 'bearing', note: null } })
    ).body;
    expect(closed.state).toBe('closed');
    const found: { dockets: Array<{ id: string }> } = (
      await api('GET', `/dockets?state=all&q=${closed.number}`)
    ).body;
    expect(found.dockets.map((line) => line.id)).toEqual([view.id]);
  });
});

describe('the door', () => {
  test.each([
    ['POST', '/dockets', '{oops', 400],
    ['POST', '/dockets', { docket: { format: 'x' } }, 400],
    ['POST', '/dockets', {}, 400],
    [
      'PUT',
      '/dockets/none',
      { version: 1, docket: { format: 'hardy-spoke/docket', version: 1 }, label: 'x' },
      404,
    ],
    ['GET', '/dockets/none', undefined, 404],
    ['GET', '/dockets?state=odd', undefined, 400],
    ['GET', '/nowhere', undefined, 404],
    [
      'POST',
      '/advise',
      { format: 'hardy-spoke/docket', version: 1, checks: [{ check: 'visual.ring', result: 'brokn' }] },
      400,
    ],
  ])('%s %s answers as problem+json', async (method, path, body, status) => {
    const answer = await api(method, path, body);
    expect(answer.status).toBe(status);
    expect(answer.type).toContain('application/problem+json');
    expect(answer.body).toMatchObject({
      status,
      title: expect.any(String) as unknown,
      detail: expect.any(String) as unknown,
    });
  });

  test('bad input names its path', async () => {
    const { body } = await api('POST', '/advise', {
      format: 'hardy-spoke/docket',
      version: 1,
      checks: [{ check: 'visual.ring', result: 'brokn' }],
    });
    expect(body).toMatchObject({ path: 'checks[0].result' });
  });

  test('words that mean something to SQL or LIKE are only words', async () => {
    for (const q of ["'; drop table docket; --", '%%', '__', '\\'])
      expect((await api('GET', `/dockets?state=all&q=${encodeURIComponent(q)}`)).body).toEqual({
        dockets: [],
        total: 0,
        isMore: false,
      });
    expect((await api('GET', '/dockets?state=all')).status).toBe(200);
  });
});

describe('the store', () => {
  test('migrations give just the tables the entities describe', async () => {
    expect(ENTITIES.length + CATALOGUE_ENTITIES.length).toBeGreaterThan(10);
    const catalogue = await openCatalogueFile(':memory:');
    try {
      for (const orm of [server.running.orm, catalogue])
        expect((await orm.schema.getUpdateSchemaSQL({ wrap: false, safe: true })).trim()).toBe('');
    } finally {
      await catalogue.close();
    }
  });

  test('the history of a docket can be added to, never changed', async () => {
    const connection = server.running.orm.em.fork().getConnection();
    // The driver's errors may be of another test file's context, so they are read as text.
    const refused = (sql: string) =>
      connection.execute(sql).then(
        () => 'done',
        (error: unknown) => String(error),
      );
    expect(await refused(`update docket_change set label = 'x'`)).toMatch(/append-only/);
    expect(await refused('delete from docket_change')).toMatch(/append-only/);
    const columns = 'id, docket_id, version, content, parent, kind, label, document, at';
    for (const table of ['insert or replace into', 'replace into'])
      expect(
        await refused(`${table} docket_change (${columns}) select ${columns} from docket_change limit 1`),
      ).toMatch(/append-only/);
    expect(
      await refused(
        `replace into docket_change (docket_id, version, content, kind, label, document, at) select docket_id, version, content, kind, 'x', '{}', at from docket_change limit 1`,
      ),
    ).toMatch(/append-only/);
  });
});

import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Docket } from '@hardy/core';
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

describe('two desks on one docket', () => {
  test('two changes of different fields made on one version are both there, and nobody is asked', async () => {
    const view = await opened();
    const theirs: Docket = { ...view.docket, vehicle: { ...view.docket.vehicle, saltExposure: 'high' } };
    expect((await put(view, theirs)).status).toBe(200);
    const both = await put(view, { ...view.docket, symptoms: ['lamp.abs', 'noise.wheel'] });
    expect(both.status).toBe(200);
    const { version, docket } = both.body as View;
    expect(version).toBe(3);
    expect(docket.vehicle?.saltExposure).toBe('high');
    expect(docket.symptoms).toEqual(['lamp.abs', 'noise.wheel']);
  });

  test('one field changed by both gets 409 with that field alone, and what each has', async () => {
    const view = await opened();
    const salted = (saltExposure: 'some' | 'high'): Docket => ({
      ...view.docket,
      vehicle: { ...view.docket.vehicle, saltExposure },
    });
    expect((await put(view, { ...salted('high'), wants: ['today'] })).status).toBe(200);
    const clash = await put(view, salted('some'));
    expect(clash.status).toBe(409);
    expect(clash.type).toContain('application/problem+json');
    expect(clash.body).toMatchObject({
      yourVersion: 1,
      theirVersion: 2,
      theirs: { wants: ['today'] },
      merged: { wants: ['today'], vehicle: { saltExposure: 'high' } },
      clashes: [{ place: ['vehicle', 'saltExposure'], theirs: 'high', yours: 'some' }],
    });
    expect(((await api('GET', `/dockets/${view.id}`)).body as View).version).toBe(2);
  });

  test('what is right by itself and wrong together is asked as a field', async () => {
    const view = await opened();
    const two: Docket = { ...view.docket, vehicle: { ...view.docket.vehicle, axles: 2 } };
    expect((await put(view, two)).status).toBe(200);
    const third = await put(view, {
      ...view.docket,
      checks: [{ check: 'bearing.play', wheelEnd: 'A3L', result: 'none' }],
    });
    expect(third.status).toBe(409);
    expect((third.body as { clashes: Array<{ place: string[] }> }).clashes.map(({ place }) => place)).toEqual(
      [['checks']],
    );
  });

  test('a docket or a change sent again under its name is made once', async () => {
    const id = randomUUID();
    const words = 'tolvane skerry 2018 abs light C1B20';
    const first = await api('POST', '/dockets', { id, words });
    const again = await api('POST', '/dockets', { id, words });
    expect((again.body as View).number).toBe((first.body as View).number);
    const changeId = randomUUID();
    const change = {
      version: 1,
      docket: { ...(first.body as View).docket, wants: ['today'] },
      label: 'w',
      changeId,
    };
    for (let i = 0; i < 3; i++)
      expect(((await api('PUT', `/dockets/${id}`, change)).body as View).version).toBe(2);
    const heard = { version: 2, words: 'no play front left', changeId: randomUUID() };
    for (let i = 0; i < 3; i++)
      expect(((await api('POST', `/dockets/${id}/words`, heard)).body as View).version).toBe(3);
    expect(((await api('GET', `/dockets/${id}/history`)).body as unknown[]).length).toBe(3);
  });

  test('words are heard on the docket as it stands, whatever the page had', async () => {
    const view = await opened();
    expect((await put(view, { ...view.docket, wants: ['today'] })).status).toBe(200);
    const heard = await api('POST', `/dockets/${view.id}/words`, { version: 1, words: 'no play front left' });
    expect((heard.body as View).docket).toMatchObject({
      wants: ['today'],
      checks: [{ check: 'bearing.play' }],
    });
  });

  test('many desks at once on one docket: every change is there', async () => {
    const view = await opened();
    const names = Array.from({ length: 4 }, (_, i) => `wish ${i}`);
    const answers = await Promise.all(names.map((name) => put(view, { ...view.docket, wants: [name] })));
    expect(answers.map(({ status }) => status)).toEqual([200, 200, 200, 200]);
    expect([...(((await api('GET', `/dockets/${view.id}`)).body as View).docket.wants ?? [])].sort()).toEqual(
      names,
    );
  });
});

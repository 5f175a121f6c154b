import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { parseDocket } from '@hardy/core';
import type { DocketLine, DocketLines, DocketView } from '@hardy/core/contract';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { backupsIn } from './backup/backupFolder.ts';
import { start, type Running } from './start.ts';

/* A database as an older version wrote it: a tyre size that is none, a place beyond the last axle, an order, a closed docket. */
const OLDER = join(__dirname, 'tests/databases/before-sensed-ends.sqlite.gz');

let running: Running;
const folder = mkdtempSync(join(tmpdir(), 'hardy-older-'));
beforeAll(async () => {
  const database = join(folder, 'older.sqlite');
  writeFileSync(database, gunzipSync(readFileSync(OLDER)));
  running = await start({ database, port: 0, webFolder: null, scenario: null });
});
afterAll(async () => {
  await running.stop();
  rmSync(folder, { recursive: true, force: true });
});

const get = async <T>(path: string): Promise<T> => {
  const response = await fetch(`${running.address}/api${path}`);
  expect([path, response.status]).toEqual([path, 200]);
  return (await response.json()) as T;
};
const docketWith = async (test_: (line: DocketLine) => boolean): Promise<DocketView> => {
  const line = (await get<DocketLines>('/dockets?state=all')).dockets.find(test_);
  return get<DocketView>(`/dockets/${line?.id ?? ''}`);
};

describe('a database written by an older version', () => {
  test('opens, with every docket readable and valid by today\u2019s rules', async () => {
    const { dockets: lines } = await get<DocketLines>('/dockets?state=all');
    expect(lines.map(({ state }) => state).sort()).toEqual(['closed', 'open', 'ordered']);
    for (const { id } of lines) {
      const { docket } = await get<DocketView>(`/dockets/${id}`);
      expect(parseDocket(docket)).toEqual(docket);
      expect((await get<unknown[]>(`/dockets/${id}/history`)).length).toBeGreaterThan(1);
    }
  });

  test('what is refused today stands among the words that were not understood, and nothing else went', async () => {
    const { docket } = await docketWith(({ customerName }) => customerName === 'Harbour Board');
    expect(docket.vehicle?.tyres).toEqual({ A1R: '205/55 R16' });
    expect(docket.leftOver?.join('\n')).toMatch(/vehicle\.tyres\.A1L: "banana" is not a tyre size/);
    expect(docket.codes).toHaveLength(1);
    const ordered = await docketWith(({ state }) => state === 'ordered');
    expect(ordered.docket.chosen?.priceCents).toBe(4200);
    expect(ordered.docket.checks).toEqual([{ check: 'bearing.play', wheelEnd: 'A1R', result: 'none' }]);
    expect(ordered.docket.leftOver?.join('\n')).toMatch(/A3L is on axle 3/);
    expect(ordered.docket.leftOver?.join('\n')).toMatch(/plum/);
  });

  test('a change of such a docket is taken', async () => {
    const { id, version, docket } = await docketWith(({ customerName }) => customerName === 'Harbour Board');
    const answer = await fetch(`${running.address}/api/dockets/${id}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ version, docket: { ...docket, wants: ['today'] }, label: 'wish' }),
    });
    expect(answer.status).toBe(200);
  });
});

describe('a database with the catalogue among its own tables', () => {
  const BEFORE = join(__dirname, 'tests/databases/before-catalogue-file.sqlite.gz');
  const place = mkdtempSync(join(tmpdir(), 'hardy-before-'));
  const database = join(place, 'shop.sqlite');
  afterAll(() => rmSync(place, { recursive: true, force: true }));

  const opened = async (): Promise<Running> =>
    start({ database, port: 0, webFolder: null, scenario: null, backups: join(place, 'backups') });
  const asked = async <T>(of: Running, path: string): Promise<T> =>
    (await (await fetch(`${of.address}/api${path}`)).json()) as T;

  test('is backed up, then opens with everything it had: dockets, history, settings, catalogue, search', async () => {
    writeFileSync(database, gunzipSync(readFileSync(BEFORE)));
    for (const start_ of ['first', 'second']) {
      const shop = await opened();
      const { dockets, total } = await asked<DocketLines>(shop, '/dockets?state=all');
      expect([start_, total, dockets.length]).toEqual([start_, 12, 12]);
      const found = await asked<DocketLines>(shop, '/dockets?state=all&q=fleet%20work');
      expect(found.total).toBeGreaterThan(0);
      for (const { id } of dockets) {
        expect((await asked<DocketView>(shop, `/dockets/${id}`)).id).toBe(id);
        expect((await asked<unknown[]>(shop, `/dockets/${id}/history`)).length).toBeGreaterThan(0);
      }
      expect(await asked(shop, '/shop')).toMatchObject({ version: 1, overrides: { 'labour.rate': 81 } });
      expect((await asked<unknown[]>(shop, '/vehicles')).length).toBe(41);
      expect((await asked<Array<{ number: string }>>(shop, '/parts?q=ws%2038%20859'))[0]?.number).toBe(
        'WS38859',
      );
      expect((await asked<unknown[]>(shop, '/parts?q=sennsor%20dragnett')).length).toBeGreaterThan(0);
      await shop.stop();
    }
    const kept = backupsIn(join(place, 'backups'));
    expect(
      kept.map(({ manifest }) => [manifest.why, manifest.catalogue, manifest.database.rows.part]),
    ).toEqual([['migration', null, 678]]);
  });
});

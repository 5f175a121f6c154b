import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { PARTS } from '@hardy/core';
import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { openStore, type Store } from '../store/openStore.ts';
import { ImportDesk } from './importDesk.ts';

const folder = mkdtempSync(join(tmpdir(), 'hardy-import-'));
let store: Store;
let desk: ImportDesk;
let backups = 0;
let went = 0;
const wrong: unknown[] = [];
const newDesk = () =>
  new ImportDesk(store, {
    before: () => Promise.resolve(backups++),
    in: () => went++,
    wrong: (error) => wrong.push(error),
  });
beforeAll(async () => {
  store = await openStore(join(folder, 'shop.sqlite'));
  desk = newDesk();
});
afterAll(async () => {
  await desk.close();
  await store.close();
  expect(existsSync(`${store.file}.imports`)).toBe(false);
  rmSync(folder, { recursive: true, force: true });
});
beforeEach(() => {
  wrong.length = 0;
});

const HEAD = PARTS.headings.join(',');
const part = (number: string, price = '12.50') =>
  `${number},sensor,good,Corvane,a sensor,${price},1,A01,1,24,1,0,,,,,,,`;
const parts = (...rows: string[]) => Readable.from([Buffer.from([HEAD, ...rows].join('\n'))]);
const over = async (id: string) => {
  while (['running', 'uploading'].includes(desk.find(id).state))
    await new Promise((go) => setTimeout(go, 20));
  return desk.find(id);
};
const numbers = async (): Promise<unknown[]> =>
  (
    await store.orm.em
      .fork()
      .getConnection()
      .execute<Array<{ number: string }>>('select number from part order by number')
  ).map(({ number }) => number);
const catalogues = () => readdirSync(folder).filter((name) => name.includes('.catalogue-'));

describe('imports, one at a time', () => {
  test('files go in by a thread of their own, with a backup first; the former catalogue is gone', async () => {
    const id = desk.begin();
    expect(() => desk.run(id, 'whole')).toThrow(/nothing was sent/);
    await desk.take(id, 'parts.csv', parts(part('P1'), part('P2')));
    expect(desk.find(id).state).toBe('ready');
    desk.run(id, 'whole');
    expect(() => desk.run(id, 'whole')).toThrow(/running already/);
    expect(() => desk.begin()).toThrow(/one import at a time/);
    await expect(desk.take(id, 'parts.csv', parts())).rejects.toThrow(/takes no more files: it is running/);
    const its = await over(id);
    expect([its.state, its.problem, its.report?.rows]).toEqual(['done', null, { 'parts.csv': 2 }]);
    expect(await numbers()).toEqual(['P1', 'P2']);
    expect([backups, went]).toEqual([1, 1]);
    expect(catalogues()).toHaveLength(1);
    expect(wrong).toEqual([]);
  });

  test('with a bad row nothing goes in, and what stands there is read all the while', async () => {
    const id = desk.begin();
    await desk.take(id, 'parts.csv', parts(part('P3'), part('P4', 'dear')));
    desk.run(id, 'whole');
    expect(await numbers()).toEqual(['P1', 'P2']);
    const its = await over(id);
    expect(its).toMatchObject({ state: 'done', report: { written: false, errorCount: 1 } });
    expect(await numbers()).toEqual(['P1', 'P2']);
    expect(catalogues()).toHaveLength(1);
  });

  test('what is no table is told, and the next import goes', async () => {
    const id = desk.begin();
    await expect(desk.take(id, '../parts.csv', parts())).rejects.toThrow(/is no file of a catalogue/);
    await desk.take(id, 'parts.csv', Readable.from(['one,two\n1,2\n']));
    desk.run(id, 'good');
    expect((await over(id)).problem).toMatch(/parts\.csv: has no heading/);
    const next = desk.begin();
    await desk.take(next, 'parts.csv', parts(part('P1', '13.75')));
    desk.run(next, 'whole');
    expect((await over(next)).state).toBe('done');
    expect(await numbers()).toEqual(['P1', 'P2']);
  });

  test('one line without an end is told as such; a stop is heeded at once, and nothing goes in', async () => {
    const id = desk.begin();
    const long = Readable.from(
      (function* () {
        yield Buffer.from(`${HEAD}\n`);
        for (let i = 0; i < 40; i++) yield Buffer.alloc(1_000_000, 'x');
      })(),
    );
    await desk.take(id, 'parts.csv', long);
    desk.run(id, 'good');
    expect((await over(id)).problem).toMatch(/longer than 1 MB/);
    const stopped = desk.begin();
    const rows = Array.from({ length: 30_000 }, (_, i) => part(`Q${i}`));
    await desk.take(stopped, 'parts.csv', parts(...rows));
    desk.run(stopped, 'good');
    while (desk.find(stopped).progress === 0) await new Promise((go) => setTimeout(go, 10));
    await desk.stop(stopped);
    expect(desk.find(stopped)).toMatchObject({ state: 'cancelled', report: null });
    await new Promise((go) => setTimeout(go, 200));
    expect(await numbers()).toEqual(['P1', 'P2']);
    expect(catalogues()).toHaveLength(1);
    await expect(desk.take(stopped, 'parts.csv', parts())).rejects.toThrow(/it is cancelled/);
  });

  test('a broken upload leaves it as it was; one that waits gives way to a new one', async () => {
    const id = desk.begin();
    const broken = new Readable({ read() {} });
    const taking = desk.take(id, 'parts.csv', broken);
    expect(desk.find(id).state).toBe('uploading');
    await expect(desk.take(id, 'jobs.csv', parts())).rejects.toThrow(/another file is being sent/);
    expect(() => desk.begin()).toThrow(/one import at a time/);
    broken.destroy(new Error('gone'));
    await expect(taking).rejects.toThrow('gone');
    expect(desk.find(id).state).toBe('waiting');
    const next = desk.begin();
    expect(() => desk.find(id)).toThrow(/is not here/);
    expect(desk.current()?.id).toBe(next);
  });

  test('no backup, no import', async () => {
    const careful = new ImportDesk(store, {
      before: () => Promise.reject(new Error('disk full')),
      in: () => went++,
      wrong: (error) => wrong.push(error),
    });
    const id = careful.begin();
    await careful.take(id, 'parts.csv', parts(part('P9')));
    careful.run(id, 'whole');
    while (careful.find(id).state === 'running') await new Promise((go) => setTimeout(go, 5));
    expect(careful.find(id).problem).toMatch(/No backup could be made/);
    expect(wrong).toHaveLength(1);
    expect(await numbers()).toEqual(['P1', 'P2']);
  });

  test('a server that died in the middle of one tells the next that nothing went in', async () => {
    const dying = newDesk();
    const id = dying.begin();
    await dying.take(id, 'parts.csv', parts(part('P9')));
    dying.run(id, 'whole');
    const next = newDesk();
    expect(next.current()).toMatchObject({ id, state: 'failed' });
    expect(next.find(id).problem).toMatch(
      /started anew while this import was under way: nothing of it went in/,
    );
    await next.close();
    await dying.stop(id);
    expect(newDesk().current()).toBeNull();
    const ended = newDesk();
    const other = ended.begin();
    await ended.take(other, 'parts.csv', parts(part('P9')));
    ended.run(other, 'whole');
    await ended.close();
    const told = newDesk();
    expect(told.current()).toMatchObject({ id: other, state: 'failed' });
    await told.close();
  });
});

import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import Sqlite from 'better-sqlite3';
import {
  chmodSync,
  existsSync,
  linkSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { SettingRow } from './entities.ts';
import { openStore } from './openStore.ts';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'hardy-open-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const refused = (file: string): Promise<string> =>
  openStore(file).then(
    async (store) => {
      await store.close();
      return 'opened';
    },
    (error: Error) => error.message,
  );

/** A file that is refused stays as it is, byte by byte. */
const refusedUntouched = async (name: string, content: Buffer): Promise<string> => {
  const file = join(folder, name);
  writeFileSync(file, content);
  const said = await refused(file);
  expect(readFileSync(file)).toEqual(content);
  expect(said).toContain(file);
  expect(said).not.toContain('\n');
  return said;
};

describe('opening a database', () => {
  test('one that is not there is made, one folder deep; a longer way that is not there is told', async () => {
    const file = join(folder, 'data', 'shop.sqlite');
    expect(await refused(file)).toBe('opened');
    expect(await refused(file)).toBe('opened');
    expect(await refused(join(folder, 'no', 'such', 'shop.sqlite'))).toMatch(
      /folder .* is not there; make it/,
    );
  });

  test('nothing, garbage and folders are told and left', async () => {
    expect(await refusedUntouched('empty.sqlite', Buffer.alloc(0))).toMatch(
      /is empty \(0 bytes\): restore a backup/,
    );
    expect(await refusedUntouched('letter.sqlite', Buffer.from('Dear Sir'))).toMatch(/it is no database/);
    mkdirSync(join(folder, 'folder.sqlite'));
    expect(await refused(join(folder, 'folder.sqlite'))).toMatch(/it is a folder/);
  });

  test('another program\u2019s database is told and left', async () => {
    const file = join(folder, 'other.sqlite');
    const other = new Sqlite(file);
    other.exec('create table invoice (id integer primary key, sum real)');
    other.close();
    expect(await refusedUntouched('other.sqlite', readFileSync(file))).toMatch(/of another program/);
  });

  test('one of a newer version, and one with garbage inside, are told and left', async () => {
    const file = join(folder, 'shop.sqlite');
    expect(await refused(file)).toBe('opened');
    const bytes = readFileSync(file);
    const newer = new Sqlite(file);
    newer.exec(`insert into mikro_orm_migrations (name, executed_at) values ('Migration999Future', 1)`);
    newer.pragma('journal_mode = DELETE');
    newer.close();
    expect(await refusedUntouched('shop.sqlite', readFileSync(file))).toMatch(
      /written by a newer version of this program \(Migration999Future\)/,
    );
    const spoilt = Buffer.from(bytes);
    spoilt.fill(0xa5, 4096, 4096 * 6);
    expect(await refusedUntouched('shop.sqlite', spoilt)).toMatch(/is damaged .*; restore a backup/);
  });

  test('a second one is told who has it; when the first lets go it opens', async () => {
    const file = join(folder, 'shop.sqlite');
    const first = await openStore(file);
    expect(await refused(file)).toMatch(/another server has it open/);
    await first.close();
    expect(await refused(file)).toBe('opened');
  });

  test('one whose catalogue is gone is told which', async () => {
    const file = join(folder, 'shop.sqlite');
    expect(await refused(file)).toBe('opened');
    const catalogue = readdirSync(folder).find((name) => name.includes('.catalogue-')) ?? '';
    rmSync(join(folder, catalogue));
    expect(await refused(file)).toContain(`its catalogue ${catalogue} is not beside it`);
  });

  test('one that may not be written is told', async () => {
    const file = join(folder, 'shop.sqlite');
    expect(await refused(file)).toBe('opened');
    chmodSync(file, 0o444);
    chmodSync(folder, 0o555);
    // Whoever may do everything is not stopped by rights.
    if (process.getuid?.() !== 0) expect(await refused(file)).toMatch(/may not be written/);
    chmodSync(folder, 0o755);
  });

  test('catalogues that were never put to use are swept; the one in use stays', async () => {
    const file = join(folder, 'shop.sqlite');
    const store = await openStore(file);
    const inUse = await store.catalogue.file();
    const left = await store.catalogue.copy();
    await store.close();
    expect(existsSync(left)).toBe(true);
    const again = await openStore(file);
    expect(existsSync(left)).toBe(false);
    expect(await again.catalogue.file()).toBe(inUse);
    await again.close();
  });

  test('a catalogue whose exchange fails leaves the former one in use', async () => {
    const store = await openStore(join(folder, 'shop.sqlite'));
    const inUse = await store.catalogue.file();
    const to = await store.catalogue.copy();
    await expect(store.catalogue.change(to, () => Promise.reject(new Error('no')))).rejects.toThrow('no');
    expect(await store.catalogue.file()).toBe(inUse);
    expect(existsSync(to)).toBe(false);
    expect(await store.orm.em.getConnection().execute('select count(*) as n from part')).toEqual([{ n: 0 }]);
    await store.close();
  });

  test('a transaction waits for its turn at its beginning, not after it has read', async () => {
    const store = await openStore(join(folder, 'shop.sqlite'));
    const other = new Sqlite(join(folder, 'shop.sqlite'), { timeout: 100 });
    await store.orm.em.fork().transactional(async (tx) => {
      await tx.count(SettingRow, {});
      expect(() => other.exec('begin immediate')).toThrow(/locked/);
    });
    other.close();
    await store.close();
  });

  test('under a second name, or with its lock file deleted, it stays locked', async () => {
    const file = join(folder, 'shop.sqlite');
    const first = await openStore(file);
    const linked = join(folder, 'other-name.sqlite');
    linkSync(file, linked);
    expect(await refused(linked)).toMatch(/another server has it open/);
    rmSync(`${file}.lock`);
    expect(await refused(file)).toMatch(/another server has it open/);
    await first.close();
    expect(await refused(file)).toBe('opened');
  });

  test('one that is moved away while it is open is not written any more', async () => {
    const file = join(folder, 'shop.sqlite');
    const store = await openStore(file);
    const write = (value: string) => store.orm.em.fork().upsert(SettingRow, { key: 'word', value });
    await write('before');
    renameSync(file, `${file}.away`);
    await expect(write('after')).rejects.toMatchObject({ code: 'HARDY_MOVED' });
    await expect(store.orm.em.fork().transactional((tx) => tx.count(SettingRow, {}))).rejects.toThrow();
    writeFileSync(file, 'another one');
    await expect(write('after')).rejects.toMatchObject({ code: 'HARDY_MOVED' });
    renameSync(`${file}.away`, file);
    await write('back again');
    await store.close();
  });

  test('what is left of one that was never finished is made again', async () => {
    const file = join(folder, 'shop.sqlite');
    for (const end of ['', '-wal', '-journal']) writeFileSync(`${file}.making${end}`, 'half');
    expect(await refused(file)).toBe('opened');
    expect(readdirSync(folder).filter((name) => name.includes('making'))).toEqual([]);
  });

  test('one whose catalogue is garbage, empty or another database is told in one sentence', async () => {
    const file = join(folder, 'shop.sqlite');
    expect(await refused(file)).toBe('opened');
    const catalogue = join(folder, readdirSync(folder).find((name) => name.includes('.catalogue-')) ?? '');
    const whole = readFileSync(catalogue);
    const other = new Sqlite(join(folder, 'other'));
    other.exec('create table invoice (id integer)');
    other.close();
    const spoilt = Buffer.from(whole);
    spoilt.fill(0xa5, 100);
    for (const bytes of [
      Buffer.from('garbage'),
      Buffer.alloc(0),
      readFileSync(join(folder, 'other')),
      spoilt,
    ]) {
      writeFileSync(catalogue, bytes);
      const said = await refused(file);
      expect(said).toMatch(/its catalogue \S+ is damaged .*restore a backup/);
      expect(said).not.toContain('\n');
      expect(readFileSync(catalogue)).toEqual(bytes);
    }
    writeFileSync(catalogue, whole);
    expect(await refused(file)).toBe('opened');
  });

  test('its files are their owner\u2019s alone', async () => {
    const file = join(folder, 'shop.sqlite');
    const store = await openStore(file);
    await store.orm.em.fork().upsert(SettingRow, { key: 'word', value: 'x' });
    for (const name of readdirSync(folder))
      expect(`${name} ${(statSync(join(folder, name)).mode & 0o077).toString(8)}`).toBe(`${name} 0`);
    await store.close();
  });
});

import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import Sqlite from 'better-sqlite3';
import {
  appendFileSync,
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openStore, type Store } from '../store/openStore.ts';
import { SettingRow } from '../store/entities.ts';
import { backUp } from './backup.ts';
import { BACKUP_FILES } from './backupManifest.ts';
import { trainingFileOf } from '../store/trainingFile.ts';
import { restoreBackup } from './restore.ts';

let folder: string;
let file: string;
let backups: string;
let store: Store | null;
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'hardy-backup-'));
  file = join(folder, 'shop.sqlite');
  backups = join(folder, 'backups');
  store = await openStore(file);
});
afterEach(async () => {
  await store?.close();
  rmSync(folder, { recursive: true, force: true });
});

const put = (value: string) => store?.orm.em.fork().upsert(SettingRow, { key: 'word', value });
const word = async (path: string): Promise<string | undefined> => {
  const opened = await openStore(path);
  const row = await opened.orm.em.fork().findOne(SettingRow, { key: 'word' });
  await opened.close();
  return row?.value;
};
const close = async () => {
  await store?.close();
  store = null;
};

describe('a backup', () => {
  test('drill: made beside an open database, restored over a newer one; the replaced one can still be opened', async () => {
    await put('before');
    const { folder: made, manifest } = await backUp(file, backups, 'command');
    expect(manifest.database.rows.setting).toBe(2);
    expect(manifest.catalogue?.rows.part).toBe(0);
    await put('after');
    await close();
    const { replaced, rows } = await restoreBackup(made, file);
    expect(rows).toMatchObject({ setting: 2, part: 0 });
    expect(await word(file)).toBe('before');
    expect(await word(join(replaced ?? '', 'shop.sqlite'))).toBe('after');
  });

  test('a restore is refused while a server has the file open, and touches nothing', async () => {
    const { folder: made } = await backUp(file, backups, 'command');
    await put('served');
    const before = readdirSync(folder).sort();
    await expect(restoreBackup(made, file)).rejects.toThrow(/another server has it open/);
    expect(readdirSync(folder).sort()).toEqual(before);
  });

  test('one that was changed or is not whole is refused, and nothing is touched', async () => {
    const { folder: made } = await backUp(file, backups, 'command');
    await put('kept');
    await close();
    appendFileSync(join(made, BACKUP_FILES.database), 'x');
    await expect(restoreBackup(made, file)).rejects.toThrow(/not as it was when the backup was made/);
    rmSync(join(made, 'manifest.json'));
    await expect(restoreBackup(made, file)).rejects.toThrow(/is no backup/);
    expect(await word(file)).toBe('kept');
  });

  test('a damaged database can be replaced; it is kept as it was, its log too', async () => {
    await put('good');
    const { folder: made } = await backUp(file, backups, 'command');
    await close();
    writeFileSync(file, 'garbage');
    writeFileSync(`${file}-wal`, 'log of garbage');
    const { replaced } = await restoreBackup(made, file);
    expect(await word(file)).toBe('good');
    expect(readFileSync(join(replaced ?? '', 'shop.sqlite'), 'utf8')).toBe('garbage');
  });

  test('into an empty place: the shop stands there as it was', async () => {
    await put('moved');
    const { folder: made } = await backUp(file, backups, 'command');
    const there = join(folder, 'elsewhere.sqlite');
    expect((await restoreBackup(made, there)).replaced).toBeNull();
    expect(await word(there)).toBe('moved');
  });

  test('beside the shop it came from, under another name: neither takes the other\u2019s catalogue', async () => {
    const { folder: made } = await backUp(file, backups, 'command');
    const copy = join(folder, 'shop.db');
    await restoreBackup(made, copy);
    await put('of the shop');
    await close();
    for (let i = 0; i < 2; i++) {
      expect(await word(copy)).toBeUndefined();
      expect(await word(file)).toBe('of the shop');
    }
  });

  test('of a database that is not there, or damaged, none is left behind', async () => {
    await expect(backUp(join(folder, 'none.sqlite'), backups, 'command')).rejects.toThrow(/does not exist/);
    const bad = join(folder, 'bad.sqlite');
    writeFileSync(bad, 'garbage of some length '.repeat(400));
    await expect(backUp(bad, backups, 'command')).rejects.toThrow();
    expect(existsSync(backups) ? readdirSync(backups) : []).toEqual([]);
  });

  test('is one file each, without a log, and whole', async () => {
    await put('x');
    const { folder: made } = await backUp(file, backups, 'command');
    expect(readdirSync(made).sort()).toEqual(['catalogue.sqlite', 'database.sqlite', 'manifest.json']);
    const copy = new Sqlite(join(made, BACKUP_FILES.database), { readonly: true });
    expect(copy.pragma('journal_mode', { simple: true })).toBe('delete');
    copy.close();
  });

  test('is of one moment and ends although somebody writes all the time', async () => {
    const writer = new Sqlite(file);
    writer.pragma('busy_timeout = 5000');
    writer.exec('create table filler (id integer primary key, bytes blob)');
    const insert = writer.prepare('insert into filler (bytes) values (randomblob(4000))');
    writer.transaction(() => {
      for (let i = 0; i < 6000; i++) insert.run();
    })();
    let shares = 0;
    let written = 0;
    const { manifest } = await backUp(file, backups, 'command', {
      // Each step of the copy meets a write: a copy that starts again would never end.
      progress: () => {
        shares++;
        for (let i = 0; i < 20; i++, written++) insert.run();
      },
    });
    writer.close();
    expect(shares).toBeGreaterThan(2);
    expect(written).toBeGreaterThan(20);
    expect(manifest.database.rows.filler).toBe(6000);
    expect(manifest.database.bytes).toBeLessThan(6000 * 4096 * 1.2);
  });

  test('one that takes longer than its deadline fails and leaves nothing', async () => {
    await expect(backUp(file, backups, 'command', { deadlineMs: -1 })).rejects.toThrow(/took longer than/);
    expect(readdirSync(backups)).toEqual([]);
  });

  test('the training database is in it and comes back, unless it is left out', async () => {
    const train = async (value: string) => {
      const training = await openStore(trainingFileOf(file));
      await training.orm.em.fork().upsert(SettingRow, { key: 'word', value });
      await training.close();
    };
    await train('learned');
    const { folder: made, manifest } = await backUp(file, backups, 'command');
    expect(manifest.training?.rows.setting).toBe(2);
    const { manifest: without, folder: shopOnly } = await backUp(file, backups, 'command', {
      training: false,
    });
    expect(without.training).toBeNull();
    expect(existsSync(join(shopOnly, BACKUP_FILES.training))).toBe(false);
    await train('forgotten');
    await close();
    await restoreBackup(made, file, { training: false });
    expect(await word(trainingFileOf(file))).toBe('forgotten');
    const { replaced } = await restoreBackup(made, file, { now: new Date(0) });
    expect(await word(trainingFileOf(file))).toBe('learned');
    expect(await word(join(replaced ?? '', 'shop.sqlite.practice'))).toBe('forgotten');
  });
});

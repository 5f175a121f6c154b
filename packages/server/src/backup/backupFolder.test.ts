import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import { isBackupDue } from './backupKeeper.ts';
import { backupsIn, deleteBackup, listBackups, nextSequence, rotate } from './backupFolder.ts';
import { BACKUP_REASONS, type BackupManifest, type BackupReason } from './backupManifest.ts';

const DAY = 86_400_000;
const NOW = Date.UTC(2026, 10, 1, 9);
let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'hardy-folder-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const manifestOf = (at: number, why: BackupReason = 'scheduled', sequence?: number): BackupManifest => ({
  format: 'hardy-spoke/backup',
  version: 1,
  at: new Date(at).toISOString(),
  why,
  ...(sequence === undefined ? {} : { sequence }),
  database: { sha256: '', bytes: 0, rows: {} },
  catalogue: null,
});
/** Puts a backup into the folder as if it had been made now, and rotates as a backup does. */
const make = (at: number, why: BackupReason = 'scheduled'): string => {
  const sequence = nextSequence(folder);
  const name = `${sequence}-${why}`;
  mkdirSync(join(folder, name));
  writeFileSync(join(folder, name, 'manifest.json'), JSON.stringify(manifestOf(at, why, sequence)));
  rotate(folder, new Date(at));
  return name;
};
const names = () => backupsIn(folder).map((each) => basename(each.folder));

describe('a folder of backups', () => {
  test('a hundred damaged entries hide no backup and stop neither rotation nor the next backup', () => {
    const good = make(NOW);
    const text = JSON.stringify(manifestOf(NOW, 'scheduled', 7));
    let n = 0;
    const damage: Array<(path: string) => void> = [
      (path) => writeFileSync(join(path, 'manifest.json'), text.slice(0, (n * 7) % text.length)),
      (path) => writeFileSync(join(path, 'manifest.json'), Buffer.from([0xff, 0xfe, n, 0])),
      (path) => writeFileSync(join(path, 'manifest.json'), text.replace('"version":1', '"version":2')),
      (path) => writeFileSync(join(path, 'manifest.json'), text.replace('scheduled', 'of a later version')),
      (path) => writeFileSync(join(path, 'manifest.json'), '[]'),
      (path) => writeFileSync(join(path, 'manifest.json'), text.replace(/"at":"[^"]*"/, '"at":"yesterday"')),
      (path) => mkdirSync(join(path, 'manifest.json')),
      (path) => symlinkSync(path, join(path, 'manifest.json')),
      (path) => symlinkSync(join(path, 'gone'), join(path, 'manifest.json')),
      () => undefined,
    ];
    for (; n < 100; n++) {
      const path = join(folder, `damaged-${n}`);
      mkdirSync(path);
      damage[n % damage.length]?.(path);
    }
    writeFileSync(join(folder, 'a file'), 'x');
    symlinkSync(join(folder, 'nowhere'), join(folder, 'a link to nothing'));
    const listed = listBackups(folder);
    expect(listed.backups.map((each) => basename(each.folder))).toEqual([good]);
    // Two of the ten kinds leave no manifest at all: they are simply no backups. The dead link is told too.
    expect(listed.unreadable.length).toBeGreaterThanOrEqual(80);
    for (const { reason } of listed.unreadable) expect(reason.length).toBeGreaterThan(10);
    const next = make(NOW + DAY);
    expect(names()).toEqual([next, good]);
    expect(readdirSync(folder).filter((name) => name.startsWith('damaged-'))).toHaveLength(100);
  });

  test('a folder that is not there is empty', () => {
    expect(listBackups(join(folder, 'none'))).toEqual({ backups: [], unreadable: [] });
  });

  test('one made while the clock was 61 days ahead leaves five of the earlier ones', () => {
    const made = Array.from({ length: 8 }, (_, i) => make(NOW + i * DAY));
    const ahead = make(NOW + 8 * DAY + 61 * DAY);
    expect(names()).toEqual([ahead, ...made.slice(-4).reverse()]);
  });

  test('fourteen from three weeks ahead do not delete the one made today', () => {
    for (let i = 0; i < 14; i++) make(NOW + 21 * DAY + i * DAY);
    const made = make(NOW);
    expect(names()[0]).toBe(made);
    expect(existsSync(join(folder, made))).toBe(true);
    const { backups } = listBackups(folder);
    expect(isBackupDue(backups, NOW + 60_000)).toBe(false);
    expect(isBackupDue(backups, NOW + DAY)).toBe(true);
  });

  test('a scheduled backup dated in the future does not keep the next one from being made', () => {
    make(NOW + 21 * DAY);
    expect(isBackupDue(listBackups(folder).backups, NOW)).toBe(true);
  });

  test('backups of older versions come before all that have a sequence', () => {
    for (const [name, at] of [
      ['old-b', NOW + 40 * DAY],
      ['old-a', NOW],
    ] as const) {
      mkdirSync(join(folder, name));
      writeFileSync(join(folder, name, 'manifest.json'), JSON.stringify(manifestOf(at)));
    }
    const made = make(NOW + DAY);
    expect(names()).toEqual([made, 'old-b', 'old-a']);
  });

  test('whatever the clock says: the newest five stay, and nothing expired stays beyond them', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: -90, max: 90 }), fc.constantFrom(...BACKUP_REASONS)), {
          minLength: 1,
          maxLength: 25,
        }),
        (steps) => {
          const made: string[] = [];
          for (const [days, why] of steps) {
            const now = NOW + days * DAY;
            made.push(make(now, why));
            const kept = names();
            expect(kept.slice(0, 5)).toEqual(
              made
                .slice(-5)
                .reverse()
                .filter((name) => kept.includes(name)),
            );
            expect(kept.slice(0, Math.min(5, made.length))).toEqual(made.slice(-5).reverse());
            for (const { manifest } of backupsIn(folder).slice(5))
              expect(now - Date.parse(manifest.at)).toBeLessThanOrEqual(60 * DAY);
          }
          rmSync(folder, { recursive: true });
          mkdirSync(folder);
        },
      ),
      { numRuns: 40 },
    );
  });

  test('one is deleted by its name; the newest and strangers are refused', () => {
    const older = make(NOW);
    const newest = make(NOW + DAY);
    deleteBackup(folder, older);
    expect(names()).toEqual([newest]);
    expect(() => deleteBackup(folder, newest)).toThrow(/newest backup and stays/);
    for (const name of [older, '..', '', '../../etc'])
      expect(() => deleteBackup(folder, name)).toThrow(/no such backup/);
    expect(names()).toEqual([newest]);
  });
});

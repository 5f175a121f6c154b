import { describe, expect, test } from '@jest/globals';
import { deletable, heldInWords, jumpInWords, megabytes } from './backupWords.ts';

const backup = (name: string, erased: number | null) => ({
  name,
  at: '2026-11-01T09:00:00.000Z',
  why: 'scheduled' as const,
  bytes: 1,
  training: false,
  erased,
});

describe('backups in words', () => {
  test('sizes and jumps have units', () => {
    expect([megabytes(1_234_567), megabytes(312e6)]).toEqual(['1.2 MB', '312 MB']);
    expect([61 * 24, -3, 0.1].map((hours) => jumpInWords(hours * 3_600_000))).toEqual([
      '61 days ahead',
      '3 hours back',
      '6 minutes ahead',
    ]);
  });

  test('what holds erased customers can be deleted, the newest never', () => {
    expect([0, 1, 2, null].map((erased) => heldInWords({ erased }))).toEqual([
      null,
      'holds 1 erased customer',
      'holds 2 erased customers',
      'may hold erased customers',
    ]);
    const backups = [backup('newest', 3), backup('clean', 0), backup('older', 1), backup('oldest', null)];
    expect(deletable({ backups }).map(({ name }) => name)).toEqual(['older', 'oldest']);
  });
});

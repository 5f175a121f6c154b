import { describe, expect, test } from '@jest/globals';
import { CHECK_NAMES } from '../vocabulary/check.ts';
import { resultsOf } from '../diagnosis/checkTable.ts';
import { SOUND_RESULT } from '../checkKinds/checkData.ts';
import { assumptionsWith, DEFAULT_ASSUMPTIONS } from './assumptions.ts';

describe('assumptions', () => {
  test('each lies in its range and says why', () => {
    for (const [key, { value, min, max, unit, reason }] of Object.entries(DEFAULT_ASSUMPTIONS)) {
      expect({ key, inside: value >= min && value <= max }).toEqual({ key, inside: true });
      expect(unit).not.toBe('');
      expect(reason.length).toBeGreaterThan(10);
    }
  });

  test('each row of a check sums to one', () => {
    const rows = new Map<string, number>();
    for (const [key, { value }] of Object.entries(DEFAULT_ASSUMPTIONS)) {
      const row = /^(check\..+)\.[^.]+$/.exec(key)?.[1];
      if (row && !/^check\.(minutes|setup|draws)/.test(key)) rows.set(row, (rows.get(row) ?? 0) + value);
    }
    for (const [row, sum] of rows) expect({ row, sum: Number(sum.toFixed(6)) }).toEqual({ row, sum: 1 });
  });

  test('every table has its sound result among its results', () => {
    for (const [table, normal] of Object.entries(SOUND_RESULT)) expect(resultsOf(table)).toContain(normal);
    for (const check of CHECK_NAMES) expect(DEFAULT_ASSUMPTIONS[`check.minutes.${check}`]).toBeDefined();
  });

  test('overrides are held to name and range', () => {
    expect(assumptionsWith({ 'labour.rate': 95 }).get('labour.rate')).toBe(95);
    expect(() => assumptionsWith({ 'labour.rate': -1 })).toThrow(/outside 0 to 1000 money\/h/);
    expect(() => assumptionsWith({ 'labour.rat': 1 })).toThrow(/labour\.rat/);
  });
});

import { describe, expect, test } from '@jest/globals';
import { parseDocket } from '../vocabulary/parseDocket.ts';
import { changeClaim, foundOnIt } from './claims.ts';
import { bringBack } from './handOver.ts';
import { monthsAfter, soldOn, warrantyOf } from './warranty.ts';

const docket = parseDocket({
  format: 'hardy-spoke/docket',
  version: 1,
  handed: [{ partNumber: 'A-1', quantity: 1, on: '2026-01-31' }],
});

describe('a claim', () => {
  test('is raised by a part that comes back bad from the box, and by no other', () => {
    const bad = bringBack(docket, 'A-1', 'bad', '2026-02-01');
    expect(bad.claims).toEqual([
      { partNumber: 'A-1', quantity: 1, on: '2026-02-01', fromBox: true, state: 'raised' },
    ]);
    expect(bringBack(docket, 'A-1', 'opened', '2026-02-01').claims).toBeUndefined();
  });

  test('keeps what was metered and what the supplier said', () => {
    const claimed = changeClaim(bringBack(docket, 'A-1', 'bad', '2026-02-01'), 0, {
      ohms: 'open',
      looked: 'pin bent',
      state: 'sent',
    });
    const [claim] = parseDocket(claimed).claims ?? [];
    expect(claim && foundOnIt(claim)).toBe('metered open; pin bent');
    expect(claim?.state).toBe('sent');
  });
});

describe('warranty', () => {
  test('runs from the day it was handed over, for its months, to the last day of a shorter one', () => {
    expect(soldOn(docket, 'A-1')).toBe('2026-01-31');
    expect(monthsAfter('2026-01-31', 1)).toBe('2026-02-28');
    expect(monthsAfter('2024-01-31', 1)).toBe('2024-02-29');
    expect(monthsAfter('2026-11-15', 24)).toBe('2028-11-15');
    expect(warrantyOf('2026-01-31', 1, '2026-02-28')).toEqual({ until: '2026-02-28', runs: true });
    expect(warrantyOf('2026-01-31', 1, '2026-03-01')?.runs).toBe(false);
    expect(warrantyOf(null, 12, '2026-03-01')).toBeNull();
    expect(warrantyOf('2026-01-31', null, '2026-03-01')).toBeNull();
  });
});

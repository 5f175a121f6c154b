import { describe, expect, test } from '@jest/globals';
import { KEPT_SPEEDS, KeptStretch } from '../vocabulary/sale.ts';
import { generateLog } from './generate/generateLog.ts';
import { keepStretch } from './keepStretch.ts';
import type { WheelLog } from './wheelLog.ts';

const logOf = (kmh: number[]): WheelLog => ({
  time: Float64Array.from(kmh, (_, i) => i / 10),
  wheels: [{ wheelEnd: 'A1L', kmh: Float32Array.from(kmh) }],
  vehicle: null,
  notes: [],
});

describe('a stretch of a log kept on a docket', () => {
  test('a dip of one sample among thousands is still in it', () => {
    const speeds = Array.from({ length: 6000 }, () => 30);
    speeds[3210] = 4;
    const [wheel] = keepStretch(logOf(speeds), 'drive.csv', 0, 600).wheels;
    expect(wheel?.kmh).toHaveLength(KEPT_SPEEDS);
    expect(wheel?.kmh.filter((speed) => speed === 4)).toHaveLength(1);
    expect(Math.max(...(wheel?.kmh ?? []).map((speed) => speed ?? 0))).toBe(30);
  });

  test('only what lies between the two times is kept, and what is missing stays missing', () => {
    const speeds = Array.from({ length: 1200 }, (_, i) => (i < 600 ? 10 : Number.NaN));
    const kept = (from: number, to: number) => keepStretch(logOf(speeds), 'x', from, to).wheels[0]?.kmh ?? [];
    expect(new Set(kept(0, 50))).toEqual(new Set([10]));
    expect(new Set(kept(70, 110))).toEqual(new Set([null]));
  });

  test('a stretch of three samples fills its columns, and any is a valid part of a docket', () => {
    const few = keepStretch(logOf([1, 2, 3, 4, 5]), 'x', 0.1, 0.4);
    expect(few.wheels[0]?.kmh.every((speed) => speed !== null)).toBe(true);
    const log = generateLog({ seed: 3, drive: 'town', seconds: 90, rateHz: 20, faults: [] });
    for (const [from, to] of [
      [0, 90],
      [89.9, 90],
      [200, 300],
    ] as const)
      expect(KeptStretch.safeParse(keepStretch(log, 'drive', from, to)).success).toBe(true);
  });
});

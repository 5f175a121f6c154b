import { describe, expect, test } from '@jest/globals';
import { ClockWatch, type ClockJump } from './clockWatch.ts';

const watched = () => {
  const now = { wall: Date.UTC(2026, 10, 1), monotonic: 0 };
  const reported: ClockJump[] = [];
  const watch = new ClockWatch((jump) => reported.push(jump), {
    wall: () => now.wall,
    monotonic: () => now.monotonic,
  });
  const pass = (ms: number, jumpMs = 0) => {
    now.wall += ms + jumpMs;
    now.monotonic += ms;
    watch.look();
  };
  return { watch, pass, reported };
};

describe('the clock', () => {
  test('a jump ahead or back is reported once, with its size; small corrections are not', () => {
    const { watch, pass, reported } = watched();
    for (let i = 0; i < 20; i++) pass(30_000, i % 2 ? 900 : -900);
    expect(reported).toEqual([]);
    pass(30_000, 61 * 86_400_000);
    pass(30_000);
    pass(30_000, -3_600_000);
    expect(reported.map(({ byMs }) => byMs)).toEqual([61 * 86_400_000, -3_600_000]);
    expect(watch.jumps).toEqual(reported);
  });

  test('records from the future are reported when a server starts', () => {
    const { watch, reported } = watched();
    watch.compareWithNewest(Date.UTC(2026, 9, 31));
    expect(reported).toEqual([]);
    watch.compareWithNewest(Date.UTC(2026, 10, 8));
    expect(reported.map(({ byMs }) => byMs)).toEqual([-7 * 86_400_000]);
  });

  test('the last ten are kept', () => {
    const { watch, pass } = watched();
    for (let i = 1; i <= 14; i++) pass(1000, i * 600_000);
    expect(watch.jumps.map(({ byMs }) => byMs / 600_000)).toEqual([5, 6, 7, 8, 9, 10, 11, 12, 13, 14]);
  });
});

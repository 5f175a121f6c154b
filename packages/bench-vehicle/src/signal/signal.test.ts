import { describe, expect, test } from '@jest/globals';
import { randomFrom } from '@hardy/core/chance';
import { driveOf, type Cycle } from '../motion/drive.ts';
import { rimSpeed } from '../motion/wheelSpeed.ts';
import { soundVehicle } from '../vehicle/soundVehicle.ts';
import type { Sensing } from '../vehicle/build.ts';
import type { Corner } from '../vehicle/parts.ts';
import { wheelSignal } from './wheelSignal.ts';

const run = (change: (corner: Corner) => void, cycles: Cycle[], more: Partial<Sensing> = {}, wet = false) => {
  const { build, corners } = soundVehicle({ sensor: 'passive', target: 'ring-on-shaft', ...more });
  const [sensing] = build.sensing as [Sensing, Sensing];
  const corner = corners.A2L;
  change(corner);
  const drive = driveOf(cycles, randomFrom(3), { wet });
  const rim = rimSpeed(build, 'A2L', drive);
  const signal = wheelSignal(build, sensing, corner, drive, rim, 12, randomFrom(5));
  /** Mean of shown over true while the true speed lies between, km/h. */
  const share = (from: number, to: number) => {
    let shown = 0;
    let true_ = 0;
    rim.forEach((v, i) => {
      if (v * 3.6 < from || v * 3.6 > to) return;
      shown += signal.kmh[i] as number;
      true_ += v * 3.6;
    });
    return shown / true_;
  };
  /** Samples that show less than 85 % of the true speed, of those between. */
  const dips = (from: number, to: number) => {
    let n = 0;
    let all = 0;
    rim.forEach((v, i) => {
      if (v * 3.6 < from || v * 3.6 > to) return;
      all++;
      if ((signal.kmh[i] as number) < 0.85 * v * 3.6) n++;
    });
    return n / all;
  };
  return { signal, rim, share, dips };
};

describe('what a wheel sends', () => {
  test('a sound one shows the true speed from walking pace on', () => {
    expect(run(() => undefined, ['yard', 'town']).share(6, 60)).toBeCloseTo(1, 2);
  });
  test('a lifted coil is lost when slow and sound when fast; an active element is not lost by speed', () => {
    const lift = (c: Corner) => void (c.seat.liftedMm = 0.7);
    const coil = run(lift, ['yard', 'town']);
    expect(coil.share(3, 8)).toBeLessThan(0.5);
    expect(coil.share(35, 60)).toBeGreaterThan(0.97);
    const element = run(lift, ['yard', 'town'], { sensor: 'active', target: 'encoder-in-bearing', gapMm: 1 });
    expect(element.share(3, 8)).toBeGreaterThan(0.95);
  });
  test('a crack shows at walking pace and hides at speed', () => {
    const { dips } = run((c) => void (c.target.crack = 0.8), ['yard', 'town'], {
      sensor: 'active',
      gapMm: 0.9,
    });
    expect(dips(4, 9)).toBeGreaterThan(0.01);
    expect(dips(35, 60)).toBeLessThan(0.002);
  });
  test('another count, or a larger tyre, is off by its ratio at every speed', () => {
    const count = run((c) => void (c.target.count = 47), ['town']);
    expect(count.share(12, 25)).toBeCloseTo(47 / 48, 2);
    expect(count.share(35, 60)).toBeCloseTo(47 / 48, 2);
    const wide = run((c) => void (c.tyre.size = { width: 215, aspect: 70, rim: 15 }), ['town']);
    expect(wide.share(20, 60)).toBeCloseTo((381 + 246) / (381 + 301), 2);
  });
  test('pins that part are lost on bumps only, a leak only when wet, a warm winding only after long use', () => {
    const parts = run((c) => void (c.joint.parts = 0.8), ['town']);
    expect(parts.signal.parted.some(Boolean)).toBe(true);
    expect(parts.share(20, 60)).toBeGreaterThan(0.8);
    const leak = (wet: boolean) => run((c) => void (c.joint.wetLeak = 120), ['town'], {}, wet).share(20, 60);
    expect(leak(false)).toBeCloseTo(1, 1);
    expect(leak(true)).toBeLessThan(0.9);
    expect(run((c) => void (c.sensor.inside = 'warm'), ['town']).share(20, 60)).toBeCloseTo(1, 1);
  });
  test('an open loom or a dead element sends nothing', () => {
    expect(run((c) => void (c.loom.open = true), ['town']).share(5, 60)).toBe(0);
    expect(run((c) => void (c.sensor.inside = 'dead'), ['town'], { sensor: 'active' }).share(5, 60)).toBe(0);
  });
});

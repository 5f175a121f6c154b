import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { randomFrom } from '../chance/random.ts';
import { logChiSquareTail, logNormalTail } from './chiSquare.ts';
import { accelerationOf, commonMotion, fasterOfTwo } from './commonMotion.ts';
import { confidenceOf } from './confidence.ts';
import { walkDistance } from './distanceWalk.ts';
import { driveProfile, DRIVES } from './generate/driveProfile.ts';
import { generateLog } from './generate/generateLog.ts';
import { findGains } from './gains.ts';
import { kthSmallest, meanNearMedian, medianOf, modeOf } from './order.ts';
import { sampleAt, thinPerPixel } from './perPixel.ts';
import { roleOfHeading, wheelEndOf, type WheelPlace } from './read/headings.ts';
import { secondsOfClock } from './read/logReader.ts';
import { inKmh, SPEED_UNITS, speedUnitIn, timeUnitIn } from './read/units.ts';
import { bandOf, SPEED_BANDS } from './residuals.ts';
import { mendTimes } from './timeBase.ts';
import type { WheelLog } from './wheelLog.ts';

const evenly = (n: number, step: number): Float64Array =>
  Float64Array.from({ length: n }, (_, i) => i * step);
const log = (wheels: Readonly<Record<string, readonly number[]>>, step = 0.1): WheelLog => {
  const n = Object.values(wheels)[0]?.length ?? 0;
  return {
    time: evenly(n, step),
    wheels: Object.entries(wheels).map(([wheelEnd, kmh]) => ({ wheelEnd, kmh: Float32Array.from(kmh) })),
    vehicle: null,
    notes: [],
  };
};

describe('order statistics', () => {
  const numbers = fc.array(fc.double({ min: -1e6, max: 1e6, noNaN: true }), { minLength: 1, maxLength: 120 });

  test('the k-th smallest is what sorting gives', () => {
    fc.assert(
      fc.property(numbers, fc.nat(1000), (values, pick) => {
        const k = pick % values.length;
        const sorted = [...values].sort((x, y) => x - y);
        expect(kthSmallest(Float64Array.from(values), values.length, k)).toBe(sorted[k]);
        expect(medianOf(Float64Array.from(values))).toBe(sorted[(values.length - 1) >> 1]);
      }),
      { numRuns: 300, seed: 3 },
    );
    expect(medianOf(new Float64Array(0))).toBeNaN();
  });

  test('a mean near the median does not hear the outliers', () => {
    const values = Float64Array.from([1, 1.1, 0.9, 1, 1.05, 0.95, 40, -30]);
    expect(meanNearMedian(values, 8, 0.5)).toBeCloseTo(1, 9);
  });

  test('the mode lies where values crowd, whatever else there is', () => {
    const random = randomFrom(3);
    const values = Float64Array.from({ length: 4000 }, (_, i) =>
      i % 4 === 0 ? random.between(-0.2, 0.2) : 0.03 + random.normal() * 0.004,
    );
    expect(modeOf(values, values.length, 0.001, 4)).toBeCloseTo(0.03, 2);
    expect(modeOf(values, 0, 0.001, 4)).toBeNaN();
  });
});

describe('times mended', () => {
  const good = Array.from({ length: 40 }, (_, i) => 100 + i * 0.1);

  test('a good clock starts at nothing and keeps every row', () => {
    const { time, rows, interval, notes } = mendTimes(Float64Array.from(good));
    expect(time[0]).toBe(0);
    expect(time).toHaveLength(40);
    expect([...rows.slice(0, 3)]).toEqual([0, 1, 2]);
    expect(interval).toBeCloseTo(0.1, 9);
    expect(notes).toEqual([]);
  });

  test('shuffled, doubled, unreadable: sorted, dropped, left out, and told each time', () => {
    const shuffled = [...good].reverse();
    expect(mendTimes(Float64Array.from(shuffled)).notes.join()).toMatch(/not in order/);
    const doubled = [...good, ...good.slice(0, 3)].sort((x, y) => x - y);
    const mended = mendTimes(Float64Array.from(doubled));
    expect(mended.time).toHaveLength(40);
    expect(mended.notes.join()).toMatch(/3 rows with a time already seen/);
    const torn = mendTimes(Float64Array.from([...good, Number.NaN, Number.NaN]));
    expect(torn.notes.join()).toMatch(/2 rows without a readable time/);
    for (const each of [mended, torn])
      expect([...each.time].every((t, i) => i === 0 || t > (each.time[i - 1] ?? 0))).toBe(true);
  });

  test('a clock of whole seconds with ten rows each is spread, not thrown away', () => {
    const coarse = Float64Array.from({ length: 100 }, (_, i) => Math.floor(i / 10));
    const { time, interval } = mendTimes(coarse);
    expect(time).toHaveLength(100);
    expect(interval).toBeCloseTo(0.1, 6);
  });

  test('no clock at all is said with the way out', () => {
    expect(() => mendTimes(new Float64Array(50))).toThrow(/the same in every row/);
    expect(() => mendTimes(Float64Array.from(good.slice(0, 5)))).toThrow(/only 5 samples/);
    expect(() => mendTimes(new Float64Array(50).fill(Number.NaN))).toThrow(/time/);
  });
});

describe('the common motion', () => {
  test('one wheel that drops out, spins or is missing does not set the speed', () => {
    const motion = commonMotion(
      log({
        A1L: [50, 0, 50, 50],
        A1R: [50, 50, 90, 50],
        A2L: [50, 50, 50, Number.NaN],
        A2R: [50, 50, 50, 50],
      }),
      [1, 1, 1, 1],
    );
    for (const v of motion) expect(v).toBeCloseTo(50, 5);
  });

  test('gains are divided out, and two wheels are averaged unless one is lost', () => {
    const two = log({ A1L: [51, 51, 0], A1R: [50, 50, 50] });
    const motion = commonMotion(two, [1.02, 1]);
    expect(motion[0]).toBeCloseTo(50, 4);
    expect(motion[2]).toBeCloseTo(50, 4);
    expect(fasterOfTwo(two, [1, 1])[0]).toBeCloseTo(51, 4);
  });

  test('no wheel, no speed', () => {
    expect(
      commonMotion(log({ A1L: [Number.NaN], A1R: [Number.NaN], A2L: [Number.NaN] }), [1, 1, 1])[0],
    ).toBeNaN();
  });

  test('acceleration in metres per second squared', () => {
    const time = evenly(100, 0.05);
    const motion = Float32Array.from(time, (t) => 3.6 * 2 * t);
    for (const a of accelerationOf(time, motion, 0.05).slice(10, 90)) expect(a).toBeCloseTo(2, 3);
  });
});

describe('gains', () => {
  test.each([
    ['A1L', 1.0213],
    ['A2R', 0.96],
    ['A2L', 1.05],
  ])('%s that reads %f is told to 0.3 %%, bends or not', (wheelEnd, ratio) => {
    const drive = generateLog({
      seed: 21,
      seconds: 240,
      rateHz: 20,
      drive: 'mixed',
      wear: 0,
      faults: [
        {
          wheelEnd,
          pattern: ratio > 1 ? 'reads-high' : 'reads-low',
          severity: 0.5,
          percent: (ratio - 1) * 100,
        },
      ],
    });
    const flat = drive.wheels.map(() => 1);
    const motion = commonMotion(drive, flat);
    const { ratios } = findGains(drive, motion, accelerationOf(drive.time, motion, 0.05), 0.05);
    drive.wheels.forEach((wheel, w) => {
      expect(Math.abs((ratios[w] ?? 0) - (wheel.wheelEnd === wheelEnd ? ratio : 1))).toBeLessThan(0.003);
    });
  });
});

describe('distance', () => {
  test('metres by the motion, and the way is lost over a gap', () => {
    const time = evenly(200, 0.1);
    for (let i = 100; i < 200; i++) time[i] = (time[i] as number) + 5;
    const motion = new Float32Array(200).fill(36);
    const walk = walkDistance(time, motion, 0.1, { from: 1.9, to: 2.1 });
    expect(walk.metres[50]).toBeCloseTo(50, 3);
    expect(walk.stretch[1]?.[99]).not.toBe(walk.stretch[1]?.[100]);
    expect(walk.limits[0]).toBeCloseTo((1.9 / 0.1 / 2) * 3.6, 9);
  });

  test('speed bands hold every speed in order', () => {
    for (let kmh = 0; kmh < 200; kmh += 0.5) {
      const band = bandOf(kmh);
      expect(kmh).toBeLessThanOrEqual(SPEED_BANDS[band] ?? Infinity);
      if (kmh > 0) expect(band).toBeGreaterThanOrEqual(bandOf(kmh - 0.5));
    }
  });
});

describe('tails', () => {
  test('normal and chi-square tails agree with the tables', () => {
    expect(Math.exp(logNormalTail(0))).toBeCloseTo(0.5, 5);
    expect(Math.exp(logNormalTail(1.959964))).toBeCloseTo(0.025, 4);
    expect(Math.exp(logNormalTail(-1.2816))).toBeCloseTo(0.9, 3);
    expect(logNormalTail(8)).toBeCloseTo(Math.log(6.22e-16), 1);
    expect(Math.exp(logChiSquareTail(5.991, 2))).toBeCloseTo(0.05, 4);
    expect(Math.exp(logChiSquareTail(18.307, 10))).toBeCloseTo(0.05, 2);
  });

  test('confidence rises with the margin and stays a probability', () => {
    for (const pattern of ['normal', 'once-per-turn', 'drops-out', 'reads-high', 'noisy'] as const) {
      let last = 0;
      for (let margin = 0; margin < 8; margin += 0.25) {
        const now = confidenceOf(pattern, margin);
        expect(now).toBeGreaterThanOrEqual(last - 1e-9);
        expect(now).toBeLessThanOrEqual(1);
        last = now;
      }
    }
  });
});

describe('headings and units', () => {
  test.each([
    ['time_s', { kind: 'time', unit: 's' }],
    ['Time (ms)', { kind: 'time', unit: 'ms' }],
    ['A1L_kmh', { kind: 'wheel', place: { axle: 1, side: 'L' }, unit: 'km/h' }],
    ['wheel speed front left [mph]', { kind: 'wheel', place: { axle: 'front', side: 'L' }, unit: 'mph' }],
    ['RR m/s', { kind: 'wheel', place: { axle: 'rear', side: 'R' }, unit: 'm/s' }],
    ['Vehicle speed km/h', { kind: 'vehicle', unit: 'km/h' }],
    ['engine coolant', { kind: 'other' }],
    ['brake pressure FL', { kind: 'other' }],
  ])('%s', (heading, role) => {
    expect(roleOfHeading(heading)).toMatchObject(role);
  });

  test('rear is the last axle that is named', () => {
    const rear: WheelPlace = { axle: 'rear', side: 'L' };
    const middle: WheelPlace = { axle: 'middle', side: 'L' };
    expect(wheelEndOf(rear, [rear])).toBe('A2L');
    expect(wheelEndOf(rear, [rear, middle])).toBe('A3L');
    expect(wheelEndOf(middle, [rear, middle])).toBe('A2L');
  });

  test('units are what they are in km/h, turns by the circumference', () => {
    expect(inKmh('m/s', 2)).toBe(3.6);
    expect(inKmh('mph', 2)).toBeCloseTo(1.609344, 9);
    expect(inKmh('rpm', 2) * 500).toBeCloseTo(60, 9);
    expect(inKmh('rad/s', 2) * 2 * Math.PI).toBeCloseTo(7.2, 9);
    for (const unit of SPEED_UNITS) expect(inKmh(unit, 1.98)).toBeGreaterThan(0);
    expect(speedUnitIn('speed [km/h]')).toBe('km/h');
    expect(speedUnitIn('speed')).toBeNull();
    expect(timeUnitIn('elapsed us')).toBe('us');
    expect(timeUnitIn('tick')).toBeNull();
  });

  test.each([
    ['10:02:03.5', 36123.5],
    ['02:03.25', 123.25],
    ['2026-11-25T01:00:01Z', 3601],
    ['1:00:00 pm', 46800],
  ])('clock %s', (text, seconds) => {
    expect(secondsOfClock(text)).toBeCloseTo(seconds, 9);
  });

  test('no clock is no number', () => {
    expect(secondsOfClock('no clock')).toBeNaN();
  });
});

describe('drawing and driving', () => {
  test('thinning keeps the highest and lowest of every column and never more than four points a pixel', () => {
    const random = randomFrom(8);
    const n = 5000;
    const time = evenly(n, 0.01);
    const values = Float32Array.from({ length: n }, () => random.normal());
    const curve = thinPerPixel(time, values, 0, n, 100);
    expect(curve.x.length).toBeLessThanOrEqual(400);
    expect(Math.max(...curve.y)).toBeCloseTo(Math.max(...values), 6);
    expect(Math.min(...curve.y)).toBeCloseTo(Math.min(...values), 6);
    expect([...curve.x].every((x, i) => i === 0 || x >= (curve.x[i - 1] ?? 0))).toBe(true);
  });

  test('the sample at a moment by halving', () => {
    const time = evenly(50, 0.5);
    expect(sampleAt(time, 10)).toBe(20);
    expect(sampleAt(time, 10.1)).toBe(21);
    expect(sampleAt(time, -1)).toBe(0);
    expect(sampleAt(time, 1e9)).toBe(50);
  });

  test.each(DRIVES)(
    'a %s drive never goes backwards nor faster than it may, and is the same for a seed',
    (drive) => {
      const make = () => driveProfile(randomFrom(5), drive, 300, 0.05);
      const { speed, acceleration, yaw } = make();
      expect(make()).toEqual({ speed, acceleration, yaw });
      expect(speed).toHaveLength(6000);
      expect(Math.min(...speed)).toBeGreaterThanOrEqual(0);
      expect(Math.max(...speed) * 3.6).toBeLessThan(125);
      // No bend is taken faster than an ordinary driver would.
      speed.forEach((v, i) => {
        expect(Math.abs(v * (yaw[i] ?? 0))).toBeLessThan(4);
      });
    },
  );
});

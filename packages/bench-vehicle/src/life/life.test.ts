import { describe, expect, test } from '@jest/globals';
import { randomFrom } from '@hardy/core/chance';
import { complains, useForWeeks } from '../controller/use.ts';
import { clearCodes, doWork, fitPart, putAllRight } from '../repair/repair.ts';
import { meterAc, meterSensor, meterSupply } from '../people/meter.ts';
import { watchSpeeds } from '../people/watchSpeeds.ts';
import { testDrive } from '../controller/use.ts';
import { endsOf, type End } from '../vehicle/build.ts';
import type { BenchVehicle } from '../vehicle/benchVehicle.ts';
import { soundVehicle } from '../vehicle/soundVehicle.ts';
import { copyOf } from '../vehicle/copyOf.ts';
import { drawLife } from './drawLife.ts';

const lives = Array.from({ length: 40 }, (_, i) => drawLife(5000 + i));
const curedBy = (vehicle: BenchVehicle, mend: (v: BenchVehicle) => void): boolean => {
  const copy = copyOf(vehicle);
  mend(copy);
  clearCodes(copy);
  useForWeeks(copy, randomFrom(1));
  return !complains(copy);
};

describe('lives', () => {
  test('the same seed is the same life', () => {
    expect(drawLife(5000)).toEqual(lives[0]);
    expect(drawLife(5001)).not.toEqual(lives[0]);
  });
  test('every one brings a complaint, and all put right is well', () => {
    for (const { vehicle, befell } of lives) {
      expect(befell.length).toBeGreaterThan(0);
      expect(complains(vehicle) || vehicle.memory.troubles.length > 0).toBe(true);
      expect(curedBy(vehicle, putAllRight)).toBe(true);
    }
  });
  test('what befell it is what is wrong: a corner nothing befell has no code of its own that a drive writes', () => {
    for (const { vehicle, befell } of lives) {
      const copy = copyOf(vehicle);
      clearCodes(copy);
      useForWeeks(copy, randomFrom(2));
      const struck = new Set(befell.map(([, end]) => end));
      for (const { of } of copy.memory.troubles)
        if (of !== 'supply' && of !== 'controller')
          // A tyre of another size may be on both sides.
          expect(struck.has(of) || befell.some(([name]) => name === 'another size')).toBe(true);
    }
  });
});

describe('repairs', () => {
  test('of new sensors so many are bad from the box as their tier has', () => {
    const bad = (tier: 'dealer' | 'budget') => {
      const random = randomFrom(9);
      let count = 0;
      for (let i = 0; i < 3000; i++) {
        const vehicle = soundVehicle({ sensor: 'active' });
        fitPart(vehicle, 'A1L', 'sensor', random, tier);
        if (vehicle.corners.A1L.sensor.inside === 'dead') count++;
      }
      return count / 3000;
    };
    expect(bad('dealer')).toBeCloseTo(0.01, 2);
    expect(bad('budget')).toBeCloseTo(0.07, 1);
    expect(bad('budget')).toBeGreaterThan(4 * bad('dealer'));
  });

  const broken = (sensor: 'passive' | 'active', hurt: (corner: BenchVehicle['corners'][End]) => void) => {
    const vehicle = soundVehicle({ sensor });
    hurt(vehicle.corners.A1L);
    return vehicle;
  };
  test.each([
    ['an open coil', 'passive', (c) => void (c.sensor.inside = 'open'), 'sensor', true],
    ['an open coil', 'passive', (c) => void (c.sensor.inside = 'open'), 'connector-kit', false],
    ['a cut joint', 'passive', (c) => void (c.joint.ohms = Infinity), 'connector-kit', true],
    ['a cut joint', 'passive', (c) => void (c.joint.ohms = Infinity), 'sensor', false],
    ['damaged poles', 'active', (c) => void (c.target.missing = 8), 'hub-assembly', true],
    ['damaged poles', 'active', (c) => void (c.target.missing = 8), 'sensor', false],
  ] as ReadonlyArray<
    [
      string,
      'passive' | 'active',
      (c: BenchVehicle['corners'][End]) => void,
      'sensor' | 'connector-kit' | 'hub-assembly',
      boolean,
    ]
  >)('%s (%s)', (_, sensor, hurt, part, cures) => {
    const vehicle = broken(sensor, hurt);
    expect(curedBy(vehicle, () => undefined)).toBe(false);
    // Most fitters do it well: of twenty seeds nearly all cure, or none does.
    const cured = Array.from({ length: 20 }, (_, i) =>
      curedBy(vehicle, (v) => fitPart(v, 'A1L', part, randomFrom(i + 1))),
    ).filter(Boolean).length;
    if (cures) expect(cured).toBeGreaterThan(16);
    else expect(cured).toBe(0);
  });
  test('work: the loom, the seat, tyres', () => {
    const of = (hurt: (c: BenchVehicle['corners'][End]) => void, work: 'loom' | 'seating' | 'tyre') =>
      curedBy(broken('passive', hurt), (v) => doWork(v, 'A1L', work, randomFrom(3)));
    expect(of((c) => void (c.loom.open = true), 'loom')).toBe(true);
    expect(of((c) => void (c.seat.liftedMm = 1.4), 'seating')).toBe(true);
    expect(of((c) => void (c.loom.open = true), 'seating')).toBe(false);
  });
});

describe('what people find', () => {
  const of = (sensor: 'passive' | 'active', hurt: (c: BenchVehicle['corners'][End]) => void) => {
    const vehicle = soundVehicle({ sensor });
    hurt(vehicle.corners.A1L);
    return vehicle;
  };
  const watched = (vehicle: BenchVehicle) => {
    const { drive, driven } = testDrive(vehicle, randomFrom(6));
    return endsOf(vehicle.build).map((end) => watchSpeeds(vehicle, driven, drive, end).pattern);
  };
  test('a green pin drops nothing at the open plug, a cut loom everything', () => {
    expect(
      meterSupply(
        of('active', (c) => void (c.joint.ohms = 3000)),
        'A1L',
        randomFrom(1),
      ),
    ).toBeGreaterThan(11);
    expect(
      meterSupply(
        of('active', (c) => void (c.loom.open = true)),
        'A1L',
        randomFrom(1),
      ),
    ).toBeLessThan(0.1);
  });
  test('a winding that fails warm meters well when cold', () => {
    const ohms = meterSensor(
      of('passive', (c) => void (c.sensor.inside = 'warm')),
      'A1L',
      15,
      randomFrom(1),
    );
    expect(ohms).toBeGreaterThan(1100);
    expect(ohms).toBeLessThan(1250);
  });
  test('turned by hand, a lifted coil gives too little', () => {
    expect(
      meterAc(
        of('passive', () => undefined),
        'A1L',
        1,
        randomFrom(1),
      ),
    ).toBeGreaterThan(0.1);
    expect(
      meterAc(
        of('passive', (c) => void (c.seat.liftedMm = 1)),
        'A1L',
        1,
        randomFrom(1),
      ),
    ).toBeLessThan(0.04);
  });
  test('speeds on a reader name what is wrong, and only there', () => {
    expect(watched(of('active', () => undefined))).toEqual(['normal', 'normal', 'normal', 'normal']);
    expect(watched(of('active', (c) => void (c.sensor.inside = 'dead')))[0]).toBe('no-signal');
    expect(watched(of('passive', (c) => void (c.seat.liftedMm = 0.8)))[0]).toBe('weak-at-low-speed');
    expect(watched(of('active', (c) => void (c.target.count = 44)))).toEqual([
      'reads-low',
      'normal',
      'normal',
      'normal',
    ]);
    expect(watched(of('active', (c) => void (c.target.missing = 2)))[0]).toBe('once-per-turn');
  });
});

import { describe, expect, test } from '@jest/globals';
import { randomFrom } from '@hardy/core/chance';
import { soundVehicle } from '../vehicle/soundVehicle.ts';
import { clearCodes, fitPart } from '../repair/repair.ts';
import { driveOf, STEP_S } from '../motion/drive.ts';
import { driveWith, keyOn } from './drive.ts';
import { complains, testDrive, useForWeeks } from './use.ts';

const codes = (v: ReturnType<typeof soundVehicle>) =>
  v.memory.troubles.map(({ of, failure, active }) => `${of} ${failure}${active ? '' : ' stored'}`);

describe('a controller', () => {
  test('finds nothing in weeks of a sound vehicle, passive or active, wet or dry', () => {
    for (const sensor of ['passive', 'active'] as const)
      for (let seed = 1; seed <= 5; seed++) {
        const vehicle = soundVehicle({ sensor });
        useForWeeks(vehicle, randomFrom(seed));
        testDrive(vehicle, randomFrom(seed));
        expect([codes(vehicle), complains(vehicle)]).toEqual([[], false]);
      }
  });

  test('an open coil is found standing still; a new sensor, a drive, and the lamp is out while the code stays stored', () => {
    const vehicle = soundVehicle({ sensor: 'passive' });
    vehicle.corners.A1R.sensor.inside = 'open';
    keyOn(vehicle, false);
    expect(codes(vehicle)).toEqual(['A1R 13']);
    expect(vehicle.memory.lamp).toBe(true);
    fitPart(vehicle, 'A1R', 'sensor', randomFrom(4));
    keyOn(vehicle, false);
    expect(vehicle.memory.lamp).toBe(true);
    testDrive(vehicle, randomFrom(2));
    expect(codes(vehicle)).toEqual(['A1R 13 stored']);
    expect(vehicle.memory.lamp).toBe(false);
  });

  test('a dead element passes the test at rest and is missed 1.2 s after the others pass 15 km/h', () => {
    const vehicle = soundVehicle({ sensor: 'active' });
    vehicle.corners.A2L.sensor.inside = 'dead';
    keyOn(vehicle, false);
    expect(codes(vehicle)).toEqual([]);
    const drive = driveOf(['town'], randomFrom(1));
    const { found } = driveWith(vehicle, drive, randomFrom(1));
    expect(codes(vehicle)).toEqual(['A2L 31']);
    const passes = drive.speed.findIndex((v) => v * 3.6 > 15) * STEP_S;
    const [step] = found[0] as (typeof found)[number];
    expect(step * STEP_S - passes).toBeGreaterThan(1.1);
    expect(step * STEP_S - passes).toBeLessThan(1.6);
  });

  test('a wheel off by a tooth count of four in 48 does not fit; one off by one in 48 goes unsaid', () => {
    const count = (n: number) => {
      const vehicle = soundVehicle({ sensor: 'active' });
      vehicle.corners.A2R.target.count = n;
      driveWith(vehicle, driveOf(['road', 'road'], randomFrom(1)), randomFrom(1));
      return codes(vehicle);
    };
    expect(count(44)).toEqual(['A2R 62']);
    expect(count(47)).toEqual([]);
  });

  test('a cracked ring grinds the pedal in the last metres, often without a lamp', () => {
    const vehicle = soundVehicle({ sensor: 'passive', target: 'ring-on-shaft' });
    vehicle.corners.A1L.target.crack = 1.2;
    useForWeeks(vehicle, randomFrom(3));
    expect(vehicle.memory.falseAction).toBe(true);
  });

  test('a weak battery puts everything else to sleep', () => {
    const vehicle = soundVehicle({ sensor: 'passive' });
    vehicle.shared.batteryVolts = 9.8;
    vehicle.corners.A1L.loom.open = true;
    testDrive(vehicle, randomFrom(1));
    expect(codes(vehicle)).toEqual(['supply 1C']);
  });

  test('pins that part are written down only while driven, and cleared codes come back', () => {
    const vehicle = soundVehicle({ sensor: 'passive' });
    vehicle.corners.A2L.joint.parts = 1;
    keyOn(vehicle, false);
    expect(codes(vehicle)).toEqual([]);
    const seen = [1, 2, 3, 4].map((seed) => {
      clearCodes(vehicle);
      useForWeeks(vehicle, randomFrom(seed));
      return vehicle.memory.troubles.length > 0;
    });
    expect(seen.filter(Boolean).length).toBeGreaterThan(1);
  });
});

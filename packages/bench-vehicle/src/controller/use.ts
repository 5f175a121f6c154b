import type { Random } from '@hardy/core/chance';
import { driveOf, type Drive } from '../motion/drive.ts';
import type { BenchVehicle } from '../vehicle/benchVehicle.ts';
import { driveWith, type Driven } from './drive.ts';

/** A test drive from the workshop: the yard, then the town, dry or as the day is. */
export const testDrive = (
  vehicle: BenchVehicle,
  random: Random,
  wet = false,
): { drive: Drive; driven: Driven } => {
  const drive = driveOf(['yard', 'town'], random, { wet });
  return { drive, driven: driveWith(vehicle, drive, random) };
};

/** Weeks of use in short: a warm drive on the road, and one in the wet that stops. */
export const useForWeeks = (vehicle: BenchVehicle, random: Random): void => {
  driveWith(vehicle, driveOf(['town', 'road'], random, { usedBefore: 1500 }), random);
  driveWith(vehicle, driveOf(['yard', 'town', 'wet stop'], random, { wet: true, usedBefore: 600 }), random);
};

/** Whether a driver has something to complain of: a lamp, or a pedal that grinds for nothing. */
export const complains = ({ memory }: BenchVehicle): boolean => memory.lamp || memory.falseAction;

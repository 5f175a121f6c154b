import type { Random } from '@hardy/core/chance';
import type { BenchVehicle } from '../vehicle/benchVehicle.ts';
import { across, endsOf, sensingAt, type End } from '../vehicle/build.ts';
import {
  soundBearing,
  soundJoint,
  soundLoom,
  soundSeat,
  soundSensor,
  soundTarget,
} from '../vehicle/parts.ts';

/** Parts that can be fitted at a wheel end. */
export type Fitted = 'sensor' | 'tone-ring' | 'hub-assembly' | 'axle-shaft' | 'connector-kit';
/** Work without a part. */
export type Work = 'seating' | 'loom' | 'tyre' | 'supply' | 'none-present';

/** Quality of a part, dearest first. */
export type FittedTier = 'dealer' | 'good' | 'budget';
/** Of sensors out of the box so many are bad: open, or dead. What counters tell of returns, by what was paid. */
const BAD_FROM_BOX: Readonly<Record<FittedTier, number>> = { dealer: 0.01, good: 0.025, budget: 0.07 };
/** Mistakes of a hurried fitter: metal left on the tip, the lead pulled tight, rust left under the foot. */
const LEAVES_SWARF = 0.02;
const STRETCHES_LEAD = 0.015;
const LEAVES_RUST = 0.2;
/** Another ring than the right one, or an encoder pressed in wrong side in. */
const WRONG_COUNT = 0.015;
const WRONG_SIDE = 0.02;

const newSensor = (vehicle: BenchVehicle, end: End, random: Random, tier: FittedTier): void => {
  const corner = vehicle.corners[end];
  const sensing = sensingAt(vehicle.build, end);
  corner.sensor = soundSensor(sensing.ohms);
  if (random.chance(BAD_FROM_BOX[tier]))
    corner.sensor.inside = sensing.sensor === 'passive' ? 'open' : 'dead';
  if (random.chance(LEAVES_SWARF)) corner.sensor.swarfMm = 0.6;
  if (random.chance(STRETCHES_LEAD)) corner.sensor.inside = 'shaken';
  // Its foot is cleaned as it goes in, mostly; its half of the joint is new, and plugging it in wipes the other half.
  if (!random.chance(LEAVES_RUST)) corner.seat = soundSeat();
  else corner.seat.boltLoose = false;
  corner.joint.ohms *= 0.6;
  corner.joint.parts *= 0.7;
};

const newTarget = (vehicle: BenchVehicle, end: End, random: Random): void => {
  const { count, target } = sensingAt(vehicle.build, end);
  vehicle.corners[end].target = soundTarget(random.chance(WRONG_COUNT) ? count - 1 : count);
  if (target === 'encoder-in-bearing' && random.chance(WRONG_SIDE)) vehicle.corners[end].target.field = 0.05;
};

/** Fits a part; whether this vehicle has it at all is the caller's affair. */
export const fitPart = (
  vehicle: BenchVehicle,
  end: End,
  part: Fitted,
  random: Random,
  tier: FittedTier = 'good',
): void => {
  const corner = vehicle.corners[end];
  const { mounting, target } = sensingAt(vehicle.build, end);
  switch (part) {
    case 'sensor':
      if (mounting === 'separate') newSensor(vehicle, end, random, tier);
      return;
    case 'connector-kit': {
      const bad = random.chance(0.03);
      corner.joint = { ...soundJoint(), repairedBefore: true, ...(bad ? { parts: 0.4 } : {}) };
      return;
    }
    case 'tone-ring':
      if (target !== 'encoder-in-bearing') newTarget(vehicle, end, random);
      return;
    case 'axle-shaft':
      if (target === 'ring-on-shaft') newTarget(vehicle, end, random);
      return;
    case 'hub-assembly':
      corner.bearing = soundBearing();
      if (target !== 'ring-on-shaft') newTarget(vehicle, end, random);
      // What is built in comes with it; a separate one that has to come out and will not is bought as well.
      if (mounting === 'in-hub' || random.chance(0.5 * corner.sensor.seized))
        newSensor(vehicle, end, random, tier);
  }
};

/** Does work at a wheel end, or on the whole vehicle. */
export const doWork = (vehicle: BenchVehicle, end: End | null, work: Work, random: Random): void => {
  const at = end ? [end] : endsOf(vehicle.build);
  for (const each of at) {
    const corner = vehicle.corners[each];
    if (work === 'seating') {
      if (random.chance(0.9)) corner.seat = soundSeat();
      corner.sensor.swarfMm = 0;
    } else if (work === 'loom' && random.chance(0.95)) {
      corner.loom = { ...soundLoom(), repairedBefore: true };
      if (random.chance(0.5)) corner.sensor.lead = 'sound';
    } else if (work === 'tyre')
      for (const one of [each, across(each)])
        vehicle.corners[one].tyre = { size: vehicle.build.tyre, wornMm: 0.5, pressure: 1 };
  }
  if (work === 'supply') vehicle.shared.batteryVolts = 12.7;
};

/** Sensors of one axle change sides, each with its lead. */
export const swapSensors = (vehicle: BenchVehicle, end: End): void => {
  const [here, there] = [vehicle.corners[end], vehicle.corners[across(end)]];
  [here.sensor, there.sensor] = [there.sensor, here.sensor];
  // Whoever takes it out wipes its foot.
  for (const corner of [here, there]) corner.seat.liftedMm *= 0.5;
};

/** Another workshop finds it all and puts it right. */
export const putAllRight = (vehicle: BenchVehicle): void => {
  for (const end of endsOf(vehicle.build)) {
    const { count, ohms } = sensingAt(vehicle.build, end);
    Object.assign(vehicle.corners[end], {
      tyre: { size: vehicle.build.tyre, wornMm: 0.5, pressure: 1 },
      target: soundTarget(count),
      sensor: soundSensor(ohms),
      seat: soundSeat(),
      bearing: soundBearing(),
      joint: soundJoint(),
      loom: soundLoom(),
    });
  }
  vehicle.shared.batteryVolts = 12.7;
  vehicle.shared.controllerFailed = false;
};

/** Clears every code and puts the lamp out until something is found again. */
export const clearCodes = ({ memory }: BenchVehicle): void => {
  memory.troubles = [];
  memory.lamp = false;
  memory.falseAction = false;
};

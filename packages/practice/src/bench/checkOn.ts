import {
  across,
  clearCodes,
  countTeeth,
  endsOf,
  keyOn,
  lookAlongLoom,
  lookAtJoint,
  lookAtRing,
  lookAtTip,
  meterAc,
  meterBattery,
  meterSensor,
  meterSupply,
  rockWheel,
  sensingAt,
  spinWheel,
  swapSensors,
  testDrive,
  tyreText,
  watchSpeeds,
  wiggleLead,
  type BenchVehicle,
  type End,
} from '@hardy/bench-vehicle';
import type { Random } from '@hardy/core/chance';
import type { Check, CheckName } from '@hardy/core/words';

const CELSIUS = 15;
/** A failure found within so many samples after a bump was the bump's. */
const AFTER_A_BUMP = 30;
/** Of the failures of a drive so many must be on bumps for a person to say that they are. */
const MOSTLY = 0.8;

/** Clears the codes, switches on, drives: where does it come back, and when? */
const clearAndDrive = (vehicle: BenchVehicle, end: End, random: Random): Check => {
  clearCodes(vehicle);
  keyOn(vehicle, false);
  const back = () => vehicle.memory.troubles.some(({ of }) => of === end);
  const result = ((): 'stays-away' | 'back-at-once' | 'back-on-bumps' | 'back-when-driven' => {
    if (back()) return 'back-at-once';
    const { drive, driven } = testDrive(vehicle, random);
    const found = driven.found.filter(([, at]) => at === end);
    if (found.length === 0) return 'stays-away';
    const onBumps = found.filter(([step]) =>
      drive.bump.subarray(Math.max(0, step - AFTER_A_BUMP), step + 1).includes(1),
    ).length;
    return onBumps / found.length >= MOSTLY ? 'back-on-bumps' : 'back-when-driven';
  })();
  return { check: 'clear-and-drive', wheelEnd: end, result };
};

/** The sensors of an axle change sides; then it is driven to see which side is written down. */
const swap = (vehicle: BenchVehicle, end: End, random: Random): Check | null => {
  const other = across(end);
  swapSensors(vehicle, end);
  clearCodes(vehicle);
  testDrive(vehicle, random);
  const at = (where: End) => vehicle.memory.troubles.some(({ of }) => of === where);
  if (at(other) === at(end)) return null;
  return { check: 'swap', wheelEnd: end, with: other, result: at(other) ? 'fault-followed' : 'fault-stayed' };
};

/** Speeds on the reader, each wheel against the others, in one drive. */
export const liveChecks = (vehicle: BenchVehicle, ends: readonly End[], random: Random): Check[] => {
  const { drive, driven } = testDrive(vehicle, random);
  return ends.map((end) => ({
    check: 'live' as const,
    wheelEnd: end,
    ...watchSpeeds(vehicle, driven, drive, end),
  }));
};

/**
 * Makes one check on the bench vehicle, as a docket holds it; null where it told nothing. Some change the vehicle: codes are
 * cleared, sensors change sides.
 */
export const checkOn = (vehicle: BenchVehicle, name: CheckName, end: End, random: Random): Check | null => {
  const here = { wheelEnd: end };
  switch (name) {
    case 'visual.connector':
      return { check: name, ...here, result: lookAtJoint(vehicle, end, random) };
    case 'visual.ring':
      return { check: name, ...here, result: lookAtRing(vehicle, end, random) };
    case 'visual.sensor':
      return { check: name, ...here, result: lookAtTip(vehicle, end, random) };
    case 'visual.harness':
      return { check: name, ...here, result: lookAlongLoom(vehicle, end, random) };
    case 'ring.teeth':
      return {
        check: name,
        ...here,
        counted: countTeeth(vehicle, end, random),
        expected: sensingAt(vehicle.build, end).count,
      };
    case 'bearing.play':
      return { check: name, ...here, result: rockWheel(vehicle, end, random) };
    case 'bearing.noise':
      return { check: name, ...here, result: spinWheel(vehicle, end, random) };
    case 'wiggle':
      return { check: name, ...here, result: wiggleLead(vehicle, end, random) };
    case 'live':
      return liveChecks(vehicle, [end], random)[0] ?? null;
    case 'meter.resistance': {
      const ohms = meterSensor(vehicle, end, CELSIUS, random);
      return {
        check: name,
        ...here,
        of: 'sensor',
        ohms: typeof ohms === 'number' ? Math.round(ohms) : ohms,
        temperatureC: CELSIUS,
      };
    }
    case 'meter.supply':
      return { check: name, ...here, volts: Math.round(meterSupply(vehicle, end, random) * 100) / 100 };
    case 'meter.ac':
      return {
        check: name,
        ...here,
        volts: Math.round(meterAc(vehicle, end, 1, random) * 1000) / 1000,
        turnsPerSecond: 1,
      };
    case 'clear-and-drive':
      return clearAndDrive(vehicle, end, random);
    case 'swap':
      return swap(vehicle, end, random);
    case 'tyres':
      return {
        check: name,
        sizes: Object.fromEntries(
          endsOf(vehicle.build).map((each) => [each, tyreText(vehicle.corners[each].tyre.size)]),
        ),
      };
    case 'battery':
      return { check: name, restingVolts: Math.round(meterBattery(vehicle, random) * 100) / 100 };
    case 'lamps':
      return { check: name, result: vehicle.memory.lamp ? 'on' : 'out-by-itself' };
    case 'brake.fluid':
      return { check: name, result: 'full' };
  }
};

import type { Random } from '@hardy/core/chance';
import { coilOhms, coilPeak, rmsOf } from '../laws/coil.ts';
import { gapAtRest, teethOf, wiringOf } from '../signal/wheelSignal.ts';
import type { BenchVehicle } from '../vehicle/benchVehicle.ts';
import { sensingAt, type End } from '../vehicle/build.ts';

/** A hand meter's reading is off by about so much, share. */
const METER_OFF = 0.008;
/** An active element passes a meter's test current one way only, and shows megohms or nothing: it tells nothing. */
const ACTIVE_SHOWS = 4.2e6;

/** Resistance of the sensor at its own side of the plug, ohm; `unstable` where the figure runs. */
export const meterSensor = (
  vehicle: BenchVehicle,
  end: End,
  celsius: number,
  random: Random,
): number | 'open' | 'unstable' => {
  const { sensor } = vehicle.corners[end];
  if (sensor.inside === 'open') return 'open';
  if (sensor.inside === 'shaken' && random.chance(0.5)) return 'unstable';
  const off = 1 + METER_OFF * random.normal();
  if (sensingAt(vehicle.build, end).sensor === 'active') return ACTIVE_SHOWS * off;
  return coilOhms(sensor.ohms, celsius, sensor.shortedShare) * off;
};

/**
 * Volts at the open plug, on the side of the body. A meter draws next to nothing: a green pin drops nothing and hides, a
 * leak and a cut show.
 */
export const meterSupply = (vehicle: BenchVehicle, end: End, random: Random): number => {
  const corner = vehicle.corners[end];
  const { series, leak } = wiringOf({ ...corner, sensor: { ...corner.sensor, lead: 'sound' } }, false);
  if (series === Infinity) return 0.05 * random.next();
  // The feed stands behind about 150 ohm of the controller's own.
  const share = leak === Infinity ? 1 : leak / (leak + 150);
  return (vehicle.shared.batteryVolts - 0.4) * share * (1 + METER_OFF * random.normal());
};

/** AC volts of a passive sensor with the wheel turned by hand, at its own plug. */
export const meterAc = (vehicle: BenchVehicle, end: End, turnsPerSecond: number, random: Random): number => {
  const corner = vehicle.corners[end];
  if (corner.sensor.inside === 'open' || corner.sensor.tip === 'broken') return 0;
  const { field } = teethOf(corner.target);
  const meanField = field.reduce((sum, f) => sum + f, 0) / field.length;
  const peak = coilPeak(
    turnsPerSecond * corner.target.count,
    gapAtRest(corner, sensingAt(vehicle.build, end)),
    meanField,
    corner.sensor.shortedShare,
  );
  // A hand does not turn evenly.
  return rmsOf(peak) * Math.exp(0.1 * random.normal());
};

/** Resting volts of the battery. */
export const meterBattery = ({ shared }: BenchVehicle, random: Random): number =>
  shared.batteryVolts * (1 + 0.003 * random.normal());

/** Resistance of one wire of the loom from the sensor's plug to the controller's, both unplugged, ohm; of the signal to ground with `toGround`. */
export const meterLoom = (
  vehicle: BenchVehicle,
  end: End,
  toGround: boolean,
  random: Random,
): number | 'open' => {
  const corner = vehicle.corners[end];
  const { series, leak } = wiringOf({ ...corner, sensor: { ...corner.sensor, lead: 'sound' } }, false);
  const ohms = toGround ? leak : series;
  return ohms === Infinity ? 'open' : ohms * (1 + METER_OFF * random.normal());
};

import type { Random } from '@hardy/core/chance';
import { loopState } from '../laws/activeElement.ts';
import { coilOhms } from '../laws/coil.ts';
import { rimSpeed } from '../motion/wheelSpeed.ts';
import { STEP_S, type Drive } from '../motion/drive.ts';
import { wheelSignal, wiringOf, type WheelSignal } from '../signal/wheelSignal.ts';
import type { BenchVehicle } from '../vehicle/benchVehicle.ts';
import { across, axleOf, endsOf, sensingAt, type End } from '../vehicle/build.ts';
import { record, type Failure } from './memory.ts';

/** At key on a coil loop above this is open, below that shorted, and a leak below that is one to ground, ohm. */
const OPEN_OHMS = 12_000;
const SHORT_OHMS = 120;
const LEAK_OHMS = 700;
/** Below this the controller does nothing but say so, V. */
const LEAST_SUPPLY = 9.6;
/** A resting battery of so many volts sinks by so much while the pump tests itself. */
const SAG_V = 0.6;
/** A wheel is missing when the others go faster than this while it shows less than that for so long: km/h, km/h, s. */
const MISSING_FROM = 15;
const MISSING_BELOW = 3;
const MISSING_FOR = 1.2;
/**
 * A circuit that parts and closes again so often is intermittent. The small current that a controller sends through a coil is watched
 * while driving too: a signal that is lost with the circuit whole (a wide gap) is no intermittent circuit.
 */
const PARTED_TIMES = 2;
/** A sample off by such a share of the others above this speed counts one; what counts leaks away by so much a second. */
const JUMP = 0.18;
const JUMP_FROM = 8;
const JUMP_LEAKS = 3;
const JUMPS = 14;
/** A wheel that is off its neighbour by this share for so long above this speed does not fit, s and km/h. */
const RATIO = 0.055;
const RATIO_FOR = 12;
const RATIO_FROM = 20;
/** Anti-lock lets off where a braked wheel falls this share below the others, faster than so many km/h. */
const FALSE_SLIP = 0.22;
const FALSE_FROM = 3.5;
/** After a start with all well the lamp goes out above this speed, km/h. */
const LAMP_OUT = 18;

/** A drive as the controller lived it. */
export interface Driven {
  readonly signals: ReadonlyMap<End, WheelSignal>;
  /** Steps in which something was found, and where. */
  readonly found: ReadonlyArray<readonly [step: number, end: End, failure: Failure]>;
  /** Steps in which brakes were let off for nothing. */
  readonly falseActions: number;
}

/** Failures that the test at key on finds and lets go. */
const AT_REST: ReadonlySet<Failure> = new Set(['11', '13', '1C']);

/** Tests at key on: what stands still can be metered. Codes of what is well become stored. */
export const keyOn = (vehicle: BenchVehicle, wet: boolean): void => {
  const { memory, build, shared } = vehicle;
  // What only a drive can find stands until a drive has not found it.
  for (const trouble of memory.troubles) if (AT_REST.has(trouble.failure)) trouble.active = false;
  const volts = shared.batteryVolts - SAG_V;
  if (shared.controllerFailed) record(memory, 'controller', '1C');
  if (volts < LEAST_SUPPLY) {
    record(memory, 'supply', '1C');
    return;
  }
  for (const end of endsOf(build)) {
    const corner = vehicle.corners[end];
    const { series, leak } = wiringOf(corner, wet);
    const open = corner.sensor.inside === 'open';
    if (sensingAt(build, end).sensor === 'passive') {
      const loop = open ? Infinity : coilOhms(corner.sensor.ohms, 15, corner.sensor.shortedShare) + series;
      if (leak < LEAK_OHMS) record(memory, end, '11');
      else if (loop > OPEN_OHMS) record(memory, end, '13');
      else if (loop < SHORT_OHMS) record(memory, end, '11');
    } else {
      const state = loopState(volts, open ? Infinity : series, leak);
      if (state === 'open') record(memory, end, '13');
      else if (state === 'short') record(memory, end, '11');
      else if (state === 'starved') record(memory, end, '1C');
    }
  }
};

/** The second fastest: one wheel alone, lost or slipping, does not decide what the others are held against. */
const referenceOf = (values: readonly number[]): number => {
  let first = -Infinity;
  let second = -Infinity;
  for (const value of values)
    if (value > first) {
      second = first;
      first = value;
    } else if (value > second) second = value;
  return second === -Infinity ? 0 : second;
};

/**
 * A drive with the controller awake: it works out every wheel's speed, holds each against the others, writes codes and
 * lights the lamp. It never sees a tooth, a pin or a tyre.
 */
export const driveWith = (vehicle: BenchVehicle, drive: Drive, random: Random): Driven => {
  const { build, memory, shared } = vehicle;
  keyOn(vehicle, drive.wet);
  const ends = endsOf(build);
  const supply = shared.batteryVolts + 1.4;
  const signals = new Map(
    ends.map((end) => [
      end,
      wheelSignal(
        build,
        sensingAt(build, end),
        vehicle.corners[end],
        drive,
        rimSpeed(build, end, drive),
        supply,
        random,
      ),
    ]),
  );
  const found: Array<readonly [number, End, Failure]> = [];
  const tell = (step: number, end: End, failure: Failure) => {
    found.push([step, end, failure]);
    record(memory, end, failure);
  };
  const awake = shared.batteryVolts - SAG_V >= LEAST_SUPPLY;
  const kmh = ends.map((end) => (signals.get(end) as WheelSignal).kmh);
  const partedAt = ends.map((end) => (signals.get(end) as WheelSignal).parted);
  const mates = ends.map((end) => ends.indexOf(across(end)));
  const onOtherAxles = ends.map((end) =>
    ends.flatMap((each, k) => (axleOf(each) === axleOf(end) ? [] : [k])),
  );
  /** Every wheel in one step, filled again in each: a drive has tens of thousands. */
  const now = ends.map(() => 0);
  const missing = ends.map(() => 0);
  const jumps = ends.map(() => 0);
  const ratio = ends.map(() => 0);
  const losses = ends.map(() => 0);
  const told = new Set<string>();
  /** Once a wheel is written down, the controller no longer tests it in this drive. */
  const given = new Set<End>();
  const once = (step: number, end: End, failure: Failure) => {
    if (given.has(end)) return;
    given.add(end);
    told.add(`${end} ${failure}`);
    tell(step, end, failure);
  };
  let falseActions = 0;
  let fastest = 0;
  if (awake)
    for (const end of ends)
      for (const [step, state] of (signals.get(end) as WheelSignal).loop)
        once(step, end, state === 'open' ? '13' : state === 'short' ? '11' : '1C');
  for (let i = 0; awake && i < drive.steps; i++) {
    for (let e = 0; e < now.length; e++) now[e] = (kmh[e] as Float32Array)[i] as number;
    const reference = referenceOf(now);
    fastest = Math.max(fastest, reference);
    const bends = Math.abs(drive.yaw[i] as number) > 0.05;
    for (let k = 0; k < ends.length; k++) {
      const e = k;
      const end = ends[e] as End;
      const own = now[e] as number;
      const off = reference > 0 ? own / reference - 1 : 0;
      if (reference > MISSING_FROM && own < MISSING_BELOW) {
        missing[e] = (missing[e] as number) + STEP_S;
        if (missing[e] > MISSING_FOR) once(i, end, '31');
      } else missing[e] = 0;
      // The circuit closes again after it was parted.
      const parted = partedAt[e] as Uint8Array;
      if (i > 0 && parted[i - 1] === 1 && parted[i] === 0) {
        losses[e] = (losses[e] as number) + 1;
        if (losses[e] >= PARTED_TIMES) once(i, end, '1F');
      }
      jumps[e] = Math.max(0, (jumps[e] as number) - JUMP_LEAKS * STEP_S);
      const before = i > 0 ? ((kmh[e] as Float32Array)[i - 1] as number) : own;
      // A real wheel does not change so fast: a jump, and away from the others.
      if (reference > JUMP_FROM && Math.abs(off) > JUMP && Math.abs(own - before) > 0.06 * reference) {
        jumps[e] = jumps[e] + 1;
        if (jumps[e] > JUMPS) once(i, end, '2F');
      }
      const mate = now[mates[e] as number] as number;
      if (reference > RATIO_FROM && !bends && own > MISSING_BELOW && mate > MISSING_BELOW) {
        // Which of the two is off is seen by the other axle.
        const others = onOtherAxles[e] as readonly number[];
        let sum = 0;
        for (const k of others) sum += now[k] as number;
        const middle = sum / others.length;
        const here = Math.abs(own / mate - 1) > RATIO && Math.abs(own / middle - 1) > RATIO * 0.7;
        ratio[e] = here ? (ratio[e] as number) + STEP_S : Math.max(0, (ratio[e] as number) - STEP_S);
        if (ratio[e] > RATIO_FOR) once(i, end, '62');
      }
      if (
        (drive.push[i] as number) < -0.5 &&
        reference > FALSE_FROM &&
        reference < 14 &&
        off < -FALSE_SLIP &&
        own > 0.5
      ) {
        falseActions++;
        memory.falseAction = true;
      }
    }
  }
  if (fastest > LAMP_OUT)
    for (const trouble of memory.troubles)
      if (
        !AT_REST.has(trouble.failure) &&
        trouble.of !== 'supply' &&
        !told.has(`${trouble.of} ${trouble.failure}`)
      )
        trouble.active = false;
  if (fastest > LAMP_OUT && memory.troubles.every(({ active }) => !active)) memory.lamp = false;
  return { signals, found, falseActions };
};

import type { Random } from '@hardy/core/chance';
import { loopState, poleField, SWITCHES_FROM, type LoopState } from '../laws/activeElement.ts';
import { coilOhms, coilPeak, shareArriving } from '../laws/coil.ts';
import { rollingMetres } from '../laws/tyreCircle.ts';
import { STEP_S, type Drive } from '../motion/drive.ts';
import type { Build, Sensing } from '../vehicle/build.ts';
import type { Corner, Target } from '../vehicle/parts.ts';

/** A pulse counts from so many volts on, at the input of the controller. */
const COUNTS_FROM_V = 0.12;
/** Noise of a peak, share: what shakes and hums. */
const NOISE = 0.06;
/** Share of a change that the shown speed takes over from one step to the next: controllers smooth over about 60 ms. */
const FOLLOWS = 0.35;
/** A winding that fails warm opens here, degC. */
const OPENS_AT_C = 70;
/** How long a parted pin or strand stays apart, s. */
const APART_S: readonly [number, number] = [0.06, 0.5];
/** Rust of full thickness takes so much gap, mm, unevenly; it makes up so much of what it covers. */
const RUST_MM = 0.7;

/** What one wheel's signal was over a drive. */
export interface WheelSignal {
  /** As the controller works it out, km/h. */
  readonly kmh: Float32Array;
  /** Where the current of the loop told the controller that it is not as it should be; passive loops tell only at rest. */
  readonly loop: ReadonlyArray<readonly [step: number, state: Exclude<LoopState, 'works'>]>;
  /** Steps in which the circuit was parted. */
  readonly parted: Uint8Array;
}

/** Resistance of the wiring in series and to ground, wet or dry, with nothing parted. */
export const wiringOf = ({ joint, loom, sensor }: Corner, wet: boolean): { series: number; leak: number } => {
  const leaks = [
    wet ? joint.wetLeak : Infinity,
    loom.chafeOhms,
    sensor.lead === 'worn-through' ? 900 : Infinity,
  ];
  const conductance = leaks.reduce((sum, ohms) => sum + 1 / ohms, 0);
  return {
    series: loom.open ? Infinity : joint.ohms,
    leak: conductance > 0 ? 1 / conductance : Infinity,
  };
};

/** Gap at rest, mm: as built, what another part adds, what lies under the sensor or on its tip. */
export const gapAtRest = ({ sensor, seat }: Corner, { gapMm }: Sensing): number =>
  gapMm + sensor.shortMm + seat.liftedMm + (seat.boltLoose ? 0.5 : 0) + sensor.swarfMm;

/** Field of every tooth and how long its pitch is, in pitches of a sound ring. */
export const teethOf = (target: Target): { field: Float64Array; pitch: Float64Array } => {
  const { count } = target;
  const field = new Float64Array(count).fill(target.field);
  const pitch = new Float64Array(count).fill(1);
  // Rust swells in lumps: a fixed wave over the ring.
  if (target.swollen > 0)
    for (let k = 0; k < count; k++) {
      const lump = 0.5 + 0.5 * Math.sin(k * 2.4) * Math.cos(k * 0.9 + 1);
      field[k] = target.field * (1 - 0.75 * target.swollen * lump);
    }
  for (let k = 0; k < Math.round(target.missing); k++) field[(3 + k) % count] = 0;
  if (target.crack > 0) {
    pitch[0] = 1 + target.crack;
    // A tooth at the edge of a wide crack stands alone: its field is spoilt.
    if (target.crack > 0.6) field[0] = (field[0] as number) * 0.3;
  }
  return { field, pitch };
};

const isSound = (corner: Corner, { count }: Sensing): boolean => {
  const { target, sensor, seat, bearing, joint, loom } = corner;
  return (
    target.crack === 0 &&
    target.missing === 0 &&
    target.swollen < 0.1 &&
    target.field === 1 &&
    !target.loose &&
    target.count === count &&
    sensor.inside === 'sound' &&
    sensor.shortedShare === 0 &&
    sensor.shortMm + sensor.swarfMm + seat.liftedMm < 0.25 &&
    !seat.boltLoose &&
    sensor.lead === 'sound' &&
    bearing.playMm < 0.15 &&
    joint.ohms < 30 &&
    joint.wetLeak > 20_000 &&
    joint.parts === 0 &&
    loom.chafeOhms > 20_000 &&
    !loom.open &&
    loom.strand === 0
  );
};

/**
 * What the controller works out as this wheel's speed. Every tooth that passes makes a pulse if its field at this gap, this
 * speed and through this wiring is enough; speed is the time between pulses, so a missing one halves it for a moment and a
 * long pitch lowers it. The gap breathes with the play of the bearing, once a turn and with the load of a bend.
 */
export const wheelSignal = (
  build: Build,
  sensing: Sensing,
  corner: Corner,
  drive: Drive,
  rim: Float32Array,
  supplyVolts: number,
  random: Random,
): WheelSignal => {
  const metres = rollingMetres(corner.tyre.size, corner.tyre.wornMm, corner.tyre.pressure);
  const metresBuilt = rollingMetres(build.tyre);
  const passive = sensing.sensor === 'passive';
  const kmh = new Float32Array(drive.steps);
  const parted = new Uint8Array(drive.steps);
  const loop: Array<readonly [number, Exclude<LoopState, 'works'>]> = [];
  const { target, sensor, bearing, joint, loom } = corner;
  /** Pulses a second to km/h, as the controller was told the vehicle is. */
  const toKmh = (metresBuilt / sensing.count) * 3.6;
  if (isSound(corner, sensing)) {
    const perMetre = sensing.count / metres;
    const gap = gapAtRest(corner, sensing);
    for (let i = 0; i < kmh.length; i++) {
      const rate = Math.abs(rim[i] as number) * perMetre;
      const heard = !passive || coilPeak(rate, gap) > COUNTS_FROM_V;
      kmh[i] = heard ? rate * toKmh * (1 + 0.002 * (random.next() - 0.5)) : 0;
    }
    return { kmh, loop, parted };
  }

  const { series, leak } = wiringOf(corner, drive.wet);
  const { field, pitch } = teethOf(target);
  const gap = gapAtRest(corner, sensing);
  const opening = joint.parts + loom.strand + (sensor.inside === 'shaken' ? 0.5 : 0);
  const closed: LoopState = passive ? 'works' : loopState(supplyVolts, series, leak);
  const opened: LoopState = passive ? 'works' : loopState(supplyVolts, Infinity, leak);
  let apartUntil = -1;
  let place = random.next() * target.count;
  /** Pulses that should have come and those that did, since the speed was last worked out. */
  let due = 0;
  let came = 0;
  let shown = 0;
  for (let i = 0; i < kmh.length; i++) {
    if (drive.bump[i] && opening > 0 && random.chance(Math.min(1, opening)))
      apartUntil = i + random.between(...APART_S) / STEP_S;
    const celsius = drive.celsius[i] as number;
    const isOpen =
      i < apartUntil ||
      series === Infinity ||
      sensor.inside === 'open' ||
      (sensor.inside === 'warm' && celsius > OPENS_AT_C);
    if (isOpen) parted[i] = 1;
    const state = isOpen ? opened : closed;
    if (!passive && state !== 'works') loop.push([i, state]);
    const moved = (Math.abs(rim[i] as number) * STEP_S) / metres;
    const turning = target.loose ? 0.6 : 1;
    const teeth = moved * target.count * turning;
    const rate = teeth / STEP_S;
    // The hub tilts in the play of its bearing: with the wheel's own turn, and to one side in a bend.
    const bend = (drive.yaw[i] as number) * (drive.speed[i] as number);
    const swing =
      bearing.playMm * (0.5 * Math.sin((2 * Math.PI * place) / target.count) + 0.12 * bend) +
      target.runoutMm * Math.sin((2 * Math.PI * place) / target.count + 1) +
      RUST_MM * target.swollen * -0.2;
    const here = Math.max(0.05, gap + swing);
    const silent = isOpen || sensor.inside === 'dead' || sensor.tip === 'broken' || state !== 'works';
    const strength = silent
      ? 0
      : passive
        ? (coilPeak(rate, here, 1, sensor.shortedShare) *
            shareArriving(coilOhms(sensor.ohms, celsius, sensor.shortedShare), series, leak)) /
          COUNTS_FROM_V
        : poleField(here) / SWITCHES_FROM;
    let left = teeth;
    while (left > 0) {
      const k = Math.floor(place) % target.count;
      const step = Math.min(left, Math.floor(place) + 1 - place);
      const passes = place + step >= Math.floor(place) + 1;
      if (passes) {
        due++;
        const level = strength * (field[k] as number);
        const heard = level > 1.3 || (level > 0.7 && level * (1 + NOISE * random.normal()) > 1);
        if (heard) came += 1 / (pitch[k] as number);
      }
      place = (place + step) % target.count;
      left -= step;
    }
    if (due >= 1 || rate < 1) {
      const now = due > 0 ? (rate * came) / due : 0;
      shown += (now - shown) * (rate < 1 ? 1 : FOLLOWS);
      due = 0;
      came = 0;
    }
    kmh[i] = shown * toKmh;
  }
  return { kmh, loop, parted };
};

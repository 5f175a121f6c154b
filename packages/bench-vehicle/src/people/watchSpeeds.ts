import type { Driven } from '../controller/drive.ts';
import type { Drive } from '../motion/drive.ts';
import { rollingMetres } from '../laws/tyreCircle.ts';
import type { BenchVehicle } from '../vehicle/benchVehicle.ts';
import { endsOf, type End } from '../vehicle/build.ts';
import type { WheelSignal } from '../signal/wheelSignal.ts';

/** What one sees of a wheel on a reader that shows all speeds. */
export type Pattern =
  | 'normal'
  | 'no-signal'
  | 'drops-out'
  | 'once-per-turn'
  | 'reads-high'
  | 'reads-low'
  | 'weak-at-low-speed'
  | 'noisy';
export interface Watched {
  readonly pattern: Pattern;
  /** Share off the others, %, where that is what is seen. */
  readonly percent?: number;
}

/** A dip of this share of the others' speed catches the eye. */
const DIP = 0.12;
/** A wheel that is off by this share at all speeds is noticed, %. */
const OFF_PERCENT = 2.5;
/** From dip to dip so near to a whole turn counts as a beat, turns. */
const BEAT = 0.15;
const median = (values: number[]): number => {
  const sorted = values.sort((x, y) => x - y);
  return sorted.length === 0 ? NaN : (sorted[sorted.length >> 1] as number);
};

/** The others' speed, sample by sample: the second fastest of all. */
const others = (driven: Driven, vehicle: BenchVehicle, steps: number): Float32Array => {
  const all = endsOf(vehicle.build).map((end) => (driven.signals.get(end) as WheelSignal).kmh);
  return Float32Array.from(
    { length: steps },
    (_, i) => all.map((kmh) => kmh[i] as number).sort((x, y) => y - x)[1] ?? 0,
  );
};

/**
 * Compares one wheel's speed with the others over a drive, as a person with a good eye and a recording does: dead, lost when
 * slow, off by a share, dropping out, a dip at the same place of every turn, or restless.
 */
export const watchSpeeds = (vehicle: BenchVehicle, driven: Driven, drive: Drive, end: End): Watched => {
  const { kmh } = driven.signals.get(end) as WheelSignal;
  const reference = others(driven, vehicle, drive.steps);
  const turn = rollingMetres(vehicle.build.tyre);
  let way = 0;
  let slow = 0;
  let slowLost = 0;
  let fast = 0;
  let fastLost = 0;
  let gone = 0;
  let spells = 0;
  const ratios: number[] = [];
  const dips: number[] = [];
  let inDip = false;
  for (let i = 0; i < drive.steps; i++) {
    const ref = reference[i] as number;
    const own = kmh[i] as number;
    way += (ref / 3.6) * 0.02;
    if (ref < 2.5) continue;
    const lost = own < 0.3 * ref;
    const straight = Math.abs(drive.yaw[i] as number) < 0.03;
    // Below walking pace every coil is lost.
    if (ref < 6) continue;
    if (ref < 11) {
      slow++;
      if (lost) slowLost++;
    } else if (ref > 15) {
      fast++;
      if (lost) fastLost++;
    }
    if (lost) gone++;
    else {
      if (gone >= 3) spells++;
      gone = 0;
    }
    if (straight && ref > 20 && !lost) ratios.push(own / ref);
    const dip = straight && own < (1 - DIP) * ref;
    if (dip && !inDip && !lost) dips.push(way / turn);
    inDip = dip;
  }
  const slowShare = slow > 0 ? slowLost / slow : 0;
  const fastShare = fast > 0 ? fastLost / fast : 0;
  if ((fast > 0 ? fastShare : slowShare) > 0.9) return { pattern: 'no-signal' };
  if (slowShare > 0.25 && fastShare < 0.05) return { pattern: 'weak-at-low-speed' };
  const percent = (median(ratios) - 1) * 100;
  if (Math.abs(percent) > OFF_PERCENT)
    return { pattern: percent > 0 ? 'reads-high' : 'reads-low', percent: Math.round(percent * 10) / 10 };
  if (spells >= 2 && fastShare > 0.005) return { pattern: 'drops-out' };
  if (dips.length >= 5) {
    const apart = dips.slice(1).map((place, i) => place - (dips[i] as number));
    // One beat a turn: from dip to dip lies a whole number of turns, mostly one.
    const beats = apart.filter((turns) => {
      const whole = Math.max(1, Math.round(turns));
      return whole <= 3 && Math.abs(turns - whole) < BEAT;
    }).length;
    return { pattern: beats / apart.length > 0.55 ? 'once-per-turn' : 'noisy' };
  }
  return { pattern: spells >= 1 ? 'drops-out' : 'normal' };
};

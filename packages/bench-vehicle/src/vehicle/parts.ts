import type { TyreSize } from '../laws/tyreCircle.ts';

/** What the parts of one wheel end are like now. Lengths in mm, resistances in ohm. */
export interface Tyre {
  size: TyreSize;
  wornMm: number;
  /** Share of the pressure it should have. */
  pressure: number;
}

export interface Target {
  /** Teeth or pole pairs that it has: another count than the build's is another part. */
  count: number;
  /** Width of a crack, in tooth pitches. */
  crack: number;
  /** Teeth gone, or pole pairs damaged, side by side. */
  missing: number;
  /** Rust under and on it, 0 to 1: uneven, and thicker. */
  swollen: number;
  runoutMm: number;
  /** Turns on its seat. */
  loose: boolean;
  /** Share of the field it gives: an encoder pressed in wrong side in gives none. */
  field: number;
}

export interface Sensor {
  ohms: number;
  shortedShare: number;
  /** `warm`: opens when hot. `shaken`: opens on bumps. `dead`: an element that draws its current and never switches. */
  inside: 'sound' | 'open' | 'warm' | 'shaken' | 'dead';
  /** How much further off the target it sits than the right one: another vehicle's. */
  shortMm: number;
  tip: 'sound' | 'rubbed' | 'broken';
  /** Metal caught on the magnet, mm of gap it is worth. */
  swarfMm: number;
  lead: 'sound' | 'worn-through';
  /** How fast it is in its bore, 0 to 1. */
  seized: number;
  ageYears: number;
}

export interface Seat {
  /** Rust or dirt under the sensor. */
  liftedMm: number;
  boltLoose: boolean;
  dirty: boolean;
}

export interface Bearing {
  playMm: number;
  /** 0 to 1. */
  rough: number;
}

export interface Joint {
  /** In series when dry. */
  ohms: number;
  /** To ground when wet; Infinity where it is tight. */
  wetLeak: number;
  /** Chance that a bump parts the pins for a moment. */
  parts: number;
  /** Green to be seen, 0 to 1. */
  green: number;
  lockBroken: boolean;
  repairedBefore: boolean;
}

export interface Loom {
  /** To ground where it rubbed through; Infinity where it did not. */
  chafeOhms: number;
  open: boolean;
  /** Chance that a bump opens a broken strand for a moment. */
  strand: number;
  repairedBefore: boolean;
}

/** Everything at one wheel end. */
export interface Corner {
  tyre: Tyre;
  target: Target;
  sensor: Sensor;
  seat: Seat;
  bearing: Bearing;
  joint: Joint;
  loom: Loom;
}

/** What all wheels share. */
export interface Shared {
  /** Resting, V. */
  batteryVolts: number;
  /** A controller whose own inside failed. */
  controllerFailed: boolean;
}

/** A sound corner of a build. */
export const soundTarget = (count: number): Target => ({
  count,
  crack: 0,
  missing: 0,
  swollen: 0,
  runoutMm: 0.05,
  loose: false,
  field: 1,
});
export const soundSensor = (ohms: number): Sensor => ({
  ohms,
  shortedShare: 0,
  inside: 'sound',
  shortMm: 0,
  tip: 'sound',
  swarfMm: 0,
  lead: 'sound',
  seized: 0,
  ageYears: 0,
});
export const soundSeat = (): Seat => ({ liftedMm: 0, boltLoose: false, dirty: false });
export const soundBearing = (): Bearing => ({ playMm: 0.02, rough: 0 });
export const soundJoint = (): Joint => ({
  ohms: 0.2,
  wetLeak: Infinity,
  parts: 0,
  green: 0,
  lockBroken: false,
  repairedBefore: false,
});
export const soundLoom = (): Loom => ({ chafeOhms: Infinity, open: false, strand: 0, repairedBefore: false });
export const soundCorner = (size: TyreSize, count: number, ohms: number): Corner => ({
  tyre: { size, wornMm: 0, pressure: 1 },
  target: soundTarget(count),
  sensor: soundSensor(ohms),
  seat: soundSeat(),
  bearing: soundBearing(),
  joint: soundJoint(),
  loom: soundLoom(),
});

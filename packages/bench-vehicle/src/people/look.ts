import type { Random } from '@hardy/core/chance';
import type { BenchVehicle } from '../vehicle/benchVehicle.ts';
import { sensingAt, type End } from '../vehicle/build.ts';

/*
 * What a person sees and feels. Each look has a chance of overlooking what is there, and a small one of seeing what is not.
 * The chances are what a steady hand with a lamp does in a hurry; nobody has measured them.
 */
const FALSE_ALARM = 0.012;

const sees = (random: Random, chance: number): boolean => random.chance(chance);
/** Seen the surer the plainer it is: nothing below `from`, `most` from `sure` on. */
const seesBySize = (random: Random, size: number, from: number, sure: number, most: number): boolean =>
  random.chance(most * Math.max(0, Math.min(1, (size - from) / (sure - from))));

export type JointLook = 'sound' | 'corroded' | 'loose-pins' | 'broken-lock' | 'earlier-repair';
/** Looking into the open plug. */
export const lookAtJoint = (vehicle: BenchVehicle, end: End, random: Random): JointLook => {
  const { joint } = vehicle.corners[end];
  if (seesBySize(random, joint.green, 0.1, 0.5, 0.95)) return 'corroded';
  if (joint.parts > 0.1 && sees(random, 0.6)) return 'loose-pins';
  if (joint.lockBroken && sees(random, 0.8)) return 'broken-lock';
  if (joint.repairedBefore && sees(random, 0.8)) return 'earlier-repair';
  return sees(random, FALSE_ALARM) ? 'corroded' : 'sound';
};

export type RingLook = 'sound' | 'cracked' | 'loose' | 'missing-teeth' | 'rusted' | 'dirty' | 'not-visible';
/** Looking at the ring, where it can be seen at all: one in eight hides behind a shield. */
export const lookAtRing = (vehicle: BenchVehicle, end: End, random: Random): RingLook => {
  const { target, seat } = vehicle.corners[end];
  if (sensingAt(vehicle.build, end).target === 'encoder-in-bearing' || sees(random, 0.12))
    return 'not-visible';
  if (seesBySize(random, target.crack, 0.1, 0.8, 0.9)) return 'cracked';
  if (target.missing >= 1 && sees(random, 0.92)) return 'missing-teeth';
  if (target.loose && sees(random, 0.7)) return 'loose';
  if (seesBySize(random, target.swollen, 0.2, 0.7, 0.92)) return 'rusted';
  if (seat.dirty && sees(random, 0.7)) return 'dirty';
  return sees(random, FALSE_ALARM * 2) ? 'rusted' : 'sound';
};

export type TipLook = 'sound' | 'broken' | 'corroded' | 'rubbed' | 'metal-on-tip' | 'loose' | 'lead-damaged';
/** Looking at the tip and under it. */
export const lookAtTip = (vehicle: BenchVehicle, end: End, random: Random): TipLook => {
  const { sensor, seat } = vehicle.corners[end];
  if (sensor.tip === 'broken' && sees(random, 0.95)) return 'broken';
  if (seat.boltLoose && sees(random, 0.9)) return 'loose';
  if (sensor.lead === 'worn-through' && sees(random, 0.65)) return 'lead-damaged';
  if (seesBySize(random, sensor.swarfMm, 0.05, 0.5, 0.95)) return 'metal-on-tip';
  if (sensor.tip === 'rubbed' && sees(random, 0.9)) return 'rubbed';
  if (seesBySize(random, seat.liftedMm, 0.15, 0.8, 0.85)) return 'corroded';
  return sees(random, FALSE_ALARM * 2) ? 'corroded' : 'sound';
};

export type LoomLook = 'sound' | 'chafed' | 'cut' | 'earlier-repair';
/** Looking along the loom. */
export const lookAlongLoom = (vehicle: BenchVehicle, end: End, random: Random): LoomLook => {
  const { loom } = vehicle.corners[end];
  if (loom.open && sees(random, 0.65)) return 'cut';
  if (loom.chafeOhms < 20_000 && sees(random, 0.7)) return 'chafed';
  if (loom.strand > 0 && sees(random, 0.3)) return 'chafed';
  if (loom.repairedBefore && sees(random, 0.6)) return 'earlier-repair';
  return sees(random, FALSE_ALARM) ? 'chafed' : 'sound';
};

/** Rocking the wheel: hands feel from about a quarter of a millimetre on, give or take. */
export const rockWheel = (vehicle: BenchVehicle, end: End, random: Random): 'none' | 'slight' | 'clear' => {
  const felt = vehicle.corners[end].bearing.playMm * Math.exp(0.25 * random.normal());
  return felt > 0.75 ? 'clear' : felt > 0.25 ? 'slight' : sees(random, FALSE_ALARM) ? 'slight' : 'none';
};

/** Spinning the wheel by hand and listening. */
export const spinWheel = (vehicle: BenchVehicle, end: End, random: Random): 'none' | 'growl' =>
  seesBySize(random, vehicle.corners[end].bearing.rough, 0.15, 0.6, 0.9) || sees(random, FALSE_ALARM)
    ? 'growl'
    : 'none';

/** Moving plug and lead while a meter or the live speed is watched. */
export const wiggleLead = (vehicle: BenchVehicle, end: End, random: Random): 'steady' | 'changes' => {
  const { joint, loom, sensor } = vehicle.corners[end];
  const unsure = Math.max(
    joint.parts,
    loom.strand,
    sensor.inside === 'shaken' ? 0.6 : 0,
    joint.ohms > 100 ? 0.4 : 0,
  );
  return (unsure > 0 && sees(random, 0.35 + 0.6 * unsure)) || sees(random, FALSE_ALARM)
    ? 'changes'
    : 'steady';
};

/** Counting teeth with chalk: one in twenty miscounts by one. */
export const countTeeth = (vehicle: BenchVehicle, end: End, random: Random): number =>
  vehicle.corners[end].target.count + (sees(random, 0.05) ? random.pick([-1, 1]) : 0);

import type { Random } from '@hardy/core/chance';
import type { BenchVehicle } from '../vehicle/benchVehicle.ts';
import { across, sensingAt, type End } from '../vehicle/build.ts';

/** What may befall a wheel end, as a rate and as what it does to the parts. */
export interface Ailment {
  readonly name: string;
  /** Chance in a year at one wheel end, in this vehicle. Rates of this world alone: no table of the advice was looked at. */
  readonly perYear: (vehicle: BenchVehicle, end: End) => number;
  readonly befall: (vehicle: BenchVehicle, end: End, random: Random) => void;
}

const SALT = { none: 0.5, some: 1, high: 2 } as const;
const saltOf = ({ salt }: BenchVehicle): number => SALT[salt];
/** Rust and age work slowly at first: what takes eight years on average is twice as likely a year at sixteen. */
const old = ({ ageYears }: BenchVehicle): number => Math.max(0.25, ageYears / 8);
const lognormal = (random: Random, middle: number, factor: number): number =>
  middle * Math.exp(Math.log(factor) * random.normal());

/** Ailments that come by age, road and use. */
export const WEAR: readonly Ailment[] = [
  {
    name: 'green joint',
    perYear: (v) => 0.008 * saltOf(v) * old(v),
    befall: (v, end, random) => {
      const { joint } = v.corners[end];
      // A film first, then kilohms: copper salts hold water, and a wet film leaks.
      joint.green = Math.min(1, random.between(0.25, 1));
      joint.ohms = lognormal(random, 400, 8) * joint.green;
      joint.wetLeak = random.chance(0.5) ? lognormal(random, 1500, 3) : Infinity;
      if (random.chance(0.3)) joint.parts = random.between(0.2, 0.9);
      if (random.chance(0.2)) joint.ohms = Infinity;
    },
  },
  {
    name: 'pins apart',
    perYear: (v) => 0.003 * old(v),
    befall: (v, end, random) => {
      const { joint } = v.corners[end];
      joint.parts = random.between(0.3, 1);
      joint.lockBroken = random.chance(0.4);
    },
  },
  {
    name: 'loom rubbed or broken',
    perYear: (v) => 0.005 * Math.sqrt(saltOf(v)) * old(v),
    befall: (v, end, random) => {
      const { loom } = v.corners[end];
      const how = random.next();
      if (how < 0.35) loom.chafeOhms = lognormal(random, 150, 4);
      else if (how < 0.65) loom.strand = random.between(0.3, 1);
      else loom.open = true;
    },
  },
  {
    name: 'winding or element',
    perYear: (v, end) => (sensingAt(v.build, end).sensor === 'passive' ? 0.007 : 0.008) * old(v),
    befall: (v, end, random) => {
      const { sensor } = v.corners[end];
      const passive = sensingAt(v.build, end).sensor === 'passive';
      const how = random.next();
      if (passive) {
        if (how < 0.55) sensor.inside = 'open';
        else if (how < 0.67) sensor.shortedShare = random.between(0.3, 0.97);
        else if (how < 0.85) sensor.inside = 'warm';
        else sensor.inside = 'shaken';
      } else sensor.inside = how < 0.6 ? 'dead' : how < 0.75 ? 'open' : how < 0.88 ? 'warm' : 'shaken';
    },
  },
  {
    name: 'lead worn through',
    perYear: (v) => 0.002 * old(v),
    befall: (v, end, random) => {
      v.corners[end].sensor.lead = 'worn-through';
      if (random.chance(0.5)) v.corners[end].sensor.inside = 'open';
    },
  },
  {
    name: 'rusted ring',
    perYear: (v, end) => {
      const { target } = sensingAt(v.build, end);
      return target === 'encoder-in-bearing'
        ? 0
        : (target === 'ring-on-shaft' ? 0.008 : 0.004) * saltOf(v) * old(v);
    },
    befall: (v, end, random) => {
      const { target, sensor } = v.corners[end];
      target.swollen = random.between(0.2, 1);
      if (random.chance(0.6)) target.crack = random.between(0.2, 1.6);
      if (random.chance(0.12)) target.loose = true;
      if (target.swollen > 0.7 && random.chance(0.35)) sensor.tip = random.chance(0.8) ? 'rubbed' : 'broken';
    },
  },
  {
    name: 'damaged poles',
    perYear: (v, end) =>
      sensingAt(v.build, end).target === 'encoder-in-bearing' ? 0.004 * saltOf(v) * old(v) : 0,
    befall: (v, end, random) => {
      const { target } = v.corners[end];
      if (random.chance(0.6)) target.missing = 1 + random.below(4);
      else target.field = random.between(0.2, 0.6);
    },
  },
  {
    name: 'worn bearing',
    perYear: (v) => 0.006 * (v.distanceKm / Math.max(1, v.ageYears) / 15_000) * old(v),
    befall: (v, end, random) => {
      const { bearing } = v.corners[end];
      bearing.playMm = lognormal(random, 0.5, 2);
      bearing.rough = random.between(0.1, 1);
    },
  },
  {
    name: 'rust under the sensor',
    perYear: (v, end) =>
      sensingAt(v.build, end).mounting === 'separate'
        ? 0.006 * saltOf(v) * old(v) * (v.build.knuckle === 'iron' ? 1.3 : 0.5)
        : 0,
    befall: (v, end, random) => {
      const { seat } = v.corners[end];
      seat.liftedMm = random.between(0.3, 1.5);
      seat.dirty = random.chance(0.4);
    },
  },
];

/** Slips of those who worked on it lately, by the work. */
export const SLIPS: Readonly<
  Record<'brake-work' | 'tyre-replaced' | 'sensor-replaced' | 'hub-replaced', readonly Ailment[]>
> = {
  'brake-work': [
    {
      name: 'swarf on the tip',
      perYear: () => 0.03,
      befall: (v, end, random) => void (v.corners[end].sensor.swarfMm = random.between(0.3, 1.2)),
    },
    {
      name: 'knocked teeth',
      perYear: (v, end) => (sensingAt(v.build, end).target === 'encoder-in-bearing' ? 0 : 0.015),
      befall: (v, end, random) => void (v.corners[end].target.missing = 1 + random.below(3)),
    },
    {
      name: 'plug not home',
      perYear: () => 0.02,
      befall: (v, end, random) => {
        v.corners[end].joint.parts = random.between(0.3, 0.9);
        v.corners[end].joint.lockBroken = random.chance(0.3);
      },
    },
    {
      name: 'bolt left loose',
      perYear: (v, end) => (sensingAt(v.build, end).mounting === 'separate' ? 0.01 : 0),
      befall: (v, end) => void (v.corners[end].seat.boltLoose = true),
    },
  ],
  'tyre-replaced': [
    {
      name: 'another size',
      perYear: () => 0.06,
      befall: (v, end, random) => {
        const { width, aspect, rim } = v.build.tyre;
        const size = random.pick([
          { width, aspect: aspect - 5, rim },
          { width: width + 10, aspect, rim },
          { width: width - 10, aspect, rim },
          { width: width + 10, aspect: aspect + 5, rim },
        ]);
        const at = random.chance(0.7) ? [end] : [end, across(end)];
        for (const each of at) v.corners[each].tyre = { size, wornMm: 0, pressure: 1 };
      },
    },
  ],
  'sensor-replaced': [
    {
      name: "another vehicle's sensor",
      perYear: () => 0.1,
      befall: (v, end, random) => {
        const { sensor } = v.corners[end];
        sensor.shortMm = random.between(0.4, 1.6);
        if (sensingAt(v.build, end).sensor === 'passive') sensor.ohms *= random.pick([0.5, 0.7, 1.6, 2.2]);
      },
    },
    {
      name: 'bad from the box',
      perYear: () => 0.05,
      befall: (v, end) =>
        void (v.corners[end].sensor.inside = sensingAt(v.build, end).sensor === 'passive' ? 'open' : 'dead'),
    },
    {
      name: 'lead pulled tight',
      perYear: () => 0.04,
      befall: (v, end) => void (v.corners[end].sensor.inside = 'shaken'),
    },
  ],
  'hub-replaced': [
    {
      name: 'encoder wrong side in',
      perYear: (v, end) => (sensingAt(v.build, end).target === 'encoder-in-bearing' ? 0.08 : 0),
      befall: (v, end) => void (v.corners[end].target.field = 0.05),
    },
    {
      name: 'ring of another count',
      perYear: (v, end) => (sensingAt(v.build, end).target === 'ring-on-hub' ? 0.05 : 0),
      befall: (v, end, random) => void (v.corners[end].target.count += random.pick([-4, -1, 1, 4])),
    },
  ],
};
export type PastWork = keyof typeof SLIPS;

import { randomFrom, type Random } from '@hardy/core/chance';
import { emptyMemory } from '../controller/memory.ts';
import { keyOn } from '../controller/drive.ts';
import { complains, useForWeeks } from '../controller/use.ts';
import type { Trouble } from '../controller/memory.ts';
import type { BenchVehicle } from '../vehicle/benchVehicle.ts';
import { endsOf, sensingAt, type Build, type End } from '../vehicle/build.ts';
import { soundCorner, type Corner } from '../vehicle/parts.ts';
import { drawBuild } from './drawBuild.ts';
import { SLIPS, WEAR, type Ailment, type PastWork } from './ailments.ts';

/** Work that was done on a vehicle lately. */
export interface PastEvent {
  readonly work: PastWork | 'battery-flat';
  readonly end: End | null;
  readonly daysAgo: number;
  /** Whether it was done for this complaint, and did not help. */
  readonly forThis: boolean;
}

/** A vehicle that stands at the counter with a complaint, its past, and what befell it: for those who judge, not for the customer. */
export interface Life {
  readonly seed: number;
  readonly vehicle: BenchVehicle;
  readonly past: readonly PastEvent[];
  readonly befell: ReadonlyArray<readonly [name: string, end: End | null]>;
}

/** Work in the last three months, chance a vehicle. */
const DONE_LATELY: Readonly<Record<PastWork, number>> = {
  'brake-work': 0.14,
  'tyre-replaced': 0.16,
  'sensor-replaced': 0.03,
  'hub-replaced': 0.025,
};
/** Chance in a year that a battery gets weak, that a controller fails, and that something passing lights the lamp. */
const WEAK_BATTERY = 0.03;
const CONTROLLER = 0.003;
const PASSING = 0.012;
/** Chance that a vehicle with this complaint had a new sensor already, which did not help. */
const TRIED_A_SENSOR = 0.1;
/** Ailments that no wheel has, and what they are written down as. */
const SHARED: Readonly<Record<string, Trouble['of']>> = {
  'weak battery': 'supply',
  controller: 'controller',
};
/** How many years of a vehicle's life are looked at: what befell it before was seen to. */
const YEARS = 1;

/** How a vehicle was built and where it grew old. */
export interface Upbringing {
  readonly build: Build;
  readonly ageYears: number;
  readonly salt: BenchVehicle['salt'];
  /** Null: as far as its age brings it. */
  readonly distanceKm: number | null;
}

const drawUpbringing = (random: Random): Upbringing => {
  const ageYears = random.between(2, 18);
  const build = drawBuild(random, ageYears);
  return { build, ageYears, salt: random.pick(['none', 'some', 'high'] as const), distanceKm: null };
};

/** A sound vehicle of its age. */
const drawSound = (random: Random, { build, ageYears, salt, distanceKm }: Upbringing): BenchVehicle => {
  const corners = Object.fromEntries(
    endsOf(build).map((end): [End, Corner] => {
      const { count, ohms } = sensingAt(build, end);
      const corner = soundCorner(build.tyre, count, ohms * Math.exp(0.03 * random.normal()));
      corner.tyre.wornMm = random.between(0, 4);
      corner.tyre.pressure = random.between(0.88, 1.03);
      corner.sensor.ageYears = ageYears;
      corner.sensor.seized = Math.min(
        1,
        (ageYears / 14) * { none: 0.4, some: 0.8, high: 1.3 }[salt] * (build.knuckle === 'iron' ? 1 : 0.7),
      );
      corner.joint.green = random.between(0, 0.12);
      corner.joint.ohms = random.between(0.1, 2);
      corner.bearing.playMm = random.between(0.01, 0.12);
      corner.bearing.rough = random.between(0, 0.12);
      return [end, corner];
    }),
  ) as Record<End, Corner>;
  return {
    build,
    ageYears,
    distanceKm: distanceKm ?? ageYears * random.between(7_000, 24_000),
    salt,
    corners,
    shared: { batteryVolts: random.between(12.35, 12.8), controllerFailed: false },
    memory: emptyMemory(),
  };
};

/** One year of a vehicle: what befalls it by age and use, and what slips by those who work on it. */
const live = (vehicle: BenchVehicle, random: Random): Pick<Life, 'past' | 'befell'> => {
  const past: PastEvent[] = [];
  const befell: Array<readonly [string, End | null]> = [];
  const strike = (ailment: Ailment, end: End, share: number) => {
    if (!random.chance(ailment.perYear(vehicle, end) * share)) return;
    ailment.befall(vehicle, end, random);
    befell.push([ailment.name, end]);
  };
  const ends = endsOf(vehicle.build);
  for (const end of ends) for (const ailment of WEAR) strike(ailment, end, YEARS);
  for (const work of Object.keys(DONE_LATELY) as PastWork[]) {
    if (!random.chance(DONE_LATELY[work])) continue;
    const end = random.pick(ends);
    past.push({ work, end, daysAgo: 1 + random.below(90), forThis: false });
    for (const slip of SLIPS[work]) strike(slip, end, 1);
  }
  if (random.chance(WEAK_BATTERY * (vehicle.ageYears / 8))) {
    vehicle.shared.batteryVolts = random.between(9.6, 11.6);
    befell.push(['weak battery', null]);
    if (random.chance(0.5))
      past.push({ work: 'battery-flat', end: null, daysAgo: 1 + random.below(20), forThis: false });
  }
  if (random.chance(CONTROLLER)) {
    vehicle.shared.controllerFailed = true;
    befell.push(['controller', null]);
  }
  return { past, befell };
};

/** Something that was and is over: a wheel spun on a jack, a plug that got wet once, a flat battery. */
const pass = (vehicle: BenchVehicle, random: Random): Pick<Life, 'past' | 'befell'> => {
  const end = random.pick(endsOf(vehicle.build));
  const flat = random.chance(0.3);
  vehicle.memory.troubles.push({
    of: flat ? 'supply' : end,
    failure: flat ? '1C' : random.pick(['31', '62', '2F'] as const),
    active: false,
  });
  vehicle.memory.lamp = random.chance(0.5);
  return {
    past: flat ? [{ work: 'battery-flat', end: null, daysAgo: 1 + random.below(20), forThis: false }] : [],
    befell: [flat ? ['battery was flat', null] : ['passed', end]],
  };
};

/** A seed gives so many lives to find one that brings a vehicle to the counter. */
const MOST_LIVES = 4000;

/** One life lived to the day: null where nothing brings the vehicle to a counter, or `isWorthTrying` says no to what befell it. */
const comeToCounter = (
  random: Random,
  vehicle: BenchVehicle,
  isWorthTrying: (befell: Life['befell']) => boolean,
): Omit<Life, 'seed'> | null => {
  const passing = random.chance(PASSING);
  const lived = passing ? pass(vehicle, random) : live(vehicle, random);
  if (lived.befell.length === 0 || !isWorthTrying(lived.befell)) return null;
  if (!passing) useForWeeks(vehicle, random);
  const brings = passing ? vehicle.memory.troubles.length > 0 : complains(vehicle);
  if (!brings) return null;
  const past = [...lived.past];
  const sore = lived.befell.find(([, end]) => end !== null)?.[1];
  if (
    sore &&
    !passing &&
    random.chance(TRIED_A_SENSOR) &&
    sensingAt(vehicle.build, sore).mounting === 'separate'
  ) {
    past.push({ work: 'sensor-replaced', end: sore, daysAgo: 2 + random.below(40), forThis: true });
    const inside = vehicle.corners[sore].sensor.inside;
    vehicle.corners[sore].sensor.seized *= 0.2;
    vehicle.corners[sore].sensor.ageYears = 0;
    // What a new sensor would have cured did not come back: then this one was bad too, or it is something else.
    if (inside !== 'sound')
      vehicle.corners[sore].sensor.inside =
        sensingAt(vehicle.build, sore).sensor === 'passive' ? 'open' : 'dead';
  }
  keyOn(vehicle, false);
  return { vehicle, past, befell: lived.befell };
};

/**
 * A vehicle that somebody brings with a complaint. Lives are lived until one lights the lamp or makes the pedal grind, so
 * that what stands at the counter is what failed and was noticed, in the proportions that rates and physics give.
 */
export const drawLife = (seed: number): Life => {
  const random = randomFrom(seed);
  for (let i = 0; i < MOST_LIVES; i++) {
    const life = comeToCounter(random, drawSound(random, drawUpbringing(random)), () => true);
    if (life) return { seed, ...life };
  }
  throw new Error(`No life of seed ${seed} brought a complaint in ${MOST_LIVES}.`);
};

/** What is told of a vehicle before it stands on the bench: codes that were read, and the wheel that is suspected. */
export interface Told {
  readonly codes: ReadonlyArray<{
    readonly of: Trouble['of'];
    readonly failure: string | null;
    readonly active: boolean | null;
  }>;
  readonly wheel: End | null;
}

/** So many lives that came to the counter are looked at for one that fits what is told. */
const LOOKED_AT = 24;

/** How well a vehicle fits what is told: each code of the right place counts one, of the right kind and standing one more each; one nobody read costs one. */
const likeness = ({ memory }: BenchVehicle, { codes, wheel }: Told): number => {
  const here = (of: Trouble['of']) => memory.troubles.filter((trouble) => trouble.of === of);
  const fits = codes.reduce(
    (sum, { of, failure, active }) =>
      sum +
      (here(of).length > 0 ? 1 : 0) +
      (failure === null || here(of).some((trouble) => trouble.failure === failure) ? 1 : 0) +
      (active === null || here(of).some((trouble) => trouble.active === active) ? 1 : 0),
    0,
  );
  const unread = memory.troubles.filter(({ of }) => !codes.some((code) => code.of === of)).length;
  return codes.length > 0 ? fits - unread : wheel !== null && here(wheel).length > 0 ? 2 : 0;
};

/**
 * A life of a vehicle that is known: built and used as told, with a fault that fits what was read of it, as nearly as lives
 * lived so far give one. What is wrong with it stays as hidden as in any other life. It is looked for life by life, so that
 * whoever asks can do other things between.
 */
export function* searchLife(seed: number, upbringing: Upbringing, told: Told): Generator<void, Life, void> {
  const random = randomFrom(seed);
  const places = new Set<Trouble['of'] | null>(told.codes.map(({ of }) => of));
  if (places.size === 0 && told.wheel) places.add(told.wheel);
  const best = told.codes.length > 0 ? 3 * told.codes.length : told.wheel ? 2 : 0;
  const fitting = (befell: Life['befell']) =>
    places.size === 0 ||
    befell.some(([name, end]) => places.has(end) || (end === null && places.has(SHARED[name] ?? null)));
  let found: Life | null = null;
  let score = -Infinity;
  for (let i = 0, looked = 0; looked < LOOKED_AT && i < MOST_LIVES * 2; i++) {
    const life = comeToCounter(random, drawSound(random, upbringing), fitting);
    if (!life) continue;
    looked++;
    const now = likeness(life.vehicle, told);
    if (now > score) [found, score] = [{ seed, ...life }, now];
    if (score >= best) break;
    yield;
  }
  // On a vehicle on which nothing befalls the place that is told something else does.
  while (!found) {
    const life = comeToCounter(random, drawSound(random, upbringing), () => true);
    if (life) found = { seed, ...life };
  }
  return found;
}

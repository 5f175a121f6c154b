import type { Assumptions } from '../assumptions/assumptions.ts';
import type { DocketVehicle, WheelEndArchitecture } from '../vocabulary/docket.ts';
import type { Driveline, Mounting, SensorType, Target } from '../vocabulary/words.ts';
import { axleOf, isCentre, wheelEndAt } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { memo } from './memo.ts';
import { asSensed, type SensedEnd } from './sensedEnd.ts';

/** How a wheel end makes its signal: all that decides what can fail there and how likely it is. */
export interface Sensing {
  readonly sensor: SensorType;
  readonly mounting: Mounting;
  readonly target: Target;
}

/** One complete way a wheel end may be built: how it makes its signal, and what of it can be bought. */
export interface Architecture extends Sensing {
  readonly ringSoldAlone: boolean;
}

/** Wheel ends that are built alike, with the odds of each way. */
export interface ArchitectureGroup {
  readonly ends: readonly SensedEnd[];
  readonly options: ReadonlyArray<{ architecture: Architecture; chance: number }>;
  readonly known: WheelEndArchitecture;
}

const oneOfEach = new Map<string, Architecture>();
/** The same way of building is one object, wherever it is met: what follows from it is worked out once. */
const canonical = ({ sensor, mounting, target, ringSoldAlone }: Architecture): Architecture => {
  const key = `${sensor} ${mounting} ${target} ${ringSoldAlone}`;
  const known = oneOfEach.get(key) ?? Object.freeze({ sensor, mounting, target, ringSoldAlone });
  oneOfEach.set(key, known);
  return known;
};

const oneSensing = new Map<string, Sensing>();
/** How a wheel end built so makes its signal, always the same object: what is for sale changes nothing of what fails. */
const sensingOf = ({ sensor, mounting, target }: Architecture): Sensing => {
  const key = `${sensor} ${mounting} ${target}`;
  return memo(oneSensing, key, () => Object.freeze({ sensor, mounting, target }));
};

export const hasRing = (a: Pick<Sensing, 'target'>): boolean => a.target !== 'encoder-in-bearing';

const drivenAxle = (axle: number, axles: number, driveline: Driveline | null | undefined): boolean | null => {
  switch (driveline) {
    case 'trailer':
      return false;
    case 'awd':
      return true;
    case 'fwd':
      return axle === 1;
    case 'rwd':
      return axle > 1 && axle === axles;
    default:
      return null;
  }
};

const targetOdds = (
  sensor: SensorType,
  mounting: Mounting,
  driven: boolean | null,
  a: Assumptions,
): Array<[Target, number]> => {
  if (mounting === 'centre') return [['ring-in-differential', 1]];
  if (sensor === 'active') {
    const encoder = a.get('architecture.active.encoder');
    const rest = (1 - encoder) / 2;
    return [
      ['encoder-in-bearing', encoder],
      ['ring-on-hub', mounting === 'in-hub' || driven === false ? 2 * rest : rest],
      ['ring-on-shaft', mounting === 'in-hub' || driven === false ? 0 : rest],
    ];
  }
  if (mounting === 'in-hub' || driven === false) return [['ring-on-hub', 1]];
  return [
    ['ring-on-shaft', a.get('architecture.passive.ring-on-shaft')],
    ['ring-on-hub', a.get('architecture.passive.ring-on-hub')],
  ];
};

const enumerate = (
  driven: boolean | null,
  centre: boolean,
  a: Assumptions,
): Array<{ architecture: Architecture; chance: number }> => {
  const out: Array<{ architecture: Architecture; chance: number }> = [];
  for (const sensor of ['passive', 'active'] as const) {
    const pSensor = sensor === 'passive' ? a.get('architecture.passive') : 1 - a.get('architecture.passive');
    const inHub =
      sensor === 'active' ? a.get('architecture.active.in-hub') : a.get('architecture.passive.in-hub');
    const mountings: Array<[Mounting, number]> = centre
      ? [['centre', 1]]
      : [
          ['separate', 1 - inHub],
          ['in-hub', inHub],
        ];
    for (const [mounting, pMounting] of mountings)
      for (const [target, pTarget] of targetOdds(sensor, mounting, driven, a)) {
        const alone = target === 'encoder-in-bearing' ? 0 : a.get('architecture.ring-sold-alone');
        for (const [ringSoldAlone, pAlone] of [
          [true, alone],
          [false, 1 - alone],
        ] as const)
          out.push({
            architecture: canonical({ sensor, mounting, target, ringSoldAlone }),
            chance: pSensor * pMounting * pTarget * pAlone,
          });
      }
  }
  return out.filter((option) => option.chance > 0);
};

const fits = (known: WheelEndArchitecture, a: Architecture): boolean =>
  (known.sensor == null || known.sensor === a.sensor) &&
  (known.mounting == null || known.mounting === a.mounting) &&
  (known.target == null || known.target === a.target) &&
  (known.ringSoldAlone == null || known.ringSoldAlone === a.ringSoldAlone);

const optionsFor = (known: WheelEndArchitecture, driven: boolean | null, centre: boolean, a: Assumptions) => {
  const all = enumerate(driven, centre, a);
  let options = all.filter((option) => fits(known, option.architecture));
  if (options.length === 0) {
    // What was stated is rarer than the odds allow for: believe it, and fill only what was not stated.
    options = all
      .map(({ architecture, chance }) => ({
        architecture: canonical({
          sensor: known.sensor ?? architecture.sensor,
          mounting: known.mounting ?? architecture.mounting,
          target: known.target ?? architecture.target,
          ringSoldAlone: known.ringSoldAlone ?? architecture.ringSoldAlone,
        }),
        chance,
      }))
      .reduce<typeof all>((merged, option) => {
        const same = merged.find(({ architecture }) => architecture === option.architecture);
        if (same) same.chance += option.chance;
        else merged.push({ ...option });
        return merged;
      }, []);
  }
  const total = options.reduce((sum, option) => sum + option.chance, 0);
  return options.map((option) => ({ ...option, chance: option.chance / total }));
};

/**
 * The vehicle's wheel ends in groups that are built alike, each with the odds of every way it may be built. What is
 * known has odds of one; what is unknown is carried, not guessed.
 *
 * @param centreNamed axles where something names a centre sender (A2C)
 */
export const architectureGroups = (
  vehicle: DocketVehicle,
  axles: number,
  centreNamed: ReadonlySet<number>,
  a: Assumptions,
): ArchitectureGroup[] => {
  const given = vehicle.wheelEnds ?? {};
  const groups: ArchitectureGroup[] = [];
  for (let axle = 1; axle <= axles; axle++) {
    const axleKnown: WheelEndArchitecture = given[`A${axle}`] ?? {};
    const driven = drivenAxle(axle, axles, vehicle.driveline);
    const centreEnd = wheelEndAt(axle, 'centre');
    const centreGiven = given[centreEnd];
    const whollyCentre =
      axleKnown.mounting === 'centre' || (centreNamed.has(axle) && axleKnown.mounting == null);
    if (whollyCentre || centreGiven || centreNamed.has(axle)) {
      const known = { ...(whollyCentre ? axleKnown : {}), ...centreGiven, mounting: 'centre' as const };
      groups.push({ ends: [asSensed(centreEnd)], options: optionsFor(known, driven, true, a), known });
    }
    if (whollyCentre) continue;
    const sides = (['left', 'right'] as const).map((side) => {
      const end = asSensed(wheelEndAt(axle, side));
      return { end, known: { ...axleKnown, ...given[end] } };
    });
    const [left, right] = sides as [(typeof sides)[0], (typeof sides)[0]];
    if (JSON.stringify(left.known) === JSON.stringify(right.known))
      groups.push({
        ends: [left.end, right.end],
        options: optionsFor(left.known, driven, false, a),
        known: left.known,
      });
    else
      for (const { end, known } of sides)
        groups.push({ ends: [end], options: optionsFor(known, driven, false, a), known });
  }
  return groups;
};

/** One way a group makes its signal, over all that may be for sale there. */
export interface SensingWay {
  readonly sensing: Sensing;
  readonly chance: number;
  readonly options: ArchitectureGroup['options'];
}

/** The ways a group may make its signal, with the ways of building behind each. */
export const sensingWays = ({ options }: ArchitectureGroup): SensingWay[] => {
  const ways = new Map<Sensing, ArchitectureGroup['options'][number][]>();
  for (const option of options) {
    const sensing = sensingOf(option.architecture);
    memo(ways, sensing, () => []).push(option);
  }
  return [...ways].map(([sensing, alike]) => ({
    sensing,
    chance: alike.reduce((sum, { chance }) => sum + chance, 0),
    options: alike,
  }));
};

/** The group a place with a signal belongs to. */
export const groupAt = (groups: readonly ArchitectureGroup[], end: WheelEnd): ArchitectureGroup | undefined =>
  groups.find(({ ends }) => ends.some((each) => each === end));

/** Axles whose sensing is one sender at the centre. */
export const centreAxlesOf = (vehicle: DocketVehicle, named: readonly WheelEnd[]): Set<number> => {
  const axles = new Set<number>();
  for (const [key, known] of Object.entries(vehicle.wheelEnds ?? {}))
    if (key.length === 2 && known.mounting === 'centre') axles.add(Number(key[1]));
  for (const end of named)
    if (isCentre(end) && vehicle.wheelEnds?.[`A${axleOf(end)}`]?.mounting == null) axles.add(axleOf(end));
  return axles;
};

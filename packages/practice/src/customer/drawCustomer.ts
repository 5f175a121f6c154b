import { endsOf, type End, type Life } from '@hardy/bench-vehicle';
import { randomFrom } from '@hardy/core/chance';
import type { Docket } from '@hardy/core/words';
import { codesRead, complaintsOf } from '../bench/docketOf.ts';
import { isFair } from './fullChecks.ts';
import { LEVEL_RULES, type LevelRules } from './levels.ts';
import { tell, type Manner, type Told } from './manner.ts';

/** Which customer: everything about them follows from it, for everybody who meets them. */
export interface CustomerOrder {
  readonly seed: number;
  readonly level: number;
  /** Lives of the vehicle they drive, by seed. */
  readonly lives: (seed: number) => Life;
  /** What the counter knows of the vehicle once it is named. */
  readonly vehicleOf: (life: Life) => NonNullable<Docket['vehicle']>;
  /** How they name it. */
  readonly vehicleWords: string;
  readonly today: string;
}

/** A customer: the vehicle outside, what they say, what they know, and what they have. */
export interface Customer {
  readonly seed: number;
  readonly level: number;
  readonly rules: LevelRules;
  readonly manner: Manner;
  readonly life: Life;
  readonly told: Told;
  /** What is known when they have said it. */
  readonly first: Docket;
}

/** Lives looked at for one that fits the level and can be found out by asking and looking. */
const MOST_LIVES = 400;
const STEP = 7919;

/**
 * A customer of a level, by a seed. Only such are drawn as can be found out: everything one needs to decide could be learned by
 * asking or checking (`isFair`).
 */
export const drawCustomer = (order: CustomerOrder): Customer => {
  const { seed, level, today } = order;
  const rules = LEVEL_RULES[level];
  if (!rules) throw new RangeError(`there is no level ${level}`);
  const random = randomFrom(seed * 31 + level);
  const manner = random.pick(rules.manners);
  let last: Customer | null = null;
  for (let i = 0; i < MOST_LIVES; i++) {
    const life = order.lives(seed + i * STEP);
    if (!rules.fits(life)) continue;
    const customer = firstWords(order, rules, manner, life);
    last = customer;
    if (isFair(customer, today)) return customer;
  }
  if (last) return last;
  throw new Error(`no life of seed ${seed} is one of level ${level}`);
};

const firstWords = (order: CustomerOrder, rules: LevelRules, manner: Manner, life: Life): Customer => {
  const { seed, level } = order;
  const random = randomFrom(seed * 131 + level);
  const { vehicle } = life;
  const codes = rules.codes === 'brought' ? codesRead(vehicle, random) : [];
  const trouble = vehicle.memory.troubles.find(({ of }) => (endsOf(vehicle.build) as string[]).includes(of));
  const sore = life.befell.find(([, end]) => end !== null)?.[1] ?? (trouble?.of as End | undefined) ?? null;
  const told = tell(
    manner,
    vehicle,
    sore,
    { vehicleWords: order.vehicleWords, codes, minutes: rules.minutes },
    random,
  );
  const first: Docket = {
    format: 'hardy-spoke/docket',
    version: 1,
    vehicle: order.vehicleOf(life),
    symptoms: [...told.symptoms],
    reader: rules.codes === 'no reader' ? 'none' : rules.codes === 'brought' ? 'full' : null,
    ...(rules.codes === 'brought' ? { modulesRead: ['ABS'], codes } : {}),
    ...(told.named && told.corner ? { wheelEnd: told.corner } : {}),
    ...(manner === 'has bought one' ? { wants: ['parts-bought'] } : {}),
  };
  return { seed, level, rules, manner, life, told, first };
};

/** What is complained of once one asks what exactly lights up and when. */
export const askedSymptoms = ({ life }: Customer): Docket['symptoms'] => complaintsOf(life.vehicle, []);

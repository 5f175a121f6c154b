import { endsOf, type End, type Life } from '@hardy/bench-vehicle';
import { randomFrom } from '@hardy/core/chance';
import type { Docket } from '@hardy/core/words';
import type { Assumptions } from '@hardy/core/trial';
import { codesRead, complaintsOf } from '../bench/docketOf.ts';
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
  /** What a customer of a level has, among the shop's numbers. */
  readonly prices: Assumptions;
}

/** A customer: the vehicle outside, what they say, what they know, and what they have. */
export interface Customer {
  readonly seed: number;
  readonly level: number;
  readonly rules: LevelRules;
  readonly manner: Manner;
  /** What they would spend at most, money, and the minutes they have. */
  readonly budget: number;
  readonly minutes: number;
  /** The seed of the life that was found. */
  readonly lifeSeed: number;
  readonly life: Life;
  readonly told: Told;
  /** What is known when they have said it. */
  readonly first: Docket;
}

const rulesOf = (level: number): LevelRules => {
  const rules = LEVEL_RULES[level];
  if (!rules) throw new RangeError(`there is no level ${level}`);
  return rules;
};

/** The customer an order and the seed of a life make, fair or not. */
export const customerAt = (order: CustomerOrder, lifeSeed: number): Customer => {
  const { seed, level, prices } = order;
  const minutes = prices.get(`practice.minutes.level-${level}`);
  const rules = rulesOf(level);
  const life = order.lives(lifeSeed);
  const character = randomFrom(seed * 31 + level);
  const manner = character.pick(rules.manners);
  const budget =
    10 *
    Math.round(
      character.between(prices.get('practice.budget-least'), prices.get('practice.budget-most')) / 10,
    );
  const random = randomFrom(seed * 131 + level);
  const { vehicle } = life;
  const codes = rules.codes === 'brought' ? codesRead(vehicle, random) : [];
  const trouble = vehicle.memory.troubles.find(({ of }) => (endsOf(vehicle.build) as string[]).includes(of));
  const sore = life.befell.find(([, end]) => end !== null)?.[1] ?? (trouble?.of as End | undefined) ?? null;
  const told = tell(manner, vehicle, sore, { vehicleWords: order.vehicleWords, codes, minutes }, random);
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
  return { seed, level, rules, manner, budget, minutes, lifeSeed, life, told, first };
};

/** What is complained of once one asks what exactly lights up and when. */
export const askedSymptoms = ({ life }: Customer): Docket['symptoms'] => complaintsOf(life.vehicle, []);

/** The wheels of a customer's vehicle. */
export const wheelsOf = ({ life }: Customer): readonly End[] => endsOf(life.vehicle.build);

import { z } from 'zod';

/**
 * What practitioners differ on and a shop settles for itself, each with the ways there are; the first is how a shop works
 * that has not said otherwise. Why, and what harm one can do, stands in `handover/texts/en/ways.ts`.
 */
export const HOUSE_WAYS = {
  /** What the bore of a separate sensor is coated with. */
  boreCoat: ['plastic-safe', 'anti-seize', 'rubber-grease', 'dry'],
  /** How a ring or an encoder is wiped. */
  targetWipe: ['dry-rag', 'cleaner'],
  /** How wires are joined. */
  splice: ['crimp', 'solder', 'old-terminals'],
  /** The axle nut. */
  axleNut: ['new', 'as-maker'],
  /** How one gets at a front sensor. */
  reach: ['wheel-off', 'steered'],
  /** How codes are cleared where there is a choice. */
  clearing: ['reader', 'battery-lead'],
} as const;
export type HouseWay = keyof typeof HOUSE_WAYS;
export const HOUSE_WAY_NAMES = Object.keys(HOUSE_WAYS) as HouseWay[];

const CHOICES = {
  boreCoat: z.enum(HOUSE_WAYS.boreCoat),
  targetWipe: z.enum(HOUSE_WAYS.targetWipe),
  splice: z.enum(HOUSE_WAYS.splice),
  axleNut: z.enum(HOUSE_WAYS.axleNut),
  reach: z.enum(HOUSE_WAYS.reach),
  clearing: z.enum(HOUSE_WAYS.clearing),
};
/** A change of some of them. */
export const HouseWayChange = z.strictObject(CHOICES).partial();

/** The ways of one shop: each its own choice, or the first. */
export const HouseWays = z.strictObject({
  boreCoat: CHOICES.boreCoat.default('plastic-safe'),
  targetWipe: CHOICES.targetWipe.default('dry-rag'),
  splice: CHOICES.splice.default('crimp'),
  axleNut: CHOICES.axleNut.default('new'),
  reach: CHOICES.reach.default('wheel-off'),
  clearing: CHOICES.clearing.default('reader'),
});
export type HouseWays = z.infer<typeof HouseWays>;

export const usualWays = (): HouseWays => HouseWays.parse({});

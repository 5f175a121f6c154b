import { evenNumbers } from '../chance/random.ts';

/** The kinds of chance a job meets. */
const DICE = [
  'truth',
  'cured',
  'labour',
  'snap',
  'snapOther',
  'snapWay',
  'snapWayOther',
  'wait',
  'after',
  'life',
  'lifeOther',
  'bearing',
  'spared',
] as const;
export type Die = (typeof DICE)[number];

/** What chance brings to a job, the same for every way: for each kind of chance one number a draw, evenly from 0 to 1. */
export interface Luck {
  readonly seed: number;
  readonly draws: number;
  /** Thrown when first asked for: what no way of a job meets is never thrown. */
  of(die: Die): Float64Array;
}

let last: Luck | null = null;

/**
 * Common random numbers: each kind of chance has its own stream, so that every way is drawn on the same luck (the same
 * truth, the same bad day, the same seized bolt) and a change of one input leaves the dice where they lie. The last
 * luck is kept: a dragged slider throws nothing anew.
 */
export const luckFor = (seed: number, draws: number): Luck => {
  if (last?.seed === seed && last.draws === draws) return last;
  const thrown = new Map<Die, Float64Array>();
  last = {
    seed,
    draws,
    of(die) {
      const known = thrown.get(die);
      if (known) return known;
      const dice = evenNumbers(seed * 31 + DICE.indexOf(die), draws);
      thrown.set(die, dice);
      return dice;
    },
  };
  return last;
};

import { evenNumbers } from '../chance/random.ts';
import type { Spread } from './model.ts';
import { spreadOver } from './spread.ts';

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
  /** The same as factors around one, between the ends of a spread. */
  over(die: Die, spread: Spread): Float64Array;
}

/** Spreads kept: a job has two, every wheel of it the same. */
const MOST_SPREADS = 8;

/** Lucks kept: that of the screens, that of a hub alone, one more. */
const MOST_LUCKS = 3;
const kept = new Map<string, Luck>();

/**
 * Common random numbers: each kind of chance has its own stream, so that every way is drawn on the same luck (the same
 * truth, the same bad day, the same seized bolt) and a change of one input leaves the dice where they lie. The last
 * lucks are kept: a dragged slider throws nothing anew.
 */
export const luckFor = (seed: number, draws: number): Luck => {
  const name = `${seed} ${draws}`;
  const already = kept.get(name);
  if (already) return already;
  if (kept.size >= MOST_LUCKS) kept.clear();
  const thrown = new Map<Die, Float64Array>();
  const spreads = new Map<string, Float64Array>();
  const luck: Luck = {
    seed,
    draws,
    of(die) {
      const known = thrown.get(die);
      if (known) return known;
      const dice = evenNumbers(seed * 31 + DICE.indexOf(die), draws);
      thrown.set(die, dice);
      return dice;
    },
    over(die, { low, high }) {
      const key = `${die} ${low} ${high}`;
      const known = spreads.get(key);
      if (known) return known;
      if (spreads.size >= MOST_SPREADS) spreads.clear();
      const factors = spreadOver(this.of(die), { low, high });
      spreads.set(key, factors);
      return factors;
    },
  };
  kept.set(name, luck);
  return luck;
};

import { randomFrom } from '../chance/random.ts';

/** What chance brings to a job, the same for every way: the truth and ten dice for each draw. */
export interface Luck {
  readonly seed: number;
  readonly draws: number;
  /** Evenly between 0 and 1. */
  readonly truth: Float64Array;
  readonly cured: Float64Array;
  readonly labour: Float64Array;
  readonly snap: readonly [Float64Array, Float64Array];
  readonly snapWay: readonly [Float64Array, Float64Array];
  readonly wait: Float64Array;
  readonly after: Float64Array;
  readonly life: readonly [Float64Array, Float64Array];
  readonly bearing: Float64Array;
  readonly spared: Float64Array;
}

let last: Luck | null = null;

/**
 * Common random numbers: each kind of chance has its own stream, so that every way is drawn on the same luck (the same
 * truth, the same bad day, the same seized bolt) and a change of one input leaves the dice where they lie. The last
 * luck is kept: a dragged slider draws nothing anew.
 */
export const luckFor = (seed: number, draws: number): Luck => {
  if (last?.seed === seed && last.draws === draws) return last;
  const stream = (k: number): Float64Array => {
    const random = randomFrom(seed * 31 + k);
    const out = new Float64Array(draws);
    for (let i = 0; i < draws; i++) out[i] = random.next();
    return out;
  };
  last = {
    seed,
    draws,
    truth: stream(1),
    cured: stream(2),
    labour: stream(3),
    snap: [stream(4), stream(5)],
    snapWay: [stream(6), stream(7)],
    wait: stream(8),
    after: stream(9),
    life: [stream(10), stream(11)],
    bearing: stream(12),
    spared: stream(13),
  };
  return last;
};

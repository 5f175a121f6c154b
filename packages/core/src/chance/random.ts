import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** A stream of chance that a seed fixes: the same on every machine. */
export interface Random {
  /** Evenly between 0 (included) and 1 (not), in steps of 2^-32. */
  next(): number;
  /** Evenly between `low` and `high`. */
  between(low: number, high: number): number;
  /** A whole number from 0 to `n` - 1. */
  below(n: number): number;
  /** A normal deviate with mean 0 and deviation 1, by Box and Muller. */
  normal(): number;
  /** True with the given chance. */
  chance(p: number): boolean;
  /** One of the items, evenly. */
  pick<T>(items: readonly T[]): T;
  /** All of them in another order, every order as likely (Fisher and Yates). */
  shuffled<T>(items: readonly T[]): T[];
}

/** Neighbouring seeds give neighbouring first numbers: mix the bits and let the start run off. */
const generatorFrom = (seed: number) => {
  const generator = xoroshiro128plus(Math.imul((seed | 0) ^ 0x5bd1e995, 0x9e3779b1));
  for (let i = 0; i < 16; i++) generator.next();
  return generator;
};

/** The first `n` numbers of a seeded stream, evenly between 0 (included) and 1 (not): as `randomFrom(seed).next()`. */
export const evenNumbers = (seed: number, n: number): Float64Array => {
  const generator = generatorFrom(seed);
  const out = new Float64Array(n);
  for (let i = 0; i < n; i++) out[i] = (generator.next() >>> 0) / 4294967296;
  return out;
};

/** A seeded stream of random numbers (xoroshiro128+). */
export const randomFrom = (seed: number): Random => {
  const generator = generatorFrom(seed);
  const next = () => (generator.next() >>> 0) / 4294967296;
  return {
    next,
    between: (low, high) => low + next() * (high - low),
    below: (n) => Math.floor(next() * n),
    normal: () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next()),
    chance: (p) => next() < p,
    pick: <T>(items: readonly T[]) => items[Math.floor(next() * items.length)] as T,
    shuffled: <T>(items: readonly T[]) => {
      const out = [...items];
      for (let i = out.length - 1; i > 0; i--) {
        const j = Math.floor(next() * (i + 1));
        [out[i], out[j]] = [out[j] as T, out[i] as T];
      }
      return out;
    },
  };
};

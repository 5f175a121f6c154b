import jstat from 'jstat';

/** A number with where it most likely lies. */
export interface Interval {
  readonly mean: number;
  readonly low: number;
  readonly high: number;
}

/** Share of the belief that an interval holds. */
export const HELD = 0.9;
const TAIL = (1 - HELD) / 2;
/** Below this a quantile cannot be told from its end. */
const LEAST = 1e-9;

/** A chance believed as Beta(`yes`, `no`), with the middle ninety in a hundred of it. */
export const betaInterval = (yes: number, no: number): Interval => ({
  mean: yes / (yes + no),
  low: yes < LEAST ? 0 : jstat.beta.inv(TAIL, yes, Math.max(no, LEAST)),
  high: no < LEAST ? 1 : jstat.beta.inv(1 - TAIL, Math.max(yes, LEAST), no),
});

/** A rate believed as Gamma(`shape`, `rate`), with the middle ninety in a hundred of it. */
export const gammaInterval = (shape: number, rate: number): Interval => ({
  mean: shape / rate,
  low: shape < LEAST ? 0 : jstat.gamma.inv(TAIL, shape, 1 / rate),
  high: shape < LEAST ? 0 : jstat.gamma.inv(1 - TAIL, shape, 1 / rate),
});

/**
 * A share counted as `n` of `of`, by Jeffreys’ interval (Brown, Cai, DasGupta: Statistical Science 16, 2001): 1 of 3 is not
 * read as 33 in 100. Null where nothing was counted.
 */
export const shareInterval = (n: number, of: number): Interval | null => {
  if (of <= 0) return null;
  const { low, high } = betaInterval(n + 0.5, Math.max(0, of - n) + 0.5);
  return { mean: n / of, low: n <= 0 ? 0 : low, high: n >= of ? 1 : high };
};

/** Deviations of a normal belief that hold ninety in a hundred. */
export const NORMAL_HALF = 1.645;

/** A mean of values with the interval of the mean; null where there is none. */
export const meanInterval = (values: readonly number[]): Interval | null => {
  const n = values.length;
  if (n === 0) return null;
  const mean = values.reduce((sum, value) => sum + value, 0) / n;
  if (n === 1) return { mean, low: -Infinity, high: Infinity };
  const variance = values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (n - 1);
  const half = NORMAL_HALF * Math.sqrt(variance / n);
  return { mean, low: mean - half, high: mean + half };
};

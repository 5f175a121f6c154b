import type { Spread } from './model.ts';

/**
 * A factor around one for every draw, from its even number u: straight from `low` to 1 over the first half, from 1 to `high` over the
 * second, then divided by its mean (low + 2 + high) / 4, so that the mean is one whatever the ends. `times` multiplies it.
 */
export const spreadOver = (dice: Float64Array, spread: Spread, times = 1): Float64Array => {
  const scale = (4 * times) / (spread.low + 2 + spread.high);
  const { low, high } = spread;
  const rise = (1 - low) * 2;
  const climb = (high - 1) * 2;
  const out = new Float64Array(dice.length);
  for (let i = 0; i < dice.length; i++) {
    const u = dice[i] as number;
    out[i] = (u < 0.5 ? low + rise * u : 1 + climb * (u - 0.5)) * scale;
  }
  return out;
};

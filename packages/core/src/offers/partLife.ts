import type { Assumptions } from '../assumptions/assumptions.ts';
import type { PartState, Tier } from '../vocabulary/catalogue.ts';

/** Gamma function of 1 + 1/k by the Lanczos approximation (g = 7, n = 9), to about 15 figures. */
const gamma = (x: number): number => {
  const g = [
    0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
    12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
  ];
  const t = x + 6.5;
  const sum = g.slice(1).reduce((acc, c, i) => acc + c / (x + i), g[0] as number);
  return Math.sqrt(2 * Math.PI) * t ** (x - 0.5) * Math.exp(-t) * sum;
};

/**
 * Chance that a part of a tier is worn out within `years`: Weibull with the tier's mean life and the shape of the
 * assumptions. Zero years, zero chance.
 */
export const wornWithin = (
  years: number,
  tier: Tier | null,
  a: Assumptions,
  state: PartState = 'new',
): number => {
  const shape = a.get('life.shape');
  // Of a used part some of its life is gone; one renewed in exchange lives as a new one.
  const left = state === 'used' ? a.get('life.used-left') : 1;
  const scale = (left * a.get(`tier.life.${tier ?? 'unknown'}`)) / gamma(1 + 1 / shape);
  return 1 - Math.exp(-((years / scale) ** shape));
};

/** How much likelier than a good aftermarket part this one is to work from the start; the cure tables hold for a good one. `own` is what is known of the very part. */
export const soundFromStart = (tier: Tier | null, a: Assumptions, own: number | null = null): number =>
  (1 - (own ?? a.get(`tier.bad-out-of-box.${tier ?? 'good'}`))) / (1 - a.get('tier.bad-out-of-box.good'));

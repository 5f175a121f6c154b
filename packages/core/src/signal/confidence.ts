import type { LivePattern } from '../vocabulary/check.ts';

/**
 * Confidence from the margin of a finding: 1 / (1 + exp(-(a + b margin))). Fitted on generated logs with known truth
 * by `npm run trace-grid -- --fit`; docs/reasoning.md has the table of what was said and how often it was so.
 */
const FIT: Readonly<Record<LivePattern, readonly [a: number, b: number]>> = {
  normal: [4.1, 0.8],
  'no-signal': [0.4, 1.2],
  'drops-out': [-2.1, 1.4],
  'once-per-turn': [0.7, 1],
  'reads-high': [0.6, 1],
  'reads-low': [0.6, 1],
  'weak-at-low-speed': [2.5, 0.5],
  noisy: [-1.1, 1.4],
};

/** No log is proof: a confidence stays below this. */
const MOST = 0.99;

/** How sure a finding is, 0 to 1. */
export const confidenceOf = (pattern: LivePattern, margin: number): number => {
  const [a, b] = FIT[pattern];
  return Number(Math.min(MOST, 1 / (1 + Math.exp(-(a + b * margin)))).toFixed(3));
};

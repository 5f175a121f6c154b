import type { ComputedKind } from '../computedCheck.ts';

/** A live pattern; far beyond any tyre or tooth count, what reads high or low is a signal that is not one. */
export const liveSpeeds: ComputedKind<'live'> = {
  reads: (check, _sensor, a) => ({
    table: 'live',
    result:
      (check.pattern === 'reads-high' || check.pattern === 'reads-low') &&
      Math.abs(check.percent ?? 0) > a.get('live.ratio-most')
        ? 'no-signal'
        : check.pattern,
  }),
};

import type { ComputedKind } from '../computedCheck.ts';

/** A count of teeth against the right one; a wrong count reads off by the same share at every speed. */
export const ringTeeth: ComputedKind<'ring.teeth'> = {
  reads: (check) => ({ table: 'ring.teeth', result: check.counted === check.expected ? 'match' : 'differ' }),
  tells: (check) => {
    const percent = (check.counted / check.expected - 1) * 100;
    return percent === 0
      ? { lines: ['the count is right'], says: 'sound' }
      : {
          lines: [
            `${check.counted} for ${check.expected} reads ${Math.abs(percent).toFixed(2)} % ${percent < 0 ? 'low' : 'high'} at every speed`,
          ],
          says: 'faulty',
        };
  },
};

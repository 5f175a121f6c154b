import type { Assumptions } from '../assumptions/assumptions.ts';
import { betaInterval } from '../chance/intervals.ts';
import type { BadPart } from '../vocabulary/ledgerViews.ts';
import { partsOfKey } from './counts.ts';
import type { Tally } from './tally.ts';

/**
 * Part numbers that came back bad from the box, worst first: each leans on its tier, worth so many pieces. What is told at
 * the counter are the pieces themselves.
 */
export const badParts = (tally: Tally, judged: Assumptions): BadPart[] => {
  const weight = judged.get('learning.weight.part');
  const batches = new Map<string, Array<{ batch: string; bad: number }>>();
  for (const [key, { n }] of tally) {
    const [kind, partNumber = '', batch = ''] = partsOfKey(key);
    if (kind === 'batch' && n > 0)
      batches.set(partNumber, [...(batches.get(partNumber) ?? []), { batch, bad: n }]);
  }
  return [...tally]
    .flatMap(([key, { n, e }]): BadPart[] => {
      const [kind, tier = 'unknown', partNumber = ''] = partsOfKey(key);
      if (kind !== 'box' || n < judged.get('learning.tell-from')) return [];
      const prior = judged.find(`tier.bad-out-of-box.${tier}`, judged.get('tier.bad-out-of-box.good'));
      return [
        {
          partNumber,
          tier,
          bad: n,
          sold: e,
          batches: (batches.get(partNumber) ?? []).sort((p, q) => q.bad - p.bad),
          interval: betaInterval(weight * prior + n, weight * (1 - prior) + Math.max(0, e - n)),
        },
      ];
    })
    .sort((p, q) => q.interval.mean - p.interval.mean);
};

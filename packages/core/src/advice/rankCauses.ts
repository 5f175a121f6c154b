import type { Posterior } from '../diagnosis/posterior.ts';
import type { RankedCause } from '../vocabulary/advice.ts';

/** Every cause at every place with its chance, the likeliest first. */
export const rankCauses = (whole: Posterior): RankedCause[] => {
  const out: RankedCause[] = [];
  for (const { wheelEnd, causes, wrongPart } of whole.ends)
    for (const [cause, probability] of causes)
      out.push({
        cause,
        wheelEnd,
        probability: Math.min(1, probability),
        ...(cause === 'mismatched-part'
          ? { kind: wrongPart.sensor >= wrongPart.target ? ('sensor' as const) : ('target' as const) }
          : {}),
      });
  for (const [cause, probability] of whole.shared)
    out.push({ cause, wheelEnd: null, probability: Math.min(1, probability) });
  return out.sort((x, y) => y.probability - x.probability);
};

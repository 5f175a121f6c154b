import type { Posterior } from '../diagnosis/posterior.ts';
import { causeOf, wrongPartOf } from '../faultKinds/faultData.ts';
import type { RankedCause } from '../vocabulary/advice.ts';
import type { Cause } from '../vocabulary/words.ts';

/** Every cause at every place with its chance, the likeliest first. */
export const rankCauses = (whole: Posterior): RankedCause[] => {
  const out: RankedCause[] = [];
  for (const end of whole.ends) {
    const causes = new Map<Cause, number>();
    const kinds = { sensor: 0, target: 0 };
    for (const belief of end.beliefs)
      for (const fault of belief.state) {
        const cause = causeOf(fault);
        causes.set(cause, (causes.get(cause) ?? 0) + belief.p);
        const kind = wrongPartOf(fault);
        if (kind) kinds[kind] += belief.p;
      }
    for (const [cause, probability] of causes)
      out.push({
        cause,
        wheelEnd: end.wheelEnd,
        probability: Math.min(1, probability),
        ...(cause === 'mismatched-part'
          ? { kind: kinds.sensor >= kinds.target ? ('sensor' as const) : ('target' as const) }
          : {}),
      });
  }
  for (const [cause, probability] of whole.shared)
    out.push({ cause, wheelEnd: null, probability: Math.min(1, probability) });
  return out.sort((x, y) => y.probability - x.probability);
};

import { hasRing } from '../diagnosis/architecture.ts';
import type { OrderLine } from '../vocabulary/advice.ts';
import type { CataloguePart, CompanionRule } from '../vocabulary/catalogue.ts';
import type { PartClass } from '../vocabulary/words.ts';
import { axleOf } from '../vocabulary/wheelEndWords.ts';
import { orderLine } from './orderLine.ts';
import type { Rates } from './rates.ts';
import { oldSensorAt } from '../vocabulary/oldSensor.ts';
import type { WheelJob } from './wheelJob.ts';

/** A job whose part is known: what goes along depends on how the wheel end is built and on what may snap. */
export interface CompanionJob extends WheelJob {
  readonly part: PartClass;
  readonly chosen: CataloguePart | null;
  /** Chance that the old sensor snaps; null where none is drawn. */
  readonly seizure: number | null;
}

/** What the conditions of a rule are held against; null is not known. */
const factsOf = (job: CompanionJob): Readonly<Record<string, string | null>> => {
  const { architecture, docket, seizure, chosen, wheelEnd, a } = job;
  const vehicle = docket.vehicle ?? {};
  return {
    sensor: architecture.sensor,
    mounting: architecture.mounting,
    target: architecture.target,
    encoder: hasRing(architecture) ? 'no' : 'yes',
    seizure: seizure !== null && seizure > a.get('caution.seizure-above') ? 'likely' : 'unlikely',
    old: oldSensorAt(docket, wheelEnd),
    knuckle: vehicle.knuckle ?? null,
    driveline: vehicle.driveline ?? null,
    electric: vehicle.electric == null ? null : vehicle.electric ? 'yes' : 'no',
    axle: String(axleOf(wheelEnd)),
    ...Object.fromEntries(
      Object.entries({ ...chosen?.looks, ...chosen?.measures }).map(([name, value]) => [
        `part.${name}`,
        String(value),
      ]),
    ),
  };
};

/** Whether a rule holds: each condition names one of `a|b`; what is not known holds. */
const holds = ({ conditions }: CompanionRule, facts: Readonly<Record<string, string | null>>): boolean =>
  Object.entries(conditions).every(([name, wanted]) => {
    const is = Object.hasOwn(facts, name) ? facts[name] : null;
    return is == null || wanted.split('|').includes(is);
  });

/**
 * What goes along with a part on this job, each with its reason: the rules of the catalogue that hold, without what the part
 * brings with it.
 */
export const companionLines = (job: CompanionJob, rates: Rates): OrderLine[] => {
  const { slice, part, chosen, wheelEnd } = job;
  const facts = factsOf(job);
  const brought = new Set(chosen?.contents.map(({ number }) => number));
  const own = (rule: CompanionRule) => rule.vehicleId === null || rule.vehicleId === slice.vehicle?.id;
  return slice.companions
    .filter((rule) => rule.partClass === part && own(rule) && holds(rule, facts))
    .filter(({ companionNumber }) => !brought.has(companionNumber))
    .flatMap((rule) => {
      const found = slice.parts.find(({ number }) => number === rule.companionNumber);
      return found
        ? [
            orderLine(found, rates, {
              quantity: rule.quantity,
              why: rule.why,
              wheelEnd: rule.oncePerOrder ? null : wheelEnd,
              companion: true,
            }),
          ]
        : [];
    });
};

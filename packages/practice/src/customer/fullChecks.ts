import { copyOf, endsOf, type End } from '@hardy/bench-vehicle';
import { randomFrom } from '@hardy/core/chance';
import { bareKnowledge, judge, type Judged } from '@hardy/core/trial';
import { CHECK_NAMES, type Cause, type Check, type Docket } from '@hardy/core/words';
import { causeOfAilment } from '../bench/causeOf.ts';
import { checkOn } from '../bench/checkOn.ts';
import { codesRead } from '../bench/docketOf.ts';
import type { Customer } from './drawCustomer.ts';

/** Checks that tell of the whole vehicle, whatever wheel they are asked of. */
const OF_ALL: ReadonlySet<string> = new Set(['tyres', 'battery', 'lamps', 'brake.fluid']);

/** Everything that can be learned of a vehicle: every question asked, every wheel checked in every way, codes read where they can be. */
export const fullDocket = ({ life, first, rules, told }: Customer, seed: number): Docket => {
  const random = randomFrom(seed);
  const ends = endsOf(life.vehicle.build);
  const checks = CHECK_NAMES.flatMap((name): Check[] =>
    (OF_ALL.has(name) ? ends.slice(0, 1) : ends).flatMap(
      (end) => checkOn(copyOf(life.vehicle), name, end, random) ?? [],
    ),
  );
  const reads = rules.codes !== 'no reader';
  const { memory } = life.vehicle;
  return {
    ...first,
    // The corner they name is what they believe: who has looked everywhere does not need it.
    wheelEnd: null,
    symptoms: [
      ...(memory.lamp || !memory.falseAction ? (['lamp.abs'] as const) : []),
      ...(memory.falseAction ? (['abs.activates-when-stopping'] as const) : []),
      ...(told.symptoms.includes('noise.wheel') ? (['noise.wheel'] as const) : []),
    ],
    ...(reads
      ? { reader: 'full' as const, modulesRead: ['ABS'], codes: codesRead(life.vehicle, random) }
      : {}),
    history: life.past.map(({ work, end, daysAgo, forThis }) => ({
      event: work,
      ...(end ? { wheelEnd: end } : {}),
      daysAgo,
      ...(forThis ? { cured: 'no' as const } : {}),
    })),
    // Without a reader nobody sees speeds or clears codes.
    checks: reads
      ? checks
      : checks.filter(({ check }) => check !== 'live' && check !== 'clear-and-drive' && check !== 'swap'),
  };
};

/** What is wrong, as the advice would name it. */
export const truthOf = ({ life }: Customer): ReadonlyArray<readonly [cause: Cause, end: End | null]> =>
  life.befell.map(([name, end]) => [causeOfAilment(name), end]);

/** Whether the likeliest cause is one that is there: at that wheel, or on that axle for a tyre. */
export const isTrue = ({ causes }: Pick<Judged, 'causes'>, customer: Customer): boolean => {
  const [first] = causes;
  return (
    first !== undefined &&
    truthOf(customer).some(
      ([cause, end]) =>
        cause === first.cause &&
        (end === first.wheelEnd ||
          end === null ||
          first.wheelEnd === null ||
          (cause === 'tyre' && end.slice(0, 2) === first.wheelEnd.slice(0, 2))),
    )
  );
};

/** A customer is fair if whoever asks and checks everything comes to the truth. */
export const isFair = (customer: Customer, today: string): boolean =>
  isTrue(judge(fullDocket(customer, customer.seed * 17 + 5), bareKnowledge(today)), customer);

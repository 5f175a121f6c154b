import type { End } from '@hardy/bench-vehicle';
import { assumptionsWith, bareKnowledge, emptySlice, judge, type Judged } from '@hardy/core/trial';
import { CHECK_NAMES, type Cause, type CheckName, type Docket, type PracticeDeed } from '@hardy/core/words';
import { causeOfAilment } from '../bench/causeOf.ts';
import { wheelsOf, type Customer } from '../customer/customer.ts';
import { playVisit } from '../job/visit.ts';

/** Checks that tell of the whole vehicle, whatever wheel they are asked of. */
const OF_ALL: ReadonlySet<CheckName> = new Set(['tyres', 'battery', 'lamps', 'brake.fluid']);
/** Codes are cleared and sensors change sides: made last, for nothing is as it was after them. */
const CHANGING: readonly CheckName[] = ['clear-and-drive', 'swap'];
/** Without a reader nobody sees speeds, nor what comes back. */
const BY_READER: ReadonlySet<CheckName> = new Set(['live', 'clear-and-drive', 'swap']);

/** Everything that can be learned of a customer's vehicle: every question, codes where they can be read, every wheel in every way. */
export const fullDeeds = (customer: Customer): PracticeDeed[] => {
  const ends = wheelsOf(customer);
  const reads = customer.rules.codes !== 'no reader';
  const looks = CHECK_NAMES.filter((name) => !CHANGING.includes(name) && name !== 'live');
  const at = (check: CheckName): PracticeDeed[] =>
    OF_ALL.has(check)
      ? [{ kind: 'check', check, at: ends[0] ?? null }]
      : ends.map((end) => ({ kind: 'check', check, at: end }));
  return [
    ...(['lamps', 'corner', 'history', 'noise'] as const).map((about): PracticeDeed => ({
      kind: 'question',
      about,
    })),
    ...(reads ? [{ kind: 'read' } as const] : []),
    ...ends.filter((end) => end.endsWith('L')).map((end): PracticeDeed => ({ kind: 'ask', at: end })),
    ...(reads ? [{ kind: 'check', check: 'live', at: null } as const] : []),
    ...looks.flatMap(at),
    ...CHANGING.filter((name) => reads || !BY_READER.has(name)).flatMap(at),
  ];
};

/** The docket of whoever has asked and checked everything, in a shop that knows nothing but judgement. */
export const fullDocket = (customer: Customer, today: string): Docket =>
  playVisit(customer, fullDeeds(customer), { prices: assumptionsWith(), today, slice: emptySlice() }).docket;

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

/**
 * A customer is fair if whoever asks and checks everything comes to the truth. A look at the same state always shows the same,
 * so it is judged by the very answers the learner gets.
 */
export const isFair = (customer: Customer, today: string): boolean =>
  isTrue(judge(fullDocket(customer, today), bareKnowledge(today)), customer);

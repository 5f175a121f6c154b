import { wheelEndInWords, type Account, type AccountStep, type PracticeDeed } from '@hardy/core/words';
import {
  assumptionsFor,
  optionsAt,
  ratesFor,
  type Deed,
  type Knowledge,
  type Options,
} from '@hardy/core/trial';
import { CAUSE_SHORT, type Docket } from '@hardy/core/words';
import type { Customer } from '../customer/customer.ts';
import { truthOf } from '../fair/fullVisit.ts';
import { deedInWords, deedKey, type Visit, type VisitStep } from '../job/visit.ts';
import { lapsesOf, type Sale } from './lapsesOf.ts';
import { nextToPractise } from './nextToPractise.ts';

/** Steps ahead that each moment is judged by. */
const ACCOUNT_DEPTH = 3;

/** Codes nobody has read, of a vehicle they can be read of. */
export const canReadAt = (docket: Docket): boolean =>
  docket.reader !== 'none' && docket.reader !== 'engine' && docket.codes == null;

/** How often each deed was done among these. */
export const timesAmong =
  (deeds: readonly PracticeDeed[]) =>
  (deed: Deed): number =>
    deeds.filter((each) => deedKey(each) === deedKey(deed as PracticeDeed)).length;

/** The expected cost of what was done, by what was known then. */
const costOf = (step: VisitStep, now: Options): number => {
  const { deed, before } = step;
  const listed = now.options.filter((option) => deedKey(option.deed as PracticeDeed) === deedKey(deed));
  if (listed.length > 0) return Math.min(...listed.map(({ cost }) => cost));
  const perMinute = ratesFor(before, now.judged.d.a).labour / 60;
  switch (deed.kind) {
    // A question costs its minutes: nobody can be blamed for asking.
    case 'question':
      return now.value;
    // A look that tells nothing new: its minutes are lost.
    case 'check':
    case 'read':
    case 'ask':
      return now.value + step.minutes * perMinute;
    case 'refer':
      return now.value;
    // What is no way to a cure here: all of it is lost, and the job is where it was.
    default: {
      const comeback = now.judged.d.a.get('comeback.cost');
      return now.value + (step.ends ? step.money : Math.max(0, step.money - comeback)) + comeback;
    }
  }
};

/** Whether a deed is what safety asks for first: the same look or stop, at that wheel or all round. */
const heeds = (deed: PracticeDeed, first: Deed): boolean => {
  if (deed.kind === 'question' || deed.kind === 'read' || deed.kind === 'ask') return true;
  if (deed.kind !== first.kind) return deed.kind === 'refer';
  if (deed.kind === 'check' && first.kind === 'check')
    return deed.check === first.check && (deed.at === null || first.at === null || deed.at === first.at);
  if (deed.kind === 'parts' && first.kind === 'parts')
    return deed.at === first.at && first.parts.every((part) => deed.parts.includes(part));
  return true;
};

const bestOf = ({ options, first }: Options): PracticeDeed | null => {
  if (first) return first as PracticeDeed;
  const best = [...options].sort((x, y) => x.cost - y.cost)[0];
  return (best?.deed as PracticeDeed | undefined) ?? null;
};

/** What each moment of a visit was worth, and what each deed cost beside it. */
export interface Judging {
  readonly steps: readonly AccountStep[];
  /** What the job was worth at first. */
  readonly fair: number;
}

/**
 * Judges every step by what was known at that moment, never by what was so: regret is what it was expected to cost more than
 * the best step then, luck what then came cheaper or dearer than expected. So
 *
 *     cost = worth at first + sum of regret + sum of luck
 *
 * holds to the cent, and who guessed and was lucky has regret and luck, not merit.
 */
export const judgeSteps = (visit: Visit, knowledge: Knowledge, depth: number = ACCOUNT_DEPTH): Judging => {
  const worths = (docket: Docket, before: readonly VisitStep[]): Options =>
    optionsAt(docket, knowledge, {
      depth,
      canRead: canReadAt(docket),
      timesDone: timesAmong(before.map(({ deed }) => deed)),
    });
  const moments = visit.steps.map(({ before }, i) => worths(before, visit.steps.slice(0, i)));
  const steps = visit.steps.map((step, i): AccountStep => {
    const now = moments[i] as Options;
    const cost = costOf(step, now);
    const after = step.ends
      ? 0
      : i + 1 < moments.length
        ? (moments[i + 1] as Options).value
        : worths(step.after, visit.steps).value;
    const unsafe = now.first !== null && !heeds(step.deed, now.first);
    const forced = now.first !== null && !unsafe;
    const regret = forced ? 0 : Math.max(0, cost - now.value);
    const best = bestOf(now);
    return {
      deed: step.deed,
      words: step.words,
      came: step.came,
      minutes: step.minutes,
      money: step.money,
      regret,
      luck: step.money + after - now.value - regret,
      better:
        best && (unsafe || regret >= now.judged.d.a.get('practice.as-good'))
          ? deedInWords(best, step.before.vehicle ?? {})
          : null,
      unsafe,
    };
  });
  return { steps, fair: moments[0]?.value ?? 0 };
};

/** The account of a customer who has left. */
export const accountOf = (customer: Customer, visit: Visit, knowledge: Knowledge, sale: Sale): Account => {
  const { steps, fair } = judgeSteps(visit, knowledge);
  const sum = (of: (step: AccountStep) => number) => steps.reduce((total, step) => total + of(step), 0);
  const a = assumptionsFor(customer.first, knowledge);
  const lapses = lapsesOf(customer, visit, steps, sale, a);
  const names = customer.first.vehicle ?? {};
  return {
    steps: [...steps],
    truth: truthOf(customer).map(
      ([cause, end]) =>
        `${CAUSE_SHORT[cause]}${end ? `, ${wheelEndInWords(end, { axles: names.axles, driveline: names.driveline })}` : ''}`,
    ),
    cost: visit.cost,
    fair,
    regret: sum(({ regret }) => regret),
    luck: sum(({ luck }) => luck),
    minutes: visit.minutes,
    hadMinutes: customer.minutes,
    budget: customer.budget,
    visits: visit.visits,
    lapses,
    next: nextToPractise(customer, steps, lapses, a),
  };
};

import { copyOf, type End } from '@hardy/bench-vehicle';
import { randomFrom, type Random } from '@hardy/core/chance';
import { WORK_IN_WORDS, type Assumptions, type HistoryEvent, type Knowledge } from '@hardy/core/trial';
import {
  CHECK_IN_WORDS,
  EVENT_IN_WORDS,
  PART_IN_WORDS,
  wheelEndInWords,
  type Docket,
  type PracticeDeed,
} from '@hardy/core/words';
import { askedSymptoms, type Customer } from '../customer/customer.ts';
import { BenchJob } from './benchJob.ts';
import { foundInWords } from './foundInWords.ts';

/** One thing that was done in practice, and what it led to. */
export interface VisitStep {
  readonly deed: PracticeDeed;
  /** What was known before it, and after. */
  readonly before: Docket;
  readonly after: Docket;
  readonly words: string;
  readonly came: string;
  /** What it took, money and minutes. */
  readonly money: number;
  readonly minutes: number;
  /** Whether the job was over with it. */
  readonly ends: boolean;
}

/** A customer as far as they were dealt with. */
export interface Visit {
  readonly steps: readonly VisitStep[];
  readonly docket: Docket;
  readonly cost: number;
  readonly minutes: number;
  readonly visits: number;
  readonly over: boolean;
  readonly unsafe: boolean;
  readonly overlooked: boolean;
}

/** What a shop brings to it. */
export interface Shop {
  readonly prices: Assumptions;
  readonly today: string;
  readonly slice: Knowledge['slice'];
}

const hashOf = (text: string): number => {
  let hash = 2166136261;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 16777619);
  return hash >>> 0;
};

/** A deed as one word: what is the same deed has the same. */
export const deedKey = (deed: PracticeDeed | { readonly kind: 'ask' | 'read' | 'refer' }): string =>
  JSON.stringify(deed, Object.keys(deed).sort());

/** What a deed is called. */
export const deedInWords = (
  deed: PracticeDeed,
  { axles, driveline }: NonNullable<Docket['vehicle']>,
): string => {
  const place = (at: string | null) =>
    at === null ? 'all round' : wheelEndInWords(at, { axles, driveline });
  switch (deed.kind) {
    case 'question':
      return {
        lamps: 'ask what exactly lights up, and when',
        corner: 'ask which corner they mean',
        history: 'ask what was done to it lately',
        noise: 'ask whether a wheel hums',
      }[deed.about];
    case 'read':
      return 'read every controller';
    case 'ask':
      return `look up how it is built ${place(deed.at)}`;
    case 'check':
      return `${CHECK_IN_WORDS[deed.check]}, ${place(deed.at)}`;
    case 'parts':
      return `fit ${deed.parts.map((part) => PART_IN_WORDS[part]).join(' and ')}, ${place(deed.at)}`;
    case 'work':
      return `${WORK_IN_WORDS[deed.work]}${deed.at ? `, ${place(deed.at)}` : ''}`;
    case 'refer':
      return 'hand it to a workshop';
  }
};

const historyOf = ({ life }: Customer): HistoryEvent[] =>
  life.past.map(({ work, end, daysAgo, forThis }) => ({
    event: work,
    ...(end ? { wheelEnd: end } : {}),
    daysAgo,
    ...(forThis ? { cured: 'no' as const } : {}),
  }));

/** A customer being dealt with, deed by deed. Once they have left nothing more is done. */
export interface OpenVisit {
  readonly do: (deed: PracticeDeed) => Visit;
  readonly now: () => Visit;
}

/** A customer walks in. */
export const beginVisit = (customer: Customer, shop: Shop): OpenVisit => {
  const { prices, today, slice } = shop;
  const names = customer.first.vehicle ?? {};
  let stream: Random = randomFrom(customer.seed);
  const job = new BenchJob({
    vehicle: copyOf(customer.life.vehicle),
    docket: customer.first,
    prices,
    today,
    slice,
    snaps: true,
    backAfterDays: () => days,
    get random() {
      return stream;
    },
  });
  /** Days until they are back, if they come back from this visit. */
  let days = 0;
  let over = false;
  const steps: VisitStep[] = [];
  const answer = (about: 'lamps' | 'corner' | 'history' | 'noise'): string => {
    job.take(prices.get('ask.minutes'));
    const { docket } = job;
    switch (about) {
      case 'lamps': {
        const asked = askedSymptoms(customer) ?? [];
        const also = (docket.symptoms ?? []).filter((each) => each === 'noise.wheel');
        job.docket = { ...docket, symptoms: [...asked, ...also] };
        return `"${(asked ?? []).map((each) => (each === 'lamp.abs' ? 'the yellow one with ABS on it' : 'the pedal grinds just before I stop')).join(', and ')}"`;
      }
      case 'corner': {
        const { corner } = customer.told;
        if (!corner) return '"I could not tell."';
        job.docket = { ...docket, wheelEnd: corner };
        return `"${wheelEndInWords(corner, names)}, as I sit in it."`;
      }
      case 'history': {
        const past = historyOf(customer);
        const known = docket.history ?? [];
        job.docket = {
          ...docket,
          history: [
            ...known,
            ...past.filter(
              (each) => !known.some((k) => k.event === each.event && k.daysAgo === each.daysAgo),
            ),
          ],
        };
        return past.length === 0
          ? '"Nothing that I know of."'
          : `"${past.map((each) => `${EVENT_IN_WORDS[each.event]}${each.wheelEnd ? ` ${wheelEndInWords(each.wheelEnd, names)}` : ''}, ${each.daysAgo} days ago${each.cured === 'no' ? '; it did not help' : ''}`).join('; ')}"`;
      }
      case 'noise': {
        const hums = job.ends.some((end) => customer.life.vehicle.corners[end].bearing.rough > 0.4);
        if (hums && !(docket.symptoms ?? []).includes('noise.wheel'))
          job.docket = { ...docket, symptoms: [...(docket.symptoms ?? []), 'noise.wheel'] };
        return hums ? '"Yes, from about sixty on."' : '"No, it runs quiet."';
      }
    }
  };
  const fitted = (what: { cured: boolean; snapped: boolean | null }): string => {
    over = what.cured;
    return [
      ...(what.snapped ? ['the old sensor snapped and had to be drilled out'] : []),
      what.cured ? 'driven, and used for weeks: it stays away' : `back in ${days} days: the lamp is on again`,
    ].join('; ');
  };
  const act = (deed: PracticeDeed): string => {
    switch (deed.kind) {
      case 'question':
        return answer(deed.about);
      case 'read': {
        job.take(prices.get('check.setup.reader') + prices.get('read.minutes'));
        job.read();
        const codes = job.docket.codes ?? [];
        return codes.length > 0
          ? codes.map(({ code, status }) => `${code} ${status ?? ''}`).join(', ')
          : 'no codes';
      }
      case 'ask': {
        job.ask(deed.at);
        const { sensor, mounting, target } = job.architectureOf(deed.at);
        return `${sensor} sensor, ${mounting}, ${target.replace(/-/g, ' ')}`;
      }
      case 'check':
        return foundInWords(job.check(deed.check, deed.at as End | null), names);
      case 'parts':
        return fitted(job.fit(deed.parts, deed.at as End));
      case 'work':
        return fitted(job.workOn(deed.work, deed.at as End | null));
      case 'refer':
        job.refer();
        over = true;
        return 'the workshop found it and put it right, at its prices';
    }
  };
  /** What it drove away with, told once: the first time a wheel was loose. */
  let wasLoose = false;
  const leaving = (): string => {
    if (wasLoose || !(job.unsafe || job.overlooked)) return '';
    wasLoose = true;
    return '; a wheel was loose when it drove away';
  };
  const now = (): Visit => ({
    steps: [...steps],
    docket: job.docket,
    cost: job.cost,
    minutes: job.minutes,
    visits: job.visits,
    over,
    unsafe: job.unsafe,
    overlooked: job.overlooked,
  });
  return {
    now,
    do(deed) {
      if (over) return now();
      stream = randomFrom(hashOf(`${customer.seed} ${job.visits} ${deedKey(deed)}`));
      days = 2 + (hashOf(`${customer.seed} back ${job.visits}`) % 9);
      const { docket: before, cost, minutes } = job;
      const came = act(deed) + leaving();
      steps.push({
        deed,
        before,
        after: job.docket,
        words: deedInWords(deed, names),
        came,
        money: job.cost - cost,
        minutes: job.minutes - minutes,
        ends: over,
      });
      return now();
    },
  };
};

/**
 * What a learner did with a customer, from the first word on: the same deeds always lead to the same, and the same look at the
 * same state shows the same, however often and in whatever order. So a job is kept as its deeds, and can be taken up again
 * from any of them.
 */
export const playVisit = (customer: Customer, deeds: readonly PracticeDeed[], shop: Shop): Visit => {
  const open = beginVisit(customer, shop);
  for (const deed of deeds) open.do(deed);
  return open.now();
};

import { z } from 'zod';
import { partsOfKey, type Count } from './counts.ts';

/** Sums of counts by key and month (YYYY-MM). */
export interface MonthCount extends Count {
  readonly month: string;
}

/** Counts by key, each as it is weighed today. */
export type Tally = ReadonlyMap<string, Omit<Count, 'key'>>;

const monthsOf = (month: string): number => {
  const [year = 0, of = 1] = month.split('-').map(Number);
  return year * 12 + of - 1;
};

/** What a count of a month still weighs: half after every half-life. Of the months to come it is whole. */
export const weightOf = (month: string, thisMonth: string, halfLifeMonths: number): number =>
  0.5 ** (Math.max(0, monthsOf(thisMonth) - monthsOf(month)) / halfLifeMonths);

/** Adds counts up, in whatever order they come. */
export const tallyOf = (counts: Iterable<MonthCount>, thisMonth: string, halfLifeMonths: number): Tally => {
  const sums = new Map<string, { n: number; e: number; x: number; jobs: number }>();
  for (const { key, month, n, e, x, jobs } of counts) {
    const w = weightOf(month, thisMonth, halfLifeMonths);
    const sum = sums.get(key) ?? { n: 0, e: 0, x: 0, jobs: 0 };
    sum.n += w * n;
    sum.e += w * e;
    sum.x += w * x;
    sum.jobs += w * jobs;
    sums.set(key, sum);
  }
  return sums;
};

/** No shop sells so much: more is a slip, and would drown what everybody else counted. */
const MOST = 1e7;
const figure = z.number().min(-MOST).max(MOST);
const monthText = z.string().regex(/^\d{4}-(0[1-9]|1[0-2])$/, 'is not a month; write YYYY-MM');

/** Counts as they leave and enter a shop: no customer, no docket, no day. */
export const LearnedCounts = z.strictObject({
  format: z.literal('hardy-spoke/learned-counts'),
  version: z.literal(1),
  /** A name the shop gives itself, so that its counts are not poured in twice. */
  shop: z.string().min(1).max(120),
  counts: z
    .array(
      z
        .strictObject({
          key: z.string().min(1).max(200),
          month: monthText,
          n: figure,
          e: figure.min(0),
          x: figure,
          jobs: figure.min(0),
        })
        .refine(({ key, n }) => n >= 0 || partsOfKey(key)[0] === 'pace', {
          error: 'has fewer than none; only hours, told as logarithms, may lie below nought',
        }),
    )
    .max(200_000)
    .refine((counts) => new Set(counts.map(({ key, month }) => `${month} ${key}`)).size === counts.length, {
      error: 'has one key twice in one month; add the two up',
    }),
});
export type LearnedCounts = z.infer<typeof LearnedCounts>;

/** Kinds of counts that may leave: what is of one part number of one shop stays with who sold it only where it is few. */
const KINDS = new Set(['cause', 'build', 'line', 'cure', 'check', 'box', 'seize', 'pace']);

/**
 * Counts fit to leave the shop: by year, and none of fewer jobs than `least`, which could tell of one customer.
 */
export const toLeave = (counts: Iterable<MonthCount>, shop: string, least: number): LearnedCounts => {
  const years = new Map<
    string,
    { key: string; month: string; n: number; e: number; x: number; jobs: number }
  >();
  for (const { key, month, n, e, x, jobs } of counts) {
    if (!KINDS.has(partsOfKey(key)[0] ?? '')) continue;
    const year = `${month.slice(0, 4)}-07`;
    const id = `${year} ${key}`;
    const sum = years.get(id) ?? { key, month: year, n: 0, e: 0, x: 0, jobs: 0 };
    sum.n += n;
    sum.e += e;
    sum.x += x;
    sum.jobs += jobs;
    years.set(id, sum);
  }
  return {
    format: 'hardy-spoke/learned-counts',
    version: 1,
    shop,
    counts: [...years.values()]
      .filter(({ jobs }) => jobs >= least)
      .sort((p, q) => (p.key + p.month < q.key + q.month ? -1 : 1)),
  };
};

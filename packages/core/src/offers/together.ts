import type { OrderLine } from '../vocabulary/advice.ts';
import { mergeLines } from './mergeLines.ts';
import type { Outlay, Risk } from './outlay.ts';
import type { Rates } from './rates.ts';

/** Something seized that a job must draw out: its chance of snapping and what each way of getting it out costs. */
export interface Snag {
  readonly chance: number;
  readonly snaps: readonly Risk[];
}

/** What a job costs whose parts are fitted in one go, before chance has spoken. Money in the shop's currency. */
export interface JobOutlay {
  readonly price: number;
  readonly listPrice: number;
  readonly costPrice: number | null;
  readonly deposit: number;
  readonly core: number;
  readonly companions: number;
  readonly labourHours: number;
  /** A good or a bad day stretches this sum. */
  readonly labour: number;
  readonly supplies: number;
  readonly tax: number;
  readonly fee: number;
  /** At most two: a sensor on either side. */
  readonly snags: readonly Snag[];
  readonly seizure: number | null;
  readonly waitDays: number;
  readonly perDay: number;
  readonly from: 'shelf' | 'branch' | 'supplier' | 'not-known';
  /** New parts worn out within the horizon, at most two. */
  readonly later: readonly Risk[];
  readonly lines: readonly OrderLine[];
}

const expected = ({ chance, cost }: Risk): number => chance * cost;

/** What is certain to be paid. */
export const sureCost = (job: JobOutlay): number =>
  job.price + job.companions + job.core + job.labour + job.supplies + job.tax + job.fee;

/** Expected cost of getting a snapped one out, once it has snapped. */
export const snapCost = (snag: Snag): number => snag.snaps.reduce((total, snap) => total + expected(snap), 0);

/** Expected cost of doing the job, whether it cures or not: what is sure, what may seize, the wait, wear later. */
export const jobCost = (job: JobOutlay): number =>
  sureCost(job) +
  job.snags.reduce((total, snag) => total + snag.chance * snapCost(snag), 0) +
  job.waitDays * job.perDay +
  job.later.reduce((total, risk) => total + expected(risk), 0);

/** A job with work without a part done in the same visit: its hours less what they share, and what else it needs. */
export const withWork = (
  job: JobOutlay,
  hours: number,
  extra: number,
  overlap: number,
  rates: Rates,
): JobOutlay => {
  const more = hours * (1 - overlap);
  const labour = more * rates.labour;
  return {
    ...job,
    price: job.price + extra,
    listPrice: job.listPrice + extra,
    labourHours: job.labourHours + more,
    labour: job.labour + labour,
    supplies: job.supplies + labour * rates.supplies,
    tax: job.tax + labour * rates.labourTax,
  };
};

const amountOf = (lines: readonly OrderLine[]): number =>
  lines.reduce((total, { unitPrice, quantity }) => total + unitPrice * quantity, 0);

const sum = (outlays: readonly Outlay[], of: (outlay: Outlay) => number): number =>
  outlays.reduce((total, outlay) => total + of(outlay), 0);

/**
 * Parts fitted in one go. Work that one strip-down shares is paid once: the longest job in full, of each other job
 * what it does not share (`overlap`). One visit, one fee, one wait: for the part that comes last. A sensor is drawn
 * once at each wheel end.
 */
export const together = (outlays: readonly Outlay[], overlap: number, rates: Rates): JobOutlay => {
  const longest = Math.max(...outlays.map((o) => o.labourHours));
  const labourHours = longest + (sum(outlays, (o) => o.labourHours) - longest) * (1 - overlap);
  const labour = labourHours * rates.labour;
  const last = outlays.reduce((late, o) => (o.availability.days > late.availability.days ? o : late));
  const drawn = outlays.filter(
    (o, i) =>
      o.seizure !== null &&
      outlays.findIndex((other) => other.seizure !== null && other.wheelEnd === o.wheelEnd) === i,
  );
  // What goes along with both is bought once.
  const all = outlays.flatMap((o) => o.lines);
  const lines = mergeLines(all);
  const spared = amountOf(all) - amountOf(lines);
  const costs = outlays.map((o) => (o.chosen?.costCents == null ? null : o.chosen.costCents / 100));
  return {
    price: sum(outlays, (o) => o.price),
    listPrice: sum(outlays, (o) => o.listPrice),
    costPrice: costs.includes(null) ? null : costs.reduce<number>((total, c) => total + (c ?? 0), 0),
    deposit: sum(outlays, (o) => o.deposit),
    core: sum(outlays, (o) => o.core),
    companions: sum(outlays, (o) => o.companions) - spared,
    labourHours,
    labour,
    supplies: labour * rates.supplies,
    tax:
      sum(outlays, (o) => o.tax - o.labour * rates.labourTax) - spared * rates.tax + labour * rates.labourTax,
    fee: rates.fee,
    snags: drawn.map((o) => ({ chance: o.seizure ?? 0, snaps: o.snaps })),
    seizure: drawn.length === 0 ? null : 1 - drawn.reduce((none, o) => none * (1 - (o.seizure ?? 0)), 1),
    waitDays: last.availability.days,
    perDay: rates.waitDay,
    from: last.availability.from,
    later: outlays.map((o) => o.later),
    lines,
  };
};

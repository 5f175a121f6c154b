import { dayAfter } from '../vocabulary/days.ts';
import { shareOfCents, toCents } from '../vocabulary/money.ts';
import type { ComparedWay } from '../vocabulary/comparison.ts';
import type { Docket } from '../vocabulary/docket.ts';
import type { Quote, QuotedWay } from '../vocabulary/sale.ts';

const WORK = ['labour', 'supplies'];

/** What a quote is made of. */
export interface Quoting {
  readonly ways: readonly ComparedWay[];
  readonly withWork: boolean;
  readonly taxPercent: number;
  /** YYYY-MM-DD. */
  readonly on: string;
  /** Days it holds. */
  readonly days: number;
}

const quoted = (way: ComparedWay, withWork: boolean, taxPercent: number): QuotedWay => {
  const partsCents = toCents(way.price);
  const workCents = withWork
    ? toCents(way.costs.reduce((sum, { kind, amount }) => (WORK.includes(kind) ? sum + amount : sum), 0))
    : 0;
  return {
    way: way.id,
    label: way.label,
    parts: way.parts.map(({ part, wheelEnd, tier }) => ({ part, wheelEnd, tier })),
    partsCents,
    workCents,
    workHours: withWork ? way.labourHours : 0,
    taxCents: shareOfCents(partsCents + workCents, taxPercent),
    depositCents: toCents(way.deposit),
    cures: way.cures,
    waitDays: way.waitDays,
  };
};

/** What is to be paid for a quoted way, deposits apart, in cents. */
export const toPay = ({ partsCents, workCents, taxCents }: QuotedWay): number =>
  partsCents + workCents + taxCents;

/** A docket with one quote more: its ways with the figures of the day, held so many days. What was quoted before stays. */
export const addQuote = (docket: Docket, { ways, withWork, taxPercent, on, days }: Quoting): Docket => {
  const before = docket.quotes ?? [];
  const quote: Quote = {
    number: Math.max(0, ...before.map(({ number }) => number)) + 1,
    on,
    until: dayAfter(on, days),
    withWork,
    taxPercent,
    ways: ways.map((way) => quoted(way, withWork, taxPercent)),
  };
  return { ...docket, quotes: [...before, quote] };
};

/** A quote as an open file: `hardy-spoke/quote`, money in cents of the currency. */
export const quoteFile = (quote: Quote, docket: number, currency: string) => ({
  format: 'hardy-spoke/quote' as const,
  version: 1 as const,
  docket,
  currency,
  ...quote,
});

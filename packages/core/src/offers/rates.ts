import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Work } from './fixes.ts';
import type { Tier } from '../vocabulary/catalogue.ts';
import type { Docket } from '../vocabulary/docket.ts';

/** What an hour, a day and a price are for this customer. Money in the shop's currency. */
export interface Rates {
  /** Money for an hour of the work that the offer needs. */
  readonly labour: number;
  /** Money for an hour in a workshop: a snapped sensor ends up there whoever began. */
  readonly workshop: number;
  /** How many times the book's hours the work takes. */
  readonly slower: number;
  readonly idleDay: number;
  /** A day of driving with the lamp lit, where the customer decides to: never dearer than standing. */
  readonly drivenDay: number;
  /** A day of waiting on this docket: standing, or driven. */
  readonly waitDay: number;
  /** Shares: 0.2 is twenty percent. */
  readonly tax: number;
  readonly labourTax: number;
  readonly supplies: number;
  /** Off the list price of a part of each tier, in percent. */
  readonly discount: Readonly<Record<Tier, number>>;
  /** Charged for each visit. */
  readonly fee: number;
}

/** The assumption that holds what an idle day costs this customer. */
export const idleKey = (docket: Docket): 'idle-day.fleet' | 'idle-day.cost' =>
  docket.customer?.kind === 'fleet' ? 'idle-day.fleet' : 'idle-day.cost';

const NO_DISCOUNT = { dealer: 0, good: 0, budget: 0 } as const;

/** The trade’s price list: its discount, with what a tier has beyond it; never more than the price. */
const tradeDiscount = (a: Assumptions): Rates['discount'] => {
  const on = (tier: Tier) =>
    Math.min(100, Math.max(0, a.get('trade.discount') + a.get(`trade.further.${tier}`)));
  return { dealer: on('dealer'), good: on('good'), budget: on('budget') };
};

/**
 * Rates by kind of customer: a garage or a fleet pays trade prices, a fleet's idle day costs more, and one who does
 * the work alone pays with hours of their own, slower, without tax or fee.
 */
export const ratesFor = (docket: Docket, a: Assumptions): Rates => {
  const kind = docket.customer?.kind ?? null;
  const own = kind === 'self';
  const tax = a.get('tax.percent') / 100;
  const idleDay = a.get(idleKey(docket));
  const drivenDay = Math.min(idleDay, a.get('meanwhile.per-day'));
  return {
    labour: own ? a.get('diy.hour-value') : a.get('labour.rate'),
    workshop: a.get('labour.rate'),
    slower: own ? a.get('diy.slower') : 1,
    idleDay,
    drivenDay,
    waitDay: docket.options?.meanwhile === 'driven' ? drivenDay : idleDay,
    tax,
    labourTax: own ? 0 : tax,
    supplies: own ? 0 : a.get('supplies.percent') / 100,
    discount: kind === 'garage' || kind === 'fleet' ? tradeDiscount(a) : NO_DISCOUNT,
    fee: own ? 0 : a.get('diagnosis.fee'),
  };
};

/** Hours of putting it right without a part, at this customer's pace. */
export const workHours = (work: Work, rates: Rates, a: Assumptions): number =>
  a.get(`work.${work}`) * rates.slower;

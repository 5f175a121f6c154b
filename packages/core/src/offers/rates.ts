import type { Assumptions } from '../assumptions/assumptions.ts';
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
  /** Shares: 0.2 is twenty percent. */
  readonly tax: number;
  readonly labourTax: number;
  readonly supplies: number;
  /** Off the list price, in percent. */
  readonly discount: number;
  /** Charged for each visit. */
  readonly fee: number;
}

/**
 * Rates by kind of customer: a garage or a fleet pays trade prices, a fleet's idle day costs more, and one who does
 * the work alone pays with hours of their own, slower, without tax or fee.
 */
export const ratesFor = (docket: Docket, a: Assumptions): Rates => {
  const kind = docket.customer?.kind ?? null;
  const own = kind === 'self';
  const tax = a.get('tax.percent') / 100;
  return {
    labour: own ? a.get('diy.hour-value') : a.get('labour.rate'),
    workshop: a.get('labour.rate'),
    slower: own ? a.get('diy.slower') : 1,
    idleDay: a.get(kind === 'fleet' ? 'idle-day.fleet' : 'idle-day.cost'),
    tax,
    labourTax: own ? 0 : tax,
    supplies: own ? 0 : a.get('supplies.percent') / 100,
    discount: kind === 'garage' || kind === 'fleet' ? a.get('trade.discount') : 0,
    fee: own ? 0 : a.get('diagnosis.fee'),
  };
};

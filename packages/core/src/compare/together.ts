import type { Outlay } from '../offers/outlay.ts';
import type { Rates } from '../offers/rates.ts';
import type { Way } from './model.ts';

/** The costs of a way that come straight from the outlays of its parts. */
export type WayOutlay = Pick<
  Way,
  | 'price'
  | 'listPrice'
  | 'costPrice'
  | 'deposit'
  | 'core'
  | 'companions'
  | 'labourHours'
  | 'labour'
  | 'supplies'
  | 'tax'
  | 'fee'
  | 'snags'
  | 'seizure'
  | 'waitDays'
  | 'perDay'
  | 'from'
  | 'later'
  | 'lines'
>;

const sum = (outlays: readonly Outlay[], of: (outlay: Outlay) => number): number =>
  outlays.reduce((total, outlay) => total + of(outlay), 0);

/**
 * Parts fitted in one go. Work that one strip-down shares is paid once: the longest job in full, of each other job
 * what it does not share (`overlap`). One visit, one fee, one wait: for the part that comes last. A sensor is drawn
 * once at each wheel end.
 */
export const together = (outlays: readonly Outlay[], overlap: number, rates: Rates): WayOutlay => {
  const longest = Math.max(...outlays.map((o) => o.labourHours));
  const labourHours = longest + (sum(outlays, (o) => o.labourHours) - longest) * (1 - overlap);
  const labour = labourHours * rates.labour;
  const last = outlays.reduce((late, o) => (o.availability.days > late.availability.days ? o : late));
  const drawn = outlays.filter(
    (o, i) =>
      o.seizure !== null &&
      outlays.findIndex((other) => other.seizure !== null && other.wheelEnd === o.wheelEnd) === i,
  );
  const costs = outlays.map((o) => (o.chosen?.costCents == null ? null : o.chosen.costCents / 100));
  return {
    price: sum(outlays, (o) => o.price),
    listPrice: sum(outlays, (o) => o.listPrice),
    costPrice: costs.includes(null) ? null : costs.reduce<number>((total, c) => total + (c ?? 0), 0),
    deposit: sum(outlays, (o) => o.deposit),
    core: sum(outlays, (o) => o.core),
    companions: sum(outlays, (o) => o.companions),
    labourHours,
    labour,
    supplies: labour * rates.supplies,
    tax: sum(outlays, (o) => o.tax - o.labour * rates.labourTax) + labour * rates.labourTax,
    fee: rates.fee,
    snags: drawn.map((o) => ({ chance: o.seizure ?? 0, snaps: o.snaps })),
    seizure: drawn.length === 0 ? null : 1 - drawn.reduce((none, o) => none * (1 - (o.seizure ?? 0)), 1),
    waitDays: last.availability.days,
    perDay: rates.waitDay,
    from: last.availability.from,
    later: outlays.map((o) => o.later),
    lines: outlays.flatMap((o) => o.lines),
  };
};

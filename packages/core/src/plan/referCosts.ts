import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Belief } from '../diagnosis/endMarginals.ts';
import type { Rates } from '../offers/rates.ts';
import type { Docket } from '../vocabulary/docket.ts';
import type { Fix } from './fixesAt.ts';
import type { SolveFix } from './solve.ts';

/**
 * What handing it to another workshop costs in each state: its diagnosis (less of it the more is known), then the same
 * repair at its rate and tier, by its chance of curing, and the days it stands. Where the customer is the workshop there
 * is no other: it is more diagnosis on the own lift, and no dearer repair.
 */
export const referCosts = (
  docket: Docket,
  states: readonly Belief[],
  fixes: readonly Fix[],
  moves: readonly SolveFix['moves'][],
  rates: Rates,
  a: Assumptions,
): number[] => {
  const own = docket.customer?.kind === 'garage';
  const byFault = new Map<string, number>();
  for (const b of states) {
    const key = [...b.state, ...b.shared].sort().join('+');
    byFault.set(key, (byFault.get(key) ?? 0) + b.p);
  }
  const known = Math.max(0, ...byFault.values());
  const hours = known * a.get('refer.hours-known') + (1 - known) * a.get('refer.hours-unknown');
  const diagnosis = hours * rates.workshop * (1 + rates.tax);
  const dearer = own ? 1 : a.get('refer.tier');
  const idle = own ? 0 : a.get('refer.wait-days') * rates.idleDay;
  const elsewhere = a.get('refer.elsewhere');
  return states.map((b, s) => {
    const repair = fixes.reduce((least, fix, f) => {
      const cures = (moves[f]?.[s] ?? []).reduce((sum, { to, chance }) => (to < 0 ? sum + chance : sum), 0);
      const cost = fix.kind === 'part' ? fix.mean : fix.cost;
      return cures >= a.get('refer.cures-from') ? Math.min(least, (cost * dearer) / cures) : least;
    }, Infinity);
    const module = b.shared.includes('module') ? a.get('refer.module') : 0;
    return diagnosis + idle + module + (Number.isFinite(repair) ? repair : module > 0 ? 0 : elsewhere);
  });
};

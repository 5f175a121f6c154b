import { shareOfCents } from '../vocabulary/money.ts';
import type { Docket, OrderedLine } from '../vocabulary/docket.ts';
import type { CameBack } from './handOver.ts';
import { piecesOut } from './handOver.ts';

/** What is paid back for one piece, in cents, and what is kept of it. */
export interface Refund {
  readonly backCents: number;
  readonly keptCents: number;
}

/**
 * What is paid back for one piece of a line at the price it was taken for. As it left: the price less the shop's share for
 * restocking, rounded half up to the cent. Opened: nothing. Bad from the box: nothing, it is exchanged.
 */
export const refundOf = ({ unitCents }: OrderedLine, how: CameBack, restockingPercent: number): Refund => {
  if (how !== 'unopened') return { backCents: 0, keptCents: how === 'bad' ? 0 : unitCents };
  const keptCents = shareOfCents(unitCents, restockingPercent);
  return { backCents: unitCents - keptCents, keptCents };
};

/** Deposits that are still open on parts the customer has: of each, pieces whose old part has not come in. */
export const openDeposits = (
  docket: Docket,
): Array<{ partNumber: string; quantity: number; depositCents: number }> =>
  (docket.chosen?.lines ?? []).flatMap(({ partNumber, depositCents }) => {
    if (!partNumber || depositCents === 0) return [];
    const back = (docket.coresBack ?? []).reduce(
      (sum, core) => (core.partNumber === partNumber ? sum + core.quantity : sum),
      0,
    );
    const quantity = piecesOut(docket, partNumber) - back;
    return quantity > 0 ? [{ partNumber, quantity, depositCents }] : [];
  });

/** A docket to which one old part came in for its deposit. */
export const takeCore = (docket: Docket, partNumber: string, on: string): Docket => ({
  ...docket,
  coresBack: [...(docket.coresBack ?? []), { partNumber, quantity: 1, on }],
});

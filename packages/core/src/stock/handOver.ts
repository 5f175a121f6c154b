import type { Docket } from '../vocabulary/docket.ts';
import { raiseClaim } from './claims.ts';
import type { OrderView } from '../vocabulary/orderView.ts';

/** Pieces of each part that can go with the customer now. */
export const readyPieces = ({ lines }: OrderView): Array<{ partNumber: string; quantity: number }> =>
  lines
    .map(({ partNumber, wanted, handed, aside }) => ({
      partNumber,
      quantity: Math.min(aside, wanted - handed),
    }))
    .filter(({ quantity }) => quantity > 0);

/** A docket with all that is ready handed over on a day; what is still to come stays on the order. */
export const handOver = (docket: Docket, order: OrderView, on: string): Docket => ({
  ...docket,
  handed: [...(docket.handed ?? []), ...readyPieces(order).map((piece) => ({ ...piece, on }))],
});

/** How a piece came back. */
export const CAME_BACK = ['unopened', 'opened', 'bad'] as const;
export type CameBack = (typeof CAME_BACK)[number];

/** A docket to which one piece came back: as it left, opened, or bad from the box, which is exchanged and claimed. */
export const bringBack = (docket: Docket, partNumber: string, how: CameBack, on: string): Docket => {
  const back: Docket = {
    ...docket,
    returned: [
      ...(docket.returned ?? []),
      { partNumber, quantity: 1, opened: how !== 'unopened', ...(how === 'bad' ? { bad: true } : {}), on },
    ],
  };
  return how === 'bad' ? raiseClaim(back, { partNumber, quantity: 1, on, fromBox: true }) : back;
};

/** Pieces of a part that are with the customer. */
export const piecesOut = (docket: Docket, partNumber: string): number =>
  (docket.handed ?? []).reduce(
    (sum, each) => (each.partNumber === partNumber ? sum + each.quantity : sum),
    0,
  ) -
  (docket.returned ?? []).reduce(
    (sum, each) => (each.partNumber === partNumber ? sum + each.quantity : sum),
    0,
  );

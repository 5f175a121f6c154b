import type { Docket } from '../vocabulary/docket.ts';
import type { LineState, OrderLineView, OrderNext, OrderView } from '../vocabulary/orderView.ts';
import { outstanding, type Claim } from './partShelf.ts';
import { refundOf } from './refund.ts';

/** What a supplier sends for a docket. */
export interface Coming {
  readonly partNumber: string;
  readonly supplier: string;
  readonly orderNumber: number;
  /** Pieces still to come, and pieces that came. */
  readonly open: number;
  readonly received: number;
  readonly promised: string | null;
  readonly promisedBy: string | null;
}

/** What is known of one part of an order; `claim` is null for a part no shelf has. */
export interface PartOfOrder {
  readonly partNumber: string;
  readonly claim: Claim | null;
  readonly coming: readonly Coming[];
}

/** The day, and what the shop keeps of a piece that comes back as it left. */
export interface OrderTerms {
  readonly today: string;
  readonly restockingPercent: number;
}

const stateOf = (claim: Claim | null, coming: number, today: string): LineState => {
  if (!claim) return 'not-stocked';
  const left = claim.wanted - claim.handed;
  if (left <= 0) return 'handed';
  if (outstanding(claim, today) === 0) return 'let-go';
  if (claim.reserved >= left) return 'ready';
  return claim.reserved + coming >= left ? 'waiting' : 'to-order';
};

const lineOf = (
  { partNumber, claim, coming }: PartOfOrder,
  docket: Docket,
  { today, restockingPercent }: OrderTerms,
): OrderLineView => {
  const open = coming.reduce((sum, each) => sum + each.open, 0);
  const [next] = coming.filter((each) => each.open > 0);
  // What someone was told by telephone is newer than what the order says.
  const told = (docket.promised ?? []).filter((each) => each.partNumber === partNumber).at(-1);
  const line = docket.chosen?.lines?.find((each) => each.partNumber === partNumber);
  const refund = line ? refundOf(line, 'unopened', restockingPercent) : { backCents: 0, keptCents: 0 };
  return {
    partNumber,
    wanted: claim?.wanted ?? 0,
    handed: claim?.handed ?? 0,
    aside: claim?.reserved ?? 0,
    coming: open,
    supplier: next?.supplier ?? null,
    orderNumber: next?.orderNumber ?? null,
    promised: told?.on ?? next?.promised ?? null,
    promisedBy: told?.by ?? next?.promisedBy ?? null,
    came: coming.some((each) => each.received > 0),
    ...refund,
    state: stateOf(claim, open, today),
  };
};

const nextOf = (lines: readonly OrderLineView[], docket: Docket): OrderNext => {
  if (docket.outcome) return 'closed';
  const is = (state: LineState) => lines.some((line) => line.state === state);
  if (is('let-go')) return 'renew';
  if (is('to-order')) return 'order';
  if (is('waiting')) return 'wait';
  if (is('ready'))
    return lines.some(({ came, state }) => came && state === 'ready') && docket.customer?.phone
      ? 'call'
      : 'hand-over';
  return is('handed') ? 'prove' : 'hand-over';
};

/** Where a docket’s order stands, and what comes next; never again what the plan would check. */
export const orderView = (parts: readonly PartOfOrder[], docket: Docket, terms: OrderTerms): OrderView => {
  const lines = parts.map((part) => lineOf(part, docket, terms));
  return { lines, next: nextOf(lines, docket) };
};

import { z } from 'zod';

/** Where the pieces of one part of a docket’s order are. */
export const LineState = z.enum(['ready', 'waiting', 'to-order', 'let-go', 'handed', 'not-stocked']);
export type LineState = z.infer<typeof LineState>;

const count = z.number().int().min(0);

/** One part of a docket’s order, as it stands with shelf and suppliers. */
export const OrderLineView = z.object({
  partNumber: z.string(),
  wanted: count,
  handed: count,
  /** Put aside on the shelf. */
  aside: count,
  /** On their way from a supplier for this docket. */
  coming: count,
  supplier: z.string().nullable(),
  orderNumber: z.number().int().nullable(),
  promised: z.iso.date().nullable(),
  promisedBy: z.string().nullable(),
  /** It had to be waited for. */
  came: z.boolean(),
  /** Paid back for a piece that comes back as it left, and what is kept of it, in cents. */
  backCents: count,
  keptCents: count,
  state: LineState,
});
export type OrderLineView = z.infer<typeof OrderLineView>;

/** What comes next once an order was taken. */
export const OrderNext = z.enum(['renew', 'order', 'wait', 'call', 'hand-over', 'prove', 'closed']);
export type OrderNext = z.infer<typeof OrderNext>;

export const OrderView = z.object({ lines: z.array(OrderLineView), next: OrderNext });
export type OrderView = z.infer<typeof OrderView>;

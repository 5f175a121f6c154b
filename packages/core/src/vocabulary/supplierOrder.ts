import { z } from 'zod';
import { LONGEST, MOST_PIECES } from './longest.ts';

const partNumber = z.string().min(1).max(LONGEST.partNumber);
const pieces = z
  .number()
  .int()
  .min(0)
  .max(MOST_PIECES * 100);

/** How an order to a supplier goes: sent, confirmed, all or some of it here, and done. */
const SUPPLIER_ORDER_STATES = ['sent', 'confirmed', 'part-received', 'closed'] as const;
const SupplierOrderState = z.enum(SUPPLIER_ORDER_STATES);

/** One part of an order to a supplier, for one docket. */
const SupplierOrderLine = z.object({
  partNumber,
  description: z.string().max(LONGEST.description),
  docketId: z.string(),
  docketNumber: z.number().int(),
  quantity: pieces.min(1),
  /** Pieces the supplier said are coming; null while nothing was said. */
  confirmed: pieces.nullable(),
  promised: z.iso.date().nullable(),
  promisedBy: z.string().nullable(),
  received: pieces,
});

export const SupplierOrder = z.object({
  id: z.string(),
  number: z.number().int(),
  supplier: z.string(),
  supplierName: z.string(),
  state: SupplierOrderState,
  sentAt: z.iso.datetime(),
  lines: z.array(SupplierOrderLine),
  /** It was sent by wire and no answer is written down yet; null otherwise. */
  unanswered: z.object({ at: z.iso.datetime(), problem: z.string().nullable() }).nullable(),
});
export type SupplierOrder = z.infer<typeof SupplierOrder>;

/** The order as the supplier gets it: an open file, one line a part, over all dockets. */
export const SupplierOrderFile = z.strictObject({
  format: z.literal('hardy-spoke/supplier-order'),
  version: z.literal(1),
  number: z.number().int(),
  from: z.string(),
  supplier: z.string(),
  sentAt: z.iso.datetime(),
  lines: z.array(z.strictObject({ partNumber, description: z.string(), quantity: pieces.min(1) })),
});
export type SupplierOrderFile = z.infer<typeof SupplierOrderFile>;

/** What is missing from one supplier, over dockets. */
export const ToOrder = z.object({
  supplier: z.string(),
  supplierName: z.string(),
  days: z.number().nullable(),
  orderUntil: z.string().nullable(),
  phone: z.string().nullable(),
  lines: z.array(
    z.object({
      partNumber,
      description: z.string(),
      docketId: z.string(),
      docketNumber: z.number().int(),
      quantity: pieces.min(1),
    }),
  ),
});
export type ToOrder = z.infer<typeof ToOrder>;

import { LONGEST, MOST_ORDER_LINES } from '@hardy/core/limits';
import { z } from 'zod';

/* What a supplier's service is asked and answers, as JSON over HTTP. Money in hundredths of the currency, whole. */

const partNumber = z.string().min(1).max(LONGEST.partNumber);
const pieces = z.number().int().min(0).max(100_000);
const cents = z.number().int().min(0).max(1e10);
const version = z.literal(1);

/** `GET /catalogue`: everything it sells. */
export const SupplierCatalogue = z.object({
  format: z.literal('hardy-spoke/supplier-catalogue'),
  version,
  supplier: z.string().min(1).max(80),
  currency: z.string().length(3),
  parts: z.array(z.object({ partNumber, description: z.string().max(300), priceCents: cents })).max(50_000),
});
export type SupplierCatalogue = z.infer<typeof SupplierCatalogue>;

/** `GET /stock?partNumber=`: what it has of one part, by branch, and what it costs today. */
export const SupplierStock = z.object({
  format: z.literal('hardy-spoke/supplier-stock'),
  version,
  partNumber,
  priceCents: cents,
  branches: z
    .array(
      z.object({
        branch: z.string().min(1).max(80),
        pieces,
        /** Days until they are here. */
        days: z.number().min(0).max(1000),
      }),
    )
    .max(50),
});
export type SupplierStock = z.infer<typeof SupplierStock>;

/** `POST /orders`: an order. Sent again under its id it is the same order. */
export const SupplierWireOrder = z.strictObject({
  format: z.literal('hardy-spoke/supplier-wire-order'),
  version,
  id: z.uuid(),
  number: z.number().int().min(1),
  from: z.string().max(200),
  lines: z
    .array(
      z.strictObject({
        partNumber,
        quantity: pieces.min(1),
        /** What it cost when it was last asked; null where nobody asked. */
        priceCents: cents.nullable(),
      }),
    )
    .min(1)
    .max(MOST_ORDER_LINES),
  /** Whether it is ordered at today's prices, whatever was said before. */
  atTodaysPrices: z.boolean(),
});
export type SupplierWireOrder = z.infer<typeof SupplierWireOrder>;

const Line = z.object({
  partNumber,
  ordered: pieces,
  /** On their way, and from when on they are here. */
  coming: pieces,
  on: z.iso.date().nullable(),
  /** Not there now, but kept on order, and until when. */
  backOrdered: pieces,
  backOn: z.iso.date().nullable(),
  priceCents: cents,
});

/** What becomes of an order; `GET /orders/:id` says the same again. */
export const SupplierAnswer = z.object({
  format: z.literal('hardy-spoke/supplier-answer'),
  version,
  id: z.uuid(),
  /** What the supplier calls it; null while nothing is ordered. */
  reference: z.string().min(1).max(80).nullable(),
  /** `prices-changed`: nothing was ordered, since a price is another than was said. */
  state: z.enum(['confirmed', 'prices-changed']),
  lines: z.array(Line).max(2 * MOST_ORDER_LINES),
});
export type SupplierAnswer = z.infer<typeof SupplierAnswer>;

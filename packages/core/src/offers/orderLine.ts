import type { OrderLine } from '../vocabulary/advice.ts';
import type { CataloguePart } from '../vocabulary/catalogue.ts';
import { shareOfCents } from '../vocabulary/money.ts';
import type { Rates } from './rates.ts';

/** What a part costs this customer: the list price less the trade discount of its tier, to the cent. */
export const priceOf = (part: CataloguePart, rates: Rates): number =>
  (part.priceCents - shareOfCents(part.priceCents, rates.discount[part.tier])) / 100;

/** A part of the catalogue as a line of an order. */
export const orderLine = (
  part: CataloguePart,
  rates: Rates,
  line: Pick<OrderLine, 'quantity' | 'why' | 'wheelEnd' | 'companion'>,
): OrderLine => ({
  partNumber: part.number,
  description: part.description,
  brand: part.brand,
  tier: part.tier,
  unitPrice: priceOf(part, rates),
  listPrice: part.priceCents / 100,
  costPrice: part.costCents === null ? null : part.costCents / 100,
  deposit: part.coreCents / 100,
  stock: part.stock,
  bin: part.bin,
  ...line,
});

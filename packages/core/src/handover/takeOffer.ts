import type { Offer, OrderLine } from '../vocabulary/advice.ts';
import type { ComparedWay } from '../vocabulary/comparison.ts';
import type { ChosenOffer, DeclinedOffer, OrderedLine } from '../vocabulary/docket.ts';
import { mergeLines } from '../offers/mergeLines.ts';
import { partsOf, type TakenPart } from '../vocabulary/chosenParts.ts';
import { toCents, totalCents } from '../vocabulary/money.ts';

const ordered = (line: OrderLine): OrderedLine => ({
  partNumber: line.partNumber,
  description: line.description,
  brand: line.brand,
  tier: line.tier,
  quantity: line.quantity,
  unitCents: toCents(line.unitPrice),
  listCents: toCents(line.listPrice),
  depositCents: toCents(line.deposit),
  bin: line.bin,
  why: line.why,
  wheelEnd: line.wheelEnd,
  companion: line.companion,
});

/** The docket's note of an offer taken from the docket itself. */
export const takeOffer = (offer: Offer, on: string): ChosenOffer => ({
  on,
  part: offer.part,
  wheelEnd: offer.wheelEnd,
  partNumber: offer.lines[0]?.partNumber ?? null,
  ...(offer.with.length > 0
    ? { parts: [offer.part, ...offer.with].map((part) => ({ part, wheelEnd: offer.wheelEnd })) }
    : {}),
  lines: mergeLines(offer.lines.map(ordered)),
  priceCents: toCents(offer.price),
  allInMeanCents: toCents(offer.allIn.mean),
  cures: offer.cures,
});

/** The docket's note of a way taken from the comparison. Null for a way that orders nothing. */
export const takeWay = (way: ComparedWay, on: string): ChosenOffer | null => {
  const [main] = way.parts;
  if (!main) return null;
  return {
    part: main.part,
    wheelEnd: main.wheelEnd,
    partNumber: main.partNumber,
    on,
    way: way.id,
    label: way.label,
    parts: way.parts.map(({ part, wheelEnd, partNumber }) => ({ part, wheelEnd, partNumber })),
    lines: mergeLines(way.lines.map(ordered)),
    priceCents: toCents(way.price),
    allInMeanCents: toCents(way.allIn.mean),
    cures: way.cures,
  };
};

/**
 * An order with more taken to it: every part of both, one list of what goes along. What stood on it keeps its price.
 * Nothing changes where it has all of it already.
 */
export const addToOrder = (order: ChosenOffer, more: ChosenOffer): ChosenOffer => {
  const key = ({ part, wheelEnd }: TakenPart) => `${part}@${wheelEnd}`;
  const had = new Set(partsOf(order).map(key));
  const parts = partsOf(more);
  if (parts.every((part) => had.has(key(part)))) return order;
  // The lines of the parts themselves stand in the order of the parts.
  let at = 0;
  const fresh = (more.lines ?? []).filter((line) => {
    if (line.companion) return true;
    const part = parts[at++];
    return !part || !had.has(key(part));
  });
  const lines = mergeLines([...(order.lines ?? []), ...fresh]);
  return {
    ...order,
    label: null,
    way: null,
    parts: [...partsOf(order), ...parts.filter((part) => !had.has(key(part)))],
    lines,
    priceCents: totalCents(
      lines
        .filter(({ companion }) => !companion)
        .map(({ unitCents, quantity }) => ({ cents: unitCents, quantity })),
    ),
    allInMeanCents: order.allInMeanCents + more.allInMeanCents,
  };
};

/** A line of the order left out at the customer\u2019s wish: it is said and kept. */
export const skipLine = (order: ChosenOffer, at: number): ChosenOffer => {
  const line = order.lines?.[at];
  if (!line?.companion) return order;
  return {
    ...order,
    lines: (order.lines ?? []).filter((_, i) => i !== at),
    skipped: [...(order.skipped ?? []), line],
  };
};

/** A line that was left out goes along after all. */
export const takeSkipped = (order: ChosenOffer, at: number): ChosenOffer => {
  const line = order.skipped?.[at];
  if (!line) return order;
  return {
    ...order,
    lines: mergeLines([...(order.lines ?? []), line]),
    skipped: (order.skipped ?? []).filter((_, i) => i !== at),
  };
};

/** What is kept of a way that was not taken. `because` is the counter’s reason. */
export const declineWay = (way: ComparedWay, because: string, advised = false): DeclinedOffer => ({
  way: way.id,
  label: way.label,
  allInMeanCents: toCents(way.allIn.mean),
  because,
  ...(advised ? { advised } : {}),
});

import type { Offer, OrderLine } from '../vocabulary/advice.ts';
import type { ComparedWay } from '../vocabulary/comparison.ts';
import type { ChosenOffer, DeclinedOffer, OrderedLine } from '../vocabulary/docket.ts';
import { toCents } from '../vocabulary/money.ts';

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
});

/** Companions that go with several parts of one order are one line; of a piece needed twice, two are taken. */
const merged = (lines: readonly OrderedLine[]): OrderedLine[] =>
  lines.reduce<OrderedLine[]>((sofar, line) => {
    const at = sofar.findIndex((other) => other.partNumber !== null && other.partNumber === line.partNumber);
    if (at < 0) return [...sofar, line];
    return sofar.map((other, i) =>
      i === at ? { ...other, quantity: other.quantity + line.quantity } : other,
    );
  }, []);

/** The docket's note of an offer taken from the docket itself. */
export const takeOffer = (offer: Offer): ChosenOffer => ({
  part: offer.part,
  wheelEnd: offer.wheelEnd,
  partNumber: offer.lines[0]?.partNumber ?? null,
  ...(offer.with.length > 0
    ? { parts: [offer.part, ...offer.with].map((part) => ({ part, wheelEnd: offer.wheelEnd })) }
    : {}),
  lines: merged(offer.lines.map(ordered)),
  priceCents: toCents(offer.price),
  allInMeanCents: toCents(offer.allIn.mean),
  cures: offer.cures,
});

/** The docket's note of a way taken from the comparison. Null for a way that orders nothing. */
export const takeWay = (way: ComparedWay): ChosenOffer | null => {
  const [main] = way.parts;
  if (!main) return null;
  return {
    part: main.part,
    wheelEnd: main.wheelEnd,
    partNumber: main.partNumber,
    way: way.id,
    label: way.label,
    parts: way.parts.map(({ part, wheelEnd, partNumber }) => ({ part, wheelEnd, partNumber })),
    lines: merged(way.lines.map(ordered)),
    priceCents: toCents(way.price),
    allInMeanCents: toCents(way.allIn.mean),
    cures: way.cures,
  };
};

/** What is kept of a way that was not taken. `because` is the counter’s reason. */
export const declineWay = (way: ComparedWay, because: string): DeclinedOffer => ({
  way: way.id,
  label: way.label,
  allInMeanCents: toCents(way.allIn.mean),
  because,
});

import {
  PART_IN_WORDS,
  partsOf,
  takeOffer,
  totalCents,
  type Advice,
  type Docket,
  type OrderedLine,
} from '@hardy/core/words';

/** Lines of the order as they were when it was taken; from an older docket without them, those of the offer today. */
export const orderLines = (docket: Docket, advice: Advice): OrderedLine[] => {
  const chosen = docket.chosen;
  if (!chosen) return [];
  if (chosen.lines?.length) return chosen.lines;
  const offer = advice.offers.find((o) => o.part === chosen.part && o.wheelEnd === chosen.wheelEnd);
  if (offer) return takeOffer(offer, '').lines ?? [];
  return [
    {
      partNumber: chosen.partNumber ?? null,
      description: PART_IN_WORDS[chosen.part],
      brand: null,
      tier: null,
      quantity: 1,
      unitCents: chosen.priceCents,
      listCents: chosen.priceCents,
      depositCents: 0,
      bin: null,
      why: 'the part itself',
    },
  ];
};

/** Lines as one reads them: what goes along at two corners is one line of two pieces. `at` is the place of the last. */
export const listedLines = (lines: readonly OrderedLine[]): Array<{ line: OrderedLine; at: number }> =>
  lines.reduce<Array<{ line: OrderedLine; at: number }>>((sofar, line, at) => {
    const same = sofar.findIndex(
      ({ line: other }) =>
        line.companion === true &&
        other.companion === true &&
        other.partNumber === line.partNumber &&
        other.unitCents === line.unitCents,
    );
    return same < 0
      ? [...sofar, { line, at }]
      : sofar.map((each, i) =>
          i === same ? { line: { ...each.line, quantity: each.line.quantity + line.quantity }, at } : each,
        );
  }, []);

/** What the lines come to, and the deposits on old parts among them, in hundredths. */
export const orderTotal = (lines: readonly OrderedLine[]): { parts: number; deposits: number } => ({
  parts: totalCents(lines.map(({ unitCents, quantity }) => ({ cents: unitCents, quantity }))),
  deposits: totalCents(lines.map(({ depositCents, quantity }) => ({ cents: depositCents, quantity }))),
});

/**
 * A part number that what is known now points to instead of the one that was ordered, or null. An answer given after
 * the order was taken may have split the fitment.
 */
export const otherNumberNow = (docket: Docket, advice: Advice): string | null => {
  const chosen = docket.chosen;
  if (!chosen?.partNumber) return null;
  const offer = advice.offers.find((o) => o.part === chosen.part && o.wheelEnd === chosen.wheelEnd);
  const now = offer?.lines[0]?.partNumber ?? null;
  return chosen.way == null && partsOf(chosen).length === 1 && now !== null && now !== chosen.partNumber
    ? now
    : null;
};

import { PART_IN_WORDS, type Advice, type Docket, type OrderLine } from '@hardy/core/plain';

/** Lines of the order for the offer taken; where that offer is no longer made, the part as it was taken. */
export const orderLines = (docket: Docket, advice: Advice): OrderLine[] => {
  const chosen = docket.chosen;
  if (!chosen) return [];
  const offer = advice.offers.find((o) => o.part === chosen.part && o.wheelEnd === chosen.wheelEnd);
  if (offer) return offer.lines;
  return [
    {
      partNumber: chosen.partNumber ?? null,
      description: PART_IN_WORDS[chosen.part],
      brand: null,
      tier: null,
      quantity: 1,
      unitPrice: chosen.price,
      stock: null,
      bin: null,
      why: 'the part itself',
    },
  ];
};

export const orderTotal = (lines: readonly OrderLine[]): number =>
  lines.reduce((cents, line) => cents + Math.round(line.unitPrice * 100) * line.quantity, 0) / 100;

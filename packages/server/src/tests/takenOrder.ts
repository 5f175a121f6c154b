import type { ChosenOffer } from '@hardy/core';

/** An order of so many pieces of parts, as a desk takes it: the first is the main one. */
export const takenOrder = (
  ...parts: ReadonlyArray<readonly [partNumber: string, quantity: number]>
): ChosenOffer => ({
  part: 'sensor',
  wheelEnd: 'A1L',
  partNumber: parts[0]?.[0] ?? null,
  lines: parts.map(([partNumber, quantity]) => ({
    partNumber,
    description: partNumber,
    brand: null,
    tier: null,
    quantity,
    unitCents: 4000,
    listCents: 4000,
    depositCents: 0,
    bin: null,
    why: 'the part itself',
    wheelEnd: 'A1L',
    companion: false,
  })),
  priceCents: 4000,
  allInMeanCents: 9000,
  cures: 0.8,
});

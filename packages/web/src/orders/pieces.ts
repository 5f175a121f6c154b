import type { SupplierOrder } from '@hardy/core/contract';

/** Pieces of a part over the dockets of an order. */
export interface Pieces {
  readonly partNumber: string;
  readonly description: string;
  readonly asked: number;
  readonly confirmed: number | null;
  readonly received: number;
}

export const piecesOf = ({ lines }: SupplierOrder): Pieces[] => {
  const by = new Map<string, Pieces>();
  for (const { partNumber, description, quantity, confirmed, received } of lines) {
    const sofar = by.get(partNumber);
    by.set(partNumber, {
      partNumber,
      description,
      asked: (sofar?.asked ?? 0) + quantity,
      confirmed: confirmed === null && !sofar?.confirmed ? null : (sofar?.confirmed ?? 0) + (confirmed ?? 0),
      received: (sofar?.received ?? 0) + received,
    });
  }
  return [...by.values()];
};

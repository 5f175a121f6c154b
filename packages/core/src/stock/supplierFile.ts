import Papa from 'papaparse';
import { safeCell } from '../catalogueFiles/pairs.ts';
import type { SupplierOrder, SupplierOrderFile } from '../vocabulary/supplierOrder.ts';

/** An order as its supplier gets it: pieces of a part summed over dockets, in the order in which they came. */
export const supplierFile = (order: SupplierOrder, from: string): SupplierOrderFile => {
  const lines = new Map<string, { partNumber: string; description: string; quantity: number }>();
  for (const { partNumber, description, quantity } of order.lines) {
    const sofar = lines.get(partNumber)?.quantity ?? 0;
    lines.set(partNumber, { partNumber, description, quantity: sofar + quantity });
  }
  return {
    format: 'hardy-spoke/supplier-order',
    version: 1,
    number: order.number,
    from,
    supplier: order.supplierName,
    sentAt: order.sentAt,
    lines: [...lines.values()],
  };
};

/** The same for a spreadsheet. */
export const supplierCsv = ({ number, lines }: SupplierOrderFile): string =>
  `${Papa.unparse(
    lines.map((line) => ({
      order: String(number),
      partNumber: safeCell(line.partNumber),
      description: safeCell(line.description),
      quantity: String(line.quantity),
    })),
    { newline: '\n' },
  )}\n`;

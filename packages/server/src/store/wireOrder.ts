import type { Answer } from '@hardy/core/contract';
import type { SupplierOrder } from '@hardy/core';
import type { SupplierAnswer, SupplierWireOrder } from '@hardy/devices';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import { problem } from '../problem.ts';
import { marks, rawRows } from './catalogueRows.ts';
import { confirmOrder, supplierOrder } from './supplierOrders.ts';

type WireAnswer = Answer<'POST /orders/:id/wire'>;

/** What the shop pays for parts as the catalogue has it, hundredths; those it does not know are left out. */
const costsOf = async (em: EntityManager, numbers: readonly string[]): Promise<Map<string, number>> => {
  const rows = await rawRows(
    em,
    `select number, cost_cents as cents from part where number in (${marks(numbers)}) and cost_cents is not null`,
    numbers,
  );
  return new Map(rows.map((row) => [String(row.number), Number(row.cents)]));
};

/** An order as it goes to a supplier's service: a line a part, over all dockets. */
export const wireOrderOf = async (
  em: EntityManager,
  order: SupplierOrder,
  from: string,
  atTodaysPrices: boolean,
): Promise<SupplierWireOrder> => {
  if (order.state === 'closed') throw problem(409, 'Closed', 'this order is closed already');
  const pieces = new Map<string, number>();
  for (const { partNumber, quantity } of order.lines)
    pieces.set(partNumber, (pieces.get(partNumber) ?? 0) + quantity);
  const costs = await costsOf(em, [...pieces.keys()]);
  return {
    format: 'hardy-spoke/supplier-wire-order',
    version: 1,
    id: order.id,
    number: order.number,
    from: from.slice(0, 200),
    lines: [...pieces].map(([partNumber, quantity]) => ({
      partNumber,
      quantity,
      priceCents: costs.get(partNumber) ?? null,
    })),
    atTodaysPrices,
  };
};

const lineInWords = ({
  partNumber,
  ordered,
  coming,
  on,
  backOrdered,
  backOn,
}: SupplierAnswer['lines'][number]) =>
  [
    `${partNumber}: ${coming} of ${ordered} coming${coming > 0 && on ? ` on ${on}` : ''}`,
    backOrdered > 0 && `${backOrdered} on back-order${backOn ? ` until ${backOn}` : ''}`,
    coming + backOrdered < ordered && `${ordered - coming - backOrdered} to be got elsewhere`,
  ]
    .filter(Boolean)
    .join(', ');

/** Writes down what a supplier's service answered: what is coming and what is on back-order counts as promised, to the later day. */
export const takeWireAnswer = async (
  em: EntityManager,
  sent: SupplierWireOrder,
  answer: SupplierAnswer,
): Promise<WireAnswer> => {
  if (answer.state === 'prices-changed') {
    const changed = answer.lines.flatMap(({ partNumber, priceCents }) => {
      const was = sent.lines.find((line) => line.partNumber === partNumber)?.priceCents ?? null;
      return was !== null && was !== priceCents ? [{ partNumber, wasCents: was, nowCents: priceCents }] : [];
    });
    return {
      order: await supplierOrder(em, sent.id),
      changed,
      said: ['Nothing is ordered yet: the prices are others than the catalogue’s.'],
    };
  }
  const order = await confirmOrder(em, sent.id, {
    by: `by wire, ${answer.reference ?? 'no reference'}`.slice(0, 120),
    lines: answer.lines.map(({ partNumber, coming, on, backOrdered, backOn }) => ({
      partNumber,
      quantity: coming + backOrdered,
      promised: (backOrdered > 0 ? backOn : on) ?? null,
    })),
  });
  return { order, changed: [], said: answer.lines.map(lineInWords) };
};

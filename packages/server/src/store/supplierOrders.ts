import { randomUUID } from 'node:crypto';
import { SUPPLIERS, type Supplier, type SupplierOrder, type ToOrder } from '@hardy/core';
import type { Body } from '@hardy/core/contract';
import { MOST_ORDER_LINES } from '@hardy/core/limits';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import { notFound, problem } from '../problem.ts';
import { catalogueRows, marks, rawRows } from './catalogueRows.ts';
import { contentHash } from './contentHash.ts';
import { ReceiptRow, SupplierLineRow, SupplierOrderRow, WireOutboxRow } from './entities.ts';
import { keepFor, letGo, receivePieces } from './shelfStore.ts';

/** Parts whose file names no supplier are asked of whoever has them. */
const ANYBODY = 'any';
const MOST_SHOWN = 50;

const suppliersOf = async (em: EntityManager): Promise<Map<string, Supplier>> =>
  new Map((await catalogueRows(em, SUPPLIERS)).map((supplier) => [supplier.id, supplier]));

const nameOf = (suppliers: ReadonlyMap<string, Supplier>, id: string): string =>
  suppliers.get(id)?.name ?? (id === ANYBODY ? 'no supplier named' : id);

/** What dockets wait for and nobody was asked for yet, by supplier. */
export const toOrder = async (em: EntityManager, today: string): Promise<ToOrder[]> => {
  const missing = await rawRows(
    em,
    `select c.part_number, c.docket_id, d.number, p.description, coalesce(p.supplier, '${ANYBODY}') as supplier,
       c.wanted - c.handed - c.reserved - coalesce((
         select sum(max(0, coalesce(l.confirmed, l.quantity) - l.received)) from supplier_order_line l
         where l.docket_id = c.docket_id and l.part_number = c.part_number and l.closed = 0), 0) as missing
     from shelf_claim c join docket d on d.id = c.docket_id join part p on p.number = c.part_number
     where d.state <> 'closed' and (c.until is null or c.until >= ?) and c.wanted - c.handed > c.reserved
     order by d.number, c.part_number`,
    [today],
  );
  const suppliers = await suppliersOf(em);
  const by = new Map<string, ToOrder['lines']>();
  for (const row of missing) {
    const quantity = Number(row.missing);
    if (quantity <= 0) continue;
    const supplier = String(row.supplier);
    by.set(supplier, [
      ...(by.get(supplier) ?? []),
      {
        partNumber: String(row.part_number),
        description: String(row.description),
        docketId: String(row.docket_id),
        docketNumber: Number(row.number),
        quantity,
      },
    ]);
  }
  return [...by].map(([supplier, lines]) => {
    const known = suppliers.get(supplier);
    return {
      supplier,
      supplierName: nameOf(suppliers, supplier),
      days: known?.days ?? null,
      orderUntil: known?.orderUntil ?? null,
      phone: known?.phone ?? null,
      lines,
    };
  });
};

const viewOf = async (em: EntityManager, rows: readonly SupplierOrderRow[]): Promise<SupplierOrder[]> => {
  if (rows.length === 0) return [];
  const lines = await em.find(
    SupplierLineRow,
    { orderId: { $in: rows.map(({ id }) => id) } },
    { orderBy: { id: 'asc' }, refresh: true },
  );
  const ids = [...new Set(lines.map(({ docketId }) => docketId))];
  const numbers = new Map(
    (ids.length
      ? await rawRows(em, `select id, number from docket where id in (${marks(ids)})`, ids)
      : []
    ).map((row) => [String(row.id), Number(row.number)]),
  );
  const suppliers = await suppliersOf(em);
  const outbox = await em.find(
    WireOutboxRow,
    { orderId: { $in: rows.map(({ id }) => id) } },
    { refresh: true },
  );
  const unanswered = (id: string) => {
    const row = outbox.find(({ orderId }) => orderId === id);
    return row ? { at: row.at.toISOString(), problem: row.problem ?? null } : null;
  };
  return rows.map((row) => ({
    id: row.id,
    number: row.number,
    supplier: row.supplier,
    supplierName: nameOf(suppliers, row.supplier),
    state: row.state as SupplierOrder['state'],
    sentAt: row.sentAt.toISOString(),
    unanswered: unanswered(row.id),
    lines: lines
      .filter(({ orderId }) => orderId === row.id)
      .map((line) => ({
        partNumber: line.partNumber,
        description: line.description,
        docketId: line.docketId,
        docketNumber: numbers.get(line.docketId) ?? 0,
        quantity: line.quantity,
        confirmed: line.confirmed ?? null,
        promised: line.promised ?? null,
        promisedBy: line.promisedBy ?? null,
        received: line.received,
      })),
  }));
};

const NEWEST = { orderBy: { number: 'desc' } } as const;

/** All orders under way, and the newest that are done. */
export const supplierOrders = async (em: EntityManager): Promise<SupplierOrder[]> =>
  viewOf(em, [
    ...(await em.find(SupplierOrderRow, { state: { $ne: 'closed' } }, { ...NEWEST, refresh: true })),
    ...(await em.find(
      SupplierOrderRow,
      { state: 'closed' },
      { ...NEWEST, limit: MOST_SHOWN, refresh: true },
    )),
  ]);

const load = async (em: EntityManager, id: string): Promise<SupplierOrderRow> => {
  const row = await em.findOne(SupplierOrderRow, { id }, { refresh: true });
  if (!row) throw notFound(`order ${id}`);
  return row;
};

export const supplierOrder = async (em: EntityManager, id: string): Promise<SupplierOrder> => {
  const [order] = await viewOf(em, [await load(em, id)]);
  return order as SupplierOrder;
};

/** Collects what is missing from a supplier, over dockets, into an order; one sent twice by its name is made once. */
export const sendOrder = (
  em: EntityManager,
  supplier: string,
  id: string | null,
  today: string,
  at: Date = new Date(),
): Promise<SupplierOrder> =>
  em.transactional(async (tx) => {
    const known = id ? await tx.findOne(SupplierOrderRow, { id }) : null;
    if (known && known.supplier !== supplier)
      throw problem(
        409,
        'Id used already',
        'this id belongs to an order to another supplier; nothing was ordered',
      );
    if (known) return supplierOrder(tx, known.id);
    await letGo(tx, today, at);
    const wanted = (await toOrder(tx, today)).find((each) => each.supplier === supplier);
    if (!wanted)
      throw problem(
        409,
        'Nothing to order',
        'nothing is missing from this supplier now; somebody ordered it',
      );
    const [last] = await tx.find(
      SupplierOrderRow,
      {},
      { orderBy: { number: 'desc' }, limit: 1, fields: ['number'] },
    );
    const made = id ?? randomUUID();
    await tx.insert(SupplierOrderRow, {
      id: made,
      number: (last?.number ?? 5000) + 1,
      supplier,
      state: 'sent',
      sentAt: at,
    });
    // What does not fit into one order stays to be ordered.
    for (const { partNumber, description, docketId, quantity } of wanted.lines.slice(0, MOST_ORDER_LINES)) {
      await keepFor(tx, docketId, partNumber);
      await tx.insert(SupplierLineRow, {
        orderId: made,
        docketId,
        partNumber,
        description,
        quantity,
        confirmed: null,
        promised: null,
        promisedBy: null,
        received: 0,
        closed: false,
      });
    }
    return supplierOrder(tx, made);
  });

const linesOf = (tx: EntityManager, orderId: string, partNumber: string) =>
  tx.find(SupplierLineRow, { orderId, partNumber }, { orderBy: { id: 'asc' }, refresh: true });

/** What the supplier said is coming, and when: fewer than asked leave the rest to be ordered elsewhere. */
export const confirmOrder = (
  em: EntityManager,
  id: string,
  { lines, by }: Body<'POST /orders/:id/confirm'>,
): Promise<SupplierOrder> =>
  em.transactional(async (tx) => {
    const order = await load(tx, id);
    if (order.state === 'closed') throw problem(409, 'Closed', 'this order is closed already');
    for (const { partNumber, quantity, promised } of lines) {
      let left = quantity;
      for (const line of await linesOf(tx, id, partNumber)) {
        const here = Math.min(left, line.quantity);
        left -= here;
        line.confirmed = Math.max(here, line.received);
        line.promised = promised ?? null;
        line.promisedBy = by;
      }
    }
    if (order.state === 'sent') order.state = 'confirmed';
    await tx.flush();
    return supplierOrder(tx, id);
  });

/**
 * What came in, booked to the shelf for the dockets it was ordered for. `close`: no more is coming; what is missing is to
 * be ordered again. What is sent twice by its name is booked once.
 */
export const receiveOrder = (
  em: EntityManager,
  id: string,
  { id: receipt, lines, close }: Body<'POST /orders/:id/receive'>,
  today: string,
  at: Date = new Date(),
): Promise<SupplierOrder> =>
  em.transactional(async (tx) => {
    const hash = contentHash({ id, lines, close });
    const known = await tx.findOne(ReceiptRow, { id: receipt });
    if (known && (known.orderId !== id || (known.contentHash && known.contentHash !== hash)))
      throw problem(409, 'Id used already', 'this id belongs to another delivery; nothing was booked');
    if (known) return supplierOrder(tx, id);
    const order = await load(tx, id);
    if (order.state === 'closed') throw problem(409, 'Closed', 'this order is closed already');
    tx.create(ReceiptRow, { id: receipt, orderId: id, at, contentHash: hash });
    for (const { partNumber, quantity } of lines) {
      const rows = await linesOf(tx, id, partNumber);
      const most = rows.reduce((sum, line) => sum + line.quantity - line.received, 0);
      if (quantity > most)
        throw problem(
          409,
          'More than ordered',
          `${quantity} of ${partNumber} came, ${most} were still open on this order; count again. Nothing was booked.`,
        );
      let left = quantity;
      for (const line of rows) {
        const here = Math.min(left, line.quantity - line.received);
        left -= here;
        line.received += here;
      }
      await tx.flush();
      await receivePieces(
        tx,
        partNumber,
        quantity,
        rows.map(({ docketId }) => docketId),
        today,
        at,
      );
    }
    const all = await tx.find(SupplierLineRow, { orderId: id }, { refresh: true });
    const isDone = all.every((line) => line.received >= line.quantity);
    if (close || isDone) {
      for (const line of all) line.closed = true;
      order.state = 'closed';
    } else if (all.some((line) => line.received > 0)) order.state = 'part-received';
    await tx.flush();
    return supplierOrder(tx, id);
  });

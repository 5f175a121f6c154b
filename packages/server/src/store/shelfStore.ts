import {
  allot,
  asksOf,
  isSame,
  orderView,
  receivePart,
  settlePart,
  type Asked,
  type CataloguePart,
  type Claim,
  type Coming,
  type Docket,
  type Move,
  type PartShelf,
} from '@hardy/core';
import type { OrderView } from '@hardy/core/contract';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import { problem } from '../problem.ts';
import { marks, rawRows } from './catalogueRows.ts';
import { ClaimRow, LevelRow, MoveRow, SupplierLineRow, SupplierOrderRow } from './entities.ts';

/** The day, how long what was taken is put aside, and what is kept of what comes back as it left. */
export interface ShelfDay {
  readonly today: string;
  readonly keptDays: number;
  readonly restockingPercent: number;
}

/** Pieces of a part as its catalogue counts them; null for a part it does not have. */
const countedOf = async (em: EntityManager, partNumber: string): Promise<number | null> => {
  const [row] = await rawRows(em, 'select stock from part where number = ?', [partNumber]);
  return row ? Number(row.stock) : null;
};

/**
 * A part’s shelf as it stands. What was moved is counted on the catalogue’s own count; a catalogue that brings another
 * count has counted anew.
 */
const shelfOf = async (em: EntityManager, partNumber: string, counted: number): Promise<PartShelf> => {
  const level = await em.findOne(LevelRow, { partNumber }, { refresh: true });
  const claims = await em.find(ClaimRow, { partNumber }, { orderBy: { since: 'asc' }, refresh: true });
  return {
    onHand: level?.counted === counted ? level.onHand : counted,
    claims: claims.map(({ docketId, since, wanted, handed, returned, opened, reserved, until }): Claim => ({
      docket: docketId,
      since,
      wanted,
      handed,
      returned,
      opened,
      reserved,
      until: until ?? null,
    })),
  };
};

const keep = async (
  tx: EntityManager,
  partNumber: string,
  counted: number,
  shelf: PartShelf,
  moves: readonly Move[],
  at: Date,
): Promise<void> => {
  await tx.upsert(LevelRow, { partNumber, counted, onHand: shelf.onHand });
  await tx.nativeDelete(ClaimRow, { partNumber });
  for (const { docket, ...claim } of shelf.claims)
    await tx.insert(ClaimRow, { partNumber, docketId: docket, ...claim });
  for (const { docket, kind, quantity, change } of moves)
    await tx.insert(MoveRow, {
      partNumber,
      docketId: docket,
      kind,
      quantity,
      change,
      onHand: shelf.onHand,
      at,
    });
};

const NOTHING = { wanted: 0, handed: 0, returned: 0, opened: 0, until: null };

/** What a docket asks of every part, those it asks nothing of any more among them. */
const asksNow = async (
  em: EntityManager,
  id: string,
  docket: Docket,
  keptDays: number,
): Promise<Array<Asked & { partNumber: string }>> => {
  const asked = await em.find(SupplierLineRow, { docketId: id }, { fields: ['partNumber'] });
  const asks = asksOf(id, docket, keptDays, new Set(asked.map(({ partNumber }) => partNumber)));
  const known = await em.find(ClaimRow, { docketId: id }, { refresh: true });
  const over = known
    .map(({ partNumber }) => partNumber)
    .filter((number) => !asks.some(({ partNumber }) => partNumber === number));
  return [...asks, ...over.map((partNumber) => ({ docket: id, partNumber, ...NOTHING }))];
};

/**
 * Brings the shelf to what a docket says now, inside the transaction that writes it. A docket that comes from elsewhere
 * (`isNew`) may have handed over pieces that were never ours: those move nothing.
 * Says whether anything moved.
 * @throws Problem 409 where more is handed over than lies there for this docket, or more comes back than left.
 */
export const settleDocket = async (
  tx: EntityManager,
  id: string,
  docket: Docket,
  { today, keptDays }: ShelfDay,
  at: Date,
  isNew = false,
): Promise<boolean> => {
  let moved = false;
  for (const { partNumber, ...asked } of await asksNow(tx, id, docket, keptDays)) {
    const over = asked.returned + asked.opened - asked.handed;
    if (over > 0)
      throw problem(
        409,
        'More than left',
        `${over} more of ${partNumber} would come back than this docket handed over; count again. Nothing was changed.`,
      );
    const counted = await countedOf(tx, partNumber);
    if (counted === null) continue;
    const now = await shelfOf(tx, partNumber, counted);
    const since = Math.max(0, ...now.claims.map((claim) => claim.since)) + 1;
    const shelf = isNew ? { ...now, claims: [...now.claims, { ...asked, since, reserved: 0 }] } : now;
    const settled = settlePart(shelf, asked, today);
    if ('short' in settled)
      throw problem(
        409,
        'Not on the shelf',
        `${settled.short} of ${partNumber} are not on the shelf for this docket: order them, or hand over what is there. Nothing was changed.`,
      );
    if (isSame(settled.shelf, now) && settled.moves.length === 0) continue;
    moved = true;
    await keep(tx, partNumber, counted, settled.shelf, settled.moves, at);
  }
  return moved;
};

/** Lets go of what was put aside for longer than its days: it is the next one's who waits. Says whether anything was. */
export const letGo = async (tx: EntityManager, today: string, at: Date): Promise<boolean> => {
  const late = await rawRows(
    tx,
    'select distinct part_number from shelf_claim where until < ? and reserved > 0',
    [today],
  );
  for (const row of late) {
    const partNumber = String(row.part_number);
    const counted = await countedOf(tx, partNumber);
    if (counted === null) continue;
    await keep(tx, partNumber, counted, allot(await shelfOf(tx, partNumber, counted), today), [], at);
  }
  return late.length > 0;
};

/** A supplier was asked for a part for a docket: it is kept for it, however long that takes. */
export const keepFor = (tx: EntityManager, docketId: string, partNumber: string): Promise<number> =>
  tx.nativeUpdate(ClaimRow, { docketId, partNumber }, { until: null });

/** Pieces of a part came in, for these dockets first. */
export const receivePieces = async (
  tx: EntityManager,
  partNumber: string,
  quantity: number,
  ordered: readonly string[],
  today: string,
  at: Date,
): Promise<void> => {
  const counted = await countedOf(tx, partNumber);
  if (counted === null || quantity === 0) return;
  const { shelf, moves } = receivePart(await shelfOf(tx, partNumber, counted), quantity, ordered, today);
  await keep(tx, partNumber, counted, shelf, moves, at);
};

/** What suppliers send for a docket. */
const comingFor = async (em: EntityManager, docketId: string): Promise<Coming[]> => {
  const lines = await em.find(SupplierLineRow, { docketId }, { refresh: true });
  if (lines.length === 0) return [];
  const orders = await em.find(
    SupplierOrderRow,
    { id: { $in: [...new Set(lines.map(({ orderId }) => orderId))] } },
    { refresh: true },
  );
  return lines.flatMap((line) => {
    const order = orders.find(({ id }) => id === line.orderId);
    const coming = line.closed ? 0 : Math.max(0, (line.confirmed ?? line.quantity) - line.received);
    return order
      ? [
          {
            partNumber: line.partNumber,
            supplier: order.supplier,
            orderNumber: order.number,
            open: coming,
            received: line.received,
            promised: line.promised ?? null,
            promisedBy: line.promisedBy ?? null,
          },
        ]
      : [];
  });
};

/** Where a docket’s order stands with shelf and suppliers; null where nothing was taken. */
export const orderOf = async (
  em: EntityManager,
  id: string,
  docket: Docket,
  day: ShelfDay,
): Promise<OrderView | null> => {
  if (!docket.chosen) return null;
  const coming = await comingFor(em, id);
  const parts = [];
  for (const { partNumber } of asksOf(id, docket, day.keptDays)) {
    const counted = await countedOf(em, partNumber);
    // A part the catalogue has, on a docket older than the shelf: what lies there is known, what was put aside is not.
    const shelf = counted === null ? null : allot(await shelfOf(em, partNumber, counted), day.today);
    parts.push({
      partNumber,
      claim: shelf?.claims.find(({ docket: other }) => other === id) ?? null,
      coming: coming.filter((each) => each.partNumber === partNumber),
    });
  }
  return orderView(parts, docket, day);
};

/**
 * Parts with the pieces that are free: what the shelf has, less what is put aside for others. What `own` takes of it is
 * its own.
 */
export const withFreePieces = async (
  em: EntityManager,
  parts: readonly CataloguePart[],
  today: string,
  own: Docket | null = null,
): Promise<CataloguePart[]> => {
  if (parts.length === 0) return [];
  const numbers = parts.map(({ number }) => number);
  const levels = await rawRows(
    em,
    `select part_number, counted, on_hand from shelf_level where part_number in (${marks(numbers)})`,
    numbers,
  );
  if (levels.length === 0) return [...parts];
  const asides = await rawRows(
    em,
    `select part_number, sum(reserved) as aside from shelf_claim
     where part_number in (${marks(numbers)}) and (until is null or until >= ?) group by part_number`,
    [...numbers, today],
  );
  const level = new Map(levels.map((row) => [String(row.part_number), row]));
  const aside = new Map(asides.map((row) => [String(row.part_number), Number(row.aside)]));
  const mine = new Map(own ? asksOf('', own, 0).map((ask) => [ask.partNumber, ask.wanted - ask.handed]) : []);
  return parts.map((part) => {
    const row = level.get(part.number);
    if (!row) return part;
    const onHand = Number(row.counted) === part.stock ? Number(row.on_hand) : part.stock;
    const others = Math.max(0, (aside.get(part.number) ?? 0) - Math.max(0, mine.get(part.number) ?? 0));
    return { ...part, stock: Math.max(0, onHand - others) };
  });
};

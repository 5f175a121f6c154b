import type { Answer } from '@hardy/core/contract';
import type { SupplierAnswer, SupplierWireOrder } from '@hardy/devices';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import { isHttpError } from 'http-errors';
import { WireOutboxRow } from './entities.ts';
import { shopSettings } from './shopStore.ts';
import { supplierOrder } from './supplierOrders.ts';
import { takeWireAnswer, wireOrderOf } from './wireOrder.ts';

/** Sends an order to a supplier's service. An order that is sent again under its id is the same order. */
export type SendOrder = (supplier: string, sent: SupplierWireOrder) => Promise<SupplierAnswer>;

/** Whether the supplier certainly has no order: it refused it, or no supplier of that name can be reached at all. */
const isRefused = (error: unknown): boolean => isHttpError(error) && error.status === 409;

/** Sends what is in the outbox for an order, and writes the answer down together with taking it out. */
const settle = async (
  em: EntityManager,
  supplier: string,
  sent: SupplierWireOrder,
  send: SendOrder,
): Promise<Answer<'POST /orders/:id/wire'>> => {
  let answer: SupplierAnswer;
  try {
    answer = await send(supplier, sent);
  } catch (error) {
    if (isRefused(error)) await em.nativeDelete(WireOutboxRow, { orderId: sent.id });
    else
      await em.nativeUpdate(
        WireOutboxRow,
        { orderId: sent.id },
        { problem: (error as Error).message.slice(0, 400) },
      );
    throw error;
  }
  return em.transactional(async (tx) => {
    const taken = await takeWireAnswer(tx, sent, answer);
    await tx.nativeDelete(WireOutboxRow, { orderId: sent.id });
    return { ...taken, order: await supplierOrder(tx, sent.id) };
  });
};

/**
 * Sends an order by wire. The message is kept before it is sent, so that a server that ends before the answer is written
 * down asks again when it is next started: the supplier must not have an order that the shop does not know of.
 * @throws problem where the order is closed, or the supplier refuses or does not answer
 */
export const sendByWire = async (
  em: EntityManager,
  orderId: string,
  atTodaysPrices: boolean,
  send: SendOrder,
  at: Date = new Date(),
): Promise<Answer<'POST /orders/:id/wire'>> => {
  const { order, sent } = await em.transactional(async (tx) => {
    const found = await supplierOrder(tx, orderId);
    const message = await wireOrderOf(tx, found, (await shopSettings(tx)).name, atTodaysPrices);
    await tx.upsert(WireOutboxRow, { orderId, sent: JSON.stringify(message), at, problem: null });
    return { order: found, sent: message };
  });
  return settle(em, order.supplier, sent, send);
};

/**
 * Sends again what was sent before the server ended and has no answer yet.
 * @param failed is told of each order that still has none; it stays in the outbox
 */
export const resumeWire = async (
  em: EntityManager,
  send: SendOrder,
  failed: (error: unknown) => void,
): Promise<void> => {
  for (const { orderId, sent } of await em.find(WireOutboxRow, {}, { orderBy: { at: 'asc' } }))
    try {
      const { supplier, state } = await supplierOrder(em, orderId);
      if (state === 'closed') await em.nativeDelete(WireOutboxRow, { orderId });
      else await settle(em, supplier, JSON.parse(sent) as SupplierWireOrder, send);
    } catch (error) {
      failed(error);
    }
};

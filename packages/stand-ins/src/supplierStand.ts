import { bodyParser } from '@koa/bodyparser';
import Router from '@koa/router';
import { dayAfter } from '@hardy/core/words';
import {
  SupplierWireOrder,
  type SupplierAnswer,
  type SupplierCatalogue,
  type SupplierStock,
} from '@hardy/devices';
import Koa from 'koa';
import { z } from 'zod';

/** What this supplier sells. */
export interface StandPart {
  readonly partNumber: string;
  readonly description: string;
  readonly priceCents: number;
}

/** How the service may misbehave, or be short. */
export const SUPPLIER_FAULTS = [
  'slow',
  'down',
  'twice',
  'contradicts',
  'hangs-up',
  'price-changed',
  'short',
  'back-order',
] as const;
export type SupplierFault = (typeof SUPPLIER_FAULTS)[number];
const Switches = z.strictObject({ faults: z.array(z.enum(SUPPLIER_FAULTS)).max(8) });

const SLOW_MS = 6000;
/** What `price-changed` puts on every price, share. */
const DEARER = 0.08;
const BRANCHES = [
  { branch: 'harbour depot', days: 1, share: 0.5 },
  { branch: 'mainland', days: 3, share: 1 },
] as const;
/** From back-order it comes after so many days. */
const BACK_DAYS = 14;
/** Pieces at hand of a part: made up, and always the same for the same number. */
const atHand = (partNumber: string): number =>
  4 + ([...partNumber].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) >>> 0, 7) % 9);

/** A supplier's service on this machine, with faults by switch: catalogue, stock by branch, prices, orders. */
export const supplierStand = (
  supplier: string,
  parts: readonly StandPart[],
  today: () => string,
  currency = 'EUR',
): Koa => {
  const byNumber = new Map(parts.map((part) => [part.partNumber, part]));
  const orders = new Map<string, SupplierAnswer>();
  const faults = new Set<SupplierFault>();
  const priceOf = ({ priceCents }: StandPart) =>
    Math.round(priceCents * (faults.has('price-changed') ? 1 + DEARER : 1));
  const answerTo = (order: SupplierWireOrder): SupplierAnswer => {
    const known = orders.get(order.id);
    if (known) return known;
    const lines = order.lines.map(({ partNumber, quantity }) => {
      const part = byNumber.get(partNumber);
      const most = !part ? 0 : faults.has('short') ? quantity - 1 : faults.has('back-order') ? 0 : quantity;
      const coming = Math.min(quantity, most, atHand(partNumber));
      const backOrdered = part && faults.has('back-order') ? quantity - coming : 0;
      return {
        partNumber,
        ordered: quantity,
        coming,
        on: coming > 0 ? dayAfter(today(), 1) : null,
        backOrdered,
        backOn: backOrdered > 0 ? dayAfter(today(), BACK_DAYS) : null,
        priceCents: part ? priceOf(part) : 0,
      };
    });
    const base = { format: 'hardy-spoke/supplier-answer', version: 1, id: order.id } as const;
    const changed = order.lines.some(({ partNumber, priceCents }) => {
      const part = byNumber.get(partNumber);
      return part && priceCents !== null && priceCents !== priceOf(part);
    });
    if (changed && !order.atTodaysPrices)
      return {
        ...base,
        reference: null,
        state: 'prices-changed',
        lines: lines.map((line) => ({ ...line, coming: 0, on: null, backOrdered: 0, backOn: null })),
      };
    const answer: SupplierAnswer = {
      ...base,
      reference: `W-${1001 + orders.size}`,
      state: 'confirmed',
      lines,
    };
    orders.set(order.id, answer);
    return answer;
  };

  const router = new Router();
  router.get('/catalogue', (ctx) => {
    const answer: SupplierCatalogue = {
      format: 'hardy-spoke/supplier-catalogue',
      version: 1,
      supplier,
      currency,
      parts: parts.map((part) => ({ ...part, priceCents: priceOf(part) })),
    };
    ctx.body = answer;
  });
  router.get('/stock', (ctx) => {
    const part = byNumber.get(String(ctx.query.partNumber ?? ''));
    if (!part) {
      ctx.status = 404;
      ctx.body = { refused: `The supplier does not know ${String(ctx.query.partNumber).slice(0, 40)}.` };
      return;
    }
    const pieces = faults.has('back-order') ? 0 : atHand(part.partNumber);
    const answer: SupplierStock = {
      format: 'hardy-spoke/supplier-stock',
      version: 1,
      partNumber: part.partNumber,
      priceCents: priceOf(part),
      branches: BRANCHES.map(({ branch, days, share }) => ({
        branch,
        days,
        pieces: Math.floor(pieces * share),
      })),
    };
    ctx.body = answer;
  });
  router.post('/orders', (ctx) => {
    const order = SupplierWireOrder.safeParse(ctx.request.body);
    if (!order.success) {
      ctx.status = 400;
      ctx.body = {
        refused: `The supplier cannot read the order: ${z.prettifyError(order.error).slice(0, 300)}`,
      };
      return;
    }
    const answer = answerTo(order.data);
    if (faults.has('hangs-up')) {
      // It was booked; nobody hears of it. It does so once.
      faults.delete('hangs-up');
      ctx.respond = false;
      ctx.req.socket.destroy();
      return;
    }
    const again = faults.has('contradicts')
      ? answer.lines.map((line) => ({ ...line, coming: line.coming + 1 }))
      : faults.has('twice')
        ? answer.lines
        : [];
    ctx.body = { ...answer, lines: [...answer.lines, ...again] };
  });
  router.get('/orders/:id', (ctx) => {
    const answer = orders.get(ctx.params.id ?? '');
    if (answer) ctx.body = answer;
    else {
      ctx.status = 404;
      ctx.body = { refused: 'The supplier has no such order.' };
    }
  });
  // Of the stand-in alone: a real supplier has no switches.
  router.get('/switches', (ctx) => {
    ctx.body = { faults: [...faults] };
  });
  router.post('/switches', (ctx) => {
    const wanted = Switches.safeParse(ctx.request.body);
    if (!wanted.success) {
      ctx.status = 400;
      ctx.body = { refused: `There is no such switch. There are ${SUPPLIER_FAULTS.join(', ')}.` };
      return;
    }
    faults.clear();
    for (const fault of wanted.data.faults) faults.add(fault);
    ctx.body = { faults: [...faults] };
  });

  const app = new Koa();
  app.on('error', () => undefined);
  app.use(async (ctx, next) => {
    if (ctx.path !== '/switches') {
      if (faults.has('slow')) await new Promise((resolve) => setTimeout(resolve, SLOW_MS));
      if (faults.has('down')) {
        ctx.respond = false;
        ctx.req.socket.destroy();
        return;
      }
    }
    await next();
  });
  app.use(bodyParser({ jsonLimit: '1mb', enableTypes: ['json'] }));
  app.use(router.routes());
  return app;
};

import type Router from '@koa/router';
import { parse, supplierCsv, supplierFile } from '@hardy/core';
import { API } from '@hardy/core/contract';
import type { Advising } from '../advising/advising.ts';
import type { DeviceDesk } from '../devices/deviceDesk.ts';
import { today } from '../store/catalogueStore.ts';
import type { Store } from '../store/openStore.ts';
import { letGo } from '../store/shelfStore.ts';
import { shopSettings } from '../store/shopStore.ts';
import { sendByWire } from '../store/wireOutbox.ts';
import {
  confirmOrder,
  receiveOrder,
  sendOrder,
  supplierOrder,
  supplierOrders,
  toOrder,
} from '../store/supplierOrders.ts';
import { apiRouter } from './apiRouter.ts';

/** Orders to suppliers: what is missing, sent, confirmed, received. */
export const orderRoutes = ({ orm }: Store, advising: Advising, desk: DeviceDesk): Router => {
  const router = apiRouter();
  const em = () => orm.em.fork();
  const id = (ctx: { params: Record<string, string | undefined> }) => ctx.params.id ?? '';

  router.get('/orders', async (ctx) => {
    if (await em().transactional((tx) => letGo(tx, today(), new Date()))) advising.moved();
    ctx.body = {
      toOrder: await toOrder(em(), today()),
      orders: await supplierOrders(em()),
      wires: desk.wires,
    };
  });

  router.post('/orders', async (ctx) => {
    const input = parse(API['POST /orders'].body, ctx.request.body);
    ctx.status = 201;
    ctx.body = await sendOrder(em(), input.supplier, input.id ?? null, today());
  });

  router.get('/orders/:id/file', async (ctx) => {
    const { as } = parse(API['GET /orders/:id/file'].query, ctx.query);
    const order = await supplierOrder(em(), id(ctx));
    const file = supplierFile(order, (await shopSettings(em())).name);
    ctx.set('Content-Disposition', `attachment; filename="order-${order.number}.${as}"`);
    ctx.type = as === 'csv' ? 'text/csv' : 'application/json';
    ctx.body = as === 'csv' ? supplierCsv(file) : JSON.stringify(file, null, 2);
  });

  router.post('/orders/:id/confirm', async (ctx) => {
    ctx.body = await confirmOrder(
      em(),
      id(ctx),
      parse(API['POST /orders/:id/confirm'].body, ctx.request.body),
    );
  });

  router.get('/suppliers/:id/stock', async (ctx) => {
    const { partNumber } = parse(API['GET /suppliers/:id/stock'].query, ctx.query);
    const { priceCents, branches } = await desk.supplier(
      id(ctx),
      `how many of ${partNumber}?`,
      (service) => service.stock(partNumber),
      (stock) => stock.branches.map(({ branch, pieces }) => `${branch} ${pieces}`).join(', '),
    );
    ctx.body = { partNumber, priceCents, branches };
  });

  router.post('/orders/:id/wire', async (ctx) => {
    const { atTodaysPrices } = parse(API['POST /orders/:id/wire'].body, ctx.request.body);
    ctx.body = await sendByWire(em(), id(ctx), atTodaysPrices, desk.sendOrder);
  });

  router.post('/orders/:id/receive', async (ctx) => {
    const input = parse(API['POST /orders/:id/receive'].body, ctx.request.body);
    ctx.body = await receiveOrder(em(), id(ctx), input, today());
    advising.moved();
  });

  return router;
};

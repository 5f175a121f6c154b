import type Router from '@koa/router';
import { DEFAULT_ASSUMPTIONS, parse } from '@hardy/core';
import { API } from '@hardy/core/contract';
import type { Advising } from '../advising/advising.ts';
import type { Store } from '../store/openStore.ts';
import { changeShop, shopView } from '../store/shopStore.ts';
import type { TurnedDockets } from '../turnedDockets.ts';
import { apiRouter } from './apiRouter.ts';

/** The shop's settings and every judgement number, with what a change does to the dockets on the counter. */
export const setupRoutes = ({ orm }: Store, advising: Advising, turned: TurnedDockets): Router => {
  const router = apiRouter();

  router.get('/assumptions', (ctx) => {
    ctx.body = Object.entries(DEFAULT_ASSUMPTIONS).map(([key, judgement]) => ({ key, ...judgement }));
  });

  router.get('/shop', async (ctx) => {
    ctx.body = await shopView(orm.em.fork());
  });

  router.patch('/shop', async (ctx) => {
    const { version, change } = parse(API['PATCH /shop'].body, ctx.request.body);
    const shop = await changeShop(orm.em.fork(), version, change);
    advising.forget();
    turned.begin(shop.version);
    ctx.body = shop;
  });

  router.get('/shop/turned', (ctx) => {
    ctx.body = turned.state();
  });

  return router;
};

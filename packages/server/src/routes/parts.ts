import type Router from '@koa/router';
import { parse } from '@hardy/core';
import { API } from '@hardy/core/contract';
import type { MikroORM } from '@mikro-orm/better-sqlite';
import { notFound } from '../problem.ts';
import { matchParts, partView, searchParts } from '../store/partStore.ts';
import { apiRouter } from './apiRouter.ts';

/** The shelf: parts searched, shown, and matched by what was measured. */
export const partRoutes = (orm: MikroORM): Router => {
  const router = apiRouter();
  const em = () => orm.em.fork();

  router.get('/parts', async (ctx) => {
    const { q, class: partClass } = parse(API['GET /parts'].query, ctx.query);
    ctx.body = await searchParts(em(), q, partClass ?? null);
  });

  router.get('/parts/:number', async (ctx) => {
    const number = ctx.params.number ?? '';
    const view = await partView(em(), number);
    if (!view) throw notFound(`part ${number}`);
    ctx.body = view;
  });

  router.post('/match', async (ctx) => {
    const { partClass, vehicleId, readings } = parse(API['POST /match'].body, ctx.request.body);
    ctx.body = await matchParts(em(), partClass, readings, vehicleId ?? null);
  });

  return router;
};

import Router from '@koa/router';
import { parse, PartClass, TOOLS } from '@hardy/core';
import type { MikroORM } from '@mikro-orm/better-sqlite';
import { z } from 'zod';
import { notFound } from '../problem.ts';
import { matchParts, partView, searchParts } from '../store/partStore.ts';

const Search = z.object({ q: z.string().max(120).default(''), class: PartClass.nullish() });
const Match = z.object({
  partClass: PartClass,
  vehicleId: z.string().max(80).nullish(),
  readings: z
    .array(
      z.object({
        key: z.string().max(40),
        value: z.union([z.number().min(0).max(10000), z.string().max(40)]),
        tool: z.enum(TOOLS),
      }),
    )
    .max(20),
});

/** The shelf: parts searched, shown, and matched by what was measured. */
export const partRoutes = (orm: MikroORM): Router => {
  const router = new Router({ prefix: '/api' });
  const em = () => orm.em.fork();

  router.get('/parts', async (ctx) => {
    const { q, class: partClass } = parse(Search, ctx.query);
    ctx.body = await searchParts(em(), q, partClass ?? null);
  });

  router.get('/parts/:number', async (ctx) => {
    const number = ctx.params.number ?? '';
    const view = await partView(em(), number);
    if (!view) throw notFound(`part ${number}`);
    ctx.body = view;
  });

  router.post('/match', async (ctx) => {
    const { partClass, vehicleId, readings } = parse(Match, ctx.request.body);
    ctx.body = await matchParts(em(), partClass, readings, vehicleId ?? null);
  });

  return router;
};

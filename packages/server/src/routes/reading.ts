import Router from '@koa/router';
import { advise, parse, parseDocket, readIntake, Side } from '@hardy/core';
import type { MikroORM } from '@mikro-orm/better-sqlite';
import { z } from 'zod';
import type { IntakeCache } from '../intakeCache.ts';
import { allVehicles, knowledgeFor, shopSettings } from '../store/catalogueStore.ts';

const IntakeRequest = z.object({
  text: z.string().max(1_100_000),
  steeringSide: Side.nullish(),
  trafficSide: Side.nullish(),
  axles: z.number().int().min(1).max(9).nullish(),
});

/** Reading text and advising without storing anything, and the lists the screens choose from. */
export const readingRoutes = (orm: MikroORM, intake: IntakeCache): Router => {
  const router = new Router({ prefix: '/api' });

  router.get('/health', (ctx) => {
    ctx.body = { ok: true };
  });

  router.post('/intake', async (ctx) => {
    const { text, steeringSide, trafficSide, axles } = parse(IntakeRequest, ctx.request.body);
    const context = await intake.get();
    ctx.body = readIntake(text, {
      ...context,
      steeringSide: steeringSide ?? context.steeringSide,
      trafficSide: trafficSide ?? context.trafficSide,
      axles: axles ?? null,
    });
  });

  router.post('/advise', async (ctx) => {
    const docket = parseDocket(ctx.request.body);
    ctx.body = advise(docket, await knowledgeFor(orm.em.fork(), docket));
  });

  router.get('/vehicles', async (ctx) => {
    ctx.body = (await allVehicles(orm.em.fork())).map(({ id, make, model, kind, builtFrom, builtTo }) => ({
      id,
      name: `${make} ${model}`,
      kind,
      builtFrom,
      builtTo,
    }));
  });

  router.get('/shop', async (ctx) => {
    ctx.body = await shopSettings(orm.em.fork());
  });

  return router;
};

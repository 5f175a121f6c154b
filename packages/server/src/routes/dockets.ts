import Router from '@koa/router';
import {
  BadInput,
  compareBench,
  docketFromReading,
  mergeReading,
  parse,
  parseDocket,
  readIntake,
} from '@hardy/core';
import { API } from '@hardy/core/contract';
import type { MikroORM } from '@mikro-orm/better-sqlite';
import {
  createDocket,
  figures,
  getDocket,
  historyOf,
  listDockets,
  saveDocket,
  stepDocket,
} from '../store/docketStore.ts';
import type { IntakeCache } from '../intakeCache.ts';
import { knowledgeFor } from '../store/catalogueStore.ts';

/** Dockets: list, open, read, change, undo, history, export. */
export const docketRoutes = (orm: MikroORM, intake: IntakeCache): Router => {
  const router = new Router({ prefix: '/api' });
  const em = () => orm.em.fork();
  const id = (ctx: { params: Record<string, string | undefined> }) => ctx.params.id ?? '';

  router.get('/dockets', async (ctx) => {
    const { state, q, limit } = parse(API['GET /dockets'].query, ctx.query);
    ctx.body = await listDockets(em(), { state, words: q.trim(), limit });
  });

  router.post('/dockets', async (ctx) => {
    const input = parse(API['POST /dockets'].body, ctx.request.body);
    const context = await intake.get();
    const docket =
      'words' in input
        ? docketFromReading(
            readIntake(input.words, { ...context, ...(input.moves ? { moves: input.moves } : {}) }),
            input.words,
            context.trafficSide,
          )
        : parseDocket(input.docket);
    ctx.status = 201;
    ctx.body = await createDocket(em(), docket);
  });

  router.get('/dockets/:id', async (ctx) => {
    ctx.body = await getDocket(em(), id(ctx));
  });

  router.get('/dockets/:id/knowledge', async (ctx) => {
    const { docket } = await getDocket(em(), id(ctx));
    ctx.body = await knowledgeFor(em(), docket);
  });

  router.get('/dockets/:id/compare', async (ctx) => {
    const { seed } = parse(API['GET /dockets/:id/compare'].query, ctx.query);
    const store = em();
    const { docket } = await getDocket(store, id(ctx));
    const comparison = compareBench(docket, await knowledgeFor(store, docket), seed).compare();
    if (!comparison)
      throw new BadInput('wheelEnd', 'is not known; ways are compared for one corner, so name it first');
    ctx.body = comparison;
  });

  router.put('/dockets/:id', async (ctx) => {
    const { version, docket, label } = parse(API['PUT /dockets/:id'].body, ctx.request.body);
    ctx.body = await saveDocket(em(), id(ctx), version, parseDocket(docket), label);
  });

  router.post('/dockets/:id/words', async (ctx) => {
    const { version, words, moves } = parse(API['POST /dockets/:id/words'].body, ctx.request.body);
    const store = em();
    const { docket, advice } = await getDocket(store, id(ctx));
    const context = await intake.get();
    const reading = readIntake(words, {
      ...context,
      steeringSide: advice.vehicle.steeringSide,
      trafficSide: docket.vehicle?.trafficSide ?? context.trafficSide,
      axles: advice.vehicle.axles,
      ...(moves ? { moves } : {}),
    });
    ctx.body = await saveDocket(
      em(),
      id(ctx),
      version,
      mergeReading(docket, reading, words),
      `heard: ${words.slice(0, 60)}`,
    );
  });

  for (const direction of ['undo', 'redo'] as const)
    router.post(`/dockets/:id/${direction}`, async (ctx) => {
      ctx.body = await stepDocket(
        em(),
        id(ctx),
        parse(API[`POST /dockets/:id/${direction}`].body, ctx.request.body).version,
        direction,
      );
    });

  router.get('/dockets/:id/history', async (ctx) => {
    ctx.body = await historyOf(em(), id(ctx));
  });

  router.get('/dockets/:id/file', async (ctx) => {
    const { docket, number } = await getDocket(em(), id(ctx));
    ctx.set('Content-Disposition', `attachment; filename="docket-${number}.json"`);
    ctx.type = 'application/json';
    ctx.body = JSON.stringify(docket, null, 2);
  });

  router.get('/figures', async (ctx) => {
    ctx.body = await figures(em(), new Date());
  });

  return router;
};

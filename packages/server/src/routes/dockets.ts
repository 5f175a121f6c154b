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
import type { MikroORM } from '@mikro-orm/better-sqlite';
import { z } from 'zod';
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
import { Moves } from './reading.ts';
import { knowledgeFor } from '../store/catalogueStore.ts';

const NewDocket = z.union([
  z.object({ words: z.string().min(1).max(1_100_000), moves: Moves.optional() }),
  z.object({ docket: z.unknown() }),
]);
const Change = z.object({
  version: z.number().int().min(1),
  docket: z.unknown(),
  label: z.string().min(1).max(200),
});
const Words = z.object({
  version: z.number().int().min(1),
  words: z.string().min(1).max(1_100_000),
  moves: Moves.optional(),
});
const Seeded = z.object({
  seed: z.coerce
    .number()
    .int()
    .min(0)
    .max(2 ** 31 - 1)
    .optional(),
});
const Step = z.object({ version: z.number().int().min(1) });
const Listing = z.object({
  state: z.enum(['all', 'current', 'open', 'ordered', 'closed']).default('current'),
  q: z.string().max(100).default(''),
  limit: z.coerce.number().int().min(1).max(500).default(100),
});

/** Dockets: list, open, read, change, undo, history, export. */
export const docketRoutes = (orm: MikroORM, intake: IntakeCache): Router => {
  const router = new Router({ prefix: '/api' });
  const em = () => orm.em.fork();
  const id = (ctx: { params: Record<string, string | undefined> }) => ctx.params.id ?? '';

  router.get('/dockets', async (ctx) => {
    const { state, q, limit } = parse(Listing, ctx.query);
    ctx.body = await listDockets(em(), { state, words: q.trim(), limit });
  });

  router.post('/dockets', async (ctx) => {
    const input = parse(NewDocket, ctx.request.body);
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
    const { seed } = parse(Seeded, ctx.query);
    const store = em();
    const { docket } = await getDocket(store, id(ctx));
    const comparison = compareBench(docket, await knowledgeFor(store, docket), seed).compare();
    if (!comparison)
      throw new BadInput('wheelEnd', 'is not known; ways are compared for one corner, so name it first');
    ctx.body = comparison;
  });

  router.put('/dockets/:id', async (ctx) => {
    const { version, docket, label } = parse(Change, ctx.request.body);
    ctx.body = await saveDocket(em(), id(ctx), version, parseDocket(docket), label);
  });

  router.post('/dockets/:id/words', async (ctx) => {
    const { version, words, moves } = parse(Words, ctx.request.body);
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
      ctx.body = await stepDocket(em(), id(ctx), parse(Step, ctx.request.body).version, direction);
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

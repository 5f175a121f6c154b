import Router from '@koa/router';
import {
  advise,
  docketFromReading,
  mergeReading,
  parse,
  parseDocket,
  readIntake,
  Side,
  WheelEnd,
} from '@hardy/core';
import type { MikroORM } from '@mikro-orm/better-sqlite';
import { z } from 'zod';
import type { IntakeCache } from '../intakeCache.ts';
import { allVehicles, knowledgeFor, shopSettings, today } from '../store/catalogueStore.ts';
import { readDocket } from '../store/docketStore.ts';

/** Chips a person moved to another wheel, by key. */
export const Moves = z.record(z.string().max(300), WheelEnd.nullable());

const IntakeRequest = z.object({
  text: z.string().max(1_100_000),
  moves: Moves.optional(),
  steeringSide: Side.nullish(),
  trafficSide: Side.nullish(),
  axles: z.number().int().min(1).max(9).nullish(),
});

const PreviewRequest = IntakeRequest.extend({
  /** The docket the words are added to; absent for a new one. */
  docketId: z.string().max(80).nullish(),
  /** The knowledge the page already holds. */
  have: z.string().max(200).nullish(),
});

/** Reading text and advising without storing anything, and the lists the screens choose from. */
export const readingRoutes = (orm: MikroORM, intake: IntakeCache): Router => {
  const router = new Router({ prefix: '/api' });

  router.get('/health', (ctx) => {
    ctx.body = { ok: true };
  });

  const read = async ({ text, moves, steeringSide, trafficSide, axles }: z.infer<typeof IntakeRequest>) => {
    const context = await intake.get();
    const reading = readIntake(text, {
      ...context,
      steeringSide: steeringSide ?? context.steeringSide,
      trafficSide: trafficSide ?? context.trafficSide,
      axles: axles ?? null,
      ...(moves ? { moves } : {}),
    });
    return { reading, trafficSide: context.trafficSide };
  };

  router.post('/intake', async (ctx) => {
    ctx.body = (await read(parse(IntakeRequest, ctx.request.body))).reading;
  });

  // What a docket of these words would be, and what advising on it needs: the page works the answer out by itself.
  router.post('/preview', async (ctx) => {
    const request = parse(PreviewRequest, ctx.request.body);
    const em = orm.em.fork();
    const { reading, trafficSide } = await read(request);
    const docket = request.docketId
      ? mergeReading(await readDocket(em, request.docketId), reading, request.text)
      : docketFromReading(reading, request.text, trafficSide);
    const tag = [
      intake.epoch(),
      today(),
      docket.vehicle?.catalogueId ?? '',
      (docket.codes ?? []).length > 0,
    ].join('|');
    ctx.body = {
      reading,
      docket,
      tag,
      knowledge: request.have === tag ? null : await knowledgeFor(em, docket),
    };
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

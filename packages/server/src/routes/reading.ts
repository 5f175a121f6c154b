import type Router from '@koa/router';
import { docketFromReading, mergeReading, parse, parseDocket } from '@hardy/core';
import { API, type IntakeRequest } from '@hardy/core/contract';
import type { Advising } from '../advising/advising.ts';
import { allVehicles, knowledgeFor, today } from '../store/catalogueStore.ts';
import { DocketStore } from '../store/docketStore.ts';
import type { Store } from '../store/openStore.ts';
import { apiRouter } from './apiRouter.ts';

/** Reading text and advising without storing anything, and the lists the screens choose from. */
export const readingRoutes = ({ orm }: Store, advising: Advising): Router => {
  const router = apiRouter();

  router.get('/health', (ctx) => {
    ctx.body = { ok: true };
  });

  const dockets = (em: ReturnType<typeof orm.em.fork>) =>
    new DocketStore(em, (within, docket) => advising.advise(within, docket));

  const read = async ({ text, moves, steeringSide, trafficSide, axles }: IntakeRequest) => {
    const context = await advising.intake();
    const reading = await advising.read(text, {
      steeringSide: steeringSide ?? context.steeringSide,
      trafficSide: trafficSide ?? context.trafficSide,
      axles: axles ?? null,
      ...(moves ? { moves } : {}),
    });
    return { reading, trafficSide: context.trafficSide };
  };

  router.post('/intake', async (ctx) => {
    ctx.body = (await read(parse(API['POST /intake'].body, ctx.request.body))).reading;
  });

  // What a docket of these words would be, and what advising on it needs: the page works the answer out by itself.
  router.post('/preview', async (ctx) => {
    const request = parse(API['POST /preview'].body, ctx.request.body);
    const em = orm.em.fork();
    const { reading, trafficSide } = await read(request);
    const docket = request.docketId
      ? mergeReading(await dockets(em).read(request.docketId), reading, request.text)
      : docketFromReading(reading, request.text, trafficSide);
    const tag = [
      advising.epoch(),
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
    ctx.body = await advising.advise(orm.em.fork(), docket);
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

  return router;
};

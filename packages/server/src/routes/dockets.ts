import type Router from '@koa/router';
import { BadInput, docketFromReading, mergeReading, parse, parseDocket } from '@hardy/core';
import { API } from '@hardy/core/contract';
import type { Advising } from '../advising/advising.ts';
import { knowledgeFor } from '../store/catalogueStore.ts';
import { figures, listDockets } from '../store/docketLines.ts';
import type { Store } from '../store/openStore.ts';
import { docketsOf } from './docketsOf.ts';
import { apiRouter } from './apiRouter.ts';

/** Dockets: list, open, read, change, undo, history, export. */
export const docketRoutes = ({ orm }: Store, advising: Advising): Router => {
  const router = apiRouter();
  const em = () => orm.em.fork();
  const dockets = () => docketsOf(em(), advising);
  const id = (ctx: { params: Record<string, string | undefined> }) => ctx.params.id ?? '';

  router.get('/dockets', async (ctx) => {
    const { state, q, limit, offset } = parse(API['GET /dockets'].query, ctx.query);
    ctx.body = await listDockets(em(), { state, words: q.trim(), limit, offset });
  });

  router.post('/dockets', async (ctx) => {
    const input = parse(API['POST /dockets'].body, ctx.request.body);
    const { trafficSide } = await advising.intake();
    const docket =
      'words' in input
        ? docketFromReading(
            await advising.read(input.words, input.moves ? { moves: input.moves } : {}),
            input.words,
            trafficSide,
          )
        : parseDocket(input.docket);
    ctx.status = 201;
    ctx.body = await dockets().create(docket, {
      id: input.id ?? null,
      content: 'words' in input ? { words: input.words, moves: input.moves ?? {} } : docket,
    });
  });

  router.get('/dockets/:id', async (ctx) => {
    ctx.body = await dockets().get(id(ctx));
  });

  router.get('/dockets/:id/knowledge', async (ctx) => {
    ctx.body = await knowledgeFor(em(), await dockets().read(id(ctx)));
  });

  router.get('/dockets/:id/compare', async (ctx) => {
    const { seed } = parse(API['GET /dockets/:id/compare'].query, ctx.query);
    const comparison = await advising.compare(em(), await dockets().read(id(ctx)), seed);
    if (!comparison)
      throw new BadInput('wheelEnd', 'is not known; ways are compared for one corner, so name it first');
    ctx.body = comparison;
  });

  router.put('/dockets/:id', async (ctx) => {
    const { version, docket, label, changeId } = parse(API['PUT /dockets/:id'].body, ctx.request.body);
    ctx.body = await dockets().save(id(ctx), version, parseDocket(docket), { label, changeId });
  });

  router.post('/dockets/:id/words', async (ctx) => {
    const { words, moves, changeId } = parse(API['POST /dockets/:id/words'].body, ctx.request.body);
    const store = dockets();
    const { trafficSide } = await advising.intake();
    ctx.body = await store.hear(
      id(ctx),
      async (docket) => {
        const { vehicle } = await advising.advise(em(), docket);
        const reading = await advising.read(words, {
          steeringSide: vehicle.steeringSide,
          trafficSide: docket.vehicle?.trafficSide ?? trafficSide,
          axles: vehicle.axles,
          ...(moves ? { moves } : {}),
        });
        return mergeReading(docket, reading, words);
      },
      { label: `heard: ${words.slice(0, 60)}`, changeId, content: { words, moves: moves ?? {} } },
    );
  });

  for (const direction of ['undo', 'redo'] as const)
    router.post(`/dockets/:id/${direction}`, async (ctx) => {
      const { version, changeId } = parse(API[`POST /dockets/:id/${direction}`].body, ctx.request.body);
      ctx.body = await dockets().step(id(ctx), version, direction, changeId);
    });

  router.get('/dockets/:id/history', async (ctx) => {
    ctx.body = await dockets().history(id(ctx));
  });

  router.get('/dockets/:id/file', async (ctx) => {
    const { docket, number } = await dockets().get(id(ctx));
    ctx.set('Content-Disposition', `attachment; filename="docket-${number}.json"`);
    ctx.type = 'application/json';
    ctx.body = JSON.stringify(docket, null, 2);
  });

  router.get('/figures', async (ctx) => {
    ctx.body = await figures(em(), new Date());
  });

  return router;
};

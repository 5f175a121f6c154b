import Router from '@koa/router';
import {
  advise,
  type Advice,
  assumptionsWith,
  DEFAULT_ASSUMPTIONS,
  parse,
  type ShopSettings as Settings,
} from '@hardy/core';
import { API, type Turned } from '@hardy/core/contract';
import type { MikroORM } from '@mikro-orm/better-sqlite';
import type { IntakeCache } from '../intakeCache.ts';
import { knowledgeFor, saveShopSettings } from '../store/catalogueStore.ts';
import { currentDockets, refreshLines } from '../store/docketStore.ts';

/** The shop's settings and every judgement number, with what a change does to the dockets on the counter. */
export const setupRoutes = (orm: MikroORM, intake: IntakeCache): Router => {
  const router = new Router({ prefix: '/api' });

  router.get('/assumptions', (ctx) => {
    ctx.body = Object.entries(DEFAULT_ASSUMPTIONS).map(([key, judgement]) => ({ key, ...judgement }));
  });

  router.put('/shop', async (ctx) => {
    const settings: Settings = parse(API['PUT /shop'].body, ctx.request.body);
    // An unknown key or a value out of range is told before anything is kept.
    assumptionsWith(settings.overrides);
    const em = orm.em.fork();
    const dockets = await currentDockets(em);
    const { overrides, school, currency } = settings;
    const advised: Array<{ id: string; advice: Advice }> = [];
    for (const { id, docket } of dockets) {
      const knowledge = await knowledgeFor(em, docket);
      advised.push({ id, advice: advise(docket, { ...knowledge, overrides, school, currency }) });
    }
    await saveShopSettings(em, settings);
    await refreshLines(em, advised);
    intake.forget();
    ctx.body = {
      settings,
      // The line of a docket says what was advised before.
      turned: dockets.flatMap(({ id, number, headline }, i): Turned[] => {
        const after = advised[i]?.advice.verdict.sentence ?? '';
        return headline === after ? [] : [{ id, number, before: headline, after }];
      }),
      looked: dockets.length,
    };
  });

  return router;
};

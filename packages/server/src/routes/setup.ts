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
import { knowledgeFor, saveShopSettings, shopSettings } from '../store/catalogueStore.ts';
import { currentDockets, refreshLines } from '../store/docketStore.ts';

/** How many open dockets are looked at for what a change turned; the lines of all of them follow it. */
const MOST_DOCKETS = 40;

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
    const old = await shopSettings(em);
    const all = await currentDockets(em);
    const dockets = all.slice(0, MOST_DOCKETS);
    const advised = async (
      these: typeof all,
      shop: Settings,
    ): Promise<Array<{ id: string; advice: Advice }>> => {
      const out: Array<{ id: string; advice: Advice }> = [];
      for (const { id, docket } of these) {
        const knowledge = await knowledgeFor(em, docket);
        const { overrides, school, currency } = shop;
        out.push({ id, advice: advise(docket, { ...knowledge, overrides, school, currency }) });
      }
      return out;
    };
    const before = (await advised(dockets, old)).map(({ advice }) => advice.verdict.sentence);
    const now = await advised(all, settings);
    const after = now.map(({ advice }) => advice.verdict.sentence);
    await saveShopSettings(em, settings);
    await refreshLines(em, now);
    intake.forget();
    ctx.body = {
      settings,
      turned: dockets.flatMap(({ id, number }, i): Turned[] =>
        before[i] === after[i] ? [] : [{ id, number, before: before[i] ?? '', after: after[i] ?? '' }],
      ),
      looked: dockets.length,
    };
  });

  return router;
};

import Router from '@koa/router';
import {
  advise,
  assumptionsWith,
  DEFAULT_ASSUMPTIONS,
  parse,
  ShopSettings,
  type ShopSettings as Settings,
} from '@hardy/core';
import type { MikroORM } from '@mikro-orm/better-sqlite';
import type { IntakeCache } from '../intakeCache.ts';
import { knowledgeFor, saveShopSettings, shopSettings } from '../store/catalogueStore.ts';
import { currentDockets } from '../store/docketStore.ts';

/** A docket whose answer a change of settings turned. */
export interface Turned {
  readonly id: string;
  readonly number: number;
  readonly before: string;
  readonly after: string;
}

/** How many open dockets are advised anew to show what a change does. */
const MOST_DOCKETS = 40;

/** The shop's settings and every judgement number, with what a change does to the dockets on the counter. */
export const setupRoutes = (orm: MikroORM, intake: IntakeCache): Router => {
  const router = new Router({ prefix: '/api' });

  router.get('/assumptions', (ctx) => {
    ctx.body = Object.entries(DEFAULT_ASSUMPTIONS).map(([key, judgement]) => ({ key, ...judgement }));
  });

  router.put('/shop', async (ctx) => {
    const settings: Settings = parse(ShopSettings, ctx.request.body);
    // An unknown key or a value out of range is told before anything is kept.
    assumptionsWith(settings.overrides);
    const em = orm.em.fork();
    const old = await shopSettings(em);
    const dockets = (await currentDockets(em)).slice(0, MOST_DOCKETS);
    const sentences = async (shop: Settings): Promise<string[]> => {
      const out: string[] = [];
      for (const { docket } of dockets) {
        const knowledge = await knowledgeFor(em, docket);
        out.push(
          advise(docket, {
            ...knowledge,
            overrides: shop.overrides,
            school: shop.school,
            currency: shop.currency,
          }).verdict.sentence,
        );
      }
      return out;
    };
    const before = await sentences(old);
    const after = await sentences(settings);
    await saveShopSettings(em, settings);
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

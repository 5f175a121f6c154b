import type Router from '@koa/router';
import { parse } from '@hardy/core';
import { API } from '@hardy/core/contract';
import type { Advising } from '../advising/advising.ts';
import type { WorkerPool } from '../advising/workerPool.ts';
import { Skills } from '../practice/skills.ts';
import { Team } from '../practice/team.ts';
import { Visits } from '../practice/visits.ts';
import type { Store } from '../store/openStore.ts';
import { apiRouter } from './apiRouter.ts';

/** The practice database, with what reckons for it. */
export interface PracticeDesk {
  readonly store: Store;
  readonly advising: Advising;
  readonly pool: WorkerPool;
}

/** Practice: who learns, the customers they have, exercises, the team. All of it is about the practice database. */
export const practiceRoutes = (desk: () => Promise<PracticeDesk>): Router => {
  const router = apiRouter('/api/practice');
  const open = async () => {
    const { store, advising, pool } = await desk();
    const em = store.orm.em.fork();
    return {
      visits: new Visits(em, advising, pool),
      skills: new Skills(em, pool),
      team: new Team(em, pool),
    };
  };
  const id = (ctx: { params: Record<string, string | undefined> }) => ctx.params.id ?? '';

  router.get('/', async (ctx) => {
    ctx.body = await (await open()).team.home();
  });
  router.post('/learners', async (ctx) => {
    const { name } = parse(API['POST /practice/learners'].body, ctx.request.body);
    ctx.body = await (await open()).team.add(name);
  });
  router.get('/learners/:id', async (ctx) => {
    ctx.body = await (await open()).skills.learner(id(ctx));
  });
  router.get('/team', async (ctx) => {
    ctx.body = await (await open()).team.view();
  });
  router.post('/rounds', async (ctx) => {
    const { name, level, customers } = parse(API['POST /practice/rounds'].body, ctx.request.body);
    ctx.body = await (await open()).team.setRound(name, level, customers);
  });
  router.post('/visits', async (ctx) => {
    const given = parse(API['POST /practice/visits'].body, ctx.request.body);
    ctx.body = await (
      await open()
    ).visits.begin({
      id: given.id ?? null,
      learnerId: given.learnerId,
      level: given.level,
      roundId: given.roundId ?? null,
    });
  });
  router.get('/visits/:id', async (ctx) => {
    ctx.body = await (await open()).visits.view(id(ctx));
  });
  router.post('/visits/:id/docket', async (ctx) => {
    const { docketId } = parse(API['POST /practice/visits/:id/docket'].body, ctx.request.body);
    ctx.body = await (await open()).visits.bind(id(ctx), docketId);
  });
  router.post('/visits/:id/deeds', async (ctx) => {
    const { after, deed, sent } = parse(API['POST /practice/visits/:id/deeds'].body, ctx.request.body);
    ctx.body = await (await open()).visits.act(id(ctx), after, deed, sent ?? null);
  });
  router.post('/visits/:id/uncover', async (ctx) => {
    parse(API['POST /practice/visits/:id/uncover'].body, ctx.request.body);
    ctx.body = await (await open()).visits.uncover(id(ctx));
  });
  router.post('/visits/:id/replay', async (ctx) => {
    const { keep } = parse(API['POST /practice/visits/:id/replay'].body, ctx.request.body);
    ctx.body = await (await open()).visits.replay(id(ctx), keep);
  });
  router.post('/exercises', async (ctx) => {
    const { learnerId, skill } = parse(API['POST /practice/exercises'].body, ctx.request.body);
    ctx.body = await (await open()).skills.next(learnerId, skill ?? null);
  });
  router.post('/answers', async (ctx) => {
    const given = parse(API['POST /practice/answers'].body, ctx.request.body);
    ctx.body = await (await open()).skills.answer(given);
  });
  return router;
};

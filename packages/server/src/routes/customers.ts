import type Router from '@koa/router';
import { parse } from '@hardy/core';
import { API } from '@hardy/core/contract';
import type { Advising } from '../advising/advising.ts';
import type { BackupKeeper } from '../backup/backupKeeper.ts';
import { notFound } from '../problem.ts';
import { detached } from '../requestScope.ts';
import { earlierDockets, eraseCustomer, erasures, findCustomers } from '../store/customers.ts';
import type { Store } from '../store/openStore.ts';
import { apiRouter } from './apiRouter.ts';

/** Customers: found again, with what they came for before, and erased on request. */
export const customerRoutes = (
  { orm }: Store,
  advising: Advising,
  backups: BackupKeeper | null,
  failed: (error: unknown) => void,
): Router => {
  const router = apiRouter();
  const em = () => orm.em.fork();

  router.get('/dockets/:id/earlier', async (ctx) => {
    ctx.body = await earlierDockets(em(), ctx.params.id ?? '');
  });

  router.get('/customers', async (ctx) => {
    ctx.body = await findCustomers(em(), parse(API['GET /customers'].query, ctx.query).q);
  });

  router.post('/customers/:id/erase', async (ctx) => {
    parse(API['POST /customers/:id/erase'].body, ctx.request.body);
    const id = Number(ctx.params.id);
    if (!Number.isSafeInteger(id)) throw notFound(`customer ${ctx.params.id ?? ''}`);
    ctx.body = await eraseCustomer(em(), id);
    // Answers that were kept may hold words of theirs.
    advising.forget();
    // The backups made until now still hold them: one is made that does not.
    void detached(() => backups?.make('erasure').catch(failed));
  });

  router.get('/erasures', async (ctx) => {
    ctx.body = await erasures(em());
  });

  return router;
};

import type Koa from 'koa';
import compose from 'koa-compose';
import { Advising } from '../advising/advising.ts';
import { withPriority, type WorkerPool } from '../advising/workerPool.ts';
import type { Served, Serving } from '../serving.ts';
import type { PracticeDesk } from '../routes/practice.ts';
import { forgetWords } from '../store/partStore.ts';
import type { Store } from '../store/openStore.ts';
import { PracticeSpace } from './practiceSpace.ts';

/** The practice counter of a shop: the application once more, on a database of its own. */
export interface PracticeCounter {
  /** Answers what comes under its address. */
  readonly counter: Koa.Middleware;
  /** What practice itself is kept in. */
  readonly desk: () => Promise<PracticeDesk>;
  readonly close: () => Promise<void>;
}

/**
 * Opens it when it is first asked for. `serve` makes the application; it is given, for the application is what asks for this.
 */
export const practiceCounter = (
  shop: Store,
  epoch: () => number,
  pool: WorkerPool,
  serve: (serving: Serving) => Served,
): PracticeCounter => {
  let open: Promise<{ served: Served; desk: PracticeDesk }> | null = null;
  const space = new PracticeSpace(shop, epoch, () => {
    void open?.then(({ desk, served }) => {
      desk.advising.forget();
      served.forget();
      forgetWords(desk.store.orm.em.fork());
    });
  });
  const opened = async () => {
    const store = await space.store();
    open ??= Promise.resolve().then(() => {
      // The threads are the shop's: its desks come first, and they outlive the practice counter.
      const lent = withPriority(pool, 'training');
      const advising = new Advising(lent, () => store.orm.em.fork());
      const served = serve({ store, pool: lent, backups: null, webFolder: null, practises: false });
      return { served, desk: { store, advising, pool: lent } };
    });
    return open;
  };
  return {
    async counter(ctx, next) {
      if (!ctx.path.startsWith('/api/')) return void (await next());
      const { served } = await opened();
      // The whole application within: it answers by itself, or says that nothing is there.
      await compose(served.app.middleware)(ctx, () => Promise.resolve());
    },
    desk: async () => (await opened()).desk,
    async close() {
      await (await open?.catch(() => null))?.served.close();
      await space.close();
    },
  };
};

import Router from '@koa/router';
import { ownPagesOnly } from '../gate.ts';

/**
 * A router for the API. It matches paths exactly as they are written, and guards whatever it matches: how a path is
 * spelled decides nothing.
 */
export const apiRouter = (prefix = '/api'): Router => {
  const router = new Router({ prefix, sensitive: true });
  router.use(ownPagesOnly);
  return router;
};

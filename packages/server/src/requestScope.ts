import { AsyncLocalStorage } from 'node:async_hooks';
import type { Context, Next } from 'koa';

/** What the work for one request needs to know of it. */
interface RequestScope {
  /** Aborted when the client is gone. */
  readonly signal: AbortSignal;
}

const storage = new AsyncLocalStorage<RequestScope>();

/** The signal that is aborted when the client of the current request is gone; null outside requests. */
export const requestSignal = (): AbortSignal | null => storage.getStore()?.signal ?? null;

/** Runs work that must go on although the client of the current request may leave. */
export const detached = <T>(act: () => T): T => storage.exit(act);

/** Gives every request its scope. */
export const requestScope = (ctx: Context, next: Next): Promise<void> => {
  // The training counter runs inside a request that has a scope already.
  if (storage.getStore()) return next() as Promise<void>;
  const gone = new AbortController();
  ctx.res.once('close', () => {
    if (!ctx.res.writableFinished) gone.abort();
  });
  return storage.run({ signal: gone.signal }, () => next() as Promise<void>);
};

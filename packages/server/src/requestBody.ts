import { finished } from 'node:stream/promises';
import { setTimeout as wait } from 'node:timers/promises';
import type { Context, Next } from 'koa';

/** How long a body may take to arrive. */
export interface BodyLimits {
  /** A whole body, in milliseconds. */
  readonly totalMs: number;
  /** The time between two pieces of an upload, in milliseconds: a file takes longer than any body. */
  readonly idleMs: number;
  /** How long the rest of a refused body is waited for, in milliseconds. */
  readonly drainMs: number;
}
const BODY_LIMITS: BodyLimits = { totalMs: 30_000, idleMs: 20_000, drainMs: 500 };

const hasBody = ({ req }: Context): boolean =>
  req.headers['content-length'] !== undefined || req.headers['transfer-encoding'] !== undefined;
const isUpload = ({ method }: Context): boolean => method === 'PUT';

/**
 * Limits how long a request body may take. A client that stops sending is disconnected, so that it does not keep a
 * connection from others. What is left of a body that was refused is read and dropped: unread bytes would be taken for
 * the next request on the connection.
 */
export const requestBody =
  ({ totalMs, idleMs, drainMs }: BodyLimits = BODY_LIMITS) =>
  async (ctx: Context, next: Next): Promise<void> => {
    if (!hasBody(ctx)) return void (await next());
    const { req } = ctx;
    const stop = () => req.socket.destroy();
    const isLong = isUpload(ctx);
    let timer = setTimeout(stop, isLong ? idleMs : totalMs);
    const push = req.push.bind(req);
    if (isLong)
      // The stream is read by others: pieces are seen as they arrive.
      req.push = (piece, encoding) => {
        clearTimeout(timer);
        if (piece !== null) timer = setTimeout(stop, idleMs);
        return push(piece, encoding);
      };
    const arrived = () => clearTimeout(timer);
    req.once('end', arrived).once('close', arrived);
    await next();
    if (req.complete || ctx.respond === false) return;
    req.unpipe();
    req.resume();
    const abort = new AbortController();
    await Promise.race([
      finished(req).catch(() => undefined),
      wait(drainMs, null, abort).catch(() => undefined),
    ]);
    abort.abort();
    if (!req.complete) ctx.set('Connection', 'close');
  };

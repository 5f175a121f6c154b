import type { Context, Next } from 'koa';
import { problem } from './problem.ts';

/** Names this machine has for itself. */
const OWN_NAMES: readonly string[] = ['127.0.0.1', 'localhost', '[::1]'];

/** What a browser says of a request that our own page, or a person at the address bar, made. */
const OUR_OWN: ReadonlySet<string> = new Set(['same-origin', 'none']);

/** The name of a Host header without its port; null for what is none. */
const nameOf = (host: string): string | null =>
  /^(\[[\da-f:]+\]|[^:/?#@\s]+)(?::\d{1,5})?$/i.exec(host)?.[1] ?? null;

/** The API, and that of the practice database. */
const isApi = (path: string): boolean => /^\/(practice\/)?api\//.test(path);

const isReadable = (url: string): boolean => {
  try {
    return !decodeURIComponent(url.replaceAll('+', ' ')).includes('\0');
  } catch {
    return false;
  }
};

const anotherSite = () =>
  problem(403, 'Another site', 'pages of another site may not read or change anything here');

/** Whether a page of another site sends a request. Tools send neither Origin nor fetch metadata. */
const isForeign = (ctx: Context): boolean => {
  const origin = ctx.get('origin');
  const site = ctx.get('sec-fetch-site');
  return (
    (origin !== '' && origin !== `${ctx.protocol}://${ctx.get('host')}`) ||
    (site !== '' && !OUR_OWN.has(site))
  );
};

/**
 * Lets in what this machine's own pages and people ask for: a name of another site that was made to lead here gets 421,
 * anything but reading from a foreign page 403, an address that cannot be read 400. What a foreign page may read is
 * decided by the route that matches, see `ownPagesOnly`.
 */
export const gate = async (ctx: Context, next: Next): Promise<void> => {
  const name = nameOf(ctx.get('host'));
  if (!name || !OWN_NAMES.includes(name.toLowerCase()))
    throw problem(
      421,
      'Not this machine',
      'this server answers on this machine only; use the address it printed',
    );
  const reads = ctx.method === 'GET' || ctx.method === 'HEAD';
  if (isForeign(ctx) && (!reads || isApi(ctx.path))) throw anotherSite();
  if (!isReadable(ctx.url)) throw problem(400, 'Bad request', 'the address cannot be read');
  if (isApi(ctx.path)) ctx.set('Cache-Control', 'no-store');
  await next();
};

/** Guards a route of the API: only this server's own pages and tools get an answer. */
export const ownPagesOnly = async (ctx: Context, next: Next): Promise<void> => {
  if (isForeign(ctx)) throw anotherSite();
  ctx.set('Cache-Control', 'no-store');
  await next();
};

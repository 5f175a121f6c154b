import { BadInput } from '@hardy/core';
import type { Context, Next } from 'koa';

/** An error of the API as RFC 9457 tells it; `more` adds members of its own. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    detail: string,
    readonly more: Readonly<Record<string, unknown>> = {},
  ) {
    super(detail);
  }
}

export const notFound = (what: string): Problem =>
  new Problem(404, 'Not found', `${what} is not here; check its number`);

/** Answers every error as problem+json: bad input with its path, anything else without its innards. */
export const problems = async (ctx: Context, next: Next): Promise<void> => {
  const answer = (
    status: number,
    title: string,
    detail: string,
    more: Readonly<Record<string, unknown>> = {},
  ) => {
    ctx.status = status;
    ctx.body = JSON.stringify({ type: 'about:blank', title, status, detail, ...more });
    ctx.type = 'application/problem+json';
  };
  try {
    await next();
    if (ctx.status === 404 && ctx.body == null && ctx.path.startsWith('/api/'))
      answer(404, 'Not found', `nothing answers at ${ctx.path}`);
  } catch (error) {
    if (error instanceof Problem) return answer(error.status, error.title, error.message, error.more);
    if (error instanceof BadInput)
      return answer(400, 'Bad input', error.message, { path: error.path, problems: error.problems });
    const status = (error as { status?: unknown }).status;
    if (typeof status === 'number' && status >= 400 && status < 500)
      return answer(
        status,
        status === 413 ? 'Too large' : 'Bad request',
        status === 413
          ? 'that is more than can be taken at once; send less'
          : `the request cannot be read: ${(error as Error).message}`,
      );
    ctx.app.emit('error', error, ctx);
    answer(500, 'Internal fault', 'something broke on the server; nothing was changed');
  }
};

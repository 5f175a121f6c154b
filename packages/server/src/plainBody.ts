import { mustBeShallow } from '@hardy/core';
import type { Context, Next } from 'koa';

const without = (value: unknown): unknown => {
  if (typeof value === 'string') return value.replaceAll('\0', '');
  if (Array.isArray(value)) return value.map(without);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, each]) => [key.replaceAll('\0', ''), without(each)]),
  );
};

/**
 * Takes NUL out of what was sent: it is no character of any text, comes with badly copied reports, and no database takes
 * it. What is nested too deep is refused before anything walks it.
 */
export const plainBody = async (ctx: Context, next: Next): Promise<void> => {
  const { body, rawBody } = ctx.request;
  if (body !== undefined) mustBeShallow(body);
  if (rawBody?.includes('\\u0000') || rawBody?.includes('\0')) ctx.request.body = without(body);
  await next();
};

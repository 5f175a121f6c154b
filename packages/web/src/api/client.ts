import type { Answer, ApiName, Body, Query } from '@hardy/core/contract';
import { BASE } from '../space.ts';

/** An answer of the server that is not what was asked for, as problem+json told it. Status 0: no server answered. */
export class ApiProblem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    detail: string,
    readonly more: Readonly<Record<string, unknown>>,
  ) {
    super(detail);
  }
}

/** What went wrong, in a sentence for a person. */
export const problemInWords = (problem: unknown): string =>
  problem instanceof Error ? problem.message : String(problem);

/** A server that has not answered for so long is taken to be away, in milliseconds. */
const LIMIT_MS = 20_000;
const LATE = `The server has not answered for ${LIMIT_MS / 1000} s. What you entered is kept, and goes when it is back.`;
const UNREACHABLE = 'The server does not answer. What you entered is kept, and goes when it is back.';

interface Asked<N extends ApiName> {
  /** What stands for `:id` and the like in the address. */
  readonly params?: Readonly<Record<string, string>>;
  readonly query?: Query<N>;
  readonly body?: Body<N>;
  readonly signal?: AbortSignal;
}

/** The address of a way in, under `/api` of the counter this page stands at. Who practises is known to the shop. */
const addressOf = (
  name: ApiName,
  params: Readonly<Record<string, string>> = {},
  query: object = {},
): string => {
  const path = name
    .slice(name.indexOf(' ') + 1)
    .replace(/:(\w+)/g, (_, param: string) => encodeURIComponent(params[param] ?? ''));
  const search = new URLSearchParams(
    Object.entries(query).flatMap(([key, value]) => (value == null ? [] : [[key, String(value)]])),
  ).toString();
  const base = /^\/practice(\/|$)/.test(path) ? '' : BASE;
  return `${base}/api${path}${search ? `?${search}` : ''}`;
};

/** Methods that change nothing, and may be asked again without harm. */
const SAFE: ReadonlySet<string> = new Set(['GET']);
/** Names of an act in a body: what is sent twice under one is done once. */
const ACT_NAMES = ['id', 'changeId'] as const;

/** Whether a request may be sent a second time: it changes nothing, or its act has a name. */
const mayRepeat = (method: string, body: unknown): boolean =>
  SAFE.has(method) ||
  (typeof body === 'object' &&
    body !== null &&
    ACT_NAMES.some((name) => typeof (body as Record<string, unknown>)[name] === 'string'));

/**
 * Fetches once, with a timer of its own: a signal made by `AbortSignal.timeout` may be collected as garbage while it is
 * waited for.
 */
const fetchWithin = async (
  address: string,
  init: RequestInit,
  signal: AbortSignal | undefined,
): Promise<{ response: Response; answer: unknown }> => {
  const stop = new AbortController();
  let isLate = false;
  const end = () => stop.abort();
  const timer = setTimeout(() => {
    isLate = true;
    end();
  }, LIMIT_MS);
  if (signal?.aborted) end();
  signal?.addEventListener('abort', end, { once: true });
  try {
    const response = await fetch(address, { ...init, signal: stop.signal });
    const answer: unknown = await response.json().catch((error: unknown) => {
      if (stop.signal.aborted) throw error;
      return null;
    });
    return { response, answer };
  } catch (error) {
    if (isLate) throw new ApiProblem(0, 'No answer', LATE, {});
    if (error instanceof DOMException && error.name === 'AbortError') throw error;
    throw new ApiProblem(0, 'No answer', UNREACHABLE, {});
  } finally {
    clearTimeout(timer);
    signal?.removeEventListener('abort', end);
  }
};

/**
 * Calls one way in of the API, as the contract names it. A connection that was closed while it was idle is tried once
 * more, where that does no harm.
 * @throws ApiProblem for an error answer, and with status 0 when the server cannot be reached.
 */
export const call = async <N extends ApiName>(name: N, asked: Asked<N> = {}): Promise<Answer<N>> => {
  const { params, query, body, signal } = asked;
  const method = name.slice(0, name.indexOf(' '));
  const address = addressOf(name, params, query ?? {});
  const init: RequestInit = {
    method,
    ...(body === undefined
      ? {}
      : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
  };
  const asking = () => fetchWithin(address, init, signal);
  const { response, answer } = await asking().catch((error: unknown) => {
    if (error instanceof ApiProblem && error.message === UNREACHABLE && mayRepeat(method, body))
      return asking();
    throw error;
  });
  if (response.ok) return answer as Answer<N>;
  const problem = (answer ?? {}) as { title?: string; detail?: string };
  throw new ApiProblem(response.status, problem.title ?? 'Error', problem.detail ?? UNREACHABLE, problem);
};

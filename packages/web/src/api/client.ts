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

/**
 * Calls one way in of the API, as the contract names it.
 * @throws ApiProblem for an error answer, and with status 0 when the server cannot be reached.
 */
export const call = async <N extends ApiName>(name: N, asked: Asked<N> = {}): Promise<Answer<N>> => {
  const { params, query, body, signal } = asked;
  const late = AbortSignal.timeout(LIMIT_MS);
  let response: Response;
  try {
    response = await fetch(addressOf(name, params, query ?? {}), {
      method: name.slice(0, name.indexOf(' ')),
      ...(body === undefined
        ? {}
        : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
      signal: signal ? AbortSignal.any([signal, late]) : late,
    });
  } catch (error) {
    if (late.aborted && !signal?.aborted) throw new ApiProblem(0, 'No answer', LATE, {});
    if (error instanceof DOMException && error.name === 'AbortError') throw error;
    throw new ApiProblem(0, 'No answer', UNREACHABLE, {});
  }
  const answer: unknown = await response.json().catch(() => null);
  if (response.ok) return answer as Answer<N>;
  const problem = (answer ?? {}) as { title?: string; detail?: string };
  throw new ApiProblem(response.status, problem.title ?? 'Error', problem.detail ?? UNREACHABLE, problem);
};

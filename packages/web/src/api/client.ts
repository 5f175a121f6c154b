/** An answer of the server that is not what was asked for, as problem+json told it. */
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

const UNREACHABLE = 'The server does not answer. What you entered is still here; try again when it is back.';

/**
 * Calls the API.
 * @throws ApiProblem for an error answer, and with status 0 when the server cannot be reached.
 */
export const call = async <T>(
  path: string,
  options: { method?: string; body?: unknown; signal?: AbortSignal } = {},
): Promise<T> => {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method: options.method ?? 'GET',
      ...(options.body === undefined
        ? {}
        : { body: JSON.stringify(options.body), headers: { 'content-type': 'application/json' } }),
      ...(options.signal ? { signal: options.signal } : {}),
    });
  } catch (error) {
    if (error instanceof DOMException && error.name === 'AbortError') throw error;
    throw new ApiProblem(0, 'No answer', UNREACHABLE, {});
  }
  const body: unknown = await response.json().catch(() => null);
  if (response.ok) return body as T;
  const problem = (body ?? {}) as { title?: string; detail?: string };
  throw new ApiProblem(response.status, problem.title ?? 'Error', problem.detail ?? UNREACHABLE, problem);
};

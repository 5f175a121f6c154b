/** A limit on a wait: its own timer and a caller's signal, whichever comes first. */
export interface Deadline {
  /** Aborted at the end of either. */
  readonly signal: AbortSignal;
  /** Rejects at the end of either; never resolves. To be raced against the wait. */
  readonly ended: Promise<never>;
  /** Whether the time is over. */
  readonly isLate: () => boolean;
  /** To be called when the wait is over. */
  readonly clear: () => void;
}

/**
 * Starts a limit of `withinMs`. A signal made by `AbortSignal.timeout` is not enough: it may be collected as garbage
 * while a fetch waits for it, and the wait never ends. The timer here holds what it ends.
 */
export const startDeadline = (withinMs: number, stop?: AbortSignal): Deadline => {
  const controller = new AbortController();
  let late = false;
  let reject: (error: Error) => void = () => undefined;
  const ended = new Promise<never>((_, fail) => (reject = fail));
  // Whoever does not race against it is not told by the process either.
  ended.catch(() => undefined);
  const end = () => {
    controller.abort();
    reject(new Error('the wait has ended'));
  };
  const timer = setTimeout(() => {
    late = true;
    end();
  }, withinMs);
  if (stop?.aborted) end();
  else stop?.addEventListener('abort', end, { once: true });
  return {
    signal: controller.signal,
    ended,
    isLate: () => late,
    clear: () => {
      clearTimeout(timer);
      stop?.removeEventListener('abort', end);
    },
  };
};

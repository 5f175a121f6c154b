import { wrap, type Remote } from 'comlink';

/** A thread of this page that did not start, or ended. */
export class ThreadGone extends Error {
  constructor() {
    super('A part of this page that reckons did not start. Load the page anew; what you entered is kept.');
  }
}

/** A thread, and a way to wait for it that ends when it dies. */
export interface Thread<Api> {
  readonly api: Remote<Api>;
  /** The answer of a call, or ThreadGone: a thread that is gone never answers. */
  readonly ask: <A>(answer: A) => Promise<Awaited<A>>;
  readonly end: () => void;
}

/** Starts a thread. @throws ThreadGone where threads cannot be had at all */
export const startThread = <Api>(make: () => Worker): Thread<Api> => {
  let worker: Worker;
  try {
    worker = make();
  } catch {
    throw new ThreadGone();
  }
  const gone = new Promise<never>((_, reject) => {
    worker.addEventListener('error', () => reject(new ThreadGone()), { once: true });
  });
  gone.catch(() => undefined);
  return {
    api: wrap<Api>(worker),
    ask: (answer) => Promise.race([gone, answer]),
    end: () => worker.terminate(),
  };
};

/** What a thread would do, done in this page: for computers where threads cannot be had. It stands still meanwhile. */
export const hereInstead = <Api>(api: Api): Thread<Api> => ({
  api: api as Remote<Api>,
  ask: (answer) => Promise.race([answer]),
  end: () => undefined,
});

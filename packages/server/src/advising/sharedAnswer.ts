import { requestSignal } from '../requestScope.ts';

/**
 * An answer that several requests wait for. It is calculated once; when every client that asked is gone before it is
 * there, it is given up. Asked for outside a request, it is never given up.
 */
export class SharedAnswer<T> {
  readonly #answer: Promise<T>;
  readonly #abandoned = new AbortController();
  #clients = 0;

  /**
   * @param calculate starts the calculation; its signal is aborted when nobody waits any more
   * @param failed called when there is no answer, so that the next client starts again
   */
  constructor(calculate: (signal: AbortSignal) => Promise<T>, failed: () => void) {
    const { signal } = this.#abandoned;
    signal.addEventListener('abort', failed, { once: true });
    this.#answer = calculate(signal);
    this.#answer.catch(failed);
  }

  /** The answer, for the client of the current request. */
  join(): Promise<T> {
    const signal = requestSignal();
    this.#clients++;
    if (!signal) return this.#answer;
    const leave = () => {
      if (--this.#clients === 0) this.#abandoned.abort();
    };
    if (signal.aborted) leave();
    else signal.addEventListener('abort', leave, { once: true });
    return this.#answer.finally(() => signal.removeEventListener('abort', leave));
  }
}

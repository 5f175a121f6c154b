import { problem } from '../problem.ts';
import { requestSignal } from '../requestScope.ts';

/** More waiting for one key than all desks together can send: they are refused at once. */
const MAXIMUM_WAITING = 100;

interface Queue {
  waiting: number;
  last: Promise<unknown>;
}

/** Key of the ledger: held while an outcome is counted, and while everything is learned again. */
export const LEDGER = 'ledger';

/** Runs acts on the same key one after another, in the order of arrival; acts on other keys run beside them. */
class KeyedMutex {
  readonly #queues = new Map<string, Queue>();

  /**
   * Runs `act` when it is the turn of all `keys`.
   * @throws problem 503 where too many wait already, or the client has left before its turn
   */
  run<T>(keys: readonly string[], act: () => Promise<T>): Promise<T> {
    // Always taken in the same order: two acts on the same two keys cannot wait for each other.
    const [first, ...rest] = [...new Set(keys)].sort();
    if (first === undefined) return act();
    return this.#runOne(first, () => this.run(rest, act));
  }

  #runOne<T>(key: string, act: () => Promise<T>): Promise<T> {
    const queue = this.#queues.get(key) ?? { waiting: 0, last: Promise.resolve() };
    this.#queues.set(key, queue);
    if (queue.waiting >= MAXIMUM_WAITING)
      return Promise.reject(
        problem(
          503,
          'Busy',
          'too many change this at the same time: nothing was changed; try again in a moment',
        ),
      );
    queue.waiting++;
    const signal = requestSignal();
    const done = queue.last.then(() => {
      if (signal?.aborted) throw problem(503, 'Cancelled', 'nobody waits for this any more');
      return act();
    });
    queue.last = done
      .catch(() => undefined)
      .finally(() => {
        if (--queue.waiting === 0) this.#queues.delete(key);
      });
    return done;
  }
}

/** What is changed in one place at a time: dockets by their id, and the ledger. A server has its database for itself. */
export const locks = new KeyedMutex();

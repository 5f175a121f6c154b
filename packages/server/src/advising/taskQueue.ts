import { problem } from '../problem.ts';

/** Who waits for a task, the most urgent first: a person at a desk, a page that shows something, training, reports. */
export const PRIORITIES = ['desk', 'view', 'training', 'report'] as const;
export type Priority = (typeof PRIORITIES)[number];

/** Tasks that may wait at a time; more are refused at once instead of late. */
const MAXIMUM_WAITING: Readonly<Record<Priority, number>> = { desk: 200, view: 40, training: 24, report: 16 };

interface Waiting {
  readonly priority: Priority;
  readonly start: () => Promise<void>;
  readonly signal: AbortSignal | null;
  readonly reject: (error: Error) => void;
  readonly onAbort: () => void;
}

const cancelled = () => problem(503, 'Cancelled', 'nobody waits for this any more');

/**
 * Decides which task runs next on a number of slots. The most urgent comes first, in the order of arrival. Tasks of
 * training and reports never take the last free slot, so a desk does not wait for one of them to end.
 */
export class TaskQueue {
  readonly #waiting: Readonly<Record<Priority, Waiting[]>> = { desk: [], view: [], training: [], report: [] };
  #running = 0;
  #inBackground = 0;
  readonly #slots: number;

  /** @param slots tasks that run at a time, 1 at least */
  constructor(slots: number) {
    this.#slots = slots;
  }

  /**
   * Runs a task when its turn comes.
   * @param signal takes it out of the queue; what has started goes on
   * @throws problem 503 where too many wait already, or `signal` was aborted before it started
   */
  run<T>(priority: Priority, task: () => Promise<T>, signal: AbortSignal | null = null): Promise<T> {
    const list = this.#waiting[priority];
    if (signal?.aborted) return Promise.reject(cancelled());
    if (list.length >= MAXIMUM_WAITING[priority])
      return Promise.reject(
        problem(
          503,
          'Busy',
          'too much is waiting to be calculated: nothing was changed; try again in a moment',
        ),
      );
    return new Promise<T>((resolve, reject) => {
      const waiting: Waiting = {
        priority,
        signal,
        reject,
        start: () => task().then(resolve, reject),
        onAbort: () => {
          list.splice(list.indexOf(waiting), 1);
          reject(cancelled());
        },
      };
      signal?.addEventListener('abort', waiting.onAbort, { once: true });
      list.push(waiting);
      this.#next();
    });
  }

  #next(): void {
    while (this.#running < this.#slots) {
      const priority = PRIORITIES.find((each) => this.#waiting[each].length > 0 && this.#mayRun(each));
      const next = priority && this.#waiting[priority].shift();
      if (!next) return;
      next.signal?.removeEventListener('abort', next.onAbort);
      const isBackground = TaskQueue.#isBackground(next.priority);
      this.#running++;
      if (isBackground) this.#inBackground++;
      void next.start().finally(() => {
        this.#running--;
        if (isBackground) this.#inBackground--;
        this.#next();
      });
    }
  }

  static #isBackground(priority: Priority): boolean {
    return priority !== 'desk';
  }
  #mayRun(priority: Priority): boolean {
    return !TaskQueue.#isBackground(priority) || this.#inBackground < Math.max(1, this.#slots - 1);
  }
}

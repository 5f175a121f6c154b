import type { Advice, Docket } from '@hardy/core/words';
import type { Knowledge } from '@hardy/core/advising';
import { wrap, type Remote } from 'comlink';
import type { AdviseWorkerApi } from './adviseWorker.ts';

interface Desk {
  readonly api: Remote<AdviseWorkerApi>;
  busy: boolean;
}

/** One thread may still be at an older text: the newest never waits behind more than one. */
const THREADS = 2;
const desks: Desk[] = [];
let waiting: ((desk: Desk | null) => void) | null = null;

const freeDesk = (): Desk | null => {
  const free = desks.find((desk) => !desk.busy);
  if (free) return free;
  if (desks.length >= THREADS) return null;
  const desk = {
    api: wrap<AdviseWorkerApi>(new Worker(new URL('./adviseWorker.ts', import.meta.url), { type: 'module' })),
    busy: false,
  };
  desks.push(desk);
  return desk;
};

/**
 * Advice on a docket that is being typed, worked out in a thread of this page. Null where a newer one came before its
 * turn, or threads cannot be had.
 */
export const latestAdvice = (docket: Docket, knowledge: Knowledge): Promise<Advice | null> =>
  new Promise((resolve) => {
    if (typeof Worker === 'undefined') return resolve(null);
    const take = (desk: Desk | null): void => {
      if (!desk) return resolve(null);
      desk.busy = true;
      const start = performance.now();
      desk.api
        .advise(docket, knowledge)
        .then(resolve, () => resolve(null))
        .finally(() => {
          desk.busy = false;
          // What the benchmark sets the whole way from key to answer against.
          performance.clearMeasures('advise');
          performance.measure('advise', { start });
          const next = waiting;
          waiting = null;
          next?.(desk);
        });
    };
    // Whoever waits for a turn gives it up to this one.
    waiting?.(null);
    waiting = null;
    const free = freeDesk();
    if (free) take(free);
    else waiting = take;
  });

import type { Advice, Docket } from '@hardy/core/words';
import type { Knowledge } from '@hardy/core/advising';
import { call } from '../api/client.ts';
import type { AdviseWorkerApi } from './adviseWorker.ts';
import { startThread, ThreadGone, type Thread } from './thread.ts';

interface Desk {
  readonly thread: Thread<AdviseWorkerApi>;
  busy: boolean;
}

/** One thread may still be at an older text: the newest never waits behind more than one. */
const THREADS = 2;
const desks: Desk[] = [];
let waiting: ((desk: Desk | null) => void) | null = null;
/** Threads cannot be had on this computer: the server is asked instead. */
let hasThreads = true;

const freeDesk = (): Desk | null => {
  const free = desks.find((desk) => !desk.busy);
  if (free) return free;
  if (desks.length >= THREADS) return null;
  const thread = startThread<AdviseWorkerApi>(
    () => new Worker(new URL('./adviseWorker.ts', import.meta.url), { type: 'module' }),
  );
  const desk = { thread, busy: false };
  desks.push(desk);
  return desk;
};

/** A turn at a thread; null where a newer question took it. */
const turn = (): Promise<Desk | null> =>
  new Promise((resolve) => {
    // Whoever waits for a turn gives it up to this one.
    waiting?.(null);
    waiting = null;
    const free = freeDesk();
    if (free) resolve(free);
    else waiting = resolve;
  });

const byServer = (docket: Docket): Promise<Advice | null> =>
  call('POST /advise', { body: docket }).catch(() => null);

const byThread = async (desk: Desk, docket: Docket, knowledge: Knowledge): Promise<Advice | null> => {
  desk.busy = true;
  const start = performance.now();
  try {
    return await desk.thread.ask(desk.thread.api.advise(docket, knowledge));
  } finally {
    desk.busy = false;
    // What the benchmark sets the whole way from key to answer against.
    performance.clearMeasures('advise');
    performance.measure('advise', { start });
    const next = waiting;
    waiting = null;
    next?.(desk);
  }
};

/**
 * Advice on a docket that is being typed, worked out in a thread of this page, or by the server where threads cannot be
 * had. Null where a newer one came before its turn.
 */
export const latestAdvice = async (docket: Docket, knowledge: Knowledge): Promise<Advice | null> => {
  if (!hasThreads) return byServer(docket);
  try {
    const desk = await turn();
    return desk && (await byThread(desk, docket, knowledge));
  } catch (problem) {
    if (!(problem instanceof ThreadGone)) return null;
    hasThreads = false;
    return byServer(docket);
  }
};

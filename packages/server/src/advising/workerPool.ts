import { Piscina } from 'piscina';
import { requestSignal } from '../requestScope.ts';
import { problem } from '../problem.ts';
import { receivedError, type SentError } from './taskErrors.ts';
import { TaskQueue, type Priority } from './taskQueue.ts';
import type {
  accountTask,
  adviseTask,
  compareTask,
  countTask,
  exerciseTask,
  findCustomerTask,
  playJobTask,
  readTask,
  relearnTask,
} from './tasks.ts';

export interface Tasks {
  readonly adviseTask: typeof adviseTask;
  readonly compareTask: typeof compareTask;
  readonly readTask: typeof readTask;
  readonly countTask: typeof countTask;
  readonly relearnTask: typeof relearnTask;
  readonly findCustomerTask: typeof findCustomerTask;
  readonly playJobTask: typeof playJobTask;
  readonly accountTask: typeof accountTask;
  readonly exerciseTask: typeof exerciseTask;
}

/** Who waits for a task unless its caller says otherwise. */
const USUAL: Readonly<Record<keyof Tasks, Priority>> = {
  adviseTask: 'desk',
  readTask: 'desk',
  countTask: 'desk',
  compareTask: 'view',
  findCustomerTask: 'training',
  playJobTask: 'training',
  accountTask: 'training',
  exerciseTask: 'training',
  relearnTask: 'report',
};

/** A task that runs longer is ended, in milliseconds: far more than the largest docket takes on a slow machine. */
const DEADLINE_MS: Readonly<Record<Priority, number>> = {
  desk: 60_000,
  view: 120_000,
  training: 180_000,
  report: 30 * 60_000,
};

export interface RunOptions {
  readonly priority?: Priority;
  /** Takes the task out of the queue; the signal of the current request when absent, null for none. */
  readonly signal?: AbortSignal | null;
}

/** Runs CPU-bound tasks off the request thread. */
export interface WorkerPool {
  /**
   * Runs a task when its turn comes.
   * @throws problem 503 where too many wait, or nobody waits for it any more; the task's own error otherwise
   */
  run<N extends keyof Tasks>(
    task: N,
    input: Parameters<Tasks[N]>[0],
    options?: RunOptions,
  ): Promise<ReturnType<Tasks[N]>>;
  /** Resolves when every thread has loaded the program. */
  readonly ready: Promise<void>;
  close(): Promise<void>;
}

/** A thread's heap, in megabytes: far more than a docket takes, far less than a machine has. */
const MEMORY_MB = 512;

const onThisThread: WorkerPool['run'] = async (task, input) => {
  const tasks = (await import('./tasks.ts')) as Tasks;
  return (tasks[task] as (input: unknown) => never)(input);
};

type Answer = { readonly value: unknown } | { readonly error: SentError };

/** Runs a task on a thread; a thread that dies of it is replaced, and the task is tried once more on another one. */
const onThread = async (
  pool: Piscina,
  name: string,
  input: unknown,
  deadlineMs: number,
): Promise<unknown> => {
  for (let isLastTry = false; ; isLastTry = true) {
    const late = new AbortController();
    const timer = setTimeout(() => late.abort(), deadlineMs);
    try {
      const answer = (await pool.run({ name, input }, { signal: late.signal })) as Answer;
      if ('error' in answer) throw receivedError(answer.error);
      return answer.value;
    } catch (error) {
      if (late.signal.aborted)
        throw problem(
          503,
          'Too slow',
          'this takes too long to calculate: nothing was changed; send less at once',
        );
      if (isLastTry || !hasDied(error)) throw error;
    } finally {
      clearTimeout(timer);
    }
  }
};
/** How the end of a thread is reported. */
const DIED = /^ERR_WORKER|worker exited|Worker terminated/i;
const hasDied = (error: unknown): boolean => {
  const { code, message } = error as { code?: unknown; message?: unknown };
  return [code, message].some((text) => typeof text === 'string' && DIED.test(text));
};

/**
 * Starts a pool of worker threads.
 *
 * @param size number of threads; 0 runs tasks on the calling thread
 */
export const createWorkerPool = (size: number): WorkerPool => {
  if (size === 0) return { run: onThisThread, ready: Promise.resolve(), close: () => Promise.resolve() };
  const pool = new Piscina({
    filename: new URL('../workers/tasks.mjs', import.meta.url).href,
    execArgv: [],
    // All start with the server and stay: loading the program takes seconds.
    minThreads: size,
    maxThreads: size,
    resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB },
  });
  // A thread that dies is reported where its task was started.
  pool.on('error', () => undefined);
  const ready = Promise.all(
    Array.from({ length: size }, () => pool.run({ name: 'ready', input: null })),
  ).then(() => undefined);
  // Reported where it is awaited; not awaiting it must not end the process.
  ready.catch(() => undefined);
  const queue = new TaskQueue(size);
  return {
    ready,
    run: (task, input, { priority = USUAL[task], signal = requestSignal() } = {}) =>
      queue.run(priority, () => onThread(pool, task, input, DEADLINE_MS[priority]), signal) as Promise<never>,
    close: () => pool.destroy(),
  };
};

/** A pool whose tasks all have one priority, whoever starts them. The threads outlive it. */
export const withPriority = (pool: WorkerPool, priority: Priority): WorkerPool => ({
  run: (task, input, options) => pool.run(task, input, { ...options, priority }),
  ready: pool.ready,
  close: () => Promise.resolve(),
});

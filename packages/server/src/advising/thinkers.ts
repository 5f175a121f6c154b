import { Piscina } from 'piscina';
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

/** Those who think: threads beside the one that answers, or that one itself. */
export interface Thinkers {
  do<N extends keyof Tasks>(task: N, given: Parameters<Tasks[N]>[0]): Promise<ReturnType<Tasks[N]>>;
  close(): Promise<void>;
}

/** A thread's heap, in megabytes: far more than a docket takes, far less than a machine has. */
const MEMORY_MB = 512;

const here: Thinkers['do'] = async (task, given) => {
  const tasks = (await import('./tasks.ts')) as Tasks;
  return (tasks[task] as (given: unknown) => never)(given);
};

/** So many threads; without any it is done where it is asked. */
export const thinkers = (threads: number): Thinkers => {
  if (threads === 0) return { do: here, close: () => Promise.resolve() };
  const pool = new Piscina({
    filename: new URL('../workers/tasks.mjs', import.meta.url).href,
    execArgv: [],
    // All begin with the server and stay: whoever waits for one that is yet to read the program waits for seconds.
    minThreads: threads,
    maxThreads: threads,
    resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB },
  });
  // A thread that dies is told where its work is asked for.
  pool.on('error', () => undefined);
  // A thread takes a while to read the program: until they are there, it is done here.
  let isWarm = false;
  Promise.all(Array.from({ length: threads }, () => pool.run(null, { name: 'ready' }))).then(
    () => (isWarm = true),
    () => undefined,
  );
  return {
    // What a thread could not do is done here: where it cannot be done at all, the error is the right one.
    do: (task, given) =>
      isWarm
        ? (pool.run(given, { name: task }).catch(() => here(task, given)) as Promise<never>)
        : here(task, given),
    close: () => pool.destroy(),
  };
};

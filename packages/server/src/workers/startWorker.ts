import { Worker } from 'node:worker_threads';

/** A thread of one of the modules beside this file. `memoryMb` is the most its heap may take. */
export const startWorker = (module: URL, data: unknown, memoryMb: number): Worker =>
  new Worker(module, {
    workerData: data,
    execArgv: [],
    resourceLimits: { maxOldGenerationSizeMb: memoryMb },
  });

import { constants, setPriority } from 'node:os';

/**
 * Lowers the priority of the calling thread: whoever answers desks comes first on a machine with few cores. Only on
 * Linux, where it holds for the thread alone; elsewhere it would slow down the whole server.
 */
export const lowPriority = (): void => {
  if (process.platform !== 'linux') return;
  try {
    setPriority(constants.priority.PRIORITY_LOW);
  } catch {
    // A machine that does not permit it: the work is done all the same.
  }
};

import { register } from 'tsx/esm/api';

// A thread reads TypeScript only once it is told how.
register();
/** Says that this thread has read the program. */
export const ready = () => true;

export const {
  adviseTask,
  compareTask,
  readTask,
  countTask,
  relearnTask,
  findCustomerTask,
  playJobTask,
  accountTask,
  exerciseTask,
} = await import('../advising/tasks.ts');

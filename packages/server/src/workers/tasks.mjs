import { register } from 'tsx/esm/api';

// A thread reads TypeScript only once it is told how.
register();
export const { adviseTask, compareTask, readTask } = await import('../advising/tasks.ts');

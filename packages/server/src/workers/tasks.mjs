import { register } from 'tsx/esm/api';

// A thread reads TypeScript only once it is told how.
register();
const tasks = await import('../advising/tasks.ts');
const { sendError } = await import('../advising/taskErrors.ts');

/** Runs a task by its name; `ready` says that this thread has loaded the program. */
export default ({ name, input }) => {
  if (name === 'ready') return { value: true };
  try {
    return { value: tasks[name](input) };
  } catch (error) {
    return { error: sendError(error) };
  }
};

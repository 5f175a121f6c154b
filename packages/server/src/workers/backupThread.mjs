import { register } from 'tsx/esm/api';

// A thread reads TypeScript only once it is told how.
register();
await import('../backup/backupWorker.ts');

import { chmodSync, existsSync } from 'node:fs';

/** Makes files readable and writable by their owner alone: customers are in them. Files that are not there are skipped. */
export const ownerOnly = (...files: readonly string[]): void => {
  for (const file of files) {
    try {
      if (existsSync(file)) chmodSync(file, 0o600);
    } catch {
      // Somebody else's file, or a file system without rights: it can be used all the same.
    }
  }
};

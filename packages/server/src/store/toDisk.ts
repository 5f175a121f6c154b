import { closeSync, fsyncSync, openSync } from 'node:fs';

/** Makes sure that a file, or the names in a folder, survive a power cut. */
export const toDisk = (path: string): void => {
  const handle = openSync(path, 'r');
  fsyncSync(handle);
  closeSync(handle);
};

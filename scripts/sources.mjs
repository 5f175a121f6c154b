import { readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './install.mjs';

/** Every file below a folder of the project, as paths from its root, in a fixed order. */
export const filesBelow = (folder) =>
  readdirSync(join(ROOT, folder))
    .sort()
    .filter((name) => name !== 'node_modules' && name !== 'dist')
    .flatMap((name) => {
      const path = join(folder, name);
      return statSync(join(ROOT, path)).isDirectory() ? filesBelow(path) : [path];
    });

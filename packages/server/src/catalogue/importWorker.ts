import { BadInput } from '@hardy/core';
import type { ImportMode, ImportReport } from '@hardy/core/contract';
import { parentPort, workerData } from 'node:worker_threads';
import { openCatalogueFile, seal } from '../store/catalogueFile.ts';
import { importCatalogue } from './importCatalogue.ts';
import { lowPriority } from '../workers/lowPriority.ts';

lowPriority();

/** What the thread is given: a copy of the catalogue in use, and the folder of files to bring into it. */
export interface ImportTask {
  readonly to: string;
  readonly folder: string;
  readonly mode: ImportMode;
}

/** What the thread says. */
export type ImportWord =
  | { readonly progress: number }
  | { readonly report: ImportReport }
  | { readonly problem: string; readonly ours: boolean };

/** How often it says how far it is, in milliseconds. */
const SAYS_MS = 100;

const { to, folder, mode } = workerData as ImportTask;
const say = (word: ImportWord): void => parentPort?.postMessage(word);

const run = async (): Promise<ImportReport> => {
  const orm = await openCatalogueFile(to);
  let said = 0;
  try {
    return await importCatalogue(orm, {
      folder,
      mode,
      progress(part) {
        if (Date.now() - said < SAYS_MS) return;
        said = Date.now();
        say({ progress: part });
      },
    });
  } finally {
    await orm.close();
  }
};

run().then(
  (report) => {
    if (report.written) seal(to);
    say({ report });
  },
  (error: unknown) =>
    say(
      error instanceof BadInput
        ? { problem: error.message, ours: false }
        : { problem: error instanceof Error ? error.message : String(error), ours: true },
    ),
);

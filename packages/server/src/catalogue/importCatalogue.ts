import {
  BadInput,
  CATALOGUE_TABLES,
  circlesIn,
  PARTS,
  type CataloguePart,
  type CatalogueTable,
} from '@hardy/core';
import type { ImportMode, ImportReport, RowError } from '@hardy/core/contract';
import type { EntityManager, MikroORM } from '@mikro-orm/better-sqlite';
import { existsSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { putRows, rawRows, rawRun } from '../store/catalogueRows.ts';
import { csvRows } from './csvRows.ts';
import { KnownRows } from './knownRows.ts';

/** Errors kept for the list; all are counted. */
const MOST_ERRORS = 20000;
const BATCH = 400;

class Rollback extends Error {}

/** What is wrong with the rows of an import, row by row. */
class RowErrors {
  readonly list: RowError[] = [];
  count = 0;

  add(file: string, line: number, column: string, reason: string): void {
    this.count++;
    if (this.list.length < MOST_ERRORS) this.list.push({ file, line, column, reason });
  }
}

/** A part's names of others: some of them may come later in the file. */
type Names = Pick<CataloguePart, 'number' | 'supersededBy' | 'contents'>;

/**
 * Parts that name one that is not there, or lead back to themselves: by rows that came now, or by those together with
 * what was there before. The rows that came now are cut.
 */
const checkNames = async (tx: EntityManager, named: Names[], known: KnownRows, errors: RowErrors) => {
  const missing = (column: string, reason: string) => errors.add(PARTS.file, 0, column, reason);
  for (const { number, supersededBy, contents } of named) {
    if (supersededBy && !known.parts.has(supersededBy))
      missing('supersededBy', `${number} names "${supersededBy}", which is not in the catalogue`);
    for (const piece of contents)
      if (!known.parts.has(piece.number))
        missing('contents', `${number} holds "${piece.number}", which is not in the catalogue`);
  }
  const came = new Set(named.map(({ number }) => number));
  if (came.size === 0) return;
  const all = await rawRows(tx, `select * from part where superseded_by is not null or contents <> '[]'`);
  for (const number of circlesIn(all.map((row) => PARTS.kept(row)))) {
    if (!came.has(number)) continue;
    missing('supersededBy', `${number} leads back to itself`);
    await rawRun(tx, 'update part set superseded_by = null where number = ?', [number]);
  }
};

interface Loading {
  readonly tx: EntityManager;
  readonly folder: string;
  readonly known: KnownRows;
  readonly errors: RowErrors;
  readonly progress: (bytes: number) => void;
  /** Sees every row that went in. */
  readonly seen?: (row: never) => void;
}

/** One file into its table. Returns how many rows went in. */
const load = async <T>(table: CatalogueTable<T>, loading: Loading): Promise<number> => {
  const { tx, folder, known, errors, progress, seen } = loading;
  const lines = new Map<string, number>();
  let batch: T[] = [];
  let count = 0;
  const flush = async () => {
    await putRows(tx, table, batch);
    batch.forEach((row) => {
      known.add(table, row);
      seen?.(row as never);
    });
    count += batch.length;
    batch = [];
  };
  const unknown = (column: string) =>
    errors.add(table.file, 1, column, `is no column of this file; it has ${table.headings.join(', ')}`);
  for await (const { cells, line, bytes } of csvRows(
    join(folder, table.file),
    table.file,
    table.headings,
    unknown,
  )) {
    const fail = (column: string, reason: string) => errors.add(table.file, line, column, reason);
    try {
      const spoilt = Object.entries(cells).find(([, cell]) => cell.includes('\0'));
      if (spoilt) throw new BadInput(spoilt[0], 'holds a NUL, which is no character of a text');
      const row = table.read(cells);
      const key = table.key(row);
      const twin = lines.get(key);
      const wrong = known.wrong(table, row);
      if (twin !== undefined) fail(table.headings[0] ?? '', `is the same as line ${twin}`);
      else if (wrong) fail(wrong.column, wrong.reason);
      else {
        lines.set(key, line);
        batch.push(row);
      }
    } catch (error) {
      if (!(error instanceof BadInput)) throw error;
      fail(error.path, error.what);
    }
    if (batch.length >= BATCH) {
      await flush();
      progress(bytes);
    }
  }
  await flush();
  return count;
};

/** What an import is given. */
export interface ImportOrder {
  readonly folder: string;
  readonly mode: ImportMode;
  /** Told how far it is, 0 to 1. */
  readonly progress: (part: number) => void;
}

/**
 * Brings a folder of CSV files into a catalogue’s file in one transaction: all of it goes in, or nothing does. Rows are checked one by one, by
 * themselves, for doubles, for references to what is not there, and for circles of supersession. What is there already
 * is changed by its key.
 */
export const importCatalogue = async (
  orm: MikroORM,
  { folder, mode, progress }: ImportOrder,
): Promise<ImportReport> => {
  const files = CATALOGUE_TABLES.filter(({ file }) => existsSync(join(folder, file)));
  if (files.length === 0)
    throw new BadInput('files', `are none of ${CATALOGUE_TABLES.map(({ file }) => file).join(', ')}`);
  const sizes = files.map(({ file }) => statSync(join(folder, file)).size);
  const total = sizes.reduce((sum, size) => sum + size, 0);
  const errors = new RowErrors();
  const rows: Record<string, number> = {};
  let written = true;
  try {
    await orm.em.fork().transactional(async (tx) => {
      const known = await KnownRows.of(tx);
      const named: Names[] = [];
      let before = 0;
      for (const [i, table] of files.entries()) {
        rows[table.file] = await load(table, {
          tx,
          folder,
          known,
          errors,
          progress: (bytes) => progress(Math.min(0.99, (before + bytes) / total)),
          ...(table.file === PARTS.file && {
            seen: ({ number, supersededBy, contents }: CataloguePart) => {
              if (supersededBy || contents.length > 0) named.push({ number, supersededBy, contents });
            },
          }),
        });
        before += sizes[i] ?? 0;
      }
      await checkNames(tx, named, known, errors);
      if (mode === 'whole' && errors.count > 0) throw new Rollback();
    });
  } catch (error) {
    if (!(error instanceof Rollback)) throw error;
    written = false;
  }
  if (written) progress(1);
  return { rows, errors: errors.list, errorCount: errors.count, written };
};

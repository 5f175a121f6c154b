import type { z } from 'zod';
import { BadInput } from '../vocabulary/badInput.ts';
import type { CatalogueFile } from '../vocabulary/catalogueFile.ts';
import { parse } from '../vocabulary/parse.ts';
import { columnsOf, type Column } from './columns.ts';
import { fromKept, keptName, toKept, type KeptRow } from './keptRow.ts';
import { plainCell, safeCell } from './pairs.ts';

export type Cells = Readonly<Record<string, string | undefined>>;

/** One table of the catalogue: a file of the folder and a table of the database, both made from the schema of its row. */
export interface CatalogueTable<T> {
  readonly file: CatalogueFile;
  /** Its name in the database. */
  readonly name: string;
  readonly columns: readonly Column[];
  /** The file's first line. */
  readonly headings: readonly string[];
  /** Fields that make a row itself: a second row with them takes the first one's place. */
  readonly identity: readonly string[];
  /** Columns of the database made from the row, with what is looked for in them. */
  readonly made: Readonly<Record<string, (row: T, key: string) => string>>;
  /** The column by which the database itself knows a row again; null where it is looked for by its identity. */
  readonly unique: string | null;
  /** Columns of the database that are looked for together. */
  readonly together: ReadonlyArray<readonly string[]>;
  readonly key: (row: T) => string;
  /** @throws BadInput naming the heading. */
  readonly read: (cells: Cells) => T;
  readonly write: (row: T) => Record<string, string>;
  /** A row as the database keeps it, by field. */
  readonly keep: (row: T) => KeptRow;
  /** A row of the database, by its column names or by field. */
  readonly kept: (raw: Readonly<Record<string, unknown>>) => T;
}

interface Declaration<T> {
  readonly file: CatalogueFile;
  readonly name: string;
  readonly identity: ReadonlyArray<keyof T & string>;
  readonly unique?: string;
  readonly together?: ReadonlyArray<ReadonlyArray<keyof T & string>>;
  readonly made?: Readonly<Record<string, (row: T, key: string) => string>>;
}

/** Makes a table from the schema of its row. */
export const catalogueTable = <S extends z.ZodObject>(
  schema: S,
  { file, name, identity, unique, together = [], made = {} }: Declaration<z.output<S>>,
): CatalogueTable<z.output<S>> => {
  type T = z.output<S>;
  const columns = columnsOf(schema);
  const headings = [...new Set(columns.map(({ heading }) => heading))];
  const headingOf = new Map(columns.map(({ field, heading }) => [field, heading]));
  const named = columns.map((each) => [each, keptName(each.field)] as const);
  const cellOf = (row: T, heading: string): string => {
    const cells = columns
      .filter((each) => each.heading === heading)
      .map((each) => each.write((row as Record<string, unknown>)[each.field]));
    // The ends of a range say something together only.
    return cells.includes('') ? '' : cells.join('-');
  };
  const identityColumns = columns.filter(({ field }) => identity.includes(field));
  const key = (row: T): string =>
    identityColumns.map(({ field, write }) => write((row as Record<string, unknown>)[field])).join('|');
  return {
    file,
    name,
    columns,
    headings,
    identity,
    made,
    unique: unique ?? null,
    together,
    key,
    read: (cells) => {
      const values = Object.fromEntries(
        columns.map(({ field, heading, read }) => [field, read(plainCell((cells[heading] ?? '').trim()))]),
      );
      try {
        return parse(schema, values);
      } catch (error) {
        if (!(error instanceof BadInput)) throw error;
        const [field = ''] = /^\w+/.exec(error.path) ?? [];
        throw new BadInput(error.path.replace(field, headingOf.get(field) ?? field), error.what);
      }
    },
    write: (row) => Object.fromEntries(headings.map((heading) => [heading, safeCell(cellOf(row, heading))])),
    keep: (row) => ({
      ...Object.fromEntries(
        columns.map((each) => [each.field, toKept(each, (row as Record<string, unknown>)[each.field])]),
      ),
      ...Object.fromEntries(Object.entries(made).map(([field, make]) => [field, make(row, key(row))])),
    }),
    kept: (raw) => {
      const row: Record<string, unknown> = {};
      for (const [each, inDatabase] of named)
        row[each.field] = fromKept(each, raw[inDatabase] ?? raw[each.field]);
      return row as T;
    },
  };
};

import {
  CATALOGUE_TABLES,
  parse,
  parseDocket,
  readRow,
  ShopSettings,
  type CatalogueTable,
  type Docket,
} from '@hardy/core';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { z } from 'zod';
import { csvRows } from '../catalogue/csvRows.ts';

/** Checks each row of a file of the catalogue; errors name the file, the line and the heading. */
const rowsOf = async <T>(folder: string, table: CatalogueTable<T>): Promise<T[]> => {
  const rows: T[] = [];
  for await (const { cells, line } of csvRows(join(folder, table.file), table.file, table.headings))
    rows.push(readRow(table, cells, line));
  return rows;
};

const ScenarioDockets = z.array(
  z.object({
    name: z.string(),
    openedHoursAgo: z.number().min(0),
    closedHoursAgo: z.number().min(0).nullable(),
  }),
);

/** The rows of one table. */
interface TableRows {
  readonly table: CatalogueTable<unknown>;
  readonly rows: readonly unknown[];
}

export interface Scenario {
  readonly shop: ShopSettings;
  /** The catalogue's tables in the order they refer to each other. */
  readonly catalogue: readonly TableRows[];
  readonly dockets: ReadonlyArray<{ docket: Docket; openedHoursAgo: number; closedHoursAgo: number | null }>;
}

/** The rows of one table of a scenario. */
export const scenarioRows = <T>({ catalogue }: Scenario, table: CatalogueTable<T>): readonly T[] =>
  (catalogue.find((each) => each.table.file === table.file)?.rows ?? []) as readonly T[];

/**
 * Reads a scenario folder of CSV and JSON.
 * @throws BadInput naming the file, the line and the column of the first row that cannot be used.
 */
export const readScenario = async (folder: string): Promise<Scenario> => {
  const json = async (file: string): Promise<unknown> =>
    JSON.parse(await readFile(join(folder, file), 'utf8')) as unknown;
  const listed = parse(ScenarioDockets, await json('dockets.json'), 'dockets.json');
  const catalogue: TableRows[] = [];
  for (const each of CATALOGUE_TABLES) {
    const table = each;
    catalogue.push({ table, rows: await rowsOf(folder, table) });
  }
  return {
    shop: parse(ShopSettings, await json('shop.json'), 'shop.json'),
    catalogue,
    dockets: await Promise.all(
      listed.map(async (entry) => ({
        docket: parseDocket(await json(`dockets/${entry.name}.json`)),
        openedHoursAgo: entry.openedHoursAgo,
        closedHoursAgo: entry.closedHoursAgo,
      })),
    ),
  };
};

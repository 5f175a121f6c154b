import { CATALOGUE_TABLES, type CatalogueTable } from '@hardy/core';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import Papa from 'papaparse';
import { rawRows } from '../store/catalogueRows.ts';

const PAGE = 5000;

const line = (cells: readonly string[]): string => `${Papa.unparse([[...cells]], { newline: '\n' })}\n`;

async function* written<T>(em: EntityManager, table: CatalogueTable<T>): AsyncGenerator<string> {
  yield line(table.headings);
  let last = 0;
  for (;;) {
    // By the row's place in the table: the same order each time, and no page is counted through.
    const page = await rawRows(
      em,
      `select rowid as place, * from "${table.name}" where rowid > ? order by rowid limit ${PAGE}`,
      [last],
    );
    yield page
      .map((raw) => {
        const cells = table.write(table.kept(raw));
        return line(table.headings.map((heading) => cells[heading] ?? ''));
      })
      .join('');
    if (page.length < PAGE) return;
    last = Number(page.at(-1)?.place);
  }
}

/** One file of the catalogue folder, page by page, as it can be imported again. Null for a name that is no file of it. */
export const exportFile = (fork: () => EntityManager, file: string): AsyncGenerator<string> | null => {
  const table = CATALOGUE_TABLES.find((each) => each.file === file);
  return table ? written(fork(), table) : null;
};

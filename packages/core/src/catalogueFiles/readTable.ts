import { parse as parseCsv } from 'csv-parse/sync';
import { BadInput } from '../vocabulary/badInput.ts';
import type { CatalogueVehicle, SensingLine } from '../vocabulary/catalogue.ts';
import type { CatalogueTable, Cells } from './catalogueTable.ts';

/** Comma or semicolon, as the heading has it: cells hold both. */
export const delimiterOf = (heading: string): ',' | ';' =>
  heading.split(';').length > heading.split(',').length ? ';' : ',';

/**
 * One row of a file.
 * @throws BadInput naming the file, the line and the heading.
 */
export const readRow = <T>(table: CatalogueTable<T>, cells: Cells, line: number): T => {
  try {
    return table.read(cells);
  } catch (error) {
    if (error instanceof BadInput) throw new BadInput(`${table.file} line ${line}.${error.path}`, error.what);
    throw error;
  }
};

/**
 * Rows of one file of a catalogue, whole: what the shop or the command line has at hand as text.
 * @throws BadInput naming the file, the line and the heading of the first row that cannot be used.
 */
export const readTable = <T>(table: CatalogueTable<T>, text: string): T[] => {
  const rows: T[] = [];
  try {
    parseCsv(text, {
      columns: true,
      bom: true,
      relax_column_count: true,
      relax_quotes: true,
      skip_empty_lines: true,
      delimiter: delimiterOf(text.slice(0, text.indexOf('\n'))),
      on_record: (cells: Record<string, string>, { lines }) => {
        rows.push(readRow(table, cells, lines));
        return null;
      },
    });
  } catch (error) {
    if (error instanceof BadInput) throw error;
    throw new BadInput(table.file, (error as Error).message);
  }
  return rows;
};

/** How a vehicle's wheel ends sense, from the lines of the sensing file. */
export const wheelEndsOf = (
  vehicleId: string,
  sensing: readonly SensingLine[],
): CatalogueVehicle['wheelEnds'] =>
  Object.fromEntries(
    sensing
      .filter((line) => line.vehicleId === vehicleId)
      .map(({ vehicleId: _id, position, ...how }) => [position, how]),
  );

import {
  APPLICATIONS,
  COMPANIONS,
  DICTIONARY,
  JOBS,
  PARTS,
  SENSING,
  VEHICLES,
  type CatalogueTable,
} from '@hardy/core';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import Papa from 'papaparse';
import { applicationFromRow, partFromRow } from '../store/catalogueRows.ts';
import { allVehicles } from '../store/catalogueStore.ts';
import {
  ApplicationRow,
  CompanionRow,
  DictionaryRow,
  JobRow,
  PartRow,
  SensingRow,
} from '../store/entities.ts';

const PAGE = 5000;

const line = (cells: readonly string[]): string => `${Papa.unparse([[...cells]], { newline: '\n' })}\n`;

async function* written<T>(table: CatalogueTable<T>, pages: AsyncGenerator<T[]>): AsyncGenerator<string> {
  yield line(table.columns);
  for await (const page of pages)
    yield page
      .map((row) => {
        const cells = table.write(row);
        return line(table.columns.map((column) => cells[column] ?? ''));
      })
      .join('');
}

type Finder<T> = (limit: number, offset: number) => Promise<T[]>;
async function* paged<T>(find: Finder<T>): AsyncGenerator<T[]> {
  for (let offset = 0; ; offset += PAGE) {
    const page = await find(PAGE, offset);
    if (page.length > 0) yield page;
    if (page.length < PAGE) return;
  }
}

/** One file of the catalogue folder, page by page, as it can be imported again. Null for a name that is no file of it. */
export const exportFile = (fork: () => EntityManager, file: string): AsyncGenerator<string> | null => {
  const page = (limit: number, offset: number) => ({ limit, offset });
  switch (file) {
    case VEHICLES.file:
      return written(
        VEHICLES,
        paged(async (limit, offset) =>
          offset > 0 ? [] : (await allVehicles(fork())).slice(0, Math.max(limit, 1e9)),
        ),
      );
    case SENSING.file:
      return written(
        SENSING,
        paged(async (limit, offset) =>
          (await fork().find(SensingRow, {}, { orderBy: { id: 'asc' }, ...page(limit, offset) })).map((row) =>
            SENSING.read({
              vehicleId: row.vehicleId,
              position: row.position,
              sensor: row.sensor ?? '',
              mounting: row.mounting ?? '',
              target: row.target ?? '',
              ringSoldAlone: row.ringSoldAlone == null ? '' : row.ringSoldAlone ? 'yes' : 'no',
            }),
          ),
        ),
      );
    case PARTS.file:
      return written(
        PARTS,
        paged(async (limit, offset) =>
          (await fork().find(PartRow, {}, { orderBy: { number: 'asc' }, ...page(limit, offset) })).map(
            partFromRow,
          ),
        ),
      );
    case APPLICATIONS.file:
      return written(
        APPLICATIONS,
        paged(async (limit, offset) =>
          (await fork().find(ApplicationRow, {}, { orderBy: { id: 'asc' }, ...page(limit, offset) })).map(
            applicationFromRow,
          ),
        ),
      );
    case JOBS.file:
      return written(
        JOBS,
        paged(async (limit, offset) =>
          (await fork().find(JobRow, {}, { orderBy: { id: 'asc' }, ...page(limit, offset) })).map((row) => ({
            ...row,
            partClass: row.partClass as never,
          })),
        ),
      );
    case COMPANIONS.file:
      return written(
        COMPANIONS,
        paged(async (limit, offset) =>
          (await fork().find(CompanionRow, {}, { orderBy: { id: 'asc' }, ...page(limit, offset) })).map(
            (row) => ({
              ...row,
              vehicleId: row.vehicleId ?? null,
              partClass: row.partClass as never,
            }),
          ),
        ),
      );
    case DICTIONARY.file:
      return written(
        DICTIONARY,
        paged((limit, offset) =>
          fork().find(DictionaryRow, {}, { orderBy: { id: 'asc' }, ...page(limit, offset) }),
        ),
      );
    default:
      return null;
  }
};

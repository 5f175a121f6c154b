import {
  APPLICATIONS,
  axleOf,
  BadInput,
  CATALOGUE_TABLES,
  circlesIn,
  COMPANIONS,
  DICTIONARY,
  JOBS,
  PARTS,
  SENSING,
  VEHICLES,
  type Application,
  type CataloguePart,
  type CatalogueTable,
  type CatalogueVehicle,
  type CompanionRule,
  type DictionaryEntry,
  type JobNote,
  type SensingLine,
} from '@hardy/core';
import type { ImportMode, ImportReport, RowError } from '@hardy/core/contract';
import type { EntityManager, MikroORM } from '@mikro-orm/better-sqlite';
import { existsSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { setImmediate } from 'node:timers/promises';
import { applicationToRow, partToRow, vehicleToRow } from '../store/catalogueRows.ts';
import { csvRows } from './csvRows.ts';
import { upsertRows } from './upsertRows.ts';

/** Errors kept for the list; all are counted. */
const MOST_ERRORS = 20000;
const BATCH = 400;

class Rollback extends Error {}

/** A set of keys, or a map by them. */
interface Has {
  has(key: string): boolean;
}

const references = async (em: EntityManager) => {
  // In the transaction’s own context: the pool has one connection, another would wait for itself.
  const read = <T>(sql: string) =>
    em.getConnection().execute<T[]>(sql, [], 'all', em.getTransactionContext());
  const vehicles = await read<{ id: string; axles: number }>('select id, axles from vehicle');
  const parts = await read<{ number: string }>('select number from part');
  return {
    vehicles: new Map(vehicles.map(({ id, axles }) => [id, axles])),
    parts: new Set(parts.map(({ number }) => number)),
  };
};

/**
 * Imports a folder of CSV files in one transaction: all of it goes in, or nothing does. Rows are checked one by one, by
 * themselves, for doubles, for references to what is not there, and for circles of supersession. What is there already
 * is changed by its key.
 */
export const importCatalogue = async (
  orm: MikroORM,
  folder: string,
  mode: ImportMode,
  signal: AbortSignal,
  progress: (part: number) => void,
): Promise<ImportReport> => {
  const files = CATALOGUE_TABLES.filter(({ file }) => existsSync(join(folder, file)));
  if (files.length === 0)
    throw new BadInput('files', `are none of ${CATALOGUE_TABLES.map(({ file }) => file).join(', ')}`);
  const total = files.reduce((sum, { file }) => sum + statSync(join(folder, file)).size, 0);
  const errors: RowError[] = [];
  let errorCount = 0;
  const rows: Record<string, number> = {};
  const fail = (file: string, line: number, column: string, reason: string) => {
    errorCount++;
    if (errors.length < MOST_ERRORS) errors.push({ file, line, column, reason });
  };
  let before = 0;
  try {
    await orm.em.fork().transactional(async (tx) => {
      const known = await references(tx);
      const load = async <T>(
        table: CatalogueTable<T>,
        check: (row: T) => readonly [column: string, reason: string] | null,
        put: (batch: T[]) => Promise<void>,
      ): Promise<void> => {
        const path = join(folder, table.file);
        if (!existsSync(path)) return;
        const seen = new Map<string, number>();
        let batch: T[] = [];
        let count = 0;
        const flush = async () => {
          if (batch.length === 0) return;
          await put(batch);
          count += batch.length;
          batch = [];
          // Let a cancel and other work in between.
          await setImmediate();
          if (signal.aborted) throw new Rollback();
        };
        for await (const { cells, line, bytes } of csvRows(path, table.file, table.columns)) {
          try {
            const row = table.read(cells);
            const key = table.key(row);
            const twin = seen.get(key);
            if (twin !== undefined) {
              fail(table.file, line, table.columns[0] ?? '', `is the same as line ${twin}`);
              continue;
            }
            const wrong = check(row);
            if (wrong) {
              fail(table.file, line, wrong[0], wrong[1]);
              continue;
            }
            seen.set(key, line);
            batch.push(row);
          } catch (error) {
            if (!(error instanceof BadInput)) throw error;
            fail(table.file, line, error.path, error.what);
          }
          if (batch.length >= BATCH) {
            await flush();
            progress(Math.min(0.99, (before + bytes) / total));
          }
        }
        await flush();
        rows[table.file] = count;
        before += statSync(path).size;
        progress(Math.min(0.99, before / total));
      };
      const unknown = (set: Has, value: string, column: string) =>
        set.has(value) ? null : ([column, `"${value}" is not in the catalogue`] as const);
      /** An axle behind the last one of the vehicle. */
      const beyond = (vehicleId: string, axles: readonly number[], column: string) => {
        const last = known.vehicles.get(vehicleId) ?? 0;
        const far = axles.find((axle) => axle > last);
        return far === undefined ? null : ([column, `axle ${far}, but ${vehicleId} has ${last}`] as const);
      };

      await load<CatalogueVehicle>(
        VEHICLES,
        () => null,
        async (batch) => {
          await upsertRows(tx, 'vehicle', 'id', batch.map(vehicleToRow));
          batch.forEach(({ id, axles }) => known.vehicles.set(id, axles));
        },
      );
      await load<SensingLine>(
        SENSING,
        (row) =>
          unknown(known.vehicles, row.vehicleId, 'vehicleId') ??
          beyond(row.vehicleId, [axleOf(row.position)], 'position'),
        async (batch) => {
          for (const row of batch)
            await tx
              .getConnection()
              .execute(
                'delete from sensing where vehicle_id = ? and position = ?',
                [row.vehicleId, row.position],
                'run',
                tx.getTransactionContext(),
              );
          await upsertRows(tx, 'sensing', null, batch);
        },
      );
      const named: Array<Pick<CataloguePart, 'number' | 'supersededBy' | 'contents'>> = [];
      await load<CataloguePart>(
        PARTS,
        () => null,
        async (batch) => {
          await upsertRows(tx, 'part', 'number', batch.map(partToRow));
          for (const { number, supersededBy, contents } of batch) {
            known.parts.add(number);
            if (supersededBy || contents.length > 0) named.push({ number, supersededBy, contents });
          }
        },
      );
      for (const { number, supersededBy, contents } of named) {
        if (supersededBy && !known.parts.has(supersededBy))
          fail(
            PARTS.file,
            0,
            'supersededBy',
            `${number} names "${supersededBy}", which is not in the catalogue`,
          );
        for (const piece of contents)
          if (!known.parts.has(piece.number))
            fail(
              PARTS.file,
              0,
              'contents',
              `${number} holds "${piece.number}", which is not in the catalogue`,
            );
      }
      const circle = circlesIn(named);
      for (const number of circle) {
        fail(PARTS.file, 0, 'supersededBy', `${number} leads back to itself`);
        await tx
          .getConnection()
          .execute(
            'update part set superseded_by = null where number = ?',
            [number],
            'run',
            tx.getTransactionContext(),
          );
      }
      await load<Application>(
        APPLICATIONS,
        (row) =>
          unknown(known.parts, row.partNumber, 'partNumber') ??
          unknown(known.vehicles, row.vehicleId, 'vehicleId') ??
          beyond(row.vehicleId, row.wheelEnds.map(axleOf), 'wheelEnds'),
        (batch) => upsertRows(tx, 'application', 'rowKey', batch.map(applicationToRow)),
      );
      const replace = async (table: string, where: readonly [string, unknown][], row: object) => {
        const sql = `delete from ${table} where ${where.map(([column]) => `${column} is ?`).join(' and ')}`;
        await tx.getConnection().execute(
          sql,
          where.map(([, value]) => value),
          'run',
          tx.getTransactionContext(),
        );
        await upsertRows(tx, table, null, [row]);
      };
      await load<JobNote>(
        JOBS,
        (row) =>
          unknown(known.vehicles, row.vehicleId, 'vehicleId') ?? beyond(row.vehicleId, [row.axle], 'axle'),
        async (batch) => {
          for (const row of batch)
            await replace(
              'job_note',
              [
                ['vehicle_id', row.vehicleId],
                ['axle', row.axle],
                ['part_class', row.partClass],
              ],
              row,
            );
        },
      );
      await load<CompanionRule>(
        COMPANIONS,
        (row) => unknown(known.parts, row.companionNumber, 'companionNumber'),
        async (batch) => {
          for (const row of batch)
            await replace(
              'companion_rule',
              [
                ['part_class', row.partClass],
                ['vehicle_id', row.vehicleId],
                ['companion_number', row.companionNumber],
              ],
              row,
            );
        },
      );
      await load<DictionaryEntry>(
        DICTIONARY,
        () => null,
        async (batch) => {
          for (const row of batch)
            await replace(
              'dictionary_entry',
              [
                ['dictionary', row.dictionary],
                ['code', row.code],
                ['module', row.module],
              ],
              row,
            );
        },
      );
      if (signal.aborted || (mode === 'whole' && errorCount > 0)) throw new Rollback();
    });
  } catch (error) {
    if (!(error instanceof Rollback)) throw error;
    return { rows, errors, errorCount, written: false };
  }
  progress(1);
  return { rows, errors, errorCount, written: true };
};

import {
  APPLICATIONS,
  BadInput,
  COMPANIONS,
  DICTIONARY,
  JOBS,
  PARTS,
  readTable,
  SENSING,
  VEHICLES,
  wheelEndsOf,
  type CatalogueSlice,
  type CatalogueTable,
  type CatalogueVehicle,
  type DictionaryEntry,
} from '@hardy/core';
import { join } from 'node:path';
import { readSource } from './readSource.ts';

const rows = async <T>(folder: string, table: CatalogueTable<T>): Promise<T[]> =>
  readTable(table, await readSource(join(folder, table.file)));

/**
 * What a catalogue folder knows about one vehicle.
 * @throws BadInput when the folder has no such vehicle or a row cannot be used.
 */
export const sliceFromFolder = async (folder: string, vehicleId: string): Promise<CatalogueSlice> => {
  const vehicle = (await rows(folder, VEHICLES)).find(({ id }) => id === vehicleId);
  if (!vehicle)
    throw new BadInput(
      'vehicle.catalogueId',
      `"${vehicleId}" is not in the catalogue; look for it in ${VEHICLES.file}`,
    );
  return {
    vehicle: { ...vehicle, wheelEnds: wheelEndsOf(vehicleId, await rows(folder, SENSING)) },
    parts: await rows(folder, PARTS),
    applications: (await rows(folder, APPLICATIONS)).filter((row) => row.vehicleId === vehicleId),
    jobs: (await rows(folder, JOBS)).filter((row) => row.vehicleId === vehicleId),
    companions: (await rows(folder, COMPANIONS)).filter(
      (row) => row.vehicleId === null || row.vehicleId === vehicleId,
    ),
  };
};

/** The vehicles of a catalogue folder, by whose names words are read. */
export const vehiclesFromFolder = (folder: string): Promise<CatalogueVehicle[]> => rows(folder, VEHICLES);

/** Whether a catalogue folder has a vehicle. */
export const hasVehicle = async (folder: string, vehicleId: string): Promise<boolean> =>
  (await rows(folder, VEHICLES)).some(({ id }) => id === vehicleId);

/** The makers' own codes of a catalogue folder. */
export const dictionaryFromFolder = (folder: string): Promise<DictionaryEntry[]> => rows(folder, DICTIONARY);

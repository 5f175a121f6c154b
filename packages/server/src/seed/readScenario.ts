import {
  APPLICATIONS,
  BadInput,
  COMPANIONS,
  DICTIONARY,
  FleetVehicle,
  JOBS,
  parse,
  parseDocket,
  PARTS,
  SENSING,
  ShopSettings,
  VEHICLES,
  type Application,
  type CataloguePart,
  type CatalogueTable,
  type CatalogueVehicle,
  type CompanionRule,
  type DictionaryEntry,
  type Docket,
  type JobNote,
} from '@hardy/core';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import Papa from 'papaparse';
import { z } from 'zod';

type Cells = Record<string, string>;

const rowsOf = async (folder: string, file: string): Promise<Cells[]> => {
  const parsed = Papa.parse<Cells>(await readFile(join(folder, file), 'utf8'), {
    header: true,
    skipEmptyLines: true,
  });
  const error = parsed.errors[0];
  if (error) throw new BadInput(`${file} line ${(error.row ?? 0) + 2}`, error.message);
  return parsed.data;
};

const orNull = (text: string | undefined): string | null => (text ? text : null);

/** Checks each row of a file of the catalogue; errors name the file, the line and the column. */
const tableOf = async <T>(folder: string, table: CatalogueTable<T>): Promise<T[]> =>
  (await rowsOf(folder, table.file)).map((cells, i) => {
    try {
      return table.read(cells);
    } catch (error) {
      if (error instanceof BadInput)
        throw new BadInput(`${table.file} line ${i + 2}.${error.path}`, error.what);
      throw error;
    }
  });

const ScenarioDockets = z.array(
  z.object({
    name: z.string(),
    openedHoursAgo: z.number().min(0),
    closedHoursAgo: z.number().min(0).nullable(),
  }),
);

export interface Scenario {
  readonly shop: ShopSettings;
  readonly vehicles: CatalogueVehicle[];
  readonly fleet: FleetVehicle[];
  readonly parts: CataloguePart[];
  readonly applications: Application[];
  readonly jobs: JobNote[];
  readonly companions: CompanionRule[];
  readonly dictionary: DictionaryEntry[];
  readonly dockets: ReadonlyArray<{ docket: Docket; openedHoursAgo: number; closedHoursAgo: number | null }>;
}

/**
 * Reads a scenario folder of CSV and JSON.
 * @throws BadInput naming the file, the line and the column of the first row that cannot be used.
 */
export const readScenario = async (folder: string): Promise<Scenario> => {
  const sensing = await tableOf(folder, SENSING);
  const json = async (file: string): Promise<unknown> =>
    JSON.parse(await readFile(join(folder, file), 'utf8')) as unknown;
  const listed = parse(ScenarioDockets, await json('dockets.json'), 'dockets.json');
  return {
    shop: parse(ShopSettings, await json('shop.json'), 'shop.json'),
    vehicles: (await tableOf(folder, VEHICLES)).map((vehicle) => ({
      ...vehicle,
      wheelEnds: Object.fromEntries(
        sensing
          .filter(({ vehicleId }) => vehicleId === vehicle.id)
          .map(({ vehicleId: _id, position, ...how }) => [position, how]),
      ),
    })),
    fleet: (await rowsOf(folder, 'fleet.csv')).map((c, i) =>
      parse(
        FleetVehicle,
        {
          ...c,
          plate: orNull(c.plate),
          vin: orNull(c.vin),
          buildDate: orNull(c.buildDate),
          saltExposure: orNull(c.saltExposure),
          distanceKm: Number(c.distanceKm) || null,
          note: orNull(c.note),
        },
        `fleet.csv line ${i + 2}`,
      ),
    ),
    parts: await tableOf(folder, PARTS),
    applications: await tableOf(folder, APPLICATIONS),
    jobs: await tableOf(folder, JOBS),
    companions: await tableOf(folder, COMPANIONS),
    dictionary: await tableOf(folder, DICTIONARY),
    dockets: await Promise.all(
      listed.map(async (entry) => ({
        docket: parseDocket(await json(`dockets/${entry.name}.json`)),
        openedHoursAgo: entry.openedHoursAgo,
        closedHoursAgo: entry.closedHoursAgo,
      })),
    ),
  };
};

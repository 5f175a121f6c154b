import {
  Application,
  BadInput,
  CatalogueVehicle,
  CataloguePart,
  centsFrom,
  CompanionRule,
  DictionaryEntry,
  FleetVehicle,
  JobNote,
  parse,
  parseDocket,
  ShopSettings,
  type Docket,
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
const yes = (text: string | undefined): boolean | null =>
  text === 'yes' ? true : text === 'no' ? false : null;

/** Checks each row of a file against its schema; errors name the file and the line. */
const each = async <S extends z.ZodType>(
  folder: string,
  file: string,
  schema: S,
  shape: (cells: Cells) => unknown,
): Promise<Array<z.output<S>>> =>
  (await rowsOf(folder, file)).map((cells, i) => parse(schema, shape(cells), `${file} line ${i + 2}`));

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
  const sensing = await rowsOf(folder, 'sensing.csv');
  const json = async (file: string): Promise<unknown> =>
    JSON.parse(await readFile(join(folder, file), 'utf8')) as unknown;
  const listed = parse(ScenarioDockets, await json('dockets.json'), 'dockets.json');
  return {
    shop: parse(ShopSettings, await json('shop.json'), 'shop.json'),
    vehicles: await each(folder, 'vehicles.csv', CatalogueVehicle, (c) => ({
      ...c,
      builtTo: orNull(c.builtTo),
      axles: Number(c.axles),
      steeringSide: orNull(c.steeringSide),
      knuckle: orNull(c.knuckle),
      electric: yes(c.electric),
      tyre: orNull(c.tyre),
      dictionary: orNull(c.dictionary),
      wheelEnds: Object.fromEntries<unknown>(
        sensing
          .filter((s) => s.vehicleId === c.id)
          .map((s) => [
            s.position ?? '',
            {
              sensor: orNull(s.sensor),
              mounting: orNull(s.mounting),
              target: orNull(s.target),
              ringSoldAlone: yes(s.ringSoldAlone),
            },
          ]),
      ),
    })),
    fleet: await each(folder, 'fleet.csv', FleetVehicle, (c) => ({
      ...c,
      plate: orNull(c.plate),
      vin: orNull(c.vin),
      buildDate: orNull(c.buildDate),
      saltExposure: orNull(c.saltExposure),
      distanceKm: Number(c.distanceKm) || null,
      note: orNull(c.note),
    })),
    parts: await each(folder, 'parts.csv', CataloguePart, (c) => ({
      ...c,
      priceCents: centsFrom(c.price ?? ''),
      stock: Number(c.stock),
      bin: orNull(c.bin),
      supplierDays: Number(c.supplierDays),
      warrantyMonths: Number(c.warrantyMonths),
    })),
    applications: await each(folder, 'applications.csv', Application, (c) => ({
      ...c,
      wheelEnds: (c.wheelEnds ?? '').split(' '),
      builtFrom: orNull(c.builtFrom),
      builtTo: orNull(c.builtTo),
    })),
    jobs: await each(folder, 'jobs.csv', JobNote, (c) => ({
      ...c,
      axle: Number(c.axle),
      labourHours: Number(c.labourHours),
    })),
    companions: await each(folder, 'companions.csv', CompanionRule, (c) => ({
      ...c,
      vehicleId: orNull(c.vehicleId),
      quantity: Number(c.quantity),
    })),
    dictionary: await each(folder, 'dictionary.csv', DictionaryEntry, (c) => c),
    dockets: await Promise.all(
      listed.map(async (entry) => ({
        docket: parseDocket(await json(`dockets/${entry.name}.json`)),
        openedHoursAgo: entry.openedHoursAgo,
        closedHoursAgo: entry.closedHoursAgo,
      })),
    ),
  };
};

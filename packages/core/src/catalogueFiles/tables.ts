import { z } from 'zod';
import { BadInput } from '../vocabulary/badInput.ts';
import {
  Application,
  CataloguePart,
  CatalogueVehicle,
  CompanionRule,
  DictionaryEntry,
  JobNote,
} from '../vocabulary/catalogue.ts';
import { centsFrom, centsInWords } from '../vocabulary/money.ts';
import { AxleOrWheelEnd } from '../vocabulary/wheelEnd.ts';
import { parse } from '../vocabulary/parse.ts';
import { plainCell, readPairs, safeCell, writePairs } from './pairs.ts';

export type Cells = Readonly<Record<string, string | undefined>>;

/** One file of the catalogue folder: its columns, and how a row of cells becomes a checked row and back. */
export interface CatalogueTable<T> {
  readonly file: string;
  readonly columns: readonly string[];
  /** What makes a row itself: a second row with it takes the first one's place. */
  readonly key: (row: T) => string;
  /** @throws BadInput naming the column. */
  readonly read: (cells: Cells) => T;
  readonly write: (row: T) => Record<string, string>;
}

const orNull = (text: string | undefined): string | null => (text ? text : null);
const number = (text: string | undefined, column: string, otherwise?: number): number => {
  if (!text && otherwise !== undefined) return otherwise;
  const value = Number((text ?? '').replace(',', '.'));
  if (!text || !Number.isFinite(value)) throw new BadInput(column, `"${text ?? ''}" is not a number`);
  return value;
};
const cents = (text: string | undefined, column: string): number => {
  const value = centsFrom(text ?? '');
  if (value === null) throw new BadInput(column, `"${text ?? ''}" is not a price; write 12.50`);
  return value;
};
const yesNo = (text: string | undefined): boolean | null =>
  text === 'yes' ? true : text === 'no' ? false : null;
const inYesNo = (value: boolean | null | undefined): string => (value == null ? '' : value ? 'yes' : 'no');
const pairs = (text: string | undefined, column: string): Record<string, string> => {
  const read = readPairs(text ?? '');
  if (!read) throw new BadInput(column, `"${text}" is not name=value; name=value`);
  return read;
};
const figures = (text: string | undefined, column: string): Record<string, number> =>
  Object.fromEntries(Object.entries(pairs(text, column)).map(([key, value]) => [key, number(value, column)]));
const contents = (text: string | undefined) =>
  (text ?? '')
    .split(';')
    .filter((piece) => piece.trim())
    .map((piece) => {
      const match = /^\s*(.+?)(?:\s+x\s*(\d+))?\s*$/.exec(piece);
      return { number: match?.[1] ?? '', quantity: Number(match?.[2] ?? 1) };
    });
const range = (text: string | undefined): [number | null, number | null] => {
  if (!text) return [null, null];
  const match = /^(\d+(?:\.\d+)?)-(\d+(?:\.\d+)?)$/.exec(text);
  if (!match || Number(match[1]) > Number(match[2])) throw new BadInput('ohms', `"${text}" is not low-high`);
  return [Number(match[1]), Number(match[2])];
};

const table = <T>(
  file: string,
  columns: readonly string[],
  key: (row: T) => string,
  read: (cells: Cells) => T,
  write: (row: T) => Readonly<Record<string, string | number | null | undefined>>,
): CatalogueTable<T> => ({
  file,
  columns,
  key,
  read: (cells) =>
    read(
      Object.fromEntries(Object.entries(cells).map(([name, text]) => [name, plainCell((text ?? '').trim())])),
    ),
  write: (row) => {
    const cells = write(row);
    return Object.fromEntries(columns.map((name) => [name, safeCell(String(cells[name] ?? ''))]));
  },
});

export const VEHICLES = table<CatalogueVehicle>(
  'vehicles.csv',
  [
    'id',
    'make',
    'model',
    'platform',
    'kind',
    'builtFrom',
    'builtTo',
    'axles',
    'driveline',
    'steeringSide',
    'knuckle',
    'electric',
    'tyre',
    'dictionary',
  ],
  (row) => row.id,
  (c) =>
    parse(CatalogueVehicle, {
      ...c,
      platform: orNull(c.platform),
      builtTo: orNull(c.builtTo),
      axles: number(c.axles, 'axles'),
      steeringSide: orNull(c.steeringSide),
      knuckle: orNull(c.knuckle),
      electric: yesNo(c.electric),
      tyre: orNull(c.tyre),
      dictionary: orNull(c.dictionary),
      wheelEnds: {},
    }),
  (row) => ({ ...row, electric: inYesNo(row.electric), wheelEnds: undefined }),
);

/** How one axle or wheel end of a vehicle senses. */
export const SensingLine = z.object({
  vehicleId: z.string().min(1),
  position: AxleOrWheelEnd,
  sensor: z.enum(['passive', 'active']).nullable(),
  mounting: z.enum(['separate', 'in-hub', 'centre']).nullable(),
  target: z.enum(['ring-on-shaft', 'ring-on-hub', 'encoder-in-bearing', 'ring-in-differential']).nullable(),
  ringSoldAlone: z.boolean().nullable(),
});
export type SensingLine = z.infer<typeof SensingLine>;

export const SENSING = table<SensingLine>(
  'sensing.csv',
  ['vehicleId', 'position', 'sensor', 'mounting', 'target', 'ringSoldAlone'],
  (row) => `${row.vehicleId} ${row.position}`,
  (c) =>
    parse(SensingLine, {
      ...c,
      sensor: orNull(c.sensor),
      mounting: orNull(c.mounting),
      target: orNull(c.target),
      ringSoldAlone: yesNo(c.ringSoldAlone),
    }),
  (row) => ({ ...row, ringSoldAlone: inYesNo(row.ringSoldAlone) }),
);

export const PARTS = table<CataloguePart>(
  'parts.csv',
  [
    'number',
    'partClass',
    'tier',
    'brand',
    'description',
    'price',
    'stock',
    'bin',
    'supplierDays',
    'warrantyMonths',
    'packQuantity',
    'branchStock',
    'barcode',
    'supersededBy',
    'interchange',
    'contents',
    'measures',
    'looks',
    'ohms',
    'cost',
    'core',
  ],
  (row) => row.number,
  (c) => {
    const [ohmsLow, ohmsHigh] = range(c.ohms);
    return parse(CataloguePart, {
      ...c,
      priceCents: cents(c.price, 'price'),
      costCents: c.cost ? cents(c.cost, 'cost') : null,
      coreCents: c.core ? cents(c.core, 'core') : 0,
      stock: number(c.stock, 'stock'),
      bin: orNull(c.bin),
      supplierDays: number(c.supplierDays, 'supplierDays'),
      warrantyMonths: number(c.warrantyMonths, 'warrantyMonths'),
      packQuantity: number(c.packQuantity, 'packQuantity', 1),
      branchStock: number(c.branchStock, 'branchStock', 0),
      barcode: orNull(c.barcode),
      supersededBy: orNull(c.supersededBy),
      interchange: orNull(c.interchange),
      contents: contents(c.contents),
      measures: figures(c.measures, 'measures'),
      looks: pairs(c.looks, 'looks'),
      ohmsLow,
      ohmsHigh,
    });
  },
  (row) => ({
    ...row,
    price: centsInWords(row.priceCents),
    cost: row.costCents === null ? '' : centsInWords(row.costCents),
    core: row.coreCents === 0 ? '' : centsInWords(row.coreCents),
    contents: row.contents
      .map(({ number: n, quantity }) => (quantity === 1 ? n : `${n} x${quantity}`))
      .join('; '),
    measures: writePairs(row.measures),
    looks: writePairs(row.looks),
    ohms: row.ohmsLow === null || row.ohmsHigh === null ? '' : `${row.ohmsLow}-${row.ohmsHigh}`,
  }),
);

export const APPLICATIONS = table<Application>(
  'applications.csv',
  ['partNumber', 'vehicleId', 'wheelEnds', 'builtFrom', 'builtTo', 'conditions'],
  (row) =>
    [
      row.partNumber,
      row.vehicleId,
      row.wheelEnds.join(' '),
      row.builtFrom ?? '',
      writePairs(row.conditions),
    ].join('|'),
  (c) =>
    parse(Application, {
      ...c,
      wheelEnds: (c.wheelEnds ?? '').split(/\s+/).filter(Boolean),
      builtFrom: orNull(c.builtFrom),
      builtTo: orNull(c.builtTo),
      conditions: pairs(c.conditions, 'conditions'),
    }),
  (row) => ({ ...row, wheelEnds: row.wheelEnds.join(' '), conditions: writePairs(row.conditions) }),
);

export const JOBS = table<JobNote>(
  'jobs.csv',
  ['vehicleId', 'axle', 'partClass', 'labourHours', 'access', 'tools', 'torques'],
  (row) => `${row.vehicleId} ${row.axle} ${row.partClass}`,
  (c) =>
    parse(JobNote, { ...c, axle: number(c.axle, 'axle'), labourHours: number(c.labourHours, 'labourHours') }),
  (row) => row,
);

export const COMPANIONS = table<CompanionRule>(
  'companions.csv',
  ['partClass', 'vehicleId', 'companionNumber', 'quantity', 'why'],
  (row) => `${row.partClass} ${row.vehicleId ?? ''} ${row.companionNumber}`,
  (c) =>
    parse(CompanionRule, { ...c, vehicleId: orNull(c.vehicleId), quantity: number(c.quantity, 'quantity') }),
  (row) => row,
);

export const DICTIONARY = table<DictionaryEntry>(
  'dictionary.csv',
  ['dictionary', 'code', 'module', 'text'],
  (row) => `${row.dictionary} ${row.code} ${row.module}`,
  (c) => parse(DictionaryEntry, c),
  (row) => row,
);

/** Every file of a catalogue folder, in the order they must be read: what is referred to comes first. */
export const CATALOGUE_TABLES = [
  VEHICLES,
  SENSING,
  PARTS,
  APPLICATIONS,
  JOBS,
  COMPANIONS,
  DICTIONARY,
] as const;

import {
  Application,
  CataloguePart,
  CatalogueVehicle,
  CompanionRule,
  DictionaryEntry,
  FleetVehicle,
  JobNote,
  SensingLine,
  Supplier,
} from '../vocabulary/catalogue.ts';
import { CATALOGUE_FILES, type CatalogueFile } from '../vocabulary/catalogueFile.ts';
import { plainNumber } from '../vocabulary/partNumber.ts';
import { catalogueTable, type CatalogueTable } from './catalogueTable.ts';

export const VEHICLES = catalogueTable(CatalogueVehicle, {
  file: 'vehicles.csv',
  name: 'vehicle',
  identity: ['id'],
  unique: 'id',
});

export const SENSING = catalogueTable(SensingLine, {
  file: 'sensing.csv',
  name: 'sensing',
  identity: ['vehicleId', 'position'],
});

export const FLEET = catalogueTable(FleetVehicle, {
  file: 'fleet.csv',
  name: 'fleet',
  identity: ['fleetNumber'],
  unique: 'fleetNumber',
});

export const SUPPLIERS = catalogueTable(Supplier, {
  file: 'suppliers.csv',
  name: 'supplier',
  identity: ['id'],
  unique: 'id',
});

export const PARTS = catalogueTable(CataloguePart, {
  file: 'parts.csv',
  name: 'part',
  identity: ['number'],
  unique: 'number',
  // The number as it is compared: letters and digits only.
  made: { plainNumber: (row) => plainNumber(row.number) },
});

export const APPLICATIONS = catalogueTable(Application, {
  file: 'applications.csv',
  name: 'application',
  identity: ['partNumber', 'vehicleId', 'wheelEnds', 'builtFrom', 'conditions'],
  unique: 'rowKey',
  together: [['vehicleId', 'partNumber']],
  made: { rowKey: (_row, key) => key },
});

export const JOBS = catalogueTable(JobNote, {
  file: 'jobs.csv',
  name: 'job_note',
  identity: ['vehicleId', 'axle', 'partClass'],
});

export const COMPANIONS = catalogueTable(CompanionRule, {
  file: 'companions.csv',
  name: 'companion_rule',
  identity: ['partClass', 'vehicleId', 'companionNumber', 'conditions'],
});

export const DICTIONARY = catalogueTable(DictionaryEntry, {
  file: 'dictionary.csv',
  name: 'dictionary_entry',
  identity: ['dictionary', 'code', 'module'],
  together: [['dictionary', 'code']],
});

const BY_FILE = {
  'vehicles.csv': VEHICLES,
  'sensing.csv': SENSING,
  'fleet.csv': FLEET,
  'suppliers.csv': SUPPLIERS,
  'parts.csv': PARTS,
  'applications.csv': APPLICATIONS,
  'jobs.csv': JOBS,
  'companions.csv': COMPANIONS,
  'dictionary.csv': DICTIONARY,
} satisfies Record<CatalogueFile, unknown>;

/** Every table, in the order in which the files must be read. */
export const CATALOGUE_TABLES = CATALOGUE_FILES.map(
  (file) => BY_FILE[file] as unknown as CatalogueTable<unknown>,
);

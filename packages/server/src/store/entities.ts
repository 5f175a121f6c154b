import { defineEntity, p, type InferEntity } from '@mikro-orm/core';

/** A docket: the validated document, with the columns people search and sort by. */
export const DocketRow = defineEntity({
  name: 'DocketRow',
  tableName: 'docket',
  properties: {
    id: p.string().primary(),
    number: p.integer().unique(),
    version: p.integer(),
    /** Content version shown now: that of an edit, or of the edit an undo went back to. */
    content: p.integer(),
    state: p.string().index(),
    wheelEnd: p.string().nullable().index(),
    vehicleName: p.string().nullable(),
    fleetNumber: p.string().nullable().index(),
    customerName: p.string().nullable(),
    action: p.string(),
    headline: p.text(),
    outcome: p.string().nullable(),
    document: p.text(),
    createdAt: p.datetime().index(),
    updatedAt: p.datetime().index(),
    closedAt: p.datetime().nullable().index(),
  },
});
export type DocketRow = InferEntity<typeof DocketRow>;

/** One change of a docket. Rows are only ever added. `parent` is the content version it was made on. */
export const ChangeRow = defineEntity({
  name: 'ChangeRow',
  tableName: 'docket_change',
  uniques: [{ properties: ['docketId', 'version'] }],
  properties: {
    id: p.integer().primary().autoincrement(),
    docketId: p.string().index(),
    version: p.integer(),
    content: p.integer(),
    parent: p.integer().nullable(),
    kind: p.string(),
    label: p.string(),
    document: p.text(),
    at: p.datetime(),
  },
});
export type ChangeRow = InferEntity<typeof ChangeRow>;

export const VehicleRow = defineEntity({
  name: 'VehicleRow',
  tableName: 'vehicle',
  properties: {
    id: p.string().primary(),
    make: p.string().index(),
    model: p.string().index(),
    platform: p.string().nullable(),
    kind: p.string().index(),
    builtFrom: p.string(),
    builtTo: p.string().nullable(),
    axles: p.integer(),
    driveline: p.string(),
    steeringSide: p.string().nullable(),
    knuckle: p.string().nullable(),
    electric: p.boolean(),
    tyre: p.string().nullable(),
    dictionary: p.string().nullable(),
  },
});

export const SensingRow = defineEntity({
  name: 'SensingRow',
  tableName: 'sensing',
  properties: {
    id: p.integer().primary().autoincrement(),
    vehicleId: p.string().index(),
    position: p.string(),
    sensor: p.string().nullable(),
    mounting: p.string().nullable(),
    target: p.string().nullable(),
    ringSoldAlone: p.boolean().nullable(),
  },
});

export const FleetRow = defineEntity({
  name: 'FleetRow',
  tableName: 'fleet',
  properties: {
    fleetNumber: p.string().primary(),
    plate: p.string().nullable().index(),
    vin: p.string().nullable().index(),
    vehicleId: p.string().index(),
    buildDate: p.string().nullable(),
    saltExposure: p.string().nullable(),
    distanceKm: p.float().nullable(),
    note: p.text().nullable(),
  },
});

/** Money in cents, never as a fraction. */
export const PartRow = defineEntity({
  name: 'PartRow',
  tableName: 'part',
  properties: {
    number: p.string().primary(),
    partClass: p.string().index(),
    tier: p.string(),
    brand: p.string(),
    description: p.text(),
    priceCents: p.integer(),
    stock: p.integer(),
    bin: p.string().nullable(),
    supplierDays: p.float(),
    warrantyMonths: p.integer(),
    /** The number as it is compared: letters and digits only. */
    plainNumber: p.string().default('').index(),
    packQuantity: p.integer().default(1),
    branchStock: p.integer().default(0),
    barcode: p.string().nullable().index(),
    supersededBy: p.string().nullable().index(),
    interchange: p.string().nullable().index(),
    /** JSON: kit contents, figures and looks. They are read with the part and never searched by. */
    contents: p.text().default('[]'),
    measures: p.text().default('{}'),
    looks: p.text().default('{}'),
    ohmsLow: p.float().nullable(),
    ohmsHigh: p.float().nullable(),
    costCents: p.integer().nullable(),
    coreCents: p.integer().default(0),
  },
});

export const ApplicationRow = defineEntity({
  name: 'ApplicationRow',
  tableName: 'application',
  indexes: [{ properties: ['vehicleId', 'partNumber'] }],
  properties: {
    id: p.integer().primary().autoincrement(),
    partNumber: p.string().index(),
    vehicleId: p.string(),
    wheelEnds: p.string(),
    builtFrom: p.string().nullable(),
    builtTo: p.string().nullable(),
    /** JSON of what else must be so. */
    conditions: p.text().default('{}'),
    /** What makes the row itself: a second import of it takes its place. */
    rowKey: p.string().default('').unique(),
  },
});

export const JobRow = defineEntity({
  name: 'JobRow',
  tableName: 'job_note',
  properties: {
    id: p.integer().primary().autoincrement(),
    vehicleId: p.string().index(),
    axle: p.integer(),
    partClass: p.string(),
    labourHours: p.float(),
    access: p.text(),
    tools: p.text(),
    torques: p.text(),
  },
});

export const CompanionRow = defineEntity({
  name: 'CompanionRow',
  tableName: 'companion_rule',
  properties: {
    id: p.integer().primary().autoincrement(),
    partClass: p.string().index(),
    vehicleId: p.string().nullable().index(),
    companionNumber: p.string(),
    quantity: p.integer(),
    why: p.text(),
  },
});

export const DictionaryRow = defineEntity({
  name: 'DictionaryRow',
  tableName: 'dictionary_entry',
  indexes: [{ properties: ['dictionary', 'code'] }],
  properties: {
    id: p.integer().primary().autoincrement(),
    dictionary: p.string(),
    code: p.string().index(),
    module: p.string(),
    text: p.text(),
  },
});

export type DictionaryRow = InferEntity<typeof DictionaryRow>;

/** Settings of the shop, one JSON value a key. */
export const SettingRow = defineEntity({
  name: 'SettingRow',
  tableName: 'setting',
  properties: { key: p.string().primary(), value: p.text() },
});

export const ENTITIES = [
  DocketRow,
  ChangeRow,
  VehicleRow,
  SensingRow,
  FleetRow,
  PartRow,
  ApplicationRow,
  JobRow,
  CompanionRow,
  DictionaryRow,
  SettingRow,
];

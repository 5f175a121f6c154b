import {
  type Application,
  APPLICATIONS,
  CataloguePart,
  parse,
  plainNumber,
  type CatalogueVehicle,
  type CompanionRule,
  type JobNote,
} from '@hardy/core';
import type { InferEntity } from '@mikro-orm/core';
import type { ApplicationRow, PartRow } from './entities.ts';

/** A part as the database keeps it. */
export const partToRow = (part: CataloguePart) => ({
  ...part,
  plainNumber: plainNumber(part.number),
  contents: JSON.stringify(part.contents),
  measures: JSON.stringify(part.measures),
  looks: JSON.stringify(part.looks),
});

/** A part read back, checked. */
export const partFromRow = (row: InferEntity<typeof PartRow>): CataloguePart =>
  parse(
    CataloguePart,
    {
      ...row,
      bin: row.bin ?? null,
      barcode: row.barcode ?? null,
      supersededBy: row.supersededBy ?? null,
      interchange: row.interchange ?? null,
      ohmsLow: row.ohmsLow ?? null,
      ohmsHigh: row.ohmsHigh ?? null,
      costCents: row.costCents ?? null,
      contents: JSON.parse(row.contents) as unknown,
      measures: JSON.parse(row.measures) as unknown,
      looks: JSON.parse(row.looks) as unknown,
    },
    `part ${row.number}`,
  );

export const applicationToRow = (row: Application) => ({
  ...row,
  wheelEnds: row.wheelEnds.join(' '),
  conditions: JSON.stringify(row.conditions),
  rowKey: APPLICATIONS.key(row),
});

export const applicationFromRow = (row: InferEntity<typeof ApplicationRow>): Application => ({
  partNumber: row.partNumber,
  vehicleId: row.vehicleId,
  wheelEnds: row.wheelEnds.split(' '),
  builtFrom: row.builtFrom ?? null,
  builtTo: row.builtTo ?? null,
  conditions: JSON.parse(row.conditions) as Record<string, string>,
});

export const vehicleToRow = ({ wheelEnds: _wheelEnds, ...row }: CatalogueVehicle) => row;

type Raw = Readonly<Record<string, unknown>>;
const text = (value: unknown): string | null => (typeof value === 'string' ? value : null);
const flag = (value: unknown): boolean | null => (value == null ? null : Boolean(value));

/* Rows as the database has them, without entity or schema: they were checked when they came in. */

export const partFromRaw = (row: Raw): CataloguePart => ({
  number: String(row.number),
  partClass: row.part_class as CataloguePart['partClass'],
  tier: row.tier as CataloguePart['tier'],
  brand: String(row.brand),
  description: String(row.description),
  priceCents: Number(row.price_cents),
  stock: Number(row.stock),
  bin: text(row.bin),
  supplierDays: Number(row.supplier_days),
  warrantyMonths: Number(row.warranty_months),
  packQuantity: Number(row.pack_quantity),
  branchStock: Number(row.branch_stock),
  barcode: text(row.barcode),
  supersededBy: text(row.superseded_by),
  interchange: text(row.interchange),
  contents: row.contents === '[]' ? [] : (JSON.parse(String(row.contents)) as CataloguePart['contents']),
  measures: JSON.parse(String(row.measures)) as CataloguePart['measures'],
  looks: row.looks === '{}' ? {} : (JSON.parse(String(row.looks)) as CataloguePart['looks']),
  ohmsLow: row.ohms_low == null ? null : Number(row.ohms_low),
  ohmsHigh: row.ohms_high == null ? null : Number(row.ohms_high),
  costCents: row.cost_cents == null ? null : Number(row.cost_cents),
  coreCents: Number(row.core_cents),
});

export const applicationFromRaw = (row: Raw): Application => ({
  partNumber: String(row.part_number),
  vehicleId: String(row.vehicle_id),
  wheelEnds: String(row.wheel_ends).split(' '),
  builtFrom: text(row.built_from),
  builtTo: text(row.built_to),
  conditions:
    row.conditions === '{}' ? {} : (JSON.parse(String(row.conditions)) as Application['conditions']),
});

export const jobFromRaw = (row: Raw): JobNote => ({
  vehicleId: String(row.vehicle_id),
  axle: Number(row.axle),
  partClass: row.part_class as JobNote['partClass'],
  labourHours: Number(row.labour_hours),
  access: String(row.access),
  tools: String(row.tools),
  torques: String(row.torques),
});

export const companionFromRaw = (row: Raw): CompanionRule => ({
  partClass: row.part_class as CompanionRule['partClass'],
  vehicleId: text(row.vehicle_id),
  companionNumber: String(row.companion_number),
  quantity: Number(row.quantity),
  why: String(row.why),
});

export const sensingFromRaw = (row: Raw): CatalogueVehicle['wheelEnds'][string] =>
  ({
    sensor: text(row.sensor),
    mounting: text(row.mounting),
    target: text(row.target),
    ringSoldAlone: flag(row.ring_sold_alone),
  }) as CatalogueVehicle['wheelEnds'][string];

export const vehicleFromRaw = (row: Raw, wheelEnds: CatalogueVehicle['wheelEnds']): CatalogueVehicle => ({
  id: String(row.id),
  make: String(row.make),
  model: String(row.model),
  platform: text(row.platform),
  kind: String(row.kind),
  builtFrom: String(row.built_from),
  builtTo: text(row.built_to),
  axles: Number(row.axles),
  driveline: row.driveline as CatalogueVehicle['driveline'],
  steeringSide: text(row.steering_side) as CatalogueVehicle['steeringSide'],
  knuckle: text(row.knuckle) as CatalogueVehicle['knuckle'],
  electric: Boolean(row.electric),
  tyre: text(row.tyre),
  dictionary: text(row.dictionary),
  wheelEnds,
});

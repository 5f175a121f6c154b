import {
  Application,
  APPLICATIONS,
  CataloguePart,
  parse,
  plainNumber,
  type CatalogueVehicle,
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

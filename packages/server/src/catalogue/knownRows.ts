import { axleOf, PARTS, VEHICLES, type CatalogueTable } from '@hardy/core';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import { rawRows } from '../store/catalogueRows.ts';

/** What is in the catalogue and may be named by other rows, kept while rows come in. */
export class KnownRows {
  private constructor(
    /** Vehicles with the number of their axles. */
    readonly vehicles: Map<string, number>,
    readonly parts: Set<string>,
  ) {}

  static async of(em: EntityManager): Promise<KnownRows> {
    const vehicles = await rawRows(em, 'select id, axles from vehicle');
    const parts = await rawRows(em, 'select number from part');
    return new KnownRows(
      new Map(vehicles.map(({ id, axles }) => [String(id), Number(axles)])),
      new Set(parts.map(({ number }) => String(number))),
    );
  }

  /** A row went in. */
  add<T>(table: CatalogueTable<T>, row: T): void {
    const { id, axles, number } = row as { id?: string; axles?: number; number?: string };
    if (table.file === VEHICLES.file) this.vehicles.set(String(id), Number(axles));
    if (table.file === PARTS.file) this.parts.add(String(number));
  }

  /** What a row names that is not there, or an axle behind the last one of its vehicle. */
  wrong<T>(table: CatalogueTable<T>, row: T): { column: string; reason: string } | null {
    const values = row as Readonly<Record<string, unknown>>;
    for (const { field, heading, note, write } of table.columns) {
      if (!note.refersTo && !note.onAxle) continue;
      const value = write(values[field]);
      if (!value) continue;
      const known = note.refersTo === 'vehicle' ? this.vehicles : this.parts;
      if (note.refersTo && !known.has(value))
        return { column: heading, reason: `"${value}" is not in the catalogue` };
      if (!note.onAxle) continue;
      const vehicleId = values.vehicleId as string;
      const last = this.vehicles.get(vehicleId) ?? 0;
      const far = value
        .split(' ')
        .map((end) => (/^\d+$/.test(end) ? Number(end) : axleOf(end)))
        .find((axle) => axle > last);
      if (far !== undefined) return { column: heading, reason: `axle ${far}, but ${vehicleId} has ${last}` };
    }
    return null;
  }
}

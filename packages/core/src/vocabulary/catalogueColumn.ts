import { z } from 'zod';

/** What a field of a catalogue row needs beside its schema, where that does not say it. */
export interface ColumnNote {
  /** Heading in the file, where it is not the field's name. Two fields under one heading are the ends of a range. */
  readonly heading?: string;
  /** Money in cents: written 12.50. The ends of a range: written low-high. */
  readonly as?: 'money' | 'low' | 'high';
  /** Looked for in the database. */
  readonly indexed?: true;
  /** What a row must name that is there already. */
  readonly refersTo?: 'vehicle' | 'part';
  /** Names an axle or wheel ends: none behind the last axle of the row's vehicle. */
  readonly onAxle?: true;
  /** Put together from another file. */
  readonly elsewhere?: true;
}

/** Notes on the fields of the catalogue's rows. File, database and API follow from schema and note. */
export const column = z.registry<ColumnNote>();

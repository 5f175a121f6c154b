import type { Column } from './columns.ts';

/** A row as the database keeps it. */
export type KeptRow = Record<string, string | number | boolean | null>;

/** A field's column in the database: `supersededBy` is `superseded_by`. */
export const keptName = (field: string): string =>
  field.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);

/** A value as the database keeps it. */
export const toKept = ({ kept }: Column, value: unknown): KeptRow[string] => {
  if (value == null) return null;
  if (kept === 'json') return JSON.stringify(value);
  if (kept === 'words') return (value as readonly string[]).join(' ');
  return value as string | number | boolean;
};

/** A value from the database. What is there was checked when it came in. */
export const fromKept = ({ kept }: Column, value: unknown): unknown => {
  if (value == null) return null;
  switch (kept) {
    case 'boolean':
      return Boolean(value);
    case 'words':
      return (value as string).split(' ');
    case 'json':
      // Most parts have none: no need to wake the parser.
      return value === '{}' ? {} : value === '[]' ? [] : (JSON.parse(value as string) as unknown);
    default:
      return value;
  }
};

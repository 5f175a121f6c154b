import type { z } from 'zod';
import { BadInput } from '../vocabulary/badInput.ts';
import { column, type ColumnNote } from '../vocabulary/catalogueColumn.ts';
import { centsFrom, centsInWords } from '../vocabulary/money.ts';
import { readPairs, writePairs } from './pairs.ts';

/** How the database keeps a value. */
export type Kept = 'string' | 'integer' | 'float' | 'boolean' | 'json' | 'words';

/** One field of a catalogue row: how it stands in a file's cell and in the database. */
export interface Column {
  readonly field: string;
  readonly heading: string;
  readonly kept: Kept;
  readonly nullable: boolean;
  /** What stands where nothing was said, if anything. */
  readonly otherwise: unknown;
  readonly note: ColumnNote;
  /** A cell as the schema takes it; undefined where it says nothing. @throws BadInput naming the heading. */
  readonly read: (cell: string) => unknown;
  readonly write: (value: unknown) => string;
}

const number = (cell: string, heading: string): number => {
  const value = Number(cell.replace(',', '.'));
  if (!cell || !Number.isFinite(value)) throw new BadInput(heading, `"${cell}" is not a number`);
  return value;
};
const cents = (cell: string, heading: string): number => {
  const value = centsFrom(cell);
  if (value === null) throw new BadInput(heading, `"${cell}" is not a price; write 12.50`);
  return value;
};
const range = (cell: string, heading: string): readonly [number, number] => {
  const match = /^(\d+(?:\.\d+)?)-(\d+(?:\.\d+)?)$/.exec(cell);
  if (!match || Number(match[1]) > Number(match[2])) throw new BadInput(heading, `"${cell}" is not low-high`);
  return [Number(match[1]), Number(match[2])];
};
const pairs = (cell: string, heading: string): Record<string, string> => {
  const read = readPairs(cell);
  if (!read) throw new BadInput(heading, `"${cell}" is not name=value; name=value`);
  return read;
};

interface Piece {
  readonly number: string;
  readonly quantity: number;
}
const readPieces = (cell: string): Piece[] =>
  cell
    .split(';')
    .filter((piece) => piece.trim())
    .map((piece) => {
      const match = /^\s*(.+?)(?:\s+x\s*(\d+))?\s*$/.exec(piece);
      return { number: match?.[1] ?? '', quantity: Number(match?.[2] ?? 1) };
    });
const writePieces = (pieces: readonly Piece[]): string =>
  pieces.map(({ number: n, quantity }) => (quantity === 1 ? n : `${n} x${quantity}`)).join('; ');

interface Way {
  readonly kept: Kept;
  readonly read: (cell: string, heading: string) => unknown;
  readonly write: (value: never) => string;
}

const PLAIN: Way = { kept: 'string', read: (cell) => cell, write: String };
const NUMBER: Way = { kept: 'float', read: number, write: String };
const INTEGER: Way = { ...NUMBER, kept: 'integer' };
const YES_NO: Way = {
  kept: 'boolean',
  read: (cell) => (cell === 'yes' ? true : cell === 'no' ? false : null),
  write: (value: boolean) => (value ? 'yes' : 'no'),
};
const MONEY: Way = { kept: 'integer', read: cents, write: centsInWords };
const LOW: Way = { ...NUMBER, read: (cell, heading) => range(cell, heading)[0] };
const HIGH: Way = { ...NUMBER, read: (cell, heading) => range(cell, heading)[1] };
const WORDS: Way = {
  kept: 'words',
  read: (cell) => cell.split(/\s+/).filter(Boolean),
  write: (value: readonly string[]) => value.join(' '),
};
const PIECES: Way = { kept: 'json', read: readPieces, write: writePieces };
const LOOKS: Way = { kept: 'json', read: pairs, write: writePairs };
const FIGURES: Way = {
  ...LOOKS,
  read: (cell, heading) =>
    Object.fromEntries(
      Object.entries(pairs(cell, heading)).map(([name, value]) => [name, number(value, heading)]),
    ),
};

const isOf = <T extends z.core.$ZodTypeDef['type']>(
  schema: z.core.$ZodType,
  type: T,
): schema is z.core.$ZodType & { _zod: { def: { type: T } } } => schema._zod.def.type === type;

/** The way of a field without its "may be missing". @throws Error for a schema no cell can hold: our own mistake. */
const wayOf = (schema: z.core.$ZodType, note: ColumnNote): Way => {
  if (note.as) return { money: MONEY, low: LOW, high: HIGH }[note.as];
  const { def } = schema._zod as { def: z.core.$ZodTypeDef };
  switch (def.type) {
    case 'string':
    case 'enum':
    case 'union':
      return PLAIN;
    case 'number':
      return (schema as z.ZodNumber).isInt ? INTEGER : NUMBER;
    case 'boolean':
      return YES_NO;
    case 'array':
      return isOf((schema as z.ZodArray).element, 'object') ? PIECES : WORDS;
    case 'record':
      return isOf((schema as z.ZodRecord).valueType, 'number') ? FIGURES : LOOKS;
    default:
      throw new Error(`no cell holds ${def.type}`);
  }
};

const columnOf = (field: string, schema: z.core.$ZodType): Column | null => {
  const note = column.get(schema as z.ZodType) ?? {};
  if (note.elsewhere) return null;
  let [inner, nullable, otherwise] = [schema, false, undefined as unknown];
  for (;;) {
    if (isOf(inner, 'default')) {
      const { def } = inner._zod as unknown as z.ZodDefault['_zod'];
      [inner, otherwise] = [def.innerType, def.defaultValue];
    } else if (isOf(inner, 'nullable'))
      [inner, nullable] = [(inner._zod as unknown as z.ZodNullable['_zod']).def.innerType, true];
    else break;
  }
  const way = wayOf(inner, note);
  const heading = note.heading ?? field;
  const isText = way === PLAIN;
  const isList = way.kept === 'json' || way.kept === 'words';
  return {
    field,
    heading,
    kept: way.kept,
    nullable,
    otherwise,
    note,
    read: (cell) => {
      if (cell === '' && nullable) return null;
      if (cell === '' && otherwise !== undefined) return undefined;
      // An empty text is a text and an empty list a list; the schema says whether they may be.
      return cell === '' && !isText && !isList && way !== YES_NO
        ? number(cell, heading)
        : way.read(cell, heading);
    },
    write: (value) => {
      // No deposit and no price are nothing said, not 0.00.
      if (value == null || (way === MONEY && value === otherwise)) return '';
      return way.write(value as never);
    },
  };
};

/** The columns of a row's schema, in its order. */
export const columnsOf = (row: z.ZodObject): Column[] =>
  Object.entries(row.shape).flatMap(([field, schema]) => columnOf(field, schema as z.core.$ZodType) ?? []);

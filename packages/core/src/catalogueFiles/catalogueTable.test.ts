import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { z } from 'zod';
import { CATALOGUE_FILES } from '../vocabulary/catalogueFile.ts';
import { column } from '../vocabulary/catalogueColumn.ts';
import { catalogueTable } from './catalogueTable.ts';
import { keptName } from './keptRow.ts';
import { delimiterOf, readTable, wheelEndsOf } from './readTable.ts';
import { APPLICATIONS, CATALOGUE_TABLES, FLEET, PARTS, SENSING, VEHICLES } from './tables.ts';

/** A row with a field of every way a cell is written. */
const ROW = z.object({
  number: z.string().min(1),
  tier: z.enum(['good', 'budget']),
  priceCents: z.number().int().min(0).register(column, { heading: 'price', as: 'money' }),
  coreCents: z.number().int().min(0).default(0).register(column, { heading: 'core', as: 'money' }),
  pieces: z.number().int().min(1).default(1),
  days: z.number().min(0),
  bin: z.string().nullable(),
  electric: z.boolean(),
  sold: z.boolean().nullable(),
  low: z.number().nullable().default(null).register(column, { heading: 'ohms', as: 'low' }),
  high: z.number().nullable().default(null).register(column, { heading: 'ohms', as: 'high' }),
  ends: z.array(z.string()),
  measures: z.record(z.string(), z.number()).default({}),
  looks: z.record(z.string(), z.string()).default({}),
  contents: z.array(z.object({ number: z.string(), quantity: z.number().int() })).default([]),
  joined: z.record(z.string(), z.string()).default({}).register(column, { elsewhere: true }),
});
const TABLE = catalogueTable(ROW, {
  file: 'parts.csv',
  name: 'part',
  identity: ['number'],
  unique: 'number',
  made: { shout: (row) => row.number.toUpperCase() },
});
const word = fc.stringMatching(/^[A-Za-z][A-Za-z0-9]{0,8}$/);
const money = fc.nat(9_999_999);
const rows = fc
  .record({
    number: word,
    tier: fc.constantFrom('good' as const, 'budget' as const),
    priceCents: money,
    coreCents: money,
    pieces: fc.integer({ min: 1, max: 99 }),
    days: fc.nat(300).map((n) => n / 10),
    bin: fc.option(word),
    electric: fc.boolean(),
    sold: fc.option(fc.boolean()),
    range: fc.option(fc.tuple(fc.nat(900), fc.nat(900))),
    ends: fc.array(fc.constantFrom('A1L', 'A1R', 'A2'), { minLength: 1, maxLength: 3 }),
    measures: fc.dictionary(word, fc.nat(1000)),
    looks: fc.dictionary(word, word),
    contents: fc.array(fc.record({ number: word, quantity: fc.integer({ min: 1, max: 9 }) })),
  })
  .map(({ range, ...row }) => ({
    ...row,
    low: range && Math.min(...range),
    high: range && Math.max(...range),
    joined: {},
  }));

describe('a table made from the schema of its row', () => {
  test('has a heading for each field, one for the ends of a range, none for what is put together', () => {
    expect(TABLE.headings).toEqual([
      'number',
      'tier',
      'price',
      'core',
      'pieces',
      'days',
      'bin',
      'electric',
      'sold',
      'ohms',
      'ends',
      'measures',
      'looks',
      'contents',
    ]);
  });

  test('knows how each field is kept', () => {
    const kept = Object.fromEntries(
      TABLE.columns.map(({ field, kept: how, nullable }) => [field, [how, nullable]]),
    );
    expect(kept).toMatchObject({
      number: ['string', false],
      priceCents: ['integer', false],
      days: ['float', false],
      bin: ['string', true],
      electric: ['boolean', false],
      sold: ['boolean', true],
      ends: ['words', false],
      measures: ['json', false],
      low: ['float', true],
    });
  });

  test('a row comes back from its cells, and from the database by either name of a column', () => {
    fc.assert(
      fc.property(rows, (row) => {
        expect(TABLE.read(TABLE.write(row))).toEqual(row);
        const { shout, ...kept } = TABLE.keep(row);
        expect(shout).toBe(row.number.toUpperCase());
        const { joined: _, ...stored } = row;
        expect(TABLE.kept(kept)).toEqual(stored);
        const asInDatabase = Object.fromEntries(
          Object.entries(kept).map(([field, value]) => [
            keptName(field),
            typeof value === 'boolean' ? Number(value) : value,
          ]),
        );
        expect(TABLE.kept(asInDatabase)).toEqual(stored);
      }),
    );
  });

  test('nothing said is nothing said: no deposit, no bin, no range', () => {
    const cells = TABLE.write({
      ...TABLE.read({ number: 'A', tier: 'good', price: '1', days: '0', electric: 'no', ends: 'A1L' }),
    });
    expect(cells).toMatchObject({ core: '', bin: '', ohms: '', sold: '', pieces: '1', contents: '' });
  });

  test.each<[string, Record<string, string>, string]>([
    ['a price that is none', { price: 'dear' }, 'price'],
    ['a number that is none', { days: 'soon' }, 'days'],
    ['a range turned round', { ohms: '9-1' }, 'ohms'],
    ['a word of another list', { tier: 'best' }, 'tier'],
    ['what must be said', { price: '' }, 'price'],
    ['neither yes nor no', { electric: 'perhaps' }, 'electric'],
    ['figures without a name', { measures: '48' }, 'measures'],
  ])('%s is told by its heading', (_, change, heading) => {
    const cells = {
      number: 'A',
      tier: 'good',
      price: '1',
      days: '0',
      electric: 'no',
      ends: 'A1L',
      ...change,
    };
    let path = '';
    try {
      TABLE.read(cells);
    } catch (error) {
      ({ path } = error as { path: string });
    }
    expect(path.startsWith(heading)).toBe(true);
  });
});

describe('the tables of the catalogue', () => {
  test('are one for each file, in the order they must be read', () => {
    expect(CATALOGUE_TABLES.map(({ file }) => file)).toEqual(CATALOGUE_FILES);
    expect(new Set(CATALOGUE_TABLES.map(({ name }) => name)).size).toBe(CATALOGUE_TABLES.length);
    for (const { identity, columns } of CATALOGUE_TABLES)
      for (const field of identity) expect(columns.map((each) => each.field)).toContain(field);
  });

  test('what a row names comes in a file before it', () => {
    const at = (file: string) => CATALOGUE_FILES.findIndex((each) => each === file);
    for (const { file, columns } of CATALOGUE_TABLES)
      for (const { note } of columns) {
        if (note.refersTo === 'vehicle') expect(at(file)).toBeGreaterThan(at(VEHICLES.file));
        if (note.refersTo === 'part') expect(at(file)).toBeGreaterThan(at(PARTS.file));
      }
  });

  test('an application is itself by all but the end of its range', () => {
    const row = {
      partNumber: 'WS1',
      vehicleId: 'v',
      wheelEnds: ['A1L'],
      builtFrom: '2016',
      builtTo: null,
      conditions: { plug: 'grey' },
    };
    expect(APPLICATIONS.key({ ...row, builtTo: '2020' })).toBe(APPLICATIONS.key(row));
    expect(APPLICATIONS.key({ ...row, conditions: {} })).not.toBe(APPLICATIONS.key(row));
    expect(APPLICATIONS.keep(row).rowKey).toBe(APPLICATIONS.key(row));
  });

  test('the fleet’s register is one of them: what is not known stays so', () => {
    const row = FLEET.read({ fleetNumber: 'G-01', vehicleId: 'v', distanceKm: '', saltExposure: '' });
    expect(row).toMatchObject({ fleetNumber: 'G-01', plate: null, distanceKm: null, saltExposure: null });
    expect(FLEET.read(FLEET.write(row))).toEqual(row);
  });
});

describe('a file read whole', () => {
  const text = (delimiter: string) =>
    ['vehicleId', 'position', 'sensor', 'mounting', 'target', 'ringSoldAlone'].join(delimiter) +
    '\n' +
    ['v1', 'A1', 'active', 'separate', 'ring-on-hub', 'yes'].join(delimiter) +
    '\n\n' +
    ['v2', 'A2L', '', '', '', ''].join(delimiter) +
    '\n';

  test('comma or semicolon, as its heading has it', () => {
    expect(delimiterOf('a;b;c')).toBe(';');
    expect(delimiterOf('a,b;c,d')).toBe(',');
    expect(readTable(SENSING, text(';'))).toEqual(readTable(SENSING, text(',')));
  });

  test('tells how each wheel end of a vehicle senses', () => {
    const lines = readTable(SENSING, text(','));
    expect(wheelEndsOf('v1', lines)).toEqual({
      A1: { sensor: 'active', mounting: 'separate', target: 'ring-on-hub', ringSoldAlone: true },
    });
    expect(wheelEndsOf('v2', lines).A2L).toEqual({
      sensor: null,
      mounting: null,
      target: null,
      ringSoldAlone: null,
    });
    expect(wheelEndsOf('v3', lines)).toEqual({});
  });

  test('names file, line and heading of what cannot be used', () => {
    expect(() => readTable(SENSING, text(',').replace('A2L', 'left'))).toThrow(
      /^sensing\.csv line 4\.position: "left" is not an axle or a wheel end/,
    );
    expect(() => readTable(SENSING, text(',').replace('v1', '"v1'))).toThrow(/^sensing\.csv/);
  });
});

import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import Papa from 'papaparse';
import { Application, CataloguePart } from '../vocabulary/catalogue.ts';
import { eanCheckDigit, isEan13, plainNumber } from '../vocabulary/partNumber.ts';
import { plainCell, readPairs, safeCell, writePairs } from './pairs.ts';
import { APPLICATIONS, PARTS } from './tables.ts';

const word = fc.stringMatching(/^[A-Za-z0-9][A-Za-z0-9 .-]{0,10}[A-Za-z0-9]$/);
const parts = fc
  .record({
    number: word,
    partClass: fc.constantFrom('sensor', 'tone-ring', 'hub-assembly', 'companion'),
    tier: fc.constantFrom('dealer', 'good', 'budget'),
    brand: word,
    description: fc.string({ minLength: 1, maxLength: 40 }).map((s) => `a ${s.trim()} b`),
    priceCents: fc.integer({ min: 0, max: 9999999 }),
    stock: fc.nat(99),
    bin: fc.option(word, { nil: null }),
    supplierDays: fc.nat(30),
    warrantyMonths: fc.nat(60),
    packQuantity: fc.integer({ min: 1, max: 20 }),
    branchStock: fc.nat(9),
    barcode: fc.option(fc.stringMatching(/^\d{13}$/), { nil: null }),
    supersededBy: fc.option(word, { nil: null }),
    interchange: fc.option(word, { nil: null }),
    contents: fc.array(
      fc.record({ number: fc.stringMatching(/^[A-Z0-9-]{3,8}$/), quantity: fc.integer({ min: 1, max: 9 }) }),
      { maxLength: 3 },
    ),
    measures: fc.dictionary(
      fc.constantFrom('teeth', 'height', 'reach'),
      fc.integer({ min: 0, max: 5000 }).map((n) => n / 10),
    ),
    looks: fc.dictionary(fc.constantFrom('colour', 'form'), word),
    ohmsLow: fc.constant(900),
    ohmsHigh: fc.constant(1400),
    costCents: fc.option(fc.nat(90000), { nil: null }),
    coreCents: fc.nat(9000),
  })
  .map((raw) => CataloguePart.parse(raw));

describe('catalogue files', () => {
  test('a part written and read is the same part, whatever is in its words', () => {
    fc.assert(
      fc.property(parts, (part) => {
        const csv = Papa.unparse([PARTS.write(part)], { columns: [...PARTS.headings] });
        const [cells] = Papa.parse<Record<string, string>>(csv, { header: true }).data;
        expect(PARTS.read(cells!)).toEqual({ ...part, description: part.description.trim() });
      }),
      { numRuns: 200, seed: 4 },
    );
  });

  test('an application with conditions likewise', () => {
    const application = Application.parse({
      partNumber: 'WS1',
      vehicleId: 'v',
      wheelEnds: ['A1L', 'A1R'],
      builtFrom: '2016-04',
      builtTo: null,
      conditions: { hubMaker: 'Corvane', plug: 'grey' },
    });
    expect(APPLICATIONS.read(APPLICATIONS.write(application))).toEqual(application);
    expect(APPLICATIONS.key(application)).toBe('WS1|v|A1L A1R|2016-04|hubMaker=Corvane; plug=grey');
  });

  test('a cell that a spreadsheet would run is shown to it as text, and comes back as it was', () => {
    for (const text of ['=1+1', '+cmd', '@SUM(A1)', '-x', "plain 'quote'", '-12.5']) {
      expect(safeCell(text)).not.toMatch(/^[=@+]/);
      expect(plainCell(safeCell(text))).toBe(text);
    }
  });

  test.each([
    [{ price: 'dear' }, /price|cents/i],
    [{ stock: 'some' }, /stock.*not a number/],
    [{ tier: 'best' }, /tier/],
    [{ measures: 'teeth 48' }, /measures.*name=value/],
    [{ ohms: '1400-900' }, /ohms.*low-high/],
    [{ number: '' }, /number/],
  ])('a bad row names its column: %j', (change, message) => {
    const good = PARTS.write(
      CataloguePart.parse({
        number: 'X1',
        partClass: 'sensor',
        tier: 'good',
        brand: 'b',
        description: 'd',
        priceCents: 100,
        stock: 1,
        bin: null,
        supplierDays: 0,
        warrantyMonths: 0,
      }),
    );
    let said = '';
    try {
      PARTS.read({ ...good, ...change });
    } catch (error) {
      said = `${(error as { path: string }).path} ${(error as Error).message}`;
    }
    expect(said).toMatch(message);
  });

  test('pairs read back, numbers compare in any spacing, check digits hold', () => {
    expect(readPairs(writePairs({ b: 2, a: 1 }))).toEqual({ a: '1', b: '2' });
    expect(readPairs('no pair')).toBeNull();
    expect(plainNumber('ws 30-026.b')).toBe('WS30026B');
    expect(eanCheckDigit('400638133393')).toBe(1);
    fc.assert(
      fc.property(fc.stringMatching(/^\d{12}$/), (twelve) => {
        const code = `${twelve}${eanCheckDigit(twelve)}`;
        expect(isEan13(code)).toBe(true);
        const wrong = `${twelve}${(eanCheckDigit(twelve) + 1) % 10}`;
        expect(isEan13(wrong)).toBe(false);
      }),
    );
  });
});

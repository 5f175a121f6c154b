import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { parseCode, scanCodes } from './grammars.ts';

const none = () => false;
const found = (line: string, known: (code: string) => boolean = none) =>
  scanCodes(line, known).map(({ parsed }) => parsed.code);

describe('codes in running text', () => {
  test.each<[string, string[]]>([
    ['C0031-13 front left, then C0034', ['C0031-13', 'C0034']],
    ['reads CO031 and c0a31:13', ['C0031', 'C0A31-13']],
    ['SPN 789 FMI 5 on the trailer', ['SPN 789 FMI 5']],
    ['789/5 and 790 / 2', ['SPN 789 FMI 5', 'SPN 790 FMI 2']],
    ['s789 f5', ['SPN 789 FMI 5']],
    ['0x4A3713 from the raw log', ['C0A37-13']],
    ['4A 37 13 2F', ['C0A37-13']],
    ['the lamp flashes 2-1 then 3-4', ['2-1', '3-4']],
    ['code 4320 stored', ['4320']],
    // What is none: distances, dates, tyres, ratios, times, money, names.
    ['driven 120000 km since 2018', []],
    ['tyres 205/55 R16 and 195/65 R15', []],
    ['at 10/11 it was cold, 50/50', []],
    ['COLD in the BOX, c0ffe at the cafe', []],
    ['paid 4320 for it', []],
    ['fault found at 3pm, 11.6 V at the plug', []],
  ])('%s', (line, codes) => {
    expect(found(line)).toEqual(codes);
  });

  test('a maker’s number counts where a dictionary has it and something stands beside it', () => {
    const known = (code: string) => code === '4320';
    expect(found('4320: wheel speed sensor rear left', known)).toEqual(['4320']);
    expect(found('4320 ohms at the plug', known)).toEqual([]);
  });

  test('what one grammar took is no other’s, whatever stands beside it', () => {
    const codes = ['C0031-13', 'SPN 790 FMI 2', '0x4A3713', 'U0121'];
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(...codes), { minLength: 1, maxLength: 6 }),
        fc.constantFrom(', ', '; ', ' and ', ' then '),
        (list, between) => {
          const line = list.join(between);
          const hits = scanCodes(line, none);
          expect(hits).toHaveLength(list.length);
          hits.forEach((hit, i) => {
            expect(line.slice(hit.start, hit.end)).toBe(hit.text);
            expect(hit.text).toBe(list[i]);
            const next = hits[i + 1];
            if (next) expect(hit.end).toBeLessThanOrEqual(next.start);
          });
        },
      ),
    );
  });
});

describe('what a code says of itself', () => {
  const [of] = [(code: string) => parseCode(code)[0]];

  test('the standard reserves twelve codes and six parameters for a wheel', () => {
    expect(of('C0031')?.reserved).toEqual({ wheelEnd: 'A1L', firm: false });
    expect(of('C003A')?.reserved).toEqual({ wheelEnd: 'A2R', firm: false });
    expect(of('SPN 794 FMI 5')?.reserved).toEqual({ wheelEnd: 'A3R', firm: true });
    expect(of('C0A31-13')?.reserved).toBeNull();
    expect(of('SPN 795')?.reserved).toBeNull();
  });

  test('echoes, supply and controllers that failed themselves', () => {
    expect(of('U0121')).toMatchObject({ says: 'echo', system: 'other' });
    expect(of('P0562')).toMatchObject({ says: 'voltage' });
    expect(of('C1A00-49')).toMatchObject({ says: 'self', system: 'chassis' });
    expect(of('SPN 629 FMI 12')).toMatchObject({ says: 'self-of-brakes' });
    expect(of('C0031-13')).toMatchObject({ says: null, failure: { meaning: 'open' } });
  });

  test('a dictionary may hold it with its failure type or without', () => {
    expect(of('C0A31-13')?.lookUps).toEqual(['C0A31-13', 'C0A31']);
    expect(of('C0A31')?.lookUps).toEqual(['C0A31']);
    expect(of('4320')).toMatchObject({ lookUps: ['4320'], standard: null });
  });

  test('whatever is written, a code comes out or nothing, and what comes out reads as itself', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 24, unit: 'binary' }), (text) => {
        for (const parsed of parseCode(text)) {
          expect(parsed.code.length).toBeGreaterThan(0);
          expect(parseCode(parsed.code).map(({ code }) => code)).toContain(parsed.code);
        }
      }),
    );
  });
});

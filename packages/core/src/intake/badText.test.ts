import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { decodeText } from '../text/decodeText.ts';
import { BadInput } from '../vocabulary/badInput.ts';
import { IntakeReading } from '../vocabulary/intakeReading.ts';
import { parse } from '../vocabulary/parse.ts';
import { parseDocket } from '../vocabulary/parseDocket.ts';
import { bareIntake } from './context.ts';
import { docketFromReading } from './docketFromReading.ts';
import { readIntake } from './readIntake.ts';

const context = {
  ...bareIntake('2026-11-25'),
  steeringSide: 'left' as const,
  trafficSide: 'right' as const,
  axles: 2,
};

/** Whatever the text: a valid reading that makes a valid docket, its chips pointing at their words. */
const holds = (text: string): void => {
  const reading = parse(IntakeReading, readIntake(text, context));
  parseDocket(JSON.parse(JSON.stringify(docketFromReading(reading, text, 'right'))));
  if (!/^\s*[{[]/.test(text))
    for (const chip of reading.chips) expect(text.slice(chip.start, chip.end)).toBe(chip.words);
};

const WORDS =
  'front rear left right not driver\u2019s n/s/f abs light C0A31-13 C0037 SPN 789 FMI 5 sensor new replaced 3 weeks ago ring cracked plug green , . ; \n \t | - : ( ) 1.2k ohm 215/60 R16 no play VIN { [ "code" active stored'.split(
    /(?<! ) /,
  );

describe('whatever it is given', () => {
  test('random text of any script is read without harm', () => {
    fc.assert(fc.property(fc.string({ unit: 'grapheme', maxLength: 300 }), holds), { numRuns: 400, seed: 5 });
  });

  test('random sequences of words that mean something are read without harm', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(...WORDS), { maxLength: 60 }).map((words) => words.join(' ')),
        holds,
      ),
      { numRuns: 600, seed: 6 },
    );
  });

  test('random JSON is read without harm', () => {
    fc.assert(fc.property(fc.json({ maxDepth: 6 }), holds), { numRuns: 300, seed: 8 });
  });

  test.each([
    ['empty', ''],
    ['blank', ' \n\t \r\n'],
    [
      'right to left',
      '\u05DE\u05E0\u05D5\u05E8\u05EA ABS \u05D3\u05D5\u05DC\u05E7\u05EA front left \u0627\u0644\u0639\u062C\u0644\u0629 C0031-13',
    ],
    ['control characters', 'abs\u0000light\u0007 front\u001Bleft'],
    ['a lone surrogate', 'abs \uD800 light'],
    ['one huge line', 'front left abs light C0A31-13 '.repeat(30_000)],
    ['one huge word', 'a'.repeat(1_000_000)],
    ['a huge number', '9'.repeat(500_000)],
    ['many brackets', '['.repeat(200_000)],
    ['many codes', 'C0031-13 wheel speed sensor front left open active\n'.repeat(20_000)],
    ['many separators', ';;;;,,,,\t\t||'.repeat(50_000)],
  ])('%s', (_, text) => {
    holds(text);
  });

  test('right-to-left text keeps its code and corner', () => {
    const reading = readIntake('\u05DE\u05E0\u05D5\u05E8\u05EA ABS front left C0031-13', context);
    expect(reading.codes[0]?.code).toBe('C0031-13');
    expect(reading.positions[0]?.wheelEnds).toEqual(['A1L']);
  });

  test('a million codes are refused with what to do', () => {
    expect(() => readIntake('C0031-13\n'.repeat(1_000_000), context)).toThrow(
      /at most 1\.1 million are read at once, so cut it in two/,
    );
  });

  test('of thousands of codes the docket keeps those that speak of wheels', () => {
    const noise = Array.from(
      { length: 2000 },
      (_, i) => `B1${String(i % 1000).padStart(3, '0')} Window lifter, active`,
    ).join('\n');
    const docket = docketFromReading(
      readIntake(`${noise}\nC0037-13 Wheel speed sensor rear left, open, active`, context),
      '',
      null,
    );
    expect(docket.codes).toHaveLength(500);
    expect(docket.codes?.[0]?.code).toBe('C0037-13');
  });
});

describe('decodeText', () => {
  const utf16 = (text: string, big: boolean) => {
    const bytes = new Uint8Array(text.length * 2);
    [...text].forEach((letter, i) => {
      const code = letter.charCodeAt(0);
      bytes[2 * i + (big ? 1 : 0)] = code & 255;
      bytes[2 * i + (big ? 0 : 1)] = code >> 8;
    });
    return bytes;
  };
  const WHAT = 'Wheel speed sensor, caf\u00E9 side';

  test.each([
    ['UTF-8', Buffer.from(WHAT, 'utf8')],
    ['UTF-8 with a mark', Buffer.from(`\uFEFF${WHAT}`, 'utf8')],
    ['UTF-16 little end first', utf16(`\uFEFF${WHAT}`, false)],
    ['UTF-16 big end first', utf16(`\uFEFF${WHAT}`, true)],
    ['UTF-16 without a mark', utf16(WHAT, false)],
    ['Latin-1', Buffer.from(WHAT, 'latin1')],
  ])('%s', (_, bytes) => {
    expect(decodeText(bytes)).toBe(WHAT);
  });

  test('bytes that are no text are refused by name', () => {
    const picture = Uint8Array.from({ length: 2000 }, (_, i) => ((i * 37) % 256) & 0x1f);
    expect(() => decodeText(picture, 'photo.png')).toThrow(BadInput);
    expect(() => decodeText(picture, 'photo.png')).toThrow(/photo\.png: is not text/);
  });
});

import { describe, expect, test } from '@jest/globals';
import { parseDocket } from '../vocabulary/parseDocket.ts';
import type { Docket } from '../vocabulary/docket.ts';
import { bareIntake } from './context.ts';
import { docketFromReading } from './docketFromReading.ts';
import { mergeReading } from './mergeReading.ts';
import { readIntake } from './readIntake.ts';

const context = bareIntake('2026-11-26');
const base: Docket = { format: 'hardy-spoke/docket', version: 1 };
const hear = (docket: Docket, words: string): Docket =>
  mergeReading(docket, readIntake(words, context), words);

describe('a docket that is full', () => {
  test('takes further words, and says what it could not keep', () => {
    const full: Docket = {
      ...base,
      positions: Array.from({ length: 50 }, () => ({ text: 'front left', wheelEnds: ['A1L'] })),
      codes: Array.from({ length: 500 }, (_, i) => ({ code: `B1${String(i).padStart(3, '0')}` })),
    };
    const after = hear(full, 'C0037-13 rear left, no play');
    expect(parseDocket(after)).toEqual(after);
    expect(after.codes).toHaveLength(500);
    expect(after.checks).toHaveLength(1);
    expect(after.leftOver?.join('\n')).toMatch(/only 500 are kept.*C0037-13/);
    expect(after.words).toBe('C0037-13 rear left, no play');
  });
});

test.each([
  '99 V at the open plug front left',
  '350 V AC when turned by hand rear right',
  'battery 77 V resting',
  `C0037-13 ${'rear left wheel speed sensor circuit open '.repeat(40)}`,
  'third axle left 1200 ohm',
  `lamp on, ${'no play front left, '.repeat(300)}`,
])('words the reading cannot put on a docket make one all the same: %.40s', (words) => {
  const docket = docketFromReading(readIntake(words, context), words, 'left');
  expect(parseDocket(docket)).toEqual(docket);
  const twoAxles = hear({ ...base, vehicle: { axles: 2 } }, words);
  expect(parseDocket(twoAxles)).toEqual(twoAxles);
  expect(twoAxles.words).toContain(words.slice(0, 200));
});

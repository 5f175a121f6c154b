import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { BadInput } from './badInput.ts';
import { inImperial } from './imperial.ts';
import { centsFrom } from './money.ts';
import { parseDocket } from './parseDocket.ts';

const base = { format: 'hardy-spoke/docket', version: 1 };
const problemOf = (input: unknown): string => {
  try {
    parseDocket(input);
    return 'no problem';
  } catch (error) {
    if (error instanceof BadInput) return error.message;
    throw error;
  }
};

describe('parseDocket', () => {
  test('an empty docket is a docket', () => {
    expect(parseDocket(base)).toEqual(base);
  });

  test.each([
    [[], /a docket is a JSON object/],
    [{}, /^format: /],
    [{ ...base, version: 2 }, /^version: 2 is not 1/],
    [
      { ...base, checks: [{ check: 'wiggle', result: 'steady' }, { check: 'wigle' }] },
      /^checks\[1\]\.check: "wigle" is not a known check; use one of visual\.connector/,
    ],
    [
      { ...base, checks: [{ check: 'visual.ring', result: 'brokn' }] },
      /^checks\[0\]\.result: "brokn" is not known here; use one of sound \| cracked/,
    ],
    [
      { ...base, vehicle: { axles: 2 }, checks: [{ check: 'wiggle', wheelEnd: 'A4L', result: 'steady' }] },
      /^checks\[0\]\.wheelEnd: A4L is on axle 4, but vehicle\.axles is 2/,
    ],
    [{ ...base, vehicle: { axles: 2, wheelEnds: { A3: {} } } }, /^vehicle\.wheelEnds\.A3: A3 is on axle 3/],
    [{ ...base, wheelEnd: 'left' }, /^wheelEnd: "left" is not a wheel end/],
    [{ ...base, vehicle: { buildDate: '2018-13' } }, /^vehicle\.buildDate: "2018-13" is not a date/],
    [{ ...base, symptoms: ['lamp.abc'] }, /^symptoms\[0\]: "lamp\.abc" is not known here/],
    [
      { ...base, history: [{ event: 'sensor-replaced', daysAgo: -1 }] },
      /^history\[0\]\.daysAgo: -1 is too small/,
    ],
    [{ ...base, checks: [{ check: 'meter.resistance', ohms: 'closed' }] }, /^checks\[0\]\.ohms: /],
    [{ ...base, options: { prices: { sensor: -3 } } }, /^options\.prices\.sensor: -3 is too small/],
  ])('%j', (input, wanted) => {
    expect(problemOf(input)).toMatch(wanted);
  });

  test('whatever it is given, it answers with a docket or a problem in one line', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.json().map((text) => JSON.parse(text) as unknown),
          fc.object().map((o) => ({ ...base, ...o })),
        ),
        (input) => {
          expect(problemOf(input)).not.toMatch(/\n/);
        },
      ),
      { numRuns: 500, seed: 11 },
    );
  });
});

describe('money', () => {
  test('a price is read in cents, without fractions', () => {
    expect(['41.50', '41', '41,5', '0.29', '1234567.89'].map(centsFrom)).toEqual([
      4150, 4100, 4150, 29, 123456789,
    ]);
    expect(['', '-3', '1.234', 'a'].map(centsFrom)).toEqual([null, null, null, null]);
  });
});

test('torque in imperial units', () => {
  expect(['110 Nm', '70 Nm + 60 deg', '9 Nm', 'maker\u2019s figure'].map(inImperial)).toEqual([
    '81 lb ft',
    '52 lb ft + 60 deg',
    '6.6 lb ft',
    'maker\u2019s figure',
  ]);
});

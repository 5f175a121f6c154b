import { describe, expect, test } from '@jest/globals';
import { parseDocket } from './parseDocket.ts';
import { mendDocket } from './mendDocket.ts';

const base = { format: 'hardy-spoke/docket', version: 1 };
const problemOf = (input: object): string => {
  try {
    parseDocket({ ...base, ...input });
    return 'no problem';
  } catch (error) {
    return String((error as Error).message);
  }
};

describe('what cannot be on the vehicle is refused with its path', () => {
  const vehicle = { axles: 2 };
  test.each([
    [
      { positions: [{ text: 'third axle', wheelEnds: ['A3L'] }] },
      /^positions\[0\]\.wheelEnds\[0\]: A3L is on axle 3/,
    ],
    [
      {
        chosen: {
          part: 'sensor',
          wheelEnd: 'A2L',
          parts: [{ part: 'sensor', wheelEnd: 'A4L' }],
          priceCents: 1,
          allInMeanCents: 1,
          cures: 0.5,
        },
      },
      /^chosen\.parts\[0\]\.wheelEnd: A4L is on axle 4/,
    ],
    [{ doubts: [{ about: 'play', words: 'loose', wheelEnd: 'A5R' }] }, /^doubts\[0\]\.wheelEnd: A5R/],
    [
      { checks: [{ check: 'tyres', sizes: { A1L: 'banana' } }] },
      /^checks\[0\]\.sizes\.A1L: "banana" is not a tyre size/,
    ],
    [
      { vehicle: { axles: 2, tyres: { A1L: 'banana' } } },
      /^vehicle\.tyres\.A1L: "banana" is not a tyre size/,
    ],
  ])('%j', (rest, wanted) => {
    expect(problemOf({ vehicle, ...rest })).toMatch(wanted);
  });

  test.each([
    '205/55 R16 91V',
    '185R14C',
    '195 R14 C',
    '7.50R16',
    '31x10.50R15',
    'LT245/75R16',
    '385/65 R22.5',
    '11R22.5',
    'ST205/75R14',
  ])('%s is a tyre size', (size) => {
    expect(problemOf({ checks: [{ check: 'tyres', sizes: { A1L: size } }] })).toBe('no problem');
  });
});

test('a field nobody here knows is named and kept in words, not dropped', () => {
  const docket = parseDocket({
    ...base,
    colour: 'red',
    vehicle: { wheels: 4 },
    checks: [{ check: 'wiggle', result: 'steady', by: 'me' }],
  });
  expect(docket.leftOver).toEqual([
    'colour: "red" is not a field of a docket',
    'vehicle.wheels: 4 is not a field of a docket',
    'checks[0].by: "me" is not a field of a docket',
  ]);
  expect(parseDocket(docket)).toEqual(docket);
});

describe('a stored docket', () => {
  test('that is as today is read as it is', () => {
    const docket = { ...base, checks: [{ check: 'wiggle', wheelEnd: 'A1L', result: 'steady' }] };
    expect(mendDocket(docket)).toEqual(docket);
  });

  test('with what is refused today is read without it, and says so', () => {
    const docket = mendDocket({
      ...base,
      vehicle: { axles: 2, tyres: { A1L: 'banana', A1R: '205/55 R16' } },
      symptoms: ['lamp.abs', 'lamp.purple'],
      checks: [
        { check: 'meter.supply', wheelEnd: 'A1L', volts: 99 },
        { check: 'wiggle', wheelEnd: 'A3L', result: 'steady' },
        { check: 'wiggle', wheelEnd: 'A1L', result: 'steady' },
      ],
    });
    expect(docket.vehicle).toEqual({ axles: 2, tyres: { A1R: '205/55 R16' } });
    expect(docket.symptoms).toEqual(['lamp.abs']);
    expect(docket.checks).toEqual([{ check: 'wiggle', wheelEnd: 'A1L', result: 'steady' }]);
    expect(docket.leftOver?.length).toBe(4);
    expect(docket.leftOver?.join('\n')).toMatch(/99 is too large.*meter\.supply/);
  });

  test('that is no docket at all still throws', () => {
    expect(() => mendDocket({ format: 'something else' })).toThrow(/format/);
  });
});

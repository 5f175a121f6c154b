import { describe, expect, test } from '@jest/globals';
import { advise } from '../advice/advise.ts';
import { bareKnowledge } from '../advice/knowledge.ts';
import { bareIntake } from './context.ts';
import { mergeReading } from './mergeReading.ts';
import { docketFromReading } from './docketFromReading.ts';
import { readIntake } from './readIntake.ts';
import type { CatalogueVehicle } from '../vocabulary/catalogue.ts';

const shoal: CatalogueVehicle = {
  id: 'mer-shoal-17',
  make: 'Merrowby',
  model: 'Shoal',
  platform: null,
  kind: 'minibus',
  builtFrom: '2014-02',
  builtTo: '2021-10',
  axles: 2,
  driveline: 'rwd',
  steeringSide: 'left',
  knuckle: 'iron',
  electric: false,
  tyre: null,
  dictionary: 'Merrowby',
  wheelEnds: {},
};
const context = {
  ...bareIntake('2026-11-25'),
  vehicles: [shoal],
  fleet: [
    {
      fleetNumber: 'B-07',
      plate: 'HB 2207',
      vin: null,
      vehicleId: shoal.id,
      buildDate: '2018-03',
      saltExposure: 'some' as const,
      distanceKm: 1,
      note: null,
    },
  ],
};

/* Written after the first attempt and before the second: 6 of 8 at first sight (3 before any), 7 now. */
describe('codes that each have a corner, and people who name one', () => {
  const disagrees = (words: string): boolean =>
    advise(
      docketFromReading(readIntake(words, bareIntake('2026-11-26')), words, null),
      bareKnowledge('2026-11-26'),
    ).conflicts.length > 0;
  test.each([
    ['C0031 left front, C0037 left rear, abs lamp', false],
    ['reader: C0034-13 right front circuit open; C003A-1F right rear intermittent', false],
    ['abs light. codes C0031-13 (front left) and C0034-1F (front right)', false],
    ['customer swears it is rear left, reader says C0031-13 front left and C0034-13 front right', true],
    ['front left says the driver, but the code is C003A-13 rear right', true],
    ['abs on, C0031-2F front left, three codes C0034-2F front right, C0037-2F rear left', false],
    ['C0031-13 front left active, noise from the rear right', true],
  ])('%s: %s', (words, is) => {
    expect(disagrees(words)).toBe(is);
  });

  // Which side the driver sits on is not known: nobody can say that it is another wheel.
  test('without the steering side the driver\u2019s front is asked, not told', () => {
    expect(disagrees('driver\u2019s front, no wait the other front, C0031-13')).toBe(false);
  });
});

describe('readIntake', () => {
  test('codes with a corner each are several corners; a customer who names another still disagrees', () => {
    const both = readIntake('abs light, C0031-13 front left active, C0034-13 front right active', context);
    expect(both.conflicts).toEqual([]);
    expect(both.codes.map(({ wheelEnd }) => wheelEnd)).toEqual(['A1L', 'A1R']);
    const other = readIntake(
      'customer says it is the rear left. C0031-13 front left active, C0034-13 front right active',
      context,
    );
    expect(other.conflicts.map(({ texts }) => texts)).toEqual([['rear left', 'front left']]);
  });

  test('a counter line', () => {
    const reading = readIntake(
      'merrowby 2018 minibus, abs light, C0A31-13 front left, wobbly thing',
      context,
    );
    expect(reading.vehicle).toMatchObject({ catalogueId: 'mer-shoal-17', buildDate: '2018' });
    expect(reading.codes).toEqual([{ module: null, code: 'C0A31-13', text: null, status: null }]);
    expect(reading.symptoms).toEqual(['lamp.abs']);
    expect(reading.positions).toEqual([{ text: 'front left', wheelEnds: ['A1L'], needs: null }]);
    expect(reading.leftOver).toEqual(['wobbly thing']);
  });

  test('a misspelt make, a fleet number, a plate', () => {
    expect(readIntake('merowby minibus', context).vehicle.catalogueId).toBe('mer-shoal-17');
    expect(readIntake('b07 abs light', context).vehicle).toMatchObject({
      catalogueId: 'mer-shoal-17',
      buildDate: '2018-03',
    });
    expect(readIntake('HB2207', context).vehicle.fleetNumber).toBe('B-07');
  });

  test('history and checks, each at the corner named', () => {
    const reading = readIntake(
      'new sensor front left 3 weeks ago, good for a week, same code again. connector is green, meter reads open',
      context,
    );
    expect(reading.history).toEqual([
      { event: 'sensor-replaced', wheelEnd: 'A1L', daysAgo: 21, cured: 'for-a-while', daysUntilReturn: 7 },
    ]);
    expect(reading.checks.map((c) => c.check)).toEqual(['visual.connector', 'meter.resistance']);
  });

  test('a scan report: modules, descriptions, statuses', () => {
    const reading = readIntake(
      'ABS\nC0A37-14  Rear left wheel speed sensor short to ground or open  active\nPark brake\nU0415-81 Invalid data received from anti-lock controller stored\n',
      context,
    );
    expect(reading.codes).toEqual([
      {
        module: 'ABS',
        code: 'C0A37-14',
        text: 'Rear left wheel speed sensor short to ground or open',
        status: 'active',
      },
      {
        module: 'Park brake',
        code: 'U0415-81',
        text: 'Invalid data received from anti-lock controller',
        status: 'stored',
      },
    ]);
  });

  test('every chip shows the words it came from', () => {
    const text = 'merrowby minibus, rear abs light on, 205/55 R16 rear left, 1.2k, no play';
    for (const chip of readIntake(text, context).chips)
      expect(text.slice(chip.start, chip.end)).toBe(chip.words);
  });

  test('further words add to a docket and lose nothing; another corner stands beside the first', () => {
    const first = docketFromReading(
      readIntake('merrowby minibus abs light front left', context),
      'first',
      'right',
    );
    expect(first.wheelEnd).toBe('A1L');
    const more = mergeReading(first, readIntake('connector corroded', context), 'more');
    expect(more).toMatchObject({
      wheelEnd: 'A1L',
      symptoms: ['lamp.abs'],
      checks: [{ check: 'visual.connector', result: 'corroded' }],
      words: 'first\nmore',
    });
    const other = mergeReading(more, readIntake('no, rear right', context), 'other');
    expect(other.wheelEnd).toBeNull();
    expect(other.positions?.map((p) => p.wheelEnds[0])).toEqual(['A1L', 'A2R']);
  });
});

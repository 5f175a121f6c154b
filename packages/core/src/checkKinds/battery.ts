import type { CheckKind } from './checkKind.ts';
import { WHEEL_SIDE } from './wheelSide.ts';

/** Metering the battery. */
export const battery = {
  name: 'battery',
  words: 'test the battery',
  how: [
    'Meter the battery at rest, then while cranking.',
    'Below about 12.2 V at rest or 9.6 V cranking it is weak.',
  ],
  minutes: 4,
  setup: null,
  speaksOf: 'supply',
  lifts: false,
  driven: false,
  needs: ['not-a-trailer'],
  between: ', ',
  fields: {
    restingVolts: {
      is: 'number',
      least: 0,
      most: 60,
      unit: 'V',
      ask: 'at rest',
      shown: '{} V',
      optional: true,
    },
    crankingVolts: {
      is: 'number',
      least: 0,
      most: 60,
      unit: 'V',
      ask: 'cranking',
      shown: '{} V cranking',
      optional: true,
    },
  },
  results: {},
  amounts: {
    good: 'not the supply',
    weak: 'charge, clear and read again first',
  },
  computed: true,
  tables: {
    battery: {
      sound: 'good',
      nothing: {
        good: 0.93,
        weak: 0.07,
      },
      rows: {
        supply: [
          'A weak battery or charging fault.',
          {
            good: 0.12,
            weak: 0.88,
          },
        ],
      },
      unmoved: ['sensor', 'sender', 'joint', 'loom', 'wrong-sensor', 'wrong-target', ...WHEEL_SIDE],
    },
  },
  limits: {
    'battery.resting': [12.2, 'V', [11, 13], 'Resting below this a battery is weak (12 V system).'],
    'battery.cranking': [9.6, 'V', [7, 11], 'Cranking below this a battery is weak (12 V system).'],
  },
} as const satisfies CheckKind;

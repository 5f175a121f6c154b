import type { CheckKind } from './checkKind.ts';
import { WHEEL_SIDE } from './wheelSide.ts';

/** Metering the supply of an active sensor at the open plug. */
export const meterSupply = {
  name: 'meter.supply',
  words: 'meter the supply at the open plug',
  how: [
    'Plug open, key on, meter between the two pins on the vehicle side.',
    'Expect about 5 V to battery voltage.',
  ],
  minutes: 3,
  setup: 'plug',
  speaksOf: 'wheel',
  lifts: true,
  driven: false,
  needs: ['active'],
  after: ['visual.connector'],
  fields: {
    volts: {
      is: 'number',
      least: -1,
      most: 60,
      unit: 'V',
      ask: 'at the open plug',
      shown: '{} V',
    },
  },
  results: {},
  amounts: {
    present: 'the loom feeds the sensor',
    low: 'a bad joint on the way',
    absent: 'the loom or the controller is bad',
  },
  computed: true,
  tables: {
    'meter.supply': {
      sound: 'present',
      nothing: {
        present: 0.985,
        low: 0.01,
        absent: 0.005,
      },
      rows: {
        loom: [
          'No supply reaches the plug.',
          {
            present: 0.3,
            low: 0.15,
            absent: 0.55,
          },
        ],
        joint: [
          'A bad pin on the way.',
          {
            present: 0.4,
            low: 0.2,
            absent: 0.4,
          },
        ],
        module: [
          'The controller does not feed the sensor.',
          {
            present: 0.4,
            low: 0.1,
            absent: 0.5,
          },
        ],
        supply: [
          'Everything is low.',
          {
            present: 0.7,
            low: 0.28,
            absent: 0.02,
          },
        ],
      },
      unmoved: ['sensor', 'sender', 'wrong-sensor', 'wrong-target', ...WHEEL_SIDE],
    },
  },
  limits: {
    'supply.present': [4.5, 'V', [2, 12], 'Active supply at the open plug is about 5 V to battery voltage.'],
    'supply.absent': [1, 'V', [0, 4], 'Below this nothing feeds the sensor.'],
  },
} as const satisfies CheckKind;

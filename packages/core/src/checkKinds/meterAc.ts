import type { CheckKind } from './checkKind.ts';

/** Metering the AC output of a passive sensor turned by hand. */
export const meterAc = {
  name: 'meter.ac',
  words: 'meter the AC output by hand',
  how: [
    'Plug open, meter on AC across the sensor, turn the wheel by hand once a second.',
    'Expect at least about 0.1 V.',
  ],
  minutes: 4,
  setup: 'plug',
  speaksOf: 'wheel',
  lifts: true,
  driven: false,
  needs: ['passive'],
  after: ['visual.connector'],
  fields: {
    volts: {
      is: 'number',
      least: 0,
      most: 200,
      unit: 'V',
      ask: 'AC',
      shown: '{} V',
    },
    turnsPerSecond: {
      is: 'number',
      least: 0,
      most: 50,
      unit: 'turns/s',
      ask: 'turned by hand',
      shown: '',
      optional: true,
      start: '1',
    },
  },
  results: {},
  amounts: {
    good: 'sensor and ring work',
    weak: 'the gap or the ring is in doubt',
    none: 'the sensor is dead',
  },
  computed: true,
  tables: {
    'meter.ac': {
      sound: 'good',
      nothing: {
        good: 0.95,
        weak: 0.04,
        none: 0.01,
      },
      rows: {
        sensor: [
          'A dead coil makes nothing.',
          {
            good: 0.12,
            weak: 0.2,
            none: 0.68,
          },
        ],
        sender: [
          'A dead coil makes nothing.',
          {
            good: 0.12,
            weak: 0.2,
            none: 0.68,
          },
        ],
        ring: [
          'A cracked ring still makes AC; a loose or rotted one makes less.',
          {
            good: 0.55,
            weak: 0.3,
            none: 0.15,
          },
        ],
        bearing: [
          'The gap breathes.',
          {
            good: 0.7,
            weak: 0.25,
            none: 0.05,
          },
        ],
        seating: [
          'A wide gap makes little.',
          {
            good: 0.2,
            weak: 0.65,
            none: 0.15,
          },
        ],
        'wrong-sensor': [
          'A sensor of another kind may make too little.',
          {
            good: 0.4,
            weak: 0.35,
            none: 0.25,
          },
        ],
        'wrong-target': [
          'Another ring may pass too far away.',
          {
            good: 0.6,
            weak: 0.3,
            none: 0.1,
          },
        ],
      },
      unmoved: ['encoder', 'joint', 'loom', 'tyre', 'none-present'],
    },
  },
  limits: {
    'ac.good': [0.1, 'V', [0.01, 1], 'At least about 0.1 V AC at one turn a second by hand. Rule of thumb.'],
    'ac.threshold': [
      0.1,
      'V',
      [0.02, 1],
      'Signal a controller needs from a passive sensor to count teeth. Rule of thumb.',
    ],
    'gap.usual': [0.8, 'mm', [0.2, 2], 'Air gap of a sound sensor: about 0.3 to 1.2 mm. Rule of thumb.'],
    'ac.slowest-turn': [
      0.2,
      'turns/s',
      [0.05, 1],
      'Turned slower than this by hand, the reading is not brought up any further.',
    ],
    'ac.none': [0.02, 'V', [0, 0.1], 'Below this there is no signal.'],
  },
} as const satisfies CheckKind;

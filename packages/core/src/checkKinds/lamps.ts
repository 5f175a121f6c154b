import type { CheckKind } from './checkKind.ts';

/** Looking which lamps are lit now. */
export const lamps = {
  name: 'lamps',
  words: 'look which lamps are lit now',
  how: [
    'Key on, engine running: which lamps stay lit?',
    'Ask whether they went out by themselves or after clearing.',
  ],
  minutes: 1,
  setup: null,
  speaksOf: 'wheel',
  lifts: false,
  driven: false,
  needs: null,
  fields: {
    result: {
      is: 'result',
    },
  },
  results: {
    on: 'the fault is there now',
    'out-by-itself': 'it comes and goes, or it is over',
    'out-after-clearing': 'it was over, or it has not come back yet',
  },
  tellsHowItStands: true,
  computed: false,
  tables: {
    lamps: {
      sound: 'out-by-itself',
      nothing: {
        on: 0.3,
        'out-by-itself': 0.3,
        'out-after-clearing': 0.4,
      },
      rows: {
        sensor: [
          'A dead sensor keeps the lamp lit.',
          {
            on: 0.9,
            'out-by-itself': 0.05,
            'out-after-clearing': 0.05,
          },
        ],
        sender: [
          'As a sensor.',
          {
            on: 0.88,
            'out-by-itself': 0.06,
            'out-after-clearing': 0.06,
          },
        ],
        joint: [
          'It comes and goes.',
          {
            on: 0.62,
            'out-by-itself': 0.28,
            'out-after-clearing': 0.1,
          },
        ],
        loom: [
          'It comes and goes at times.',
          {
            on: 0.75,
            'out-by-itself': 0.17,
            'out-after-clearing': 0.08,
          },
        ],
        ring: [
          'Out until the wheel turns.',
          {
            on: 0.6,
            'out-by-itself': 0.22,
            'out-after-clearing': 0.18,
          },
        ],
        encoder: [
          'Out until the wheel turns.',
          {
            on: 0.65,
            'out-by-itself': 0.2,
            'out-after-clearing': 0.15,
          },
        ],
        bearing: [
          'It comes and goes.',
          {
            on: 0.5,
            'out-by-itself': 0.3,
            'out-after-clearing': 0.2,
          },
        ],
        seating: [
          'Out until the wheel turns.',
          {
            on: 0.6,
            'out-by-itself': 0.24,
            'out-after-clearing': 0.16,
          },
        ],
        tyre: [
          'Out until it is driven a while.',
          {
            on: 0.55,
            'out-by-itself': 0.25,
            'out-after-clearing': 0.2,
          },
        ],
        'wrong-sensor': [
          'Lit from the start.',
          {
            on: 0.88,
            'out-by-itself': 0.05,
            'out-after-clearing': 0.07,
          },
        ],
        'wrong-target': [
          'Lit from the start.',
          {
            on: 0.85,
            'out-by-itself': 0.06,
            'out-after-clearing': 0.09,
          },
        ],
        'none-present': [
          'A past event leaves the lamp out.',
          {
            on: 0.05,
            'out-by-itself': 0.5,
            'out-after-clearing': 0.45,
          },
        ],
        module: [
          'A failed controller keeps it lit.',
          {
            on: 0.92,
            'out-by-itself': 0.04,
            'out-after-clearing': 0.04,
          },
        ],
        supply: [
          'Out once the voltage is back.',
          {
            on: 0.4,
            'out-by-itself': 0.4,
            'out-after-clearing': 0.2,
          },
        ],
      },
      unmoved: [],
    },
  },
} as const satisfies CheckKind;

import type { CheckKind } from './checkKind.ts';

/** Spinning the wheel and listening. */
export const bearingNoise = {
  name: 'bearing.noise',
  words: 'spin the wheel and listen',
  how: [
    'Wheel clear of the ground on stands, spin it with a hand on the spring.',
    'A growl you can feel is the bearing.',
  ],
  minutes: 2,
  setup: 'wheel',
  speaksOf: 'wheel',
  lifts: true,
  driven: false,
  needs: ['wheel'],
  fields: {
    result: {
      is: 'result',
    },
  },
  results: {
    none: 'points away from the bearing',
    growl: 'the bearing is worn',
  },
  worst: ['none', 'growl'],
  computed: false,
  tables: {
    'bearing.noise': {
      sound: 'none',
      nothing: {
        none: 0.95,
        growl: 0.05,
      },
      rows: {
        bearing: [
          'Most worn bearings growl when spun.',
          {
            none: 0.25,
            growl: 0.75,
          },
        ],
        ring: [
          'A ring that rubs is taken for a growl.',
          {
            none: 0.9,
            growl: 0.1,
          },
        ],
        tyre: [
          'A worn tyre hums.',
          {
            none: 0.88,
            growl: 0.12,
          },
        ],
      },
      unmoved: [
        'sensor',
        'encoder',
        'joint',
        'loom',
        'seating',
        'wrong-sensor',
        'wrong-target',
        'sender',
        'none-present',
      ],
    },
  },
} as const satisfies CheckKind;

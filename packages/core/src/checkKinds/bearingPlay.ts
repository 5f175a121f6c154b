import type { CheckKind } from './checkKind.ts';

/** Rocking the wheel for play. */
export const bearingPlay = {
  name: 'bearing.play',
  words: 'rock the wheel for play',
  how: [
    'Wheel clear of the ground on stands, hold it at twelve and six and rock it.',
    'Any knock you can feel is play; compare with the other side.',
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
    slight: 'the bearing is in doubt',
    clear: 'stop driving: hub first',
  },
  worst: ['none', 'slight', 'clear'],
  computed: false,
  tables: {
    'bearing.play': {
      sound: 'none',
      nothing: {
        none: 0.954,
        slight: 0.045,
        clear: 0.001,
      },
      rows: {
        bearing: [
          'A bearing that disturbs the signal mostly moves in the hand.',
          {
            none: 0.2,
            slight: 0.35,
            clear: 0.45,
          },
        ],
      },
      unmoved: [
        'sensor',
        'ring',
        'encoder',
        'joint',
        'loom',
        'seating',
        'tyre',
        'wrong-sensor',
        'wrong-target',
        'sender',
        'none-present',
      ],
    },
  },
} as const satisfies CheckKind;

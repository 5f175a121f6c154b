import type { CheckKind } from './checkKind.ts';

/** Counting the teeth of the ring. */
export const ringTeeth = {
  name: 'ring.teeth',
  words: 'count the teeth of the ring',
  how: [
    'Mark one tooth with chalk, turn the hub and count every tooth or slot until the mark is back.',
    'Count the ring across the axle too: the two must agree.',
  ],
  minutes: 8,
  setup: 'wheel',
  speaksOf: 'wheel',
  lifts: true,
  driven: false,
  needs: ['ring-seen'],
  fields: {
    counted: {
      is: 'count',
      least: 4,
      most: 400,
      unit: 'teeth',
      ask: 'teeth counted',
      shown: '{}',
    },
    expected: {
      is: 'count',
      least: 4,
      most: 400,
      unit: 'teeth',
      ask: 'across the axle, or by the book',
      shown: 'for {}',
    },
  },
  results: {},
  amounts: {
    match: 'the ring is the right one',
    differ: 'a ring of the wrong kind was fitted',
  },
  computed: true,
  tables: {
    'ring.teeth': {
      sound: 'match',
      nothing: {
        match: 0.999,
        differ: 0.001,
      },
      rows: {
        'wrong-target': [
          'A wrong ring has another count.',
          {
            match: 0.08,
            differ: 0.92,
          },
        ],
        ring: [
          'A broken tooth is taken for a gap now and then.',
          {
            match: 0.94,
            differ: 0.06,
          },
        ],
      },
      unmoved: [
        'sensor',
        'encoder',
        'bearing',
        'joint',
        'loom',
        'seating',
        'tyre',
        'wrong-sensor',
        'sender',
        'none-present',
      ],
    },
  },
} as const satisfies CheckKind;

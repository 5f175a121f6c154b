import type { CheckKind } from './checkKind.ts';

/** Looking at the tone ring. */
export const visualRing = {
  name: 'visual.ring',
  words: 'look at the tone ring',
  how: [
    'Wheel off, turn the hub slowly and look at every tooth with a lamp.',
    'A crack shows as one wide gap; rust lifts the ring off its seat.',
  ],
  minutes: 4,
  setup: 'wheel',
  speaksOf: 'wheel',
  lifts: true,
  driven: false,
  needs: ['ring-seen'],
  fields: {
    result: {
      is: 'result',
    },
  },
  results: {
    sound: 'points away from the ring',
    cracked: 'the ring is bad',
    loose: 'the ring is bad',
    'missing-teeth': 'the ring is bad',
    rusted: 'gap or ring in doubt',
    dirty: 'clean it and try again',
    'not-visible': '',
  },
  silent: ['not-visible'],
  computed: false,
  looks: {
    ring: {
      results: {
        cracked: 'cracked',
        broken: 'cracked',
        'in-pieces': 'cracked',
        snapped: 'cracked',
        'missing-teeth': 'missing-teeth',
        missing: 'missing-teeth',
        rusted: 'rusted',
        corroded: 'rusted',
        dirty: 'dirty',
        metal: 'dirty',
        loose: 'loose',
      },
      alone: ['missing-teeth'],
    },
    teeth: {
      results: {
        cracked: 'cracked',
        broken: 'missing-teeth',
        snapped: 'missing-teeth',
        'missing-teeth': 'missing-teeth',
        missing: 'missing-teeth',
        rusted: 'rusted',
        corroded: 'rusted',
        dirty: 'dirty',
        metal: 'dirty',
        loose: 'loose',
      },
      alone: [],
    },
  },
  tables: {
    'visual.ring': {
      sound: 'sound',
      nothing: {
        sound: 0.81,
        cracked: 0.001,
        loose: 0.001,
        'missing-teeth': 0.001,
        rusted: 0.1,
        dirty: 0.087,
      },
      rows: {
        ring: [
          'A bad ring mostly shows it to the eye.',
          {
            sound: 0.12,
            cracked: 0.4,
            loose: 0.12,
            'missing-teeth': 0.14,
            rusted: 0.17,
            dirty: 0.05,
          },
        ],
        seating: [
          'Rust under the ring or dirt in the gap.',
          {
            sound: 0.42,
            cracked: 0.001,
            loose: 0.004,
            'missing-teeth': 0.001,
            rusted: 0.3,
            dirty: 0.274,
          },
        ],
        'wrong-target': [
          'The wrong ring looks sound, or sits loose.',
          {
            sound: 0.9,
            cracked: 0.001,
            loose: 0.02,
            'missing-teeth': 0.001,
            rusted: 0.045,
            dirty: 0.033,
          },
        ],
      },
      unmoved: [
        'sensor',
        'encoder',
        'bearing',
        'joint',
        'loom',
        'tyre',
        'wrong-sensor',
        'sender',
        'none-present',
      ],
    },
  },
} as const satisfies CheckKind;

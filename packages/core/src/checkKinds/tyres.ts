import type { CheckKind } from './checkKind.ts';

/** Comparing the tyre sizes across each axle. */
export const tyres = {
  name: 'tyres',
  words: 'compare the tyre sizes',
  how: [
    'Read the size on the sidewall at all wheels, and the pressures.',
    'All four must be alike across each axle.',
  ],
  minutes: 4,
  setup: null,
  speaksOf: 'tyres',
  lifts: false,
  driven: false,
  needs: ['tyres-not-known'],
  fields: {
    sizes: {
      is: 'sizes',
    },
  },
  results: {},
  amounts: {
    match: 'not the size',
    differ: 'the tyre is the cause',
  },
  computed: true,
  tables: {
    tyres: {
      sound: 'match',
      nothing: {
        match: 0.996,
        differ: 0.004,
      },
      rows: {
        tyre: [
          'Mostly the size; wear and pressure otherwise.',
          {
            match: 0.35,
            differ: 0.65,
          },
        ],
      },
      unmoved: [
        'sensor',
        'ring',
        'encoder',
        'bearing',
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
  limits: {
    'tyres.differ-percent': [
      3,
      '%',
      [1, 10],
      'Stability systems object at roughly 3-5 % between the wheels of one axle. Rule of thumb.',
    ],
    'tyres.ratio-slack-percent': [
      1.5,
      '%',
      [0.1, 5],
      'Wear and pressure explain a difference up to about 1-2 %; a measured ratio within this of the sizes is explained by them.',
    ],
    'tyres.explained.tyre': [
      6,
      'times',
      [1, 100],
      'A measured ratio that the sizes explain points to the tyre this much more.',
    ],
    'tyre.rolling': [
      0.965,
      'times',
      [0.93, 1],
      'Rolling circumference over pi times the diameter of a tyre that carries its load: 0.96 to 0.97. Rule of thumb.',
    ],
  },
} as const satisfies CheckKind;

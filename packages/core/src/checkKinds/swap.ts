import type { CheckKind } from './checkKind.ts';

/** Swapping the sensor across the axle. */
export const swap = {
  name: 'swap',
  words: 'swap left and right',
  how: [
    'Swap the sensor with the other side of the axle, clear the code and drive.',
    'Only where both sides take the same sensor and both come out freely.',
  ],
  minutes: 45,
  setup: null,
  draws: 1.8,
  speaksOf: 'wheel',
  lifts: true,
  driven: false,
  needs: ['separate'],
  fields: {
    with: {
      is: 'wheel',
      optional: true,
    },
    result: {
      is: 'result',
    },
  },
  results: {
    'fault-stayed': 'not the sensor',
    'fault-followed': 'the sensor is bad',
  },
  computed: false,
  said: {
    'fault-followed':
      'fault followed|fault moved|fault moved with it|fault moved with the sensor|fault moved to the other side|fault follows the sensor|fault went with it|moved with the sensor|fault followed it|it moved with the sensor|fault went across|the fault moved across|code moved|code followed|fault follows|moved across with it|followed the sensor|fault moved over|fault swapped sides|fault has moved|code moved across',
    'fault-stayed':
      'fault stayed|fault stayed put|fault stayed where it was|fault did not move|fault stayed on the same side|fault stays|fault didnt move|code stayed|code stayed put|stayed where it was|fault is still on the same side|fault stays put|fault remained',
  },
  tables: {
    swap: {
      sound: 'fault-stayed',
      nothing: {
        'fault-stayed': 0.96,
        'fault-followed': 0.04,
      },
      rows: {
        sensor: [
          'A bad sensor takes its fault along.',
          {
            'fault-stayed': 0.05,
            'fault-followed': 0.95,
          },
        ],
        sender: [
          'As a sensor.',
          {
            'fault-stayed': 0.05,
            'fault-followed': 0.95,
          },
        ],
        'wrong-sensor': [
          'A wrong sensor is wrong on the other side too.',
          {
            'fault-stayed': 0.12,
            'fault-followed': 0.88,
          },
        ],
        seating: [
          'Taking it out cleans it.',
          {
            'fault-stayed': 0.75,
            'fault-followed': 0.25,
          },
        ],
      },
      unmoved: ['ring', 'encoder', 'bearing', 'joint', 'loom', 'tyre', 'wrong-target', 'none-present'],
    },
  },
} as const satisfies CheckKind;

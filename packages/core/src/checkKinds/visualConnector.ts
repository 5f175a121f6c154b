import type { CheckKind } from './checkKind.ts';
import { WHEEL_SIDE } from './wheelSide.ts';

/** Looking into the plug in the arch. */
export const visualConnector = {
  name: 'visual.connector',
  words: 'look inside the connector',
  how: [
    'Follow the lead to its plug, unlock it and look into both halves with a lamp.',
    'Green or white powder, a pin pushed back, a broken lock, an old splice.',
  ],
  minutes: 2,
  setup: 'plug',
  speaksOf: 'wheel',
  lifts: true,
  driven: false,
  needs: ['joint-not-fresh'],
  fields: {
    result: {
      is: 'result',
    },
  },
  results: {
    sound: 'points away from the joint',
    corroded: 'the joint is bad',
    'broken-lock': 'the joint is in doubt',
    'loose-pins': 'the joint is bad',
    'earlier-repair': 'the joint is in doubt',
    'shell-broken': 'the joint is bad',
  },
  computed: false,
  looks: {
    plug: {
      results: {
        cracked: 'shell-broken',
        broken: 'shell-broken',
        'in-pieces': 'shell-broken',
        snapped: 'shell-broken',
        rusted: 'corroded',
        corroded: 'corroded',
        green: 'corroded',
        wet: 'corroded',
        chafed: 'corroded',
        cut: 'shell-broken',
        'broken-lock': 'broken-lock',
        'loose-pins': 'loose-pins',
        'earlier-repair': 'earlier-repair',
        loose: 'loose-pins',
      },
      alone: ['green', 'broken-lock'],
    },
  },
  tables: {
    'visual.connector': {
      sound: 'sound',
      nothing: {
        sound: 0.88,
        corroded: 0.05,
        'broken-lock': 0.035,
        'loose-pins': 0.008,
        'earlier-repair': 0.026,
        'shell-broken': 0.001,
      },
      rows: {
        joint: [
          'The joint in the arch mostly shows what is wrong with it.',
          {
            sound: 0.15,
            corroded: 0.5,
            'broken-lock': 0.07,
            'loose-pins': 0.14,
            'earlier-repair': 0.1,
            'shell-broken': 0.04,
          },
        ],
        loom: [
          'Damp that reached the loom is often seen at the plug.',
          {
            sound: 0.72,
            corroded: 0.14,
            'broken-lock': 0.05,
            'loose-pins': 0.015,
            'earlier-repair': 0.07,
            'shell-broken': 0.005,
          },
        ],
        'wrong-sensor': [
          'A part of another keying forced in.',
          {
            sound: 0.7,
            corroded: 0.05,
            'broken-lock': 0.1,
            'loose-pins': 0.08,
            'earlier-repair': 0.06,
            'shell-broken': 0.01,
          },
        ],
      },
      unmoved: ['sensor', 'sender', 'wrong-target', ...WHEEL_SIDE],
    },
  },
} as const satisfies CheckKind;

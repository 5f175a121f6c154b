import type { CheckKind } from './checkKind.ts';
import { WHEEL_SIDE } from './wheelSide.ts';

/** Looking along the loom. */
export const visualHarness = {
  name: 'visual.harness',
  words: 'look along the loom',
  how: [
    'Follow the loom from the plug to where it enters the body, bending it as you go.',
    'Look at clips, at the strut and where it passes metal.',
  ],
  minutes: 5,
  setup: 'wheel',
  speaksOf: 'wheel',
  lifts: true,
  driven: false,
  needs: [],
  fields: {
    result: {
      is: 'result',
    },
  },
  results: {
    sound: 'says little',
    chafed: 'the loom is bad',
    cut: 'the loom is bad',
    corroded: 'the loom is bad',
    'earlier-repair': 'the loom is in doubt',
  },
  computed: false,
  looks: {
    loom: {
      results: {
        cracked: 'chafed',
        broken: 'cut',
        snapped: 'cut',
        rusted: 'corroded',
        corroded: 'corroded',
        green: 'corroded',
        wet: 'corroded',
        rubbed: 'chafed',
        chafed: 'chafed',
        cut: 'cut',
        'earlier-repair': 'earlier-repair',
      },
      alone: ['chafed', 'earlier-repair'],
    },
  },
  tables: {
    'visual.harness': {
      sound: 'sound',
      nothing: {
        sound: 0.932,
        chafed: 0.02,
        cut: 0.001,
        corroded: 0.017,
        'earlier-repair': 0.03,
      },
      rows: {
        loom: [
          'Seen where the loom bends or is clipped; the rest hides.',
          {
            sound: 0.3,
            chafed: 0.28,
            cut: 0.16,
            corroded: 0.14,
            'earlier-repair': 0.12,
          },
        ],
        joint: [
          'A bad joint shows beside it now and then.',
          {
            sound: 0.86,
            chafed: 0.03,
            cut: 0.002,
            corroded: 0.06,
            'earlier-repair': 0.048,
          },
        ],
      },
      unmoved: ['sensor', 'sender', 'wrong-sensor', 'wrong-target', ...WHEEL_SIDE],
    },
  },
} as const satisfies CheckKind;

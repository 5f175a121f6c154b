import type { CheckKind } from './checkKind.ts';
import { WHEEL_SIDE } from './wheelSide.ts';

/** Moving lead, plug and loom while the signal is watched. */
export const wiggle = {
  name: 'wiggle',
  words: 'wiggle the lead',
  how: [
    'Watch the live speed or the meter while a helper moves lead, plug and loom.',
    'Bend each few centimetres, then tap the plug.',
  ],
  minutes: 6,
  setup: null,
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
    steady: 'says little',
    changes: 'a joint or a conductor is broken',
  },
  computed: false,
  said: {
    changes:
      'wiggled|wiggle|wiggling|wiggled it|when wiggled|when i wiggle it|when moved|wiggle it|when i move it|waggle|waggled|when i wiggle|moving the lead|move the lead|when i move the lead|wiggle test|bending the lead|touch the lead|when touched|flexing the lead|tugging the lead|touching the lead|touching it|touching the plug|moving it|moving the plug|wiggling it|wiggling the lead|wiggling the plug|bending it|pulling the lead|pulling on the lead|pressing the plug|when bent|when flexed',
  },
  tables: {
    wiggle: {
      sound: 'steady',
      nothing: {
        steady: 0.985,
        changes: 0.015,
      },
      rows: {
        joint: [
          'Most bad joints answer to being moved.',
          {
            steady: 0.4,
            changes: 0.6,
          },
        ],
        loom: [
          'A clean break does not answer, a chafed lead does.',
          {
            steady: 0.65,
            changes: 0.35,
          },
        ],
        sensor: [
          'A broken conductor in the moulded lead answers now and then.',
          {
            steady: 0.86,
            changes: 0.14,
          },
        ],
        sender: [
          'A broken pigtail answers now and then.',
          {
            steady: 0.86,
            changes: 0.14,
          },
        ],
      },
      unmoved: ['wrong-sensor', 'wrong-target', ...WHEEL_SIDE],
    },
  },
} as const satisfies CheckKind;

import type { CheckKind } from './checkKind.ts';

/** Looking at the brake fluid. */
export const brakeFluid = {
  name: 'brake.fluid',
  words: 'look at the brake fluid',
  how: [
    'Before anything is driven: read the level at the reservoir, then look at each wheel and along the pipes for wet.',
    'Low without a leak is worn pads: measure them. Then the pedal, and the park brake.',
  ],
  minutes: 1,
  setup: null,
  speaksOf: 'brakes',
  lifts: false,
  driven: false,
  needs: null,
  fields: {
    result: {
      is: 'result',
    },
  },
  results: {
    full: 'look at pads and park brake, then at the wheel speeds',
    low: 'do not drive: worn pads or a leak',
    leaking: 'do not drive: a workshop, now',
  },
  worst: ['full', 'low', 'leaking'],
  computed: false,
  tables: {},
} as const satisfies CheckKind;

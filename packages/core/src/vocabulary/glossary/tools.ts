import { sketch, type GlossaryEntry } from './glossaryEntry.ts';

/** Tools. */
export const TOOL_WORDS: readonly GlossaryEntry[] = [
  {
    term: 'ohmmeter',
    also: ['meter', 'resistance', 'multimeter'],
    kind: 'tool',
    lines: [
      'Judges a coil when the plug is off: within the range for its temperature.',
      'Cold copper has less, warm copper more: 0.39 % a degree.',
      'On the k range the figure is in thousands; OL is open.',
    ],
    drawing: sketch('meter'),
  },
  {
    term: 'caliper',
    also: ['vernier'],
    kind: 'tool',
    lines: [
      'Tells look-alikes apart: tip, reach, bolt hole.',
      'Wipe the part, close on it lightly, read it twice.',
      'A tenth of a millimetre matters at the tip, not at the lead.',
    ],
    drawing: sketch('caliper'),
  },
  {
    term: 'torque wrench',
    also: ['torque'],
    kind: 'tool',
    lines: [
      'Hub nut and wheel bolts are tightened to the maker\u2019s figure, not by feel.',
      'Wheel bolts again after the first kilometres the maker says.',
      'A hub run in with a loose nut is ruined.',
    ],
    drawing: sketch('wrench'),
  },
  {
    term: 'reader',
    also: ['scan tool', 'code reader'],
    kind: 'tool',
    lines: [
      'Asks controllers for their codes and live values.',
      'Many cheap ones reach the engine alone: they never see a wheel speed.',
      'Read every controller, and write down which answered.',
    ],
    drawing: sketch('reader'),
  },
];

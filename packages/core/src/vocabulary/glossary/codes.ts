import { sketch, type GlossaryEntry } from './glossaryEntry.ts';

/** Words of codes. */
export const CODE_WORDS: readonly GlossaryEntry[] = [
  {
    term: 'root',
    also: ['root code'],
    kind: 'code',
    lines: [
      'The code of what is really wrong, in the controller that measures it.',
      'For a wheel speed that is the brake controller.',
      'All others may be echoes of it.',
    ],
    drawing: sketch('one line'),
  },
  {
    term: 'echo',
    also: ['knock-on', 'echoes'],
    kind: 'code',
    lines: [
      'Another controller says that it misses what the brakes should tell it.',
      'It goes when the root goes: nothing is sold for it.',
      'Echoes alone mean that the brakes were not read yet.',
    ],
    drawing: sketch('echo'),
  },
  {
    term: 'failure byte',
    also: ['failure type', 'sub-code'],
    kind: 'code',
    lines: [
      'The two figures after the code say how it failed (SAE J2012): 13 is open, 11 shorted to ground.',
      'Open and shorted are seen standing; erratic and no signal only when it turns.',
      'It tells sensor and wiring from ring and bearing.',
    ],
    drawing: sketch('one line'),
  },
  {
    term: 'SPN',
    also: ['FMI'],
    kind: 'code',
    lines: [
      'Codes of trucks and trailers (SAE J1939): SPN says what, FMI says how.',
      'SPN 789 to 794 are the wheel speeds of axles one to three, left before right.',
      'FMI 5 is open, 4 shorted low, 2 comes and goes.',
    ],
    drawing: sketch('lines'),
  },
];

import { look, sketch, type GlossaryEntry } from './glossaryEntry.ts';

/** Words of the counter. */
export const COUNTER_WORDS: readonly GlossaryEntry[] = [
  {
    term: 'corner',
    also: ['wheel end'],
    kind: 'word',
    lines: [
      'One wheel with all that belongs to it: front left is left as one sits in it.',
      'Every part is for one corner: settle it before selling.',
      'Who stands before the vehicle and points has it mirrored.',
    ],
    drawing: sketch('corner'),
  },
  {
    term: 'nearside',
    also: ['kerb side'],
    kind: 'word',
    lines: [
      'The side of the kerb: left where one drives on the left, right where one drives on the right.',
      'It changes with the country, not with the steering wheel.',
      'Ask which side of the road if a vehicle came over by ferry.',
    ],
    drawing: sketch('road'),
  },
  {
    term: 'offside',
    also: ['road side'],
    kind: 'word',
    lines: [
      'The side of the oncoming traffic: the other one than nearside.',
      'Mostly, not always, the driver\u2019s side.',
      'Say front left or front right on the order, never offside.',
    ],
    drawing: sketch('road'),
  },
  {
    term: 'air gap',
    also: ['gap'],
    kind: 'word',
    lines: [
      'Between the sensor\u2019s tip and its target: about a millimetre, and not to be set by hand on most.',
      'Rust under the foot widens it: lost when slow, there when fast.',
      'Cleaning the bore costs nothing and cures that.',
    ],
    drawing: look('visual.sensor', 'corroded'),
  },
  {
    term: 'once a turn',
    also: ['once-per-turn', 'once per turn'],
    kind: 'word',
    lines: [
      'The speed dips at the same place of every turn.',
      'One bad place on the target: a crack, a lost tooth, a damaged pole.',
      'The sensor is sound: it shows what passes it.',
    ],
    drawing: look('visual.ring', 'cracked'),
  },
  {
    term: 'seized',
    also: ['seizure', 'rusted in', 'snapped'],
    kind: 'word',
    lines: [
      'A sensor rusted into its bore: salt and iron do it.',
      'Soak it the day before, turn it, do not pull by its lead.',
      'Say before what a snapped one costs: drilling, or the hub.',
    ],
    drawing: look('visual.sensor', 'broken'),
  },
  {
    term: 'comeback',
    also: ['came back', 'back again'],
    kind: 'word',
    lines: [
      'The vehicle is back with the same complaint.',
      'It costs a second visit, a second strip-down, and the customer\u2019s trust.',
      'Meter what was fitted before another is sold.',
    ],
    drawing: sketch('again'),
  },
  {
    term: 'core deposit',
    also: ['core', 'deposit', 'exchange part'],
    kind: 'word',
    lines: [
      'Paid with a part, paid back when the old one comes in.',
      'Write it on the order as a line of its own.',
      'The old one must be whole: do not cut it out.',
    ],
    drawing: sketch('money'),
  },
  {
    term: 'companion',
    also: ['goes along', 'companions'],
    kind: 'word',
    lines: [
      'What a job needs beside the part: nut, bolt, seal, paste, clips.',
      'Left out, the vehicle stands on the ramp for a nut.',
      'What is renewed each time is said on the order.',
    ],
    drawing: sketch('together'),
  },
];

import { count, length, look } from './partFigure.ts';
import type { PartKind } from './partKind.ts';
import { MAKERS, WHEEL_BOLTS } from './torques.ts';

export const toneRing = {
  part: 'tone-ring',
  words: 'tone ring',
  at: 'wheel',
  needs: ['ring', 'ring-sold-alone'],
  cures: { ring: 0.97, seating: 0.25, 'wrong-target': 0.85 },
  price: 24,
  hours: 2.2,
  companions: 9,
  singleUse: true,
  bothSides: true,
  alongside: 'sensor',
  renewed: 'ring-replaced',
  renewedWords: 'new tone ring',
  thing: 'ring',
  heardAs:
    'ring|rings|ring kit|tone ring|tone rings|abs ring|abs rings|reluctor|reluctors|reluctor ring|reluctor rings|toothed ring|exciter ring|pulse ring|toothed wheel|sensor ring|trigger ring',
  figures: [
    count('teeth', 'teeth', 'Mark one with chalk and count round.'),
    length('insideDiameter', 'inside diameter', 'Caliper across the bore, twice at right angles.'),
    length('outsideDiameter', 'outside diameter', 'Caliper over the tips of the teeth.'),
    length('height', 'height', 'Caliper from face to face.'),
    look(
      'form',
      'tooth form',
      ['teeth', 'slots', 'magnetic'],
      'Teeth stick out; slots are windows; a magnetic one is smooth.',
    ),
  ],
  work: {
    access: ['Wheel, caliper and disc or drum off; the ring sits on the hub or the shaft joint behind it.'],
    stays: ['The brake hose stays on its caliper: no bleeding where no line was opened.'],
    tools: ['jack, stands and chocks', 'torque wrench', 'puller or press', 'wire brush for the seat'],
    steps: [
      'Hang the caliper by a hook, never by its hose.',
      'Count the teeth of the old ring and compare with the new one before pressing.',
      { text: 'Hub out: axle nut undone on the ground, hub bolts from behind.', only: 'ring-on-hub' },
      {
        text: 'Shaft out of the hub; stuck splines take a puller and heat, never a hammer on the thread.',
        only: 'ring-on-shaft',
      },
      'Ring off; clean the seat to bright metal, or the new one cracks as the old did.',
      'Press the new ring square to its stop; a warm ring goes on a cold seat.',
      'Check the gap all the way round by turning the hub.',
    ],
    opensBrake: true,
    wheelOff: true,
    torques: [
      { what: 'caliper bracket bolts', figure: MAKERS, singleUse: true },
      { what: 'axle nut', figure: MAKERS, singleUse: true },
      WHEEL_BOLTS,
    ],
  },
} as const satisfies PartKind;

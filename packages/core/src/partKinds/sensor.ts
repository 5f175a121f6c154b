import { CONNECTOR_LOOKS, count, length } from './partFigure.ts';
import type { PartKind } from './partKind.ts';
import { MAKERS, WHEEL_BOLTS } from './torques.ts';

export const sensor = {
  part: 'sensor',
  words: 'wheel speed sensor',
  at: 'wheel',
  needs: ['separate-sensor'],
  cures: { sensor: 0.97, seating: 0.5, 'wrong-sensor': 0.9, joint: 0.03 },
  price: 42,
  hours: 0.8,
  companions: 3,
  isSensor: true,
  drawsSensor: true,
  bothSides: true,
  onLoom: true,
  renewed: 'sensor-replaced',
  renewedWords: 'new sensor',
  thing: 'sensor',
  heardAs:
    'sensor|sensors|wheel speed sensor|wheel speed sensors|abs sensor|abs sensors|wheel sensor|wheel sensors|speed sensor|speed sensors|tip|tips|sensor tip|sensor tips|sensor head|sensor itself|pickup sensor|tip of the sensor|wss|old sensor|used sensor',
  figures: [
    length('reach', 'reach', 'From the face of the flange to the tip.'),
    length('tipDiameter', 'tip diameter', 'Caliper across the tip.'),
    length('holeOffset', 'hole offset', 'From the middle of the tip to the middle of the bolt hole.'),
    length('leadLength', 'lead length', 'Along the lead from body to plug, pulled straight.'),
    count('clips', 'clips on the lead', 'Count the clips and grommets.'),
    ...CONNECTOR_LOOKS,
  ],
  work: {
    access: [
      'Wheel off. The plug sits high in the arch, behind the liner or under a cover: find it before drawing the sensor.',
    ],
    stays: ['The caliper, the disc and the hub stay on; nothing of the brake line is opened.'],
    tools: [
      'jack, stands and chocks',
      'torque wrench',
      'soft brush and lint-free cloth',
      'penetrating oil',
      'sensor grease for the bore',
    ],
    steps: [
      'Lay old and new sensor side by side: plug, keying, lead, reach of the tip.',
      'Unplug the sensor and free its lead from every clip; note its way.',
      {
        text: 'Soak the bore and wait. Undo the bolt, turn the sensor to and fro; never pull by the lead or lever at the tip.',
        only: 'sensor-in',
      },
      { text: 'Look through the bore: nothing of the old sensor may stay in it.', only: 'sensor-out' },
      'Clean bore and seat to bright metal. Dry-fit: the new sensor must drop in and sit flat by hand.',
      'Coat the bore, never the tip. Press the sensor home; it sits flat before the bolt goes in, and the gap is even all round.',
      'Clip the lead in the old way, full lock to full lock without strain.',
    ],
    wheelOff: true,
    torques: [{ what: 'sensor bolt', figure: MAKERS, singleUse: false }, WHEEL_BOLTS],
  },
} as const satisfies PartKind;

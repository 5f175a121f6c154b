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
    tools: [
      'jack, stands and chocks',
      'torque wrench',
      'soft brush and lint-free cloth',
      'penetrating oil',
      'sensor grease for the bore',
    ],
    steps: [
      'Unplug the sensor and free its lead from every clip; note its way.',
      'Soak the bore. Undo the bolt, turn the sensor to and fro; do not lever at the tip.',
      'Clean bore and pad to bright metal; wipe the target clean, with no metal brush on a magnetic one.',
      'Grease the bore, not the tip. Press the new sensor home by hand; it must sit flat before the bolt goes in.',
      'Clip the lead in the old way, full lock to full lock without strain.',
    ],
    torques: [{ what: 'sensor bolt', figure: MAKERS, singleUse: false }, WHEEL_BOLTS],
  },
} as const satisfies PartKind;

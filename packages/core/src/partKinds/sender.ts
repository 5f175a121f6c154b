import { CONNECTOR_LOOKS, length } from './partFigure.ts';
import type { PartKind } from './partKind.ts';
import { MAKERS } from './torques.ts';

export const sender = {
  part: 'sender',
  words: 'sender',
  at: 'centre',
  needs: [],
  cures: { sender: 0.95, seating: 0.5, 'wrong-sensor': 0.85 },
  price: 38,
  hours: 0.7,
  companions: 4,
  isSensor: true,
  drawsSensor: true,
  onLoom: true,
  renewed: 'sender-replaced',
  renewedWords: 'new sender',
  thing: 'sender',
  heardAs: 'sender|speed sender|diff sender|speedo sender|speedometer sender|gearbox sender',
  figures: [
    length('reach', 'reach', 'From the face of the flange to the tip.'),
    length('tipDiameter', 'tip diameter', 'Caliper across the tip.'),
    length('leadLength', 'lead length', 'Along the pigtail; 0 where the plug is on the body.'),
    ...CONNECTOR_LOOKS,
  ],
  work: {
    access: ['On the differential or the gearbox output, from below.'],
    stays: ['The differential cover and the propeller shaft stay on.'],
    tools: ['ramp or stands and chocks', 'meter', 'drip tray', 'torque wrench'],
    steps: [
      'Meter the new sender with its pigtail on the counter, before fitting: some are open out of the box.',
      'Clean round the sender before drawing it; catch the oil.',
      'Fit with a new seal and a light film of oil; clip the lead clear of the exhaust.',
    ],
    torques: [{ what: 'sender bolt', figure: MAKERS, singleUse: false }],
  },
} as const satisfies PartKind;

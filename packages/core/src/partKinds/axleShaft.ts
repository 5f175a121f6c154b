import { count, length } from './partFigure.ts';
import type { PartKind } from './partKind.ts';
import { MAKERS, WHEEL_BOLTS } from './torques.ts';

export const axleShaft = {
  part: 'axle-shaft',
  words: 'drive shaft',
  at: 'wheel',
  needs: ['ring-on-shaft'],
  cures: { ring: 0.97, 'wrong-target': 0.85 },
  price: 190,
  hours: 1.8,
  companions: 14,
  singleUse: true,
  movesKnuckle: true,
  alongside: 'sensor',
  renewed: 'axle-shaft-work',
  renewedWords: 'drive shaft work',
  thing: 'shaft',
  heardAs:
    'drive shaft|driveshaft|drive shafts|driveshafts|axle shaft|half shaft|cv joint|cv|halfshaft|cv boot|shaft|outer joint|cv gaiter|inner joint',
  figures: [
    count('splines', 'splines', 'Count the splines of the wheel end.'),
    count('teeth', 'teeth of the ring', 'Mark one with chalk and count round.'),
    length('length', 'length', 'From the shoulder to the end, joint straight.'),
  ],
  work: {
    access: ['Axle nut loosened on the ground; wheel off; lower joint parted to swing the knuckle.'],
    stays: ['The caliper may stay on the knuckle where the hose reaches; no brake line is opened.'],
    tools: ['jack, stands and chocks', 'torque wrench for the axle nut', 'joint splitter', 'drip tray'],
    steps: [
      'Loosen the axle nut while the vehicle stands on its wheels.',
      'Compare length, splines and ring teeth of old and new shaft before fitting.',
      'Support the knuckle: no lead or hose may carry it.',
      'Splines stuck in the hub: soak, puller, heat on the hub away from bearing and boot; never a hammer on the thread.',
      'Renew the seal and the circlip; top up the gearbox oil to its mark.',
      'Axle nut: tighten with the wheel on the ground, to the figure below.',
    ],
    opensBrake: true,
    wheelOff: true,
    torques: [
      { what: 'axle nut', figure: MAKERS, singleUse: true },
      { what: 'lower joint nut', figure: MAKERS, singleUse: true },
      WHEEL_BOLTS,
    ],
  },
} as const satisfies PartKind;

import { count, length } from './partFigure.ts';
import type { PartKind } from './partKind.ts';
import { MAKERS, WHEEL_BOLTS } from './torques.ts';

export const hubAssembly = {
  part: 'hub-assembly',
  words: 'hub assembly',
  at: 'wheel',
  needs: [],
  cures: { bearing: 0.97, encoder: 0.97, seating: 0.4 },
  brings: [
    {
      when: 'encoder-in-bearing',
      why: 'The hub brings its own encoder.',
      cures: { 'wrong-target': 0.85 },
    },
    {
      when: 'in-hub',
      why: 'With the sensor built in, the hub brings a new one.',
      cures: { sensor: 0.97, seating: 0.9, 'wrong-sensor': 0.9 },
    },
    {
      when: 'ring-on-hub',
      why: 'A new hub mostly brings its ring.',
      cures: { ring: 0.95, 'wrong-target': 0.8 },
    },
  ],
  price: 165,
  hours: 1.9,
  companions: 16,
  drawsSensor: true,
  singleUse: true,
  movesKnuckle: true,
  bothSides: true,
  onLoom: true,
  alongside: 'sensor',
  renewed: 'hub-replaced',
  renewedWords: 'new hub',
  thing: 'hub',
  heardAs:
    'hub|hubs|hub assembly|bearing|bearings|wheel bearing|wheel bearings|hub bearing|wheel hub|hub and bearing|bearing and hub|hub unit|wheel bearing kit',
  figures: [
    length('flange', 'flange diameter', 'Across the wheel flange.'),
    length('boltCircle', 'bolt circle', 'Across the middles of opposite studs; for five, see the drawing.'),
    count('studs', 'wheel studs', 'Count them.'),
    count('splines', 'splines', 'Count the splines in the bore; none on a dead axle is 0.'),
    length('pilot', 'pilot diameter', 'Caliper over the spigot that centres the wheel.'),
  ],
  work: {
    access: [
      'Wheel, caliper and disc off, axle nut undone with the wheel on the ground; hub bolts from behind the knuckle.',
    ],
    stays: [
      'The brake hose stays on its caliper; the strut stays on the knuckle where the hub is bolted on.',
    ],
    tools: [
      'jack, stands and chocks',
      'torque wrench for the axle nut',
      'hub puller',
      'wire brush for the seat',
    ],
    steps: [
      'Loosen the axle nut while the vehicle stands on its wheels.',
      'Hang the caliper by a hook, never by its hose.',
      {
        text: 'A separate sensor comes out first; a seized one will be broken here, so have one at hand.',
        only: ['separate-sensor', 'sensor-in'],
      },
      {
        text: 'The magnetic side of the bearing faces the sensor. Keep magnets and swarf away from it; do not wash it.',
        only: 'encoder',
      },
      {
        text: 'Compare the ring on the new hub with the old: count the teeth. A ring that moves over is pressed square on a clean seat.',
        only: 'ring-on-hub',
      },
      'Hold the bearing together: a split one loses its rollers and is scrap.',
      'Clean the seat in the knuckle, fit the hub with new bolts, tighten crosswise.',
      'Axle nut: tighten with the wheel on the ground, to the figure below.',
    ],
    opensBrake: true,
    wheelOff: true,
    torques: [
      { what: 'hub bolts', figure: MAKERS, singleUse: true },
      { what: 'axle nut', figure: MAKERS, singleUse: true },
      { what: 'caliper bracket bolts', figure: MAKERS, singleUse: true },
      WHEEL_BOLTS,
    ],
  },
} as const satisfies PartKind;

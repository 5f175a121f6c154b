import type { PartClass } from '../vocabulary/words.ts';

/** A step that only some ways of building need. */
export interface ConditionalStep {
  readonly text: string;
  readonly only: 'separate-sensor' | 'encoder';
}

/** How the work goes where the catalogue has no note for the vehicle. Reference only: the maker's data come first. */
export interface GenericWork {
  readonly access: readonly string[];
  readonly tools: readonly string[];
  readonly steps: ReadonlyArray<string | ConditionalStep>;
  readonly torques: ReadonlyArray<{ what: string; figure: string; singleUse: boolean }>;
}

const MAKERS = 'maker\u2019s figure';
const WHEEL_BOLTS = { what: 'wheel bolts or nuts, crosswise', figure: MAKERS, singleUse: false };

/** Order of work for each part class, as a careful mechanic would do it. */
export const GENERIC_WORK: Readonly<Record<PartClass, GenericWork>> = {
  sensor: {
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
  'tone-ring': {
    access: ['Wheel, caliper and disc or drum off; the ring sits on the hub or the shaft joint behind it.'],
    tools: ['jack, stands and chocks', 'torque wrench', 'puller or press', 'wire brush for the seat'],
    steps: [
      'Hang the caliper by a hook, never by its hose.',
      'Count the teeth of the old ring and compare with the new one before pressing.',
      'Pull the old ring; clean the seat to bright metal, or the new one cracks as the old did.',
      'Press the new ring square to its stop; a warm ring goes on a cold seat.',
      'Check the gap all the way round by turning the hub.',
    ],
    torques: [
      { what: 'caliper bracket bolts', figure: MAKERS, singleUse: true },
      { what: 'axle nut', figure: MAKERS, singleUse: true },
      WHEEL_BOLTS,
    ],
  },
  'hub-assembly': {
    access: [
      'Wheel, caliper and disc off, axle nut undone with the wheel on the ground; hub bolts from behind the knuckle.',
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
        only: 'separate-sensor',
      },
      {
        text: 'Keep magnets and swarf away from the encoder side of the new hub; do not wash it.',
        only: 'encoder',
      },
      'Clean the seat in the knuckle, fit the hub with new bolts, tighten crosswise.',
      'Tighten the new axle nut with the wheel on the ground.',
    ],
    torques: [
      { what: 'hub bolts', figure: MAKERS, singleUse: true },
      { what: 'axle nut', figure: MAKERS, singleUse: true },
      { what: 'caliper bracket bolts', figure: MAKERS, singleUse: true },
      WHEEL_BOLTS,
    ],
  },
  'axle-shaft': {
    access: ['Axle nut loosened on the ground; wheel off; lower joint parted to swing the knuckle.'],
    tools: ['jack, stands and chocks', 'torque wrench for the axle nut', 'joint splitter', 'drip tray'],
    steps: [
      'Loosen the axle nut while the vehicle stands on its wheels.',
      'Compare length, splines and ring teeth of old and new shaft before fitting.',
      'Support the knuckle: no lead or hose may carry it.',
      'Renew the seal and the circlip; top up the gearbox oil to its mark.',
      'Tighten the new axle nut with the wheel on the ground.',
    ],
    torques: [
      { what: 'axle nut', figure: MAKERS, singleUse: true },
      { what: 'lower joint nut', figure: MAKERS, singleUse: true },
      WHEEL_BOLTS,
    ],
  },
  'connector-kit': {
    access: [
      'The joint sits high in the arch behind the liner, in the boot or under a lamp: follow the lead from the sensor.',
    ],
    tools: [
      'crimping pliers for the terminal size',
      'wire strippers',
      'heat gun for sealed splices',
      'tags or tape',
    ],
    steps: [
      'Tag the wires and, where a pad-wear lead has a like shell, tag both.',
      'Cut back to bright copper; stagger the splices; keep a twisted pair twisted.',
      'Crimp, seal with adhesive-lined sleeve, pull each wire to prove it.',
      'Close the lock; clip the joint where water drains off it.',
    ],
    torques: [],
  },
  sender: {
    access: ['On the differential or the gearbox output, from below.'],
    tools: ['ramp or stands and chocks', 'meter', 'drip tray', 'torque wrench'],
    steps: [
      'Meter the new sender with its pigtail on the counter, before fitting: some are open out of the box.',
      'Clean round the sender before drawing it; catch the oil.',
      'Fit with a new seal and a light film of oil; clip the lead clear of the exhaust.',
    ],
    torques: [{ what: 'sender bolt', figure: MAKERS, singleUse: false }],
  },
};

/** How to clear the code and prove the fix, the same whatever was fitted. */
export const PROOF_OF_FIX: readonly string[] = [
  'Before the liner goes back: key on, read all wheel speeds, turn this wheel by hand and see its speed.',
  'Clear the codes in every module that stored one, even if the lamps are out.',
  'Key off for half a minute, key on: the lamps must come on and go out.',
  'Roll a few metres, then drive straight above 20 km/h; some lamps only clear after a short drive.',
  'Brake once gently to a stop: the pedal must stay smooth to the end.',
  'Read the codes again. If one is back, note when it came back and bring the old part.',
];

import type { CheckName } from '../vocabulary/check.ts';

/** How to do a check, in two lines, and what each result says. */
export interface CheckGuide {
  readonly how: readonly [string, string];
  readonly means: Readonly<Record<string, string>>;
}

/** Every check as one would explain it over the counter. */
export const CHECK_GUIDES: Readonly<Record<CheckName, CheckGuide>> = {
  'visual.ring': {
    how: [
      'Wheel off, turn the hub slowly and look at every tooth with a lamp.',
      'A crack shows as one wide gap; rust lifts the ring off its seat.',
    ],
    means: {
      sound: 'points away from the ring',
      cracked: 'the ring is bad',
      loose: 'the ring is bad',
      'missing-teeth': 'the ring is bad',
      rusted: 'gap or ring in doubt',
      dirty: 'clean it and try again',
    },
  },
  'ring.teeth': {
    how: [
      'Mark one tooth with chalk, turn the hub and count every tooth or slot until the mark is back.',
      'Count the ring across the axle too: the two must agree.',
    ],
    means: { match: 'the ring is the right one', differ: 'a ring of the wrong kind was fitted' },
  },
  'visual.sensor': {
    how: [
      'Wheel off, look at the tip and the seat; draw the sensor only if it turns freely.',
      'Look for rubbing, swarf on the magnet, rust under the pad, a split lead.',
    ],
    means: {
      sound: 'says little',
      broken: 'the sensor is bad',
      corroded: 'sensor or seating',
      rubbed: 'ring or bearing touches it',
      'metal-on-tip': 'clean it and try again',
      loose: 'seat it and try again',
      'lead-damaged': 'the sensor lead is bad',
      snapped: 'the sensor is broken: sell one',
    },
  },
  'visual.connector': {
    how: [
      'Follow the lead to its plug, unlock it and look into both halves with a lamp.',
      'Green or white powder, a pin pushed back, a broken lock, an old splice.',
    ],
    means: {
      sound: 'points away from the joint',
      corroded: 'the joint is bad',
      'broken-lock': 'the joint is in doubt',
      'loose-pins': 'the joint is bad',
      'earlier-repair': 'the joint is in doubt',
      'shell-broken': 'the joint is bad',
    },
  },
  'visual.harness': {
    how: [
      'Follow the loom from the plug to where it enters the body, bending it as you go.',
      'Look at clips, at the strut and where it passes metal.',
    ],
    means: {
      sound: 'says little',
      chafed: 'the loom is bad',
      cut: 'the loom is bad',
      corroded: 'the loom is bad',
      'earlier-repair': 'the loom is in doubt',
    },
  },
  'bearing.play': {
    how: [
      'Wheel clear of the ground on stands, hold it at twelve and six and rock it.',
      'Any knock you can feel is play; compare with the other side.',
    ],
    means: {
      none: 'points away from the bearing',
      slight: 'the bearing is in doubt',
      clear: 'stop driving: hub first',
    },
  },
  'bearing.noise': {
    how: [
      'Wheel clear of the ground on stands, spin it with a hand on the spring.',
      'A growl you can feel is the bearing.',
    ],
    means: { none: 'points away from the bearing', growl: 'the bearing is worn' },
  },
  wiggle: {
    how: [
      'Watch the live speed or the meter while a helper moves lead, plug and loom.',
      'Bend each few centimetres, then tap the plug.',
    ],
    means: { steady: 'says little', changes: 'a joint or a conductor is broken' },
  },
  swap: {
    how: [
      'Swap the sensor with the other side of the axle, clear the code and drive.',
      'Only where both sides take the same sensor and both come out freely.',
    ],
    means: { 'fault-stayed': 'not the sensor', 'fault-followed': 'the sensor is bad' },
  },
  'meter.resistance': {
    how: [
      'Unplug the sensor, meter across its two pins, then each pin to ground.',
      'Compare with the other side on the same meter, and note the temperature.',
    ],
    means: {
      'in-range': 'the coil is sound',
      low: 'the coil is bad or the wrong one',
      high: 'the coil is bad or the wrong one',
      open: 'the sensor is open',
      short: 'the sensor is shorted',
      unstable: 'a bad joint or lead',
      'says-nothing': 'an ohmmeter does not judge an active sensor',
    },
  },
  'meter.supply': {
    how: [
      'Plug open, key on, meter between the two pins on the vehicle side.',
      'Expect about 5 V to battery voltage.',
    ],
    means: {
      present: 'the loom feeds the sensor',
      low: 'a bad joint on the way',
      absent: 'the loom or the controller is bad',
    },
  },
  'meter.ac': {
    how: [
      'Plug open, meter on AC across the sensor, turn the wheel by hand once a second.',
      'Expect at least about 0.1 V.',
    ],
    means: {
      good: 'sensor and ring work',
      weak: 'the gap or the ring is in doubt',
      none: 'the sensor is dead',
    },
  },
  live: {
    how: [
      'Show all wheel speeds on the reader and roll at walking pace, then at 30 km/h.',
      'Look for the one that is missing, drops out, or reads off by a constant share.',
    ],
    means: {
      normal: 'nothing wrong now',
      'no-signal': 'sensor or wiring is dead',
      'drops-out': 'a joint, sensor or bearing comes and goes',
      'once-per-turn': 'one bad place on the target',
      'reads-high': 'tyre or tooth count',
      'reads-low': 'tyre or tooth count',
      'weak-at-low-speed': 'the gap is wide',
      noisy: 'target, bearing or interference',
    },
  },
  'clear-and-drive': {
    how: [
      'Note the codes, clear them, then key on, roll a few metres and drive.',
      'Note when the lamp comes back: at once, on moving off, or on bumps.',
    ],
    means: {
      'stays-away': 'a past event',
      'back-at-once': 'an open or short circuit',
      'back-when-driven': 'target, gap or tyre',
      'back-on-bumps': 'wiring or bearing',
    },
  },
  tyres: {
    how: [
      'Read the size on the sidewall at all wheels, and the pressures.',
      'All four must be alike across each axle.',
    ],
    means: { match: 'not the size', differ: 'the tyre is the cause' },
  },
  battery: {
    how: [
      'Meter the battery at rest, then while cranking.',
      'Below about 12.2 V at rest or 9.6 V cranking it is weak.',
    ],
    means: { good: 'not the supply', weak: 'charge, clear and read again first' },
  },
  'brake.fluid': {
    how: [
      'Before anything is driven: read the level at the reservoir, then look at each wheel and along the pipes for wet.',
      'Low without a leak is worn pads: measure them. Then the pedal, and the park brake.',
    ],
    means: {
      full: 'look at pads and park brake, then at the wheel speeds',
      low: 'do not drive: worn pads or a leak',
      leaking: 'do not drive: a workshop, now',
    },
  },
  lamps: {
    how: [
      'Key on, engine running: which lamps stay lit?',
      'Ask whether they went out by themselves or after clearing.',
    ],
    means: {
      on: 'the fault is there now',
      'out-by-itself': 'it comes and goes, or it is over',
      'out-after-clearing': 'it was over, or it has not come back yet',
    },
  },
};

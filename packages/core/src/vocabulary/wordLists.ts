/* The contract's word lists without the schemas, so that a page can use them and ship no validator. */

/** The links of the signal chain, and the other reasons, that an answer may name. */
export const CAUSES = [
  'sensor',
  'ring',
  'encoder',
  'bearing',
  'wiring',
  'seating',
  'tyre',
  'mismatched-part',
  'sender',
  'module',
  'supply',
  'none-present',
] as const;

/** What a counter can hand over, as classes. */
export const PART_CLASSES = [
  'sensor',
  'tone-ring',
  'hub-assembly',
  'axle-shaft',
  'connector-kit',
  'sender',
] as const;

export const SYMPTOMS = [
  'lamp.abs',
  'lamp.brake',
  'lamp.traction',
  'lamp.awd',
  'lamp.rear-abs',
  'message.driver-assist',
  'message.tyre-monitor',
  'abs.activates-when-stopping',
  'speedometer.dead',
  'speedometer.erratic',
  'shifting.bad',
  'noise.wheel',
  'steering.heavy',
  'pedal.soft',
  'wheel.hot',
] as const;

export const EVENTS = [
  'tyre-replaced',
  'sensor-replaced',
  'ring-replaced',
  'hub-replaced',
  'connector-repaired',
  'sender-replaced',
  'suspension-work',
  'brake-work',
  'axle-shaft-work',
  'battery-replaced',
  'battery-flat',
] as const;

/** Ways a shop likes to work: cost policies over the same reasoning. */
export const SCHOOLS = ['test-first', 'sell-likely', 'lift-at-hand', 'far-away'] as const;

/** How far a reader reaches. */
export const READERS = ['full', 'engine', 'none'] as const;

/** Dangers that may have been meant: a loose wheel, a growl, a soft pedal, heat, brake fluid. */
export const DOUBTS = ['play', 'growl', 'pedal', 'heat', 'fluid'] as const;

export const OUTCOME_RESULTS = ['cured', 'came-back', 'wrong-part', 'returned-unused'] as const;

/** Results a check can have, by its name; for the ohmmeter those that are no number. */
export const CHECK_RESULTS = {
  'visual.ring': ['sound', 'cracked', 'loose', 'missing-teeth', 'rusted', 'dirty', 'not-visible'],
  'visual.sensor': [
    'sound',
    'broken',
    'corroded',
    'rubbed',
    'metal-on-tip',
    'loose',
    'lead-damaged',
    'snapped',
  ],
  'visual.connector': ['sound', 'corroded', 'broken-lock', 'loose-pins', 'earlier-repair', 'shell-broken'],
  'visual.harness': ['sound', 'chafed', 'cut', 'corroded', 'earlier-repair'],
  'bearing.play': ['none', 'slight', 'clear'],
  'bearing.noise': ['none', 'growl'],
  wiggle: ['steady', 'changes'],
  swap: ['fault-stayed', 'fault-followed'],
  live: [
    'normal',
    'no-signal',
    'drops-out',
    'once-per-turn',
    'reads-high',
    'reads-low',
    'weak-at-low-speed',
    'noisy',
  ],
  'clear-and-drive': ['stays-away', 'back-at-once', 'back-when-driven', 'back-on-bumps'],
  'brake.fluid': ['full', 'low', 'leaking'],
  lamps: ['on', 'out-by-itself', 'out-after-clearing'],
  'meter.resistance': ['open', 'short', 'unstable'],
} as const;

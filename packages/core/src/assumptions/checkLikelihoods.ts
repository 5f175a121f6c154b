import type { Fault } from '../vocabulary/faults.ts';
import { chances, judgement, type JudgementTable } from './judgement.ts';

type Row = Readonly<Record<string, number>>;
interface CheckTable {
  /** As often as it is seen on vehicles where this link is sound. */
  readonly nothing: Row;
  /** Reason and row for each fault that shows in this check. */
  readonly rows: Readonly<Partial<Record<Fault, readonly [reason: string, row: Row]>>>;
  /** Two faults that bring this about together by one mechanism, `one+other`: more than each by itself would. */
  readonly together?: Readonly<Record<string, readonly [reason: string, row: Row]>>;
  /** Faults that leave this check as it is on a sound vehicle: stated, so that none is forgotten. */
  readonly unmoved: readonly Fault[];
}

const DEAD_ELEMENT: Row = {
  normal: 0.08,
  'no-signal': 0.6,
  'drops-out': 0.2,
  'once-per-turn': 0.004,
  'reads-high': 0.003,
  'reads-low': 0.003,
  'weak-at-low-speed': 0.06,
  noisy: 0.05,
};
const DEAD_COIL: Row = { 'in-range': 0.2, low: 0.07, high: 0.1, open: 0.47, short: 0.06, unstable: 0.1 };
const DEAD_LEAD: Row = { 'says-nothing': 0.62, open: 0.28, short: 0.06, unstable: 0.04 };
const WHEEL_SIDE: readonly Fault[] = ['ring', 'encoder', 'bearing', 'seating', 'tyre', 'none-present'];

/**
 * What each check shows under each fault. Direct sight is near proof: what is plainly broken is seen on a sound part
 * one time in a thousand (a slip of the eye, or of the pen). Rows are brought to a sum of one when used.
 */
export const CHECK_TABLES: Readonly<Record<string, CheckTable>> = {
  'visual.ring': {
    nothing: { sound: 0.81, cracked: 0.001, loose: 0.001, 'missing-teeth': 0.001, rusted: 0.1, dirty: 0.087 },
    rows: {
      ring: [
        'A bad ring mostly shows it to the eye.',
        { sound: 0.12, cracked: 0.4, loose: 0.12, 'missing-teeth': 0.14, rusted: 0.17, dirty: 0.05 },
      ],
      seating: [
        'Rust under the ring or dirt in the gap.',
        { sound: 0.42, cracked: 0.001, loose: 0.004, 'missing-teeth': 0.001, rusted: 0.3, dirty: 0.274 },
      ],
      'wrong-target': [
        'The wrong ring looks sound, or sits loose.',
        { sound: 0.9, cracked: 0.001, loose: 0.02, 'missing-teeth': 0.001, rusted: 0.045, dirty: 0.033 },
      ],
    },
    unmoved: [
      'sensor',
      'encoder',
      'bearing',
      'joint',
      'loom',
      'tyre',
      'wrong-sensor',
      'sender',
      'none-present',
    ],
  },
  'ring.teeth': {
    nothing: { match: 0.999, differ: 0.001 },
    rows: {
      'wrong-target': ['A wrong ring has another count.', { match: 0.08, differ: 0.92 }],
      ring: ['A broken tooth is taken for a gap now and then.', { match: 0.94, differ: 0.06 }],
    },
    unmoved: [
      'sensor',
      'encoder',
      'bearing',
      'joint',
      'loom',
      'seating',
      'tyre',
      'wrong-sensor',
      'sender',
      'none-present',
    ],
  },
  'visual.sensor': {
    nothing: {
      sound: 0.846,
      broken: 0.0005,
      corroded: 0.0905,
      rubbed: 0.01,
      'metal-on-tip': 0.03,
      loose: 0.008,
      'lead-damaged': 0.0145,
      snapped: 0.0005,
    },
    rows: {
      sensor: [
        'Half of the dead sensors look sound.',
        {
          sound: 0.46,
          broken: 0.16,
          corroded: 0.12,
          rubbed: 0.06,
          'metal-on-tip': 0.02,
          loose: 0.01,
          'lead-damaged': 0.12,
          snapped: 0.05,
        },
      ],
      sender: [
        'As a sensor.',
        {
          sound: 0.5,
          broken: 0.14,
          corroded: 0.12,
          rubbed: 0.04,
          'metal-on-tip': 0.02,
          loose: 0.01,
          'lead-damaged': 0.12,
          snapped: 0.05,
        },
      ],
      seating: [
        'Rust under the pad, swarf on the magnet, a loose bolt.',
        {
          sound: 0.25,
          broken: 0.001,
          corroded: 0.3,
          rubbed: 0.03,
          'metal-on-tip': 0.22,
          loose: 0.18,
          'lead-damaged': 0.0185,
          snapped: 0.0005,
        },
      ],
      ring: [
        'A swollen ring grinds the tip.',
        {
          sound: 0.7,
          broken: 0.0006,
          corroded: 0.12,
          rubbed: 0.12,
          'metal-on-tip': 0.03,
          loose: 0.008,
          'lead-damaged': 0.0209,
          snapped: 0.0005,
        },
      ],
      bearing: [
        'Play lets the target touch the tip.',
        {
          sound: 0.74,
          broken: 0.0006,
          corroded: 0.1,
          rubbed: 0.1,
          'metal-on-tip': 0.025,
          loose: 0.01,
          'lead-damaged': 0.0239,
          snapped: 0.0005,
        },
      ],
      'wrong-sensor': [
        'A sensor of another kind looks sound, or does not sit.',
        {
          sound: 0.78,
          broken: 0.001,
          corroded: 0.04,
          rubbed: 0.05,
          'metal-on-tip': 0.02,
          loose: 0.09,
          'lead-damaged': 0.0185,
          snapped: 0.0005,
        },
      ],
    },
    together: {
      'ring+sensor': [
        'Rust jacking: a swollen ring grinds the tip until the sensor is bad too.',
        {
          sound: 0.14,
          broken: 0.16,
          corroded: 0.1,
          rubbed: 0.5,
          'metal-on-tip': 0.02,
          loose: 0.01,
          'lead-damaged': 0.06,
          snapped: 0.01,
        },
      ],
    },
    unmoved: ['encoder', 'joint', 'loom', 'tyre', 'wrong-target', 'none-present'],
  },
  'visual.connector': {
    nothing: {
      sound: 0.88,
      corroded: 0.05,
      'broken-lock': 0.035,
      'loose-pins': 0.008,
      'earlier-repair': 0.026,
      'shell-broken': 0.001,
    },
    rows: {
      joint: [
        'The joint in the arch mostly shows what is wrong with it.',
        {
          sound: 0.15,
          corroded: 0.5,
          'broken-lock': 0.07,
          'loose-pins': 0.14,
          'earlier-repair': 0.1,
          'shell-broken': 0.04,
        },
      ],
      loom: [
        'Damp that reached the loom is often seen at the plug.',
        {
          sound: 0.72,
          corroded: 0.14,
          'broken-lock': 0.05,
          'loose-pins': 0.015,
          'earlier-repair': 0.07,
          'shell-broken': 0.005,
        },
      ],
      'wrong-sensor': [
        'A part of another keying forced in.',
        {
          sound: 0.7,
          corroded: 0.05,
          'broken-lock': 0.1,
          'loose-pins': 0.08,
          'earlier-repair': 0.06,
          'shell-broken': 0.01,
        },
      ],
    },
    unmoved: ['sensor', 'sender', 'wrong-target', ...WHEEL_SIDE],
  },
  'visual.harness': {
    nothing: { sound: 0.932, chafed: 0.02, cut: 0.001, corroded: 0.017, 'earlier-repair': 0.03 },
    rows: {
      loom: [
        'Seen where the loom bends or is clipped; the rest hides.',
        { sound: 0.3, chafed: 0.28, cut: 0.16, corroded: 0.14, 'earlier-repair': 0.12 },
      ],
      joint: [
        'A bad joint shows beside it now and then.',
        { sound: 0.86, chafed: 0.03, cut: 0.002, corroded: 0.06, 'earlier-repair': 0.048 },
      ],
    },
    unmoved: ['sensor', 'sender', 'wrong-sensor', 'wrong-target', ...WHEEL_SIDE],
  },
  'bearing.play': {
    nothing: { none: 0.954, slight: 0.045, clear: 0.001 },
    rows: {
      bearing: [
        'A bearing that disturbs the signal mostly moves in the hand.',
        { none: 0.2, slight: 0.35, clear: 0.45 },
      ],
    },
    unmoved: [
      'sensor',
      'ring',
      'encoder',
      'joint',
      'loom',
      'seating',
      'tyre',
      'wrong-sensor',
      'wrong-target',
      'sender',
      'none-present',
    ],
  },
  'bearing.noise': {
    nothing: { none: 0.95, growl: 0.05 },
    rows: {
      bearing: ['Most worn bearings growl when spun.', { none: 0.25, growl: 0.75 }],
      ring: ['A ring that rubs is taken for a growl.', { none: 0.9, growl: 0.1 }],
      tyre: ['A worn tyre hums.', { none: 0.88, growl: 0.12 }],
    },
    unmoved: [
      'sensor',
      'encoder',
      'joint',
      'loom',
      'seating',
      'wrong-sensor',
      'wrong-target',
      'sender',
      'none-present',
    ],
  },
  wiggle: {
    nothing: { steady: 0.985, changes: 0.015 },
    rows: {
      joint: ['Most bad joints answer to being moved.', { steady: 0.4, changes: 0.6 }],
      loom: ['A clean break does not answer, a chafed lead does.', { steady: 0.65, changes: 0.35 }],
      sensor: [
        'A broken conductor in the moulded lead answers now and then.',
        { steady: 0.86, changes: 0.14 },
      ],
      sender: ['A broken pigtail answers now and then.', { steady: 0.86, changes: 0.14 }],
    },
    unmoved: ['wrong-sensor', 'wrong-target', ...WHEEL_SIDE],
  },
  swap: {
    nothing: { 'fault-stayed': 0.96, 'fault-followed': 0.04 },
    rows: {
      sensor: ['A bad sensor takes its fault along.', { 'fault-stayed': 0.05, 'fault-followed': 0.95 }],
      sender: ['As a sensor.', { 'fault-stayed': 0.05, 'fault-followed': 0.95 }],
      'wrong-sensor': [
        'A wrong sensor is wrong on the other side too.',
        { 'fault-stayed': 0.12, 'fault-followed': 0.88 },
      ],
      seating: ['Taking it out cleans it.', { 'fault-stayed': 0.75, 'fault-followed': 0.25 }],
    },
    unmoved: ['ring', 'encoder', 'bearing', 'joint', 'loom', 'tyre', 'wrong-target', 'none-present'],
  },
  'meter.resistance.passive': {
    nothing: { 'in-range': 0.968, low: 0.012, high: 0.012, open: 0.003, short: 0.002, unstable: 0.003 },
    rows: {
      sensor: ['A dead coil reads open, shorted or far off; a cracked one is unsteady.', DEAD_COIL],
      sender: ['A dead coil reads open, shorted or far off.', DEAD_COIL],
      'wrong-sensor': [
        'A coil of another kind.',
        { 'in-range': 0.5, low: 0.2, high: 0.23, open: 0.03, short: 0.01, unstable: 0.03 },
      ],
      joint: [
        'Metered through a bad pin now and then.',
        { 'in-range': 0.915, low: 0.01, high: 0.025, open: 0.02, short: 0.005, unstable: 0.025 },
      ],
    },
    unmoved: ['loom', 'wrong-target', ...WHEEL_SIDE],
  },
  'meter.resistance.active': {
    nothing: { 'says-nothing': 0.975, open: 0.012, short: 0.006, unstable: 0.007 },
    rows: {
      sensor: ['A broken lead shows as open; the element itself cannot be judged.', DEAD_LEAD],
      sender: ['A broken lead shows as open.', DEAD_LEAD],
    },
    unmoved: ['joint', 'loom', 'wrong-sensor', 'wrong-target', ...WHEEL_SIDE],
  },
  'meter.resistance.harness': {
    nothing: { continuous: 0.985, open: 0.006, short: 0.004, unstable: 0.005 },
    rows: {
      loom: ['A broken loom.', { continuous: 0.2, open: 0.45, short: 0.18, unstable: 0.17 }],
      joint: [
        'A bad joint is in the way of the meter too.',
        { continuous: 0.35, open: 0.36, short: 0.08, unstable: 0.21 },
      ],
    },
    unmoved: ['sensor', 'sender', 'wrong-sensor', 'wrong-target', ...WHEEL_SIDE],
  },
  'meter.resistance.new-part': {
    nothing: { sound: 0.986, off: 0.0125, bad: 0.0015 },
    rows: {
      sensor: ['The new one is what is wrong: bad from the box.', { sound: 0.33, off: 0.07, bad: 0.6 }],
      sender: ['The new one is what is wrong: bad from the box.', { sound: 0.33, off: 0.07, bad: 0.6 }],
      'wrong-sensor': ['The new one is of another kind.', { sound: 0.5, off: 0.45, bad: 0.05 }],
    },
    unmoved: ['joint', 'loom', 'wrong-target', ...WHEEL_SIDE],
  },
  'meter.supply': {
    nothing: { present: 0.985, low: 0.01, absent: 0.005 },
    rows: {
      loom: ['No supply reaches the plug.', { present: 0.3, low: 0.15, absent: 0.55 }],
      joint: ['A bad pin on the way.', { present: 0.4, low: 0.2, absent: 0.4 }],
      module: ['The controller does not feed the sensor.', { present: 0.4, low: 0.1, absent: 0.5 }],
      supply: ['Everything is low.', { present: 0.7, low: 0.28, absent: 0.02 }],
    },
    unmoved: ['sensor', 'sender', 'wrong-sensor', 'wrong-target', ...WHEEL_SIDE],
  },
  'meter.ac': {
    nothing: { good: 0.95, weak: 0.04, none: 0.01 },
    rows: {
      sensor: ['A dead coil makes nothing.', { good: 0.12, weak: 0.2, none: 0.68 }],
      sender: ['A dead coil makes nothing.', { good: 0.12, weak: 0.2, none: 0.68 }],
      ring: [
        'A cracked ring still makes AC; a loose or rotted one makes less.',
        { good: 0.55, weak: 0.3, none: 0.15 },
      ],
      bearing: ['The gap breathes.', { good: 0.7, weak: 0.25, none: 0.05 }],
      seating: ['A wide gap makes little.', { good: 0.2, weak: 0.65, none: 0.15 }],
      'wrong-sensor': [
        'A sensor of another kind may make too little.',
        { good: 0.4, weak: 0.35, none: 0.25 },
      ],
      'wrong-target': ['Another ring may pass too far away.', { good: 0.6, weak: 0.3, none: 0.1 }],
    },
    unmoved: ['encoder', 'joint', 'loom', 'tyre', 'none-present'],
  },
  live: {
    nothing: {
      normal: 0.966,
      'no-signal': 0.003,
      'drops-out': 0.008,
      'once-per-turn': 0.002,
      'reads-high': 0.004,
      'reads-low': 0.004,
      'weak-at-low-speed': 0.005,
      noisy: 0.008,
    },
    rows: {
      sensor: ['Mostly dead, sometimes failing warm or on bumps.', DEAD_ELEMENT],
      sender: ['Mostly dead.', DEAD_ELEMENT],
      joint: [
        'Dropping out with movement and damp, or dead.',
        {
          normal: 0.12,
          'no-signal': 0.44,
          'drops-out': 0.36,
          'once-per-turn': 0.003,
          'reads-high': 0.005,
          'reads-low': 0.004,
          'weak-at-low-speed': 0.02,
          noisy: 0.048,
        },
      ],
      loom: [
        'Dead, or dropping out with movement.',
        {
          normal: 0.1,
          'no-signal': 0.58,
          'drops-out': 0.24,
          'once-per-turn': 0.003,
          'reads-high': 0.005,
          'reads-low': 0.004,
          'weak-at-low-speed': 0.02,
          noisy: 0.048,
        },
      ],
      ring: [
        'One bad place a turn; a rotted ring is weak or noisy.',
        {
          normal: 0.1,
          'no-signal': 0.06,
          'drops-out': 0.08,
          'once-per-turn': 0.5,
          'reads-high': 0.02,
          'reads-low': 0.02,
          'weak-at-low-speed': 0.1,
          noisy: 0.12,
        },
      ],
      encoder: [
        'One bad place a turn, or noise.',
        {
          normal: 0.1,
          'no-signal': 0.14,
          'drops-out': 0.12,
          'once-per-turn': 0.42,
          'reads-high': 0.01,
          'reads-low': 0.01,
          'weak-at-low-speed': 0.08,
          noisy: 0.12,
        },
      ],
      bearing: [
        'The gap breathes: noise, drop-outs, and some swing each turn.',
        {
          normal: 0.25,
          'no-signal': 0.05,
          'drops-out': 0.22,
          'once-per-turn': 0.14,
          'reads-high': 0.01,
          'reads-low': 0.01,
          'weak-at-low-speed': 0.12,
          noisy: 0.2,
        },
      ],
      seating: [
        'A wide gap fails first at low speed.',
        {
          normal: 0.12,
          'no-signal': 0.16,
          'drops-out': 0.14,
          'once-per-turn': 0.05,
          'reads-high': 0.005,
          'reads-low': 0.005,
          'weak-at-low-speed': 0.42,
          noisy: 0.1,
        },
      ],
      tyre: [
        'A constant ratio at every speed.',
        {
          normal: 0.1,
          'no-signal': 0.002,
          'drops-out': 0.005,
          'once-per-turn': 0.004,
          'reads-high': 0.43,
          'reads-low': 0.44,
          'weak-at-low-speed': 0.005,
          noisy: 0.014,
        },
      ],
      'wrong-sensor': [
        'Another gap or type gives nothing, or too little.',
        {
          normal: 0.1,
          'no-signal': 0.55,
          'drops-out': 0.1,
          'once-per-turn': 0.01,
          'reads-high': 0.03,
          'reads-low': 0.03,
          'weak-at-low-speed': 0.12,
          noisy: 0.06,
        },
      ],
      'wrong-target': [
        'Another tooth count gives a constant ratio.',
        {
          normal: 0.08,
          'no-signal': 0.14,
          'drops-out': 0.05,
          'once-per-turn': 0.04,
          'reads-high': 0.29,
          'reads-low': 0.29,
          'weak-at-low-speed': 0.06,
          noisy: 0.05,
        },
      ],
      'none-present': [
        'A past event: nothing to see now.',
        {
          normal: 0.985,
          'no-signal': 0.001,
          'drops-out': 0.003,
          'once-per-turn': 0.001,
          'reads-high': 0.002,
          'reads-low': 0.002,
          'weak-at-low-speed': 0.002,
          noisy: 0.004,
        },
      ],
    },
    unmoved: [],
  },
  'clear-and-drive': {
    nothing: { 'stays-away': 0.94, 'back-at-once': 0.015, 'back-when-driven': 0.028, 'back-on-bumps': 0.017 },
    rows: {
      sensor: [
        'A dead circuit is found at key-on; a dead signal on moving off.',
        { 'stays-away': 0.06, 'back-at-once': 0.5, 'back-when-driven': 0.38, 'back-on-bumps': 0.06 },
      ],
      sender: [
        'As a sensor.',
        { 'stays-away': 0.06, 'back-at-once': 0.45, 'back-when-driven': 0.43, 'back-on-bumps': 0.06 },
      ],
      joint: [
        'A bad joint answers to bumps and damp.',
        { 'stays-away': 0.11, 'back-at-once': 0.36, 'back-when-driven': 0.2, 'back-on-bumps': 0.33 },
      ],
      loom: [
        'A broken lead is found at key-on, a chafed one on bumps.',
        { 'stays-away': 0.08, 'back-at-once': 0.5, 'back-when-driven': 0.2, 'back-on-bumps': 0.22 },
      ],
      ring: [
        'Needs the wheel to turn.',
        { 'stays-away': 0.15, 'back-at-once': 0.01, 'back-when-driven': 0.8, 'back-on-bumps': 0.04 },
      ],
      encoder: [
        'Needs the wheel to turn.',
        { 'stays-away': 0.15, 'back-at-once': 0.02, 'back-when-driven': 0.78, 'back-on-bumps': 0.05 },
      ],
      bearing: [
        'Needs the wheel to turn, worse in bends and on bumps.',
        { 'stays-away': 0.25, 'back-at-once': 0.03, 'back-when-driven': 0.52, 'back-on-bumps': 0.2 },
      ],
      seating: [
        'Needs the wheel to turn.',
        { 'stays-away': 0.18, 'back-at-once': 0.03, 'back-when-driven': 0.72, 'back-on-bumps': 0.07 },
      ],
      tyre: [
        'Comes back with speed.',
        { 'stays-away': 0.15, 'back-at-once': 0.005, 'back-when-driven': 0.83, 'back-on-bumps': 0.015 },
      ],
      'wrong-sensor': [
        'A wrong part does not work from the start.',
        { 'stays-away': 0.06, 'back-at-once': 0.45, 'back-when-driven': 0.46, 'back-on-bumps': 0.03 },
      ],
      'wrong-target': [
        'Needs the wheel to turn.',
        { 'stays-away': 0.06, 'back-at-once': 0.04, 'back-when-driven': 0.87, 'back-on-bumps': 0.03 },
      ],
      'none-present': [
        'A past event does not come back.',
        { 'stays-away': 0.97, 'back-at-once': 0.005, 'back-when-driven': 0.02, 'back-on-bumps': 0.005 },
      ],
      module: [
        'A failing controller is found at key-on.',
        { 'stays-away': 0.1, 'back-at-once': 0.7, 'back-when-driven': 0.15, 'back-on-bumps': 0.05 },
      ],
      supply: [
        'Comes back with the next weak start, not with the key.',
        { 'stays-away': 0.78, 'back-at-once': 0.06, 'back-when-driven': 0.13, 'back-on-bumps': 0.03 },
      ],
    },
    unmoved: [],
  },
  lamps: {
    nothing: { on: 0.3, 'out-by-itself': 0.3, 'out-after-clearing': 0.4 },
    rows: {
      sensor: [
        'A dead sensor keeps the lamp lit.',
        { on: 0.9, 'out-by-itself': 0.05, 'out-after-clearing': 0.05 },
      ],
      sender: ['As a sensor.', { on: 0.88, 'out-by-itself': 0.06, 'out-after-clearing': 0.06 }],
      joint: ['It comes and goes.', { on: 0.62, 'out-by-itself': 0.28, 'out-after-clearing': 0.1 }],
      loom: ['It comes and goes at times.', { on: 0.75, 'out-by-itself': 0.17, 'out-after-clearing': 0.08 }],
      ring: ['Out until the wheel turns.', { on: 0.6, 'out-by-itself': 0.22, 'out-after-clearing': 0.18 }],
      encoder: ['Out until the wheel turns.', { on: 0.65, 'out-by-itself': 0.2, 'out-after-clearing': 0.15 }],
      bearing: ['It comes and goes.', { on: 0.5, 'out-by-itself': 0.3, 'out-after-clearing': 0.2 }],
      seating: ['Out until the wheel turns.', { on: 0.6, 'out-by-itself': 0.24, 'out-after-clearing': 0.16 }],
      tyre: [
        'Out until it is driven a while.',
        { on: 0.55, 'out-by-itself': 0.25, 'out-after-clearing': 0.2 },
      ],
      'wrong-sensor': [
        'Lit from the start.',
        { on: 0.88, 'out-by-itself': 0.05, 'out-after-clearing': 0.07 },
      ],
      'wrong-target': [
        'Lit from the start.',
        { on: 0.85, 'out-by-itself': 0.06, 'out-after-clearing': 0.09 },
      ],
      'none-present': [
        'A past event leaves the lamp out.',
        { on: 0.05, 'out-by-itself': 0.5, 'out-after-clearing': 0.45 },
      ],
      module: [
        'A failed controller keeps it lit.',
        { on: 0.92, 'out-by-itself': 0.04, 'out-after-clearing': 0.04 },
      ],
      supply: ['Out once the voltage is back.', { on: 0.4, 'out-by-itself': 0.4, 'out-after-clearing': 0.2 }],
    },
    unmoved: [],
  },
  battery: {
    nothing: { good: 0.93, weak: 0.07 },
    rows: { supply: ['A weak battery or charging fault.', { good: 0.12, weak: 0.88 }] },
    unmoved: ['sensor', 'sender', 'joint', 'loom', 'wrong-sensor', 'wrong-target', ...WHEEL_SIDE],
  },
  tyres: {
    nothing: { match: 0.996, differ: 0.004 },
    rows: { tyre: ['Mostly the size; wear and pressure otherwise.', { match: 0.35, differ: 0.65 }] },
    unmoved: [
      'sensor',
      'ring',
      'encoder',
      'bearing',
      'joint',
      'loom',
      'seating',
      'wrong-sensor',
      'wrong-target',
      'sender',
      'none-present',
    ],
  },
};

const UNCHANGED = 'As often as it is seen on vehicles where this link is sound.';

const rowsOf = ([name, { nothing, rows, together = {} }]: [string, CheckTable]): JudgementTable => ({
  ...chances(`check.${name}.nothing`, UNCHANGED, nothing),
  ...Object.fromEntries(
    Object.entries({ ...rows, ...together }).flatMap(([fault, [reason, row]]) =>
      Object.entries(chances(`check.${name}.${fault}`, reason, row)),
    ),
  ),
});

/** The tables as single numbers: `check.<table>.<fault>.<result>`, and the limits by which a reading becomes a result. */
export const CHECK_LIKELIHOODS: JudgementTable = {
  ...Object.fromEntries(Object.entries(CHECK_TABLES).flatMap((table) => Object.entries(rowsOf(table)))),

  'tyres.differ-percent': judgement(
    3,
    '%',
    [1, 10],
    'Stability systems object at roughly 3-5 % between the wheels of one axle. Rule of thumb.',
  ),
  'tyres.ratio-slack-percent': judgement(
    1.5,
    '%',
    [0.1, 5],
    'Wear and pressure explain a difference up to about 1-2 %; a measured ratio within this of the sizes is explained by them.',
  ),
  'tyres.explained.tyre': judgement(
    6,
    'times',
    [1, 100],
    'A measured ratio that the sizes explain points to the tyre this much more.',
  ),
  'live.ratio-not-growing.tyre': judgement(
    0.3,
    'times',
    [0.01, 1],
    'A tyre gives the same ratio at every speed, so the difference grows with speed; one that does not grow is hardly a tyre.',
  ),
  'live.ratio-most': judgement(
    25,
    '%',
    [5, 100],
    'A wheel further off than this is no tyre and no tooth count: it is a signal that is not one.',
  ),
  'resistance.passive.low': judgement(
    800,
    'ohm',
    [100, 2000],
    'Passive coil at 20 degC, lower end. Rule of thumb.',
  ),
  'resistance.passive.high': judgement(
    2500,
    'ohm',
    [1000, 6000],
    'Passive coil at 20 degC, upper end. Rule of thumb.',
  ),
  'resistance.copper': judgement(
    0.00393,
    '1/K',
    [0.003, 0.005],
    'Temperature coefficient of copper at 20 degC.',
  ),
  'resistance.open': judgement(200000, 'ohm', [10000, 1e8], 'A passive coil above this is as good as open.'),
  'resistance.short': judgement(20, 'ohm', [0, 200], 'A sensor below this is as good as shorted.'),
  'resistance.harness': judgement(5, 'ohm', [0.5, 50], 'A lead above this has a bad joint.'),
  'supply.present': judgement(
    4.5,
    'V',
    [2, 12],
    'Active supply at the open plug is about 5 V to battery voltage.',
  ),
  'supply.absent': judgement(1, 'V', [0, 4], 'Below this nothing feeds the sensor.'),
  'ac.good': judgement(
    0.1,
    'V',
    [0.01, 1],
    'At least about 0.1 V AC at one turn a second by hand. Rule of thumb.',
  ),
  'ac.threshold': judgement(
    0.1,
    'V',
    [0.02, 1],
    'Signal a controller needs from a passive sensor to count teeth. Rule of thumb.',
  ),
  'gap.usual': judgement(
    0.8,
    'mm',
    [0.2, 2],
    'Air gap of a sound sensor: about 0.3 to 1.2 mm. Rule of thumb.',
  ),
  'tyre.rolling': judgement(
    0.965,
    'times',
    [0.93, 1],
    'Rolling circumference over pi times the diameter of a tyre that carries its load: 0.96 to 0.97. Rule of thumb.',
  ),
  'ac.slowest-turn': judgement(
    0.2,
    'turns/s',
    [0.05, 1],
    'Turned slower than this by hand, the reading is not brought up any further.',
  ),
  'ac.none': judgement(0.02, 'V', [0, 0.1], 'Below this there is no signal.'),
  'battery.resting': judgement(12.2, 'V', [11, 13], 'Resting below this a battery is weak (12 V system).'),
  'battery.cranking': judgement(9.6, 'V', [7, 11], 'Cranking below this a battery is weak (12 V system).'),
};

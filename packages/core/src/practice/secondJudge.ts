import { assumptionsWith, DEFAULT_ASSUMPTIONS, type Assumptions } from '../assumptions/assumptions.ts';

type Row = Readonly<Record<string, number>>;

const keyed = (prefix: string, row: Row): Array<[string, number]> =>
  Object.entries(row).map(([name, value]) => [`${prefix}.${name}`, value]);

/**
 * A second full set of tables, written by another hand before any result was looked at, to draw truths from that the
 * planner's own tables know nothing of. This judge works on old vans by the sea: joints fail as often as sensors,
 * bearings more than the first judge thinks, the eye misses more, and readers name a sensor whatever is wrong.
 */
const PRIORS: Row = {
  sensor: 0.017,
  ring: 0.008,
  encoder: 0.006,
  bearing: 0.007,
  joint: 0.011,
  loom: 0.0035,
  seating: 0.006,
  tyre: 0.0012,
  'wrong-sensor': 0.0006,
  'wrong-target': 0.0004,
  sender: 0.018,
  'none-present': 0.005,
  module: 0.004,
  supply: 0.006,
};

/** Columns: open, ground, battery, ground-or-open, battery-or-open, low ohms, high ohms, volts, intermittent, erratic, none, frequency, implausible, mounting, device, generic. */
const MEANINGS = [
  'open',
  'short-to-ground',
  'short-to-battery',
  'ground-or-open',
  'battery-or-open',
  'resistance-low',
  'resistance-high',
  'voltage-range',
  'intermittent',
  'erratic',
  'no-signal',
  'frequency',
  'implausible',
  'mounting',
  'device',
  'generic',
] as const;
const CODES: Readonly<Record<string, readonly number[]>> = {
  sensor: [0.34, 0.1, 0.03, 0.33, 0.2, 0.12, 0.18, 0.1, 0.1, 0.16, 0.36, 0.04, 0.13, 0.02, 0.34, 0.36],
  sender: [0.34, 0.1, 0.03, 0.33, 0.2, 0.12, 0.18, 0.1, 0.1, 0.16, 0.36, 0.04, 0.13, 0.02, 0.34, 0.36],
  joint: [0.28, 0.12, 0.08, 0.3, 0.26, 0.08, 0.42, 0.22, 0.42, 0.2, 0.24, 0.03, 0.1, 0.02, 0.14, 0.3],
  loom: [0.4, 0.32, 0.2, 0.44, 0.34, 0.14, 0.2, 0.18, 0.24, 0.14, 0.22, 0.02, 0.06, 0.01, 0.12, 0.28],
  ring: [0.004, 0.001, 0.001, 0.004, 0.002, 0.001, 0.001, 0.004, 0.2, 0.42, 0.1, 0.3, 0.32, 0.04, 0.04, 0.24],
  encoder: [
    0.006, 0.001, 0.001, 0.006, 0.002, 0.001, 0.001, 0.006, 0.18, 0.36, 0.16, 0.26, 0.3, 0.06, 0.06, 0.22,
  ],
  bearing: [
    0.012, 0.004, 0.001, 0.012, 0.006, 0.001, 0.002, 0.012, 0.22, 0.3, 0.06, 0.14, 0.26, 0.16, 0.01, 0.14,
  ],
  seating: [
    0.008, 0.002, 0.001, 0.008, 0.003, 0.001, 0.002, 0.02, 0.22, 0.22, 0.22, 0.18, 0.2, 0.3, 0.01, 0.2,
  ],
  tyre: [
    0.0006, 0.0006, 0.0006, 0.0006, 0.0006, 0.0006, 0.0006, 0.0006, 0.008, 0.04, 0.0008, 0.34, 0.46, 0.001,
    0.001, 0.1,
  ],
  'wrong-sensor': [
    0.08, 0.05, 0.03, 0.08, 0.05, 0.24, 0.22, 0.26, 0.05, 0.22, 0.34, 0.1, 0.14, 0.3, 0.2, 0.28,
  ],
  'wrong-target': [
    0.002, 0.001, 0.001, 0.002, 0.001, 0.001, 0.001, 0.004, 0.05, 0.24, 0.22, 0.46, 0.44, 0.2, 0.01, 0.24,
  ],
  'none-present': [
    0.03, 0.01, 0.01, 0.03, 0.02, 0.01, 0.02, 0.05, 0.14, 0.05, 0.03, 0.04, 0.06, 0.01, 0.02, 0.08,
  ],
};

const SILENT: Row = {
  sensor: 0.06,
  sender: 0.2,
  joint: 0.26,
  loom: 0.1,
  ring: 0.5,
  encoder: 0.4,
  bearing: 0.75,
  seating: 0.45,
  tyre: 0.6,
  'wrong-sensor': 0.1,
  'wrong-target': 0.3,
  'none-present': 0.75,
};

/** Rows by table and fault; results in the order named first. */
const CHECKS: Readonly<
  Record<string, readonly [results: string, rows: Readonly<Record<string, readonly number[]>>]>
> = {
  'visual.ring': [
    'sound cracked loose missing-teeth rusted dirty',
    {
      nothing: [0.72, 0.002, 0.002, 0.002, 0.16, 0.114],
      ring: [0.22, 0.32, 0.1, 0.1, 0.2, 0.06],
      seating: [0.36, 0.002, 0.006, 0.002, 0.36, 0.27],
      'wrong-target': [0.86, 0.002, 0.03, 0.002, 0.06, 0.046],
    },
  ],
  'ring.teeth': ['match differ', { nothing: [0.997, 0.003], 'wrong-target': [0.15, 0.85], ring: [0.9, 0.1] }],
  'visual.sensor': [
    'sound broken corroded rubbed metal-on-tip loose lead-damaged snapped',
    {
      nothing: [0.8, 0.002, 0.13, 0.012, 0.03, 0.008, 0.0175, 0.0005],
      sensor: [0.52, 0.12, 0.14, 0.05, 0.03, 0.01, 0.1, 0.03],
      sender: [0.55, 0.1, 0.15, 0.03, 0.02, 0.01, 0.11, 0.03],
      seating: [0.3, 0.002, 0.34, 0.03, 0.16, 0.14, 0.0275, 0.0005],
      ring: [0.62, 0.006, 0.15, 0.16, 0.03, 0.01, 0.0235, 0.0005],
      bearing: [0.7, 0.008, 0.13, 0.1, 0.03, 0.01, 0.0215, 0.0005],
      'wrong-sensor': [0.7, 0.002, 0.06, 0.08, 0.02, 0.11, 0.0275, 0.0005],
    },
  ],
  'visual.connector': [
    'sound corroded broken-lock loose-pins earlier-repair shell-broken',
    {
      nothing: [0.8, 0.09, 0.05, 0.012, 0.046, 0.002],
      joint: [0.22, 0.48, 0.08, 0.1, 0.09, 0.03],
      loom: [0.66, 0.18, 0.06, 0.015, 0.08, 0.005],
      'wrong-sensor': [0.66, 0.08, 0.1, 0.08, 0.07, 0.01],
    },
  ],
  'visual.harness': [
    'sound chafed cut corroded earlier-repair',
    {
      nothing: [0.9, 0.03, 0.002, 0.028, 0.04],
      loom: [0.38, 0.26, 0.14, 0.12, 0.1],
      joint: [0.82, 0.04, 0.003, 0.087, 0.05],
    },
  ],
  'bearing.play': ['none slight clear', { nothing: [0.93, 0.068, 0.002], bearing: [0.28, 0.36, 0.36] }],
  'bearing.noise': [
    'none growl',
    { nothing: [0.92, 0.08], bearing: [0.3, 0.7], ring: [0.88, 0.12], tyre: [0.8, 0.2] },
  ],
  wiggle: [
    'steady changes',
    {
      nothing: [0.975, 0.025],
      joint: [0.5, 0.5],
      loom: [0.6, 0.4],
      sensor: [0.88, 0.12],
      sender: [0.85, 0.15],
    },
  ],
  swap: [
    'fault-stayed fault-followed',
    {
      nothing: [0.94, 0.06],
      sensor: [0.08, 0.92],
      sender: [0.08, 0.92],
      'wrong-sensor': [0.2, 0.8],
      seating: [0.65, 0.35],
    },
  ],
  'meter.resistance.passive': [
    'in-range low high open short unstable',
    {
      nothing: [0.95, 0.015, 0.02, 0.005, 0.003, 0.007],
      sensor: [0.26, 0.06, 0.12, 0.42, 0.05, 0.09],
      sender: [0.26, 0.06, 0.12, 0.42, 0.05, 0.09],
      'wrong-sensor': [0.44, 0.22, 0.26, 0.04, 0.01, 0.03],
      joint: [0.86, 0.01, 0.05, 0.04, 0.005, 0.035],
    },
  ],
  'meter.resistance.active': [
    'says-nothing open short unstable',
    {
      nothing: [0.95, 0.03, 0.01, 0.01],
      sensor: [0.6, 0.3, 0.05, 0.05],
      sender: [0.6, 0.3, 0.05, 0.05],
    },
  ],
  'meter.resistance.harness': [
    'continuous open short unstable',
    {
      nothing: [0.975, 0.01, 0.006, 0.009],
      loom: [0.26, 0.42, 0.17, 0.15],
      joint: [0.42, 0.32, 0.06, 0.2],
    },
  ],
  'meter.supply': [
    'present low absent',
    {
      nothing: [0.97, 0.02, 0.01],
      loom: [0.34, 0.16, 0.5],
      joint: [0.45, 0.25, 0.3],
      module: [0.5, 0.1, 0.4],
      supply: [0.6, 0.37, 0.03],
    },
  ],
  'meter.ac': [
    'good weak none',
    {
      nothing: [0.92, 0.06, 0.02],
      sensor: [0.18, 0.24, 0.58],
      sender: [0.18, 0.24, 0.58],
      ring: [0.5, 0.36, 0.14],
      bearing: [0.66, 0.28, 0.06],
      seating: [0.24, 0.6, 0.16],
      'wrong-sensor': [0.36, 0.38, 0.26],
      'wrong-target': [0.55, 0.33, 0.12],
    },
  ],
  live: [
    'normal no-signal drops-out once-per-turn reads-high reads-low weak-at-low-speed noisy',
    {
      nothing: [0.95, 0.004, 0.012, 0.004, 0.006, 0.006, 0.008, 0.01],
      sensor: [0.1, 0.54, 0.22, 0.006, 0.004, 0.006, 0.07, 0.054],
      sender: [0.1, 0.54, 0.22, 0.006, 0.004, 0.006, 0.07, 0.054],
      joint: [0.2, 0.34, 0.36, 0.004, 0.004, 0.006, 0.026, 0.06],
      loom: [0.14, 0.52, 0.26, 0.004, 0.004, 0.004, 0.02, 0.048],
      ring: [0.14, 0.08, 0.1, 0.4, 0.02, 0.02, 0.12, 0.12],
      encoder: [0.12, 0.18, 0.14, 0.34, 0.01, 0.01, 0.08, 0.12],
      bearing: [0.32, 0.04, 0.22, 0.12, 0.01, 0.01, 0.08, 0.2],
      seating: [0.16, 0.2, 0.14, 0.04, 0.006, 0.014, 0.34, 0.1],
      tyre: [0.14, 0.004, 0.006, 0.006, 0.4, 0.42, 0.008, 0.016],
      'wrong-sensor': [0.12, 0.48, 0.12, 0.02, 0.04, 0.04, 0.12, 0.06],
      'wrong-target': [0.1, 0.18, 0.06, 0.06, 0.25, 0.25, 0.06, 0.04],
      'none-present': [0.97, 0.002, 0.008, 0.002, 0.004, 0.004, 0.004, 0.006],
    },
  ],
  'clear-and-drive': [
    'stays-away back-at-once back-when-driven back-on-bumps',
    {
      nothing: [0.9, 0.03, 0.045, 0.025],
      sensor: [0.1, 0.42, 0.4, 0.08],
      sender: [0.1, 0.4, 0.42, 0.08],
      joint: [0.2, 0.3, 0.2, 0.3],
      loom: [0.12, 0.46, 0.2, 0.22],
      ring: [0.2, 0.02, 0.74, 0.04],
      encoder: [0.2, 0.03, 0.72, 0.05],
      bearing: [0.34, 0.03, 0.45, 0.18],
      seating: [0.24, 0.04, 0.64, 0.08],
      tyre: [0.22, 0.01, 0.75, 0.02],
      'wrong-sensor': [0.08, 0.42, 0.46, 0.04],
      'wrong-target': [0.1, 0.04, 0.83, 0.03],
      'none-present': [0.94, 0.01, 0.04, 0.01],
      module: [0.14, 0.66, 0.15, 0.05],
      supply: [0.7, 0.1, 0.16, 0.04],
    },
  ],
  battery: ['good weak', { nothing: [0.88, 0.12], supply: [0.2, 0.8] }],
  tyres: ['match differ', { nothing: [0.99, 0.01], tyre: [0.42, 0.58] }],
};

const CURES: Readonly<Record<string, number>> = {
  'cures.sensor.sensor': 0.95,
  'cures.sensor.seating': 0.4,
  'cures.sensor.wrong-sensor': 0.85,
  'cures.sensor.joint': 0.06,
  'cures.tone-ring.ring': 0.93,
  'cures.tone-ring.seating': 0.3,
  'cures.tone-ring.wrong-target': 0.8,
  'cures.hub-assembly.bearing': 0.95,
  'cures.hub-assembly.encoder': 0.95,
  'cures.hub-assembly.seating': 0.45,
  'cures.hub-assembly.encoder-in-bearing.wrong-target': 0.8,
  'cures.hub-assembly.in-hub.sensor': 0.95,
  'cures.hub-assembly.in-hub.seating': 0.85,
  'cures.hub-assembly.in-hub.wrong-sensor': 0.85,
  'cures.hub-assembly.ring-on-hub.ring': 0.9,
  'cures.hub-assembly.ring-on-hub.wrong-target': 0.75,
  'cures.axle-shaft.ring': 0.94,
  'cures.axle-shaft.wrong-target': 0.8,
  'cures.connector-kit.joint': 0.88,
  'cures.connector-kit.loom': 0.2,
  'cures.sender.sender': 0.92,
  'cures.no-part.seating': 0.75,
  'cures.no-part.loom': 0.8,
  'cures.no-part.tyre': 0.93,
  'cures.no-part.supply': 0.8,
  'cures.no-part.none-present': 0.93,
  'seizure.iron': 0.22,
  'seizure.aluminium': 0.1,
  'seizure.unknown': 0.17,
  'prior.second-end': 0.02,
};

/** The second judge's tables as assumptions: the truth follows them, the planner keeps its own. */
export const secondJudge = (): Assumptions => {
  const rows = Object.entries(CHECKS).flatMap(([table, [names, byFault]]) =>
    Object.entries(byFault).flatMap(([fault, row]) =>
      names
        .split(' ')
        .map((result, i): [string, number] => [`check.${table}.${fault}.${result}`, row[i] ?? 0]),
    ),
  );
  const codes = Object.entries(CODES).flatMap(([fault, row]) =>
    MEANINGS.map((meaning, i): [string, number] => [`code.${meaning}.${fault}`, row[i] ?? 0]),
  );
  const all = [
    ...keyed('prior', PRIORS),
    ...keyed('silent', SILENT),
    ...codes,
    ...rows,
    ...Object.entries(CURES),
  ];
  // Where the first judge has no such number the world has no such thing either.
  return assumptionsWith(Object.fromEntries(all.filter(([key]) => key in DEFAULT_ASSUMPTIONS)));
};

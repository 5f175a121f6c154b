import type { CheckKind } from './checkKind.ts';
import { WHEEL_SIDE } from './wheelSide.ts';

/** Metering the resistance of sensor, loom or new part. */
export const meterResistance = {
  name: 'meter.resistance',
  words: 'meter the resistance',
  how: [
    'Unplug the sensor, meter across its two pins, then each pin to ground.',
    'Compare with the other side on the same meter, and note the temperature.',
  ],
  minutes: 3,
  setup: 'plug',
  speaksOf: 'wheel',
  lifts: true,
  driven: false,
  needs: ['passive'],
  after: ['visual.connector'],
  fields: {
    of: {
      is: 'choice',
      of: ['sensor', 'harness', 'new-part'],
      otherwise: 'sensor',
    },
    ohms: {
      is: 'number-or-result',
      least: 0,
      most: 1000000000,
      unit: 'ohm',
      ask: 'reading',
      shown: '{} ohm',
    },
    temperatureC: {
      is: 'number',
      least: -60,
      most: 200,
      unit: '°C',
      ask: 'temperature',
      shown: 'at {} °C',
      optional: true,
    },
  },
  results: {
    open: 'the sensor is open',
    short: 'the sensor is shorted',
    unstable: 'a bad joint or lead',
  },
  amounts: {
    'in-range': 'the coil is sound',
    low: 'the coil is bad or the wrong one',
    high: 'the coil is bad or the wrong one',
    'says-nothing': 'an ohmmeter does not judge an active sensor',
  },
  computed: true,
  tables: {
    'meter.resistance.passive': {
      sound: 'in-range',
      nothing: {
        'in-range': 0.968,
        low: 0.012,
        high: 0.012,
        open: 0.003,
        short: 0.002,
        unstable: 0.003,
      },
      rows: {
        sensor: [
          'A dead coil reads open, shorted or far off; a cracked one is unsteady.',
          {
            'in-range': 0.2,
            low: 0.07,
            high: 0.1,
            open: 0.47,
            short: 0.06,
            unstable: 0.1,
          },
        ],
        sender: [
          'A dead coil reads open, shorted or far off.',
          {
            'in-range': 0.2,
            low: 0.07,
            high: 0.1,
            open: 0.47,
            short: 0.06,
            unstable: 0.1,
          },
        ],
        'wrong-sensor': [
          'A coil of another kind.',
          {
            'in-range': 0.5,
            low: 0.2,
            high: 0.23,
            open: 0.03,
            short: 0.01,
            unstable: 0.03,
          },
        ],
        joint: [
          'Metered through a bad pin now and then.',
          {
            'in-range': 0.915,
            low: 0.01,
            high: 0.025,
            open: 0.02,
            short: 0.005,
            unstable: 0.025,
          },
        ],
      },
      unmoved: ['loom', 'wrong-target', ...WHEEL_SIDE],
    },
    'meter.resistance.active': {
      sound: 'says-nothing',
      nothing: {
        'says-nothing': 0.975,
        open: 0.012,
        short: 0.006,
        unstable: 0.007,
      },
      rows: {
        sensor: [
          'A broken lead shows as open; the element itself cannot be judged.',
          {
            'says-nothing': 0.62,
            open: 0.28,
            short: 0.06,
            unstable: 0.04,
          },
        ],
        sender: [
          'A broken lead shows as open.',
          {
            'says-nothing': 0.62,
            open: 0.28,
            short: 0.06,
            unstable: 0.04,
          },
        ],
      },
      unmoved: ['joint', 'loom', 'wrong-sensor', 'wrong-target', ...WHEEL_SIDE],
    },
    'meter.resistance.harness': {
      sound: 'continuous',
      nothing: {
        continuous: 0.985,
        open: 0.006,
        short: 0.004,
        unstable: 0.005,
      },
      rows: {
        loom: [
          'A broken loom.',
          {
            continuous: 0.2,
            open: 0.45,
            short: 0.18,
            unstable: 0.17,
          },
        ],
        joint: [
          'A bad joint is in the way of the meter too.',
          {
            continuous: 0.35,
            open: 0.36,
            short: 0.08,
            unstable: 0.21,
          },
        ],
      },
      unmoved: ['sensor', 'sender', 'wrong-sensor', 'wrong-target', ...WHEEL_SIDE],
    },
    'meter.resistance.new-part': {
      sound: 'sound',
      nothing: {
        sound: 0.986,
        off: 0.0125,
        bad: 0.0015,
      },
      rows: {
        sensor: [
          'The new one is what is wrong: bad from the box.',
          {
            sound: 0.33,
            off: 0.07,
            bad: 0.6,
          },
        ],
        sender: [
          'The new one is what is wrong: bad from the box.',
          {
            sound: 0.33,
            off: 0.07,
            bad: 0.6,
          },
        ],
        'wrong-sensor': [
          'The new one is of another kind.',
          {
            sound: 0.5,
            off: 0.45,
            bad: 0.05,
          },
        ],
      },
      unmoved: ['joint', 'loom', 'wrong-target', ...WHEEL_SIDE],
    },
  },
  limits: {
    'resistance.passive.low': [800, 'ohm', [100, 2000], 'Passive coil at 20 degC, lower end. Rule of thumb.'],
    'resistance.passive.high': [
      2500,
      'ohm',
      [1000, 6000],
      'Passive coil at 20 degC, upper end. Rule of thumb.',
    ],
    'resistance.copper': [0.00393, '1/K', [0.003, 0.005], 'Temperature coefficient of copper at 20 degC.'],
    'resistance.open': [200000, 'ohm', [10000, 100000000], 'A passive coil above this is as good as open.'],
    'resistance.short': [20, 'ohm', [0, 200], 'A sensor below this is as good as shorted.'],
    'resistance.harness': [5, 'ohm', [0.5, 50], 'A lead above this has a bad joint.'],
  },
} as const satisfies CheckKind;

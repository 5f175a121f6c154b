import type { CheckKind } from './checkKind.ts';

/** Comparing the live wheel speeds. */
export const live = {
  name: 'live',
  words: 'compare live wheel speeds',
  how: [
    'Show all wheel speeds on the reader and roll at walking pace, then at 30 km/h.',
    'Look for the one that is missing, drops out, or reads off by a constant share.',
  ],
  minutes: 8,
  setup: 'reader',
  speaksOf: 'wheel',
  lifts: false,
  driven: true,
  needs: ['reader'],
  fields: {
    pattern: {
      is: 'result',
    },
    percent: {
      is: 'number',
      least: -100,
      most: 1000,
      unit: '%',
      shown: '{} %',
      optional: true,
    },
    growsWithSpeed: {
      is: 'yes-no',
      optional: true,
    },
  },
  results: {
    normal: 'nothing wrong now',
    'no-signal': 'sensor or wiring is dead',
    'drops-out': 'a joint, sensor or bearing comes and goes',
    'once-per-turn': 'one bad place on the target',
    'reads-high': 'tyre or tooth count',
    'reads-low': 'tyre or tooth count',
    'weak-at-low-speed': 'the gap is wide',
    noisy: 'target, bearing or interference',
  },
  computed: true,
  said: {
    'no-signal':
      'no pulses|no pulse|sends nothing|sends no signal|gives no signal|gives no reading|no signal|no reading|reads nothing|reading nothing|stays at zero|stuck at zero|reads zero|shows zero|shows nothing|showing nothing|reads 0|shows 0|no speed|flat line|flatlines|flatlined|not reading|no reading live|no live speed|no speed reading|dead|at zero|zero speed|no speed signal|no live reading|gives nothing|doesnt register|not registering|no output|zero on live data|doesnt read|does not read|no speed on live data|is zero|showing zero|no speed on that wheel|no wheel speed|sits at zero|flat at zero|shows no speed|stays flat|flat|missing on live data',
    'drops-out':
      'drops at bumps|drops over bumps|drops on bumps|drops at every bump|drops when it hits|drops on rough|drops to zero|drops to nothing|falls to zero|goes to zero|drops to 0|drops away|drops out|dropping out|drop outs|dropouts|drop out|cuts out|cutting out|cuts in and out|dropped out|loses signal|signal lost|goes dead|goes dead now and then|falls out|cut out|dropouts on',
    'once-per-turn':
      'once per turn|once a turn|once per wheel turn|every turn of the wheel|once every turn|dip a turn|dip every turn|one dip a turn|one dip every turn|a dip each turn|dips each turn|dips every turn|dip each turn|once per revolution|once a revolution|once each turn|one dip every turn of the wheel|a dip every turn|dips once a turn|one drop a turn|every revolution|each revolution|each turn of the wheel|per wheel turn|one gap a turn|a gap every turn',
    'weak-at-low-speed':
      'weak at low speed|below walking pace|at walking pace|at low speed|under walking pace|only below walking pace|at crawling speed|below 5|below 8|below 10|under 5|under 8|under 10|at slow speed|at very low speed|at crawl|when crawling|below five|under five',
    noisy:
      'jumps about|jumps around|jumping about|jumping around|all over the place|restless|jittery|spiky|spikes|noisy signal|jitters|hops about|dances about|ragged',
    normal:
      'all the same|all four the same|all four speeds the same|all speeds the same|all four match|all match|all four agree|live speeds normal|all speeds match|all four speeds match|live data normal|live data fine|all four the same on|smooth|agree|agrees|match|matches|the same speed|same speed|reads the same|all agree|all equal|all four equal|normal|reads normal|reads with the others|with the others|track together|all track',
    'reads-high':
      'reads high|reads fast|reading high|reading fast|too fast|reads too high|over reads|runs high',
    'reads-low':
      'reads low|reads slow|reading low|reading slow|too slow|reads too low|under reads|runs low|lags',
  },
  tables: {
    live: {
      sound: 'normal',
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
        sensor: [
          'Mostly dead, sometimes failing warm or on bumps.',
          {
            normal: 0.08,
            'no-signal': 0.6,
            'drops-out': 0.2,
            'once-per-turn': 0.004,
            'reads-high': 0.003,
            'reads-low': 0.003,
            'weak-at-low-speed': 0.06,
            noisy: 0.05,
          },
        ],
        sender: [
          'Mostly dead.',
          {
            normal: 0.08,
            'no-signal': 0.6,
            'drops-out': 0.2,
            'once-per-turn': 0.004,
            'reads-high': 0.003,
            'reads-low': 0.003,
            'weak-at-low-speed': 0.06,
            noisy: 0.05,
          },
        ],
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
  },
  limits: {
    'live.ratio-not-growing.tyre': [
      0.3,
      'times',
      [0.01, 1],
      'A tyre gives the same ratio at every speed, so the difference grows with speed; one that does not grow is hardly a tyre.',
    ],
    'live.ratio-most': [
      25,
      '%',
      [5, 100],
      'A wheel further off than this is no tyre and no tooth count: it is a signal that is not one.',
    ],
  },
} as const satisfies CheckKind;

import type { CheckKind } from './checkKind.ts';

/** Clearing the code and driving. */
export const clearAndDrive = {
  name: 'clear-and-drive',
  words: 'clear the code and drive',
  how: [
    'Note the codes, clear them, then key on, roll a few metres and drive.',
    'Note when the lamp comes back: at once, on moving off, or on bumps.',
  ],
  minutes: 12,
  setup: 'reader',
  speaksOf: 'wheel',
  lifts: false,
  driven: true,
  needs: ['reader'],
  fields: {
    result: {
      is: 'result',
    },
  },
  results: {
    'stays-away': 'a past event',
    'back-at-once': 'an open or short circuit',
    'back-when-driven': 'target, gap or tyre',
    'back-on-bumps': 'wiring or bearing',
  },
  computed: false,
  said: {
    'back-at-once':
      'came straight back|comes straight back|came right back|comes right back|come right back|straight back on|light came straight back|come straight back|came straight back on|comes straight back on',
    'back-on-bumps':
      'over bumps|on bumps|at bumps|when it hits a bump|on rough roads|on rough road|over potholes|on potholes|on cobbles|over cobbles|over rough ground|on rough ground|on speed bumps|over speed bumps|when i hit a bump|hitting a bump|on a bump|on bumpy roads|over a bump|at every bump|on rough surfaces',
    'stays-away':
      'stays away|stayed away|cleared and stayed out|did not come back|hasnt come back|has not come back|stayed off|stays off|stayed out|stays out|not come back|never came back|didnt come back|has stayed off|has stayed out|gone for good',
  },
  comesBack: {
    'back-at-once':
      'at once|straight away|immediately|as soon as|instantly|at key on|before moving|before it moved|the moment|right away|straight off|as soon as the key|the second|within seconds',
    'back-when-driven':
      'as soon as we drove|as soon as we drive|as soon as i drove|as soon as he drove|as soon as she drove|as soon as it moved|as soon as we moved|as soon as we set off|as soon as i set off|as soon as driven|when driven|on moving off|when moving|on driving|on the road|as i drive|after a mile|down the road|after driving|once driven|after a few miles|once rolling|after a short drive|when i drive|when i drove|on the test drive|above|once moving|when rolling|as it rolls|after a drive|after a test drive|at speed|after a few metres|after moving off|when it moves|as soon as it moves|as soon as it rolls|as soon as i drive|as soon as we drive|while driving|when driving|after a kilometre|after a few kilometres',
    'back-on-bumps': 'on bumps|over bumps|on rough roads|on a bump|over a bump|over potholes',
  },
  tables: {
    'clear-and-drive': {
      sound: 'stays-away',
      nothing: {
        'stays-away': 0.94,
        'back-at-once': 0.015,
        'back-when-driven': 0.028,
        'back-on-bumps': 0.017,
      },
      rows: {
        sensor: [
          'A dead circuit is found at key-on; a dead signal on moving off.',
          {
            'stays-away': 0.06,
            'back-at-once': 0.5,
            'back-when-driven': 0.38,
            'back-on-bumps': 0.06,
          },
        ],
        sender: [
          'As a sensor.',
          {
            'stays-away': 0.06,
            'back-at-once': 0.45,
            'back-when-driven': 0.43,
            'back-on-bumps': 0.06,
          },
        ],
        joint: [
          'A bad joint answers to bumps and damp.',
          {
            'stays-away': 0.11,
            'back-at-once': 0.36,
            'back-when-driven': 0.2,
            'back-on-bumps': 0.33,
          },
        ],
        loom: [
          'A broken lead is found at key-on, a chafed one on bumps.',
          {
            'stays-away': 0.08,
            'back-at-once': 0.5,
            'back-when-driven': 0.2,
            'back-on-bumps': 0.22,
          },
        ],
        ring: [
          'Needs the wheel to turn.',
          {
            'stays-away': 0.15,
            'back-at-once': 0.01,
            'back-when-driven': 0.8,
            'back-on-bumps': 0.04,
          },
        ],
        encoder: [
          'Needs the wheel to turn.',
          {
            'stays-away': 0.15,
            'back-at-once': 0.02,
            'back-when-driven': 0.78,
            'back-on-bumps': 0.05,
          },
        ],
        bearing: [
          'Needs the wheel to turn, worse in bends and on bumps.',
          {
            'stays-away': 0.25,
            'back-at-once': 0.03,
            'back-when-driven': 0.52,
            'back-on-bumps': 0.2,
          },
        ],
        seating: [
          'Needs the wheel to turn.',
          {
            'stays-away': 0.18,
            'back-at-once': 0.03,
            'back-when-driven': 0.72,
            'back-on-bumps': 0.07,
          },
        ],
        tyre: [
          'Comes back with speed.',
          {
            'stays-away': 0.15,
            'back-at-once': 0.005,
            'back-when-driven': 0.83,
            'back-on-bumps': 0.015,
          },
        ],
        'wrong-sensor': [
          'A wrong part does not work from the start.',
          {
            'stays-away': 0.06,
            'back-at-once': 0.45,
            'back-when-driven': 0.46,
            'back-on-bumps': 0.03,
          },
        ],
        'wrong-target': [
          'Needs the wheel to turn.',
          {
            'stays-away': 0.06,
            'back-at-once': 0.04,
            'back-when-driven': 0.87,
            'back-on-bumps': 0.03,
          },
        ],
        'none-present': [
          'A past event does not come back.',
          {
            'stays-away': 0.97,
            'back-at-once': 0.005,
            'back-when-driven': 0.02,
            'back-on-bumps': 0.005,
          },
        ],
        module: [
          'A failing controller is found at key-on.',
          {
            'stays-away': 0.1,
            'back-at-once': 0.7,
            'back-when-driven': 0.15,
            'back-on-bumps': 0.05,
          },
        ],
        supply: [
          'Comes back with the next weak start, not with the key.',
          {
            'stays-away': 0.78,
            'back-at-once': 0.06,
            'back-when-driven': 0.13,
            'back-on-bumps': 0.03,
          },
        ],
      },
      unmoved: [],
    },
  },
} as const satisfies CheckKind;

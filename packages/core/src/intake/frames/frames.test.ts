import { describe, expect, test } from '@jest/globals';
import { bareIntake } from '../context.ts';
import { readIntake } from '../readIntake.ts';

const context = {
  ...bareIntake('2026-11-25'),
  steeringSide: 'left' as const,
  trafficSide: 'right' as const,
  axles: 2,
};
/** Checks as `name wheel result`, in the order they were said. */
const checks = (words: string): string[] =>
  readIntake(words, context).checks.map((check) =>
    [
      check.check,
      check.wheelEnd ?? '-',
      'result' in check
        ? check.result
        : check.check === 'live'
          ? check.pattern
          : check.check === 'meter.resistance'
            ? check.ohms
            : 'volts' in check
              ? check.volts
              : '',
    ].join(' '),
  );

describe('rocked and spun', () => {
  test.each<[string, string[]]>([
    [
      'wheel wobbles front left and the right one is solid',
      ['bearing.play A1L clear', 'bearing.play A1R none'],
    ],
    [
      'both rears growl but no play in either',
      [
        'bearing.noise A2L growl',
        'bearing.noise A2R growl',
        'bearing.play A2L none',
        'bearing.play A2R none',
      ],
    ],
    [
      'no play in the front left but plenty in the front right',
      ['bearing.play A1L none', 'bearing.play A1R clear'],
    ],
    ['rear left is neither noisy nor loose', ['bearing.noise A2L none', 'bearing.play A2L none']],
    ['axle 1 left growls, axle 1 right does not', ['bearing.noise A1L growl', 'bearing.noise A1R none']],
    ['hardly any play rear left', ['bearing.play A2L slight']],
    ['the wheel nearly came off, rear left', ['bearing.play A2L clear']],
    ['pedal growls, a noisy radio, playing up', []],
  ])('%s', (words, wanted) => {
    expect(checks(words).sort()).toEqual([...wanted].sort());
  });
});

describe('looked at', () => {
  test.each<[string, string[]]>([
    [
      'ring fine at the front right, cracked on the opposite side',
      ['visual.ring A1R sound', 'visual.ring A1L cracked'],
    ],
    ['plug isn\u2019t corroded but the lock is broken, rear right', ['visual.connector A2R broken-lock']],
    ['plug shell in pieces, locks gone rear left', ['visual.connector A2L shell-broken']],
    ['sensor seized and broke in two coming out, rear left', ['visual.sensor A2L snapped']],
    ['sensor not pushed in all the way rear right', ['visual.sensor A2R loose']],
    ['looked at the ring front left: can\u2019t see it', ['visual.ring A1L not-visible']],
    [
      'front left has a cracked ring, ditto front right',
      ['visual.ring A1L cracked', 'visual.ring A1R cracked'],
    ],
    ['took the sensor out to clean it, brake disc rusty, mirror cracked', []],
  ])('%s', (words, wanted) => {
    expect(checks(words)).toEqual(wanted);
  });
});

describe('measured', () => {
  test.each<[string, string[]]>([
    [
      'left front reads 1150 ohms and the right 1480',
      ['meter.resistance A1L 1150', 'meter.resistance A1R 1480'],
    ],
    [
      'fl: 1.12k fr: 1.13k rl: OL rr: 1k1',
      [
        'meter.resistance A1L 1120',
        'meter.resistance A1R 1130',
        'meter.resistance A2L open',
        'meter.resistance A2R 1100',
      ],
    ],
    [
      'front left and rear right both read open, the other two 1.1k',
      [
        'meter.resistance A1L open',
        'meter.resistance A2R open',
        'meter.resistance A1R 1100',
        'meter.resistance A2L 1100',
      ],
    ],
    [
      '4.8 volts at the open plug rear right, 4.9 at the rear left',
      ['meter.supply A2R 4.8', 'meter.supply A2L 4.9'],
    ],
    [
      'AC voltage rear left 0.08, rear right 0.3, both spun by hand',
      ['meter.ac A2L 0.08', 'meter.ac A2R 0.3'],
    ],
    ['0 ohms across the rear right sensor', ['meter.resistance A2R short']],
    ['1100 ohms, no sorry, 1.4k at the front left', ['meter.resistance A1L 1400']],
    ['built 2016, room 12, paid 1200, call at 10.30', []],
  ])('%s', (words, wanted) => {
    expect(checks(words)).toEqual(wanted);
  });

  test('battery at rest and cranking are one check', () => {
    expect(readIntake('resting 12.5 volts, cranking 9.2', context).checks).toEqual([
      { check: 'battery', restingVolts: 12.5, crankingVolts: 9.2 },
    ]);
  });
});

describe('live', () => {
  test.each<[string, string[]]>([
    [
      'FL 12, FR 12, RL 0, RR 12 km/h',
      ['live A1L normal', 'live A1R normal', 'live A2L no-signal', 'live A2R normal'],
    ],
    [
      'wheel speeds: FL=45 FR=45 RL=44 RR=12',
      ['live A1L normal', 'live A1R normal', 'live A2L normal', 'live A2R reads-low'],
    ],
    [
      'axle 2 left 2 km/h, axle 1 left 2 km/h, axle 1 right 2 km/h',
      ['live A2L normal', 'live A1L normal', 'live A1R normal'],
    ],
    ['a dip once every wheel turn, rear left', ['live A2L once-per-turn']],
    ['once a turn it drops to nothing at walking pace, rear left', ['live A2L once-per-turn']],
    ['signal cuts out below walking pace front left', ['live A1L weak-at-low-speed']],
    ['no drop outs on the live data', ['live - normal']],
    ['battery dead, speedo dead', []],
  ])('%s', (words, wanted) => {
    expect(checks(words)).toEqual(wanted);
  });
});

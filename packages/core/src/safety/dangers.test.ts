import { describe, expect, test } from '@jest/globals';
import type { Check, Docket } from '../index.ts';
import { dangersOf, worstWheel } from './dangers.ts';

const docket = (checks: Check[], symptoms: Docket['symptoms'] = []): Docket => ({
  format: 'hardy-spoke/docket',
  version: 1,
  checks,
  symptoms,
});

describe('a hot wheel', () => {
  test('a wheel that is hot or smokes forbids driving, and is no matter of fluid', () => {
    const dangers = dangersOf({ format: 'hardy-spoke/docket', version: 1, symptoms: ['wheel.hot'] });
    expect(dangers.stop).toBe(true);
    expect(dangers.brakes).toMatchObject({ hot: true, fluid: null });
    expect(
      dangersOf({ format: 'hardy-spoke/docket', version: 1, symptoms: [{ is: 'wheel.hot', cured: 'yes' }] })
        .stop,
    ).toBe(false);
  });
});

describe('what forbids driving', () => {
  test.each<[string, Docket, boolean]>([
    ['clear play', docket([{ check: 'bearing.play', wheelEnd: 'A1L', result: 'clear' }]), true],
    ['slight play alone', docket([{ check: 'bearing.play', wheelEnd: 'A1L', result: 'slight' }]), false],
    ['growl alone', docket([{ check: 'bearing.noise', wheelEnd: 'A1L', result: 'growl' }]), false],
    [
      'growl with slight play',
      docket([
        { check: 'bearing.play', wheelEnd: 'A1L', result: 'slight' },
        { check: 'bearing.noise', wheelEnd: 'A1L', result: 'growl' },
      ]),
      true,
    ],
    [
      'growl here, play there',
      docket([
        { check: 'bearing.play', wheelEnd: 'A1R', result: 'slight' },
        { check: 'bearing.noise', wheelEnd: 'A1L', result: 'growl' },
      ]),
      false,
    ],
    [
      'the customer hears it, and there is play',
      docket([{ check: 'bearing.play', wheelEnd: 'A1L', result: 'slight' }], ['noise.wheel']),
      true,
    ],
    ['no play', docket([{ check: 'bearing.play', wheelEnd: 'A1L', result: 'none' }], ['noise.wheel']), false],
  ])('%s', (_, given, wanted) => {
    expect(dangersOf(given).stop).toBe(wanted);
  });

  test('the worst wheel comes first: clear before slight, growl before quiet, whatever is written first', () => {
    const play = (wheelEnd: string, result: 'slight' | 'clear'): Check => ({
      check: 'bearing.play',
      wheelEnd,
      result,
    });
    const growl = (wheelEnd: string): Check => ({ check: 'bearing.noise', wheelEnd, result: 'growl' });
    const facts = [
      play('A2R', 'slight'),
      growl('A2R'),
      play('A1L', 'clear'),
      play('A2L', 'clear'),
      growl('A2L'),
    ];
    for (const checks of [facts, [...facts].reverse()])
      expect(dangersOf(docket(checks)).wheels.map(({ wheelEnd }) => wheelEnd)).toEqual(['A2L', 'A1L', 'A2R']);
    expect(worstWheel(dangersOf(docket(facts), null))).toBe('A2L');
  });

  test('clear play or a growl nobody tied to a wheel stops, and no wheel is guessed', () => {
    for (const check of [
      { check: 'bearing.play', result: 'clear' },
      { check: 'bearing.noise', result: 'growl' },
    ] as Check[]) {
      const dangers = dangersOf(docket([check]));
      expect(dangers.stop).toBe(true);
      expect(worstWheel(dangers)).toBeNull();
    }
    // A growl nobody placed may be the loose wheel's.
    const growl: Check = { check: 'bearing.noise', result: 'growl' };
    const slight: Check = { check: 'bearing.play', wheelEnd: 'A1R', result: 'slight' };
    expect(worstWheel(dangersOf(docket([slight, growl])))).toBe('A1R');
  });

  test('the worse reading of a wheel stands, in either order', () => {
    const clear: Check = { check: 'bearing.play', wheelEnd: 'A1L', result: 'clear' };
    const none: Check = { check: 'bearing.play', wheelEnd: 'A1L', result: 'none' };
    expect(dangersOf(docket([clear, none])).stop).toBe(true);
    expect(dangersOf(docket([none, clear])).stop).toBe(true);
  });

  test.each<[string, Docket, boolean]>([
    ['a soft pedal', docket([], ['pedal.soft']), true],
    ['a soft pedal that was cured', docket([], [{ is: 'pedal.soft', cured: 'yes' }]), false],
    ['fluid leaking', docket([{ check: 'brake.fluid', result: 'leaking' }]), true],
    ['fluid low', docket([{ check: 'brake.fluid', result: 'low' }]), true],
    ['fluid full', docket([{ check: 'brake.fluid', result: 'full' }]), false],
    ['the brake lamp alone', docket([], ['lamp.brake']), false],
  ])('%s', (_, given, wanted) => {
    expect(dangersOf(given).stop).toBe(wanted);
    expect(dangersOf(given).brakes !== null).toBe(wanted);
  });

  test('a wheel that was rocked again and stood firm is unsafe until the worse reading is struck out, and says so', () => {
    const play = (...results: Array<'clear' | 'slight' | 'none'>) =>
      dangersOf(
        docket(
          results.map((result) => ({ check: 'bearing.play' as const, wheelEnd: 'A1R' as const, result })),
        ),
      ).wheels[0];
    expect(play('clear')?.soundSince).toBe(false);
    expect(play('clear', 'none')).toMatchObject({ play: 'clear', soundSince: true });
    expect(play('clear', 'none', 'slight')?.soundSince).toBe(false);
    expect(play('none', 'clear')?.soundSince).toBe(false);
    expect(play('none')).toBeUndefined();
  });

  test('bolts come first where a wheel was off lately', () => {
    const given = {
      ...docket([{ check: 'bearing.play', wheelEnd: 'A1R', result: 'clear' }]),
      history: [{ event: 'tyre-replaced' as const, wheelEnd: 'A1R', daysAgo: 2 }],
    };
    expect(dangersOf(given).wheels[0]?.boltsFirst).toBe(true);
    expect(
      dangersOf({ ...given, history: [{ event: 'tyre-replaced', wheelEnd: 'A1L', daysAgo: 2 }] }).wheels[0]
        ?.boltsFirst,
    ).toBe(false);
  });
});

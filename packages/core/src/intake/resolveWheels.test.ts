import { describe, expect, test } from '@jest/globals';
import { bareIntake } from './context.ts';
import { readIntake } from './readIntake.ts';

const context = {
  ...bareIntake('2026-11-25'),
  steeringSide: 'left' as const,
  trafficSide: 'right' as const,
  axles: 2,
};
const read = (words: string, moves = {}) => readIntake(words, { ...context, moves });
const wheels = (words: string) =>
  read(words).checks.map((check) => `${check.check} ${check.wheelEnd ?? '-'}`);

describe('which wheel a fact is of', () => {
  test('its own clause, whatever stands nearer', () => {
    expect(wheels('plug green front left, ring cracked front right')).toEqual([
      'visual.connector A1L',
      'visual.ring A1R',
    ]);
    expect(wheels('rear left 1.1k, rear right open')).toEqual([
      'meter.resistance A2L',
      'meter.resistance A2R',
    ]);
  });

  test('a label heads what follows, until the next one', () => {
    expect(wheels('front left: ring cracked. plug green. rear right: no play')).toEqual([
      'visual.ring A1L',
      'visual.connector A1L',
      'bearing.play A2R',
    ]);
    expect(wheels('fl: 1.12k fr: 1.13k rl: OL rr: 1.11k')).toEqual([
      'meter.resistance A1L',
      'meter.resistance A1R',
      'meter.resistance A2L',
      'meter.resistance A2R',
    ]);
  });

  test('carried over within a sentence, and marked', () => {
    const { chips, checks } = read('front left has a cracked ring, plug green');
    expect(checks.map(({ wheelEnd }) => wheelEnd)).toEqual(['A1L', 'A1L']);
    expect(chips.filter(({ kind }) => kind === 'check').map(({ carried }) => carried)).toEqual([false, true]);
  });

  test('two wheels that may be meant: without a wheel, and asked once', () => {
    const { checks, asks } = read('either the front right or the rear right has play');
    expect(checks).toEqual([{ check: 'bearing.play', result: 'clear' }]);
    expect(asks?.filter(({ about }) => about === 'wheelEnd')).toHaveLength(1);
    expect(wheels('play front left, plug green, front right')).toContain('visual.connector -');
  });

  test('work of another sentence is not carried', () => {
    expect(
      read('front left is noisy. the hub was changed last year').history[0]?.wheelEnd ?? null,
    ).toBeNull();
  });

  test('a chip moved by hand stays moved', () => {
    const words = 'front left: plug green';
    const key = read(words).chips.find(({ kind }) => kind === 'check')?.key ?? '';
    expect(read(words, { [key]: 'A2R' }).checks).toEqual([
      { check: 'visual.connector', result: 'corroded', wheelEnd: 'A2R' },
    ]);
    expect(read(words, { [key]: null }).checks).toEqual([{ check: 'visual.connector', result: 'corroded' }]);
    expect(read(`abs light on, ${words}`, { [key]: 'A2R' }).checks[0]?.wheelEnd).toBe('A2R');
  });

  test('a relation is worked out, and its reference is never the answer', () => {
    const { positions } = read('not that one, the one diagonally across from the front right');
    expect(positions).toMatchObject([{ role: 'denied', wheelEnds: ['A1R'] }, { wheelEnds: ['A2L'] }]);
    expect(read('the opposite one').positions).toMatchObject([{ needs: 'side', wheelEnds: [] }]);
  });

  test('the last word wins without a disagreement', () => {
    const { positions, conflicts } = read('front left, no wait, front right');
    expect(positions.filter((p) => !p.role).map((p) => p.wheelEnds)).toEqual([['A1R']]);
    expect(conflicts).toEqual([]);
  });
});

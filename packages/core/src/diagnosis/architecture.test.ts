import { describe, expect, test } from '@jest/globals';
import { assumptionsWith } from '../assumptions/assumptions.ts';
import { architectureGroups, centreAxlesOf } from './architecture.ts';
import { faultPrior, ageInYears } from './priors.ts';
import { faultsAt, statesAt } from './states.ts';

const a = assumptionsWith();
const TODAY = '2026-11-25';
const known = {
  sensor: 'active',
  mounting: 'separate',
  target: 'encoder-in-bearing',
  ringSoldAlone: false,
} as const;
const ring = {
  sensor: 'passive',
  mounting: 'separate',
  target: 'ring-on-shaft',
  ringSoldAlone: true,
} as const;

describe('architecture', () => {
  test('what is known has odds of one, what is not is carried with odds that add up', () => {
    const [front, rear] = architectureGroups({ wheelEnds: { A1: known } }, 2, new Set(), a);
    expect(front?.options).toEqual([{ architecture: known, chance: 1 }]);
    expect(rear?.options.length).toBeGreaterThan(4);
    expect(rear?.options.reduce((sum, option) => sum + option.chance, 0)).toBeCloseTo(1, 12);
  });

  test('the driveline rules out rings on shafts that are not there', () => {
    const targets = (driveline: 'fwd' | 'rwd' | 'trailer', axle: number) =>
      new Set(
        architectureGroups({ driveline }, 2, new Set(), a)[axle - 1]?.options.map(
          (option) => option.architecture.target,
        ),
      );
    expect(targets('fwd', 1)).toContain('ring-on-shaft');
    expect(targets('fwd', 2)).not.toContain('ring-on-shaft');
    expect(targets('rwd', 1)).not.toContain('ring-on-shaft');
    expect(targets('trailer', 2)).not.toContain('ring-on-shaft');
  });

  test('what is stated wins over the odds, however rare', () => {
    const [front] = architectureGroups(
      { driveline: 'trailer', wheelEnds: { A1: { sensor: 'passive', target: 'encoder-in-bearing' } } },
      1,
      new Set(),
      a,
    );
    for (const { architecture } of front?.options ?? [])
      expect(architecture).toMatchObject({ sensor: 'passive', target: 'encoder-in-bearing' });
    expect(front?.options.reduce((sum, option) => sum + option.chance, 0)).toBeCloseTo(1, 12);
  });

  test('a centre sender stands for its axle, beside or instead of the wheels', () => {
    const instead = architectureGroups({ wheelEnds: { A2: { mounting: 'centre' } } }, 2, new Set([2]), a);
    expect(instead.flatMap((group) => group.ends)).toEqual(['A1L', 'A1R', 'A2C']);
    const beside = architectureGroups(
      { wheelEnds: { A2: known, A2C: { sensor: 'passive' } } },
      2,
      new Set(),
      a,
    );
    expect(beside.flatMap((group) => group.ends)).toEqual(['A1L', 'A1R', 'A2C', 'A2L', 'A2R']);
    expect(centreAxlesOf({ wheelEnds: { A2: { mounting: 'centre' } } }, [])).toEqual(new Set([2]));
    expect(centreAxlesOf({}, ['A2C', 'A1L'])).toEqual(new Set([2]));
  });

  test('a wheel end\u2019s own entry wins over its axle\u2019s', () => {
    const groups = architectureGroups(
      { wheelEnds: { A1: known, A1R: { sensor: 'passive', target: 'ring-on-hub' } } },
      1,
      new Set(),
      a,
    );
    expect(groups).toHaveLength(2);
    expect(groups[1]?.known).toMatchObject({ sensor: 'passive', mounting: 'separate' });
  });
});

describe('states and priors', () => {
  test('only causes that exist there', () => {
    expect(faultsAt('A1L', known)).toEqual([
      'sensor',
      'encoder',
      'bearing',
      'joint',
      'loom',
      'seating',
      'tyre',
      'wrong-sensor',
      'wrong-target',
    ]);
    expect(faultsAt('A2C', { ...ring, mounting: 'centre', target: 'ring-in-differential' })).not.toContain(
      'bearing',
    );
    expect(faultsAt('A1L', { ...known, mounting: 'in-hub' })).not.toContain('seating');
    const states = statesAt('A1L', known);
    expect(states).toHaveLength(1 + 9 + 1 + 36 - 2);
    expect(states.filter((state) => state.includes('none-present'))).toEqual([['none-present']]);
  });

  test('salt, age and a shaft move the prior of a ring the way they should', () => {
    const prior = (vehicle: object, architecture: typeof ring | typeof known = ring) =>
      faultPrior('ring', architecture, vehicle, TODAY, a);
    expect(prior({ saltExposure: 'high' })).toBeGreaterThan(prior({}));
    expect(prior({ saltExposure: 'none' })).toBeLessThan(prior({}));
    expect(prior({ buildDate: '2004' })).toBeGreaterThan(prior({ buildDate: '2022' }));
    expect(prior({})).toBeGreaterThan(faultPrior('ring', { ...ring, target: 'ring-on-hub' }, {}, TODAY, a));
  });

  test('age from a date known to the year, the month or the day', () => {
    expect(ageInYears('2016', TODAY)).toBeCloseTo(10.36, 1);
    expect(ageInYears('2016-11', TODAY)).toBeCloseTo(10.03, 1);
    expect(ageInYears('2016-11-25', TODAY)).toBeCloseTo(10, 2);
    expect(ageInYears('2030', TODAY)).toBe(0);
    expect(ageInYears(null, TODAY)).toBeNull();
  });
});

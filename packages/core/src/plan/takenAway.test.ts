import { describe, expect, test } from '@jest/globals';
import { advise } from '../advice/advise.ts';
import { judge } from '../advice/judge.ts';
import { bareKnowledge } from '../advice/knowledge.ts';
import type { Docket } from '../vocabulary/docket.ts';
import { knownBuild } from './askWorth.ts';

const knowledge = bareKnowledge('2026-11-25');
const docket = (ends: object): Docket => ({
  format: 'hardy-spoke/docket',
  version: 1,
  vehicle: { axles: 2, buildDate: '2012', wheelEnds: ends as never },
  codes: [{ module: 'ABS', code: 'C0031-2F', status: 'active' }],
  symptoms: ['lamp.abs'],
});

describe('ways of building that are the same decision', () => {
  const { main } = judge(docket({}), knowledge);
  const corner = main?.plan.corner;

  test('are one state, and every truth is in one', () => {
    expect(corner?.states.length).toBeLessThan(corner?.truths.length ?? 0);
    const sums = (corner?.states ?? []).map(() => 0);
    for (const { p, at } of corner?.truths ?? []) sums[at] = (sums[at] ?? 0) + p;
    sums.forEach((sum, s) => expect(sum).toBeCloseTo(corner?.states[s]?.p ?? -1, 12));
    expect(sums.reduce((sum, p) => sum + p, 0)).toBeCloseTo(1, 12);
  });

  test('have the same faults and are taken away alike by every fix', () => {
    for (const { state, shared, at } of corner?.truths ?? []) {
      const one = corner?.states[at];
      expect([...(one?.state ?? []), ...(one?.shared ?? [])].sort()).toEqual([...state, ...shared].sort());
    }
    for (const { moves } of corner?.problem.fixes ?? [])
      for (const each of moves) expect(each.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(1, 12);
  });
});

describe('knowing the build', () => {
  const worth = (ends: object) => {
    const { main } = judge(docket(ends), knowledge);
    return main ? knownBuild(main.plan) : null;
  };
  test('saves nothing where it is known, and never costs', () => {
    const known = { sensor: 'passive', mounting: 'separate', target: 'ring-on-hub', ringSoldAlone: true };
    expect(worth({ A1: known, A2: known })?.saves).toBeCloseTo(0, 9);
    expect(worth({})?.saves).toBeGreaterThanOrEqual(0);
  });
  test('an advice of a vehicle of unknown build lists every part once at a wheel', () => {
    const { offers } = advise(docket({}), knowledge);
    const keys = offers.map(
      ({ part, with: also, work, wheelEnd }) => `${part} ${also.join()} ${work} ${wheelEnd}`,
    );
    expect(new Set(keys).size).toBe(keys.length);
  });
});

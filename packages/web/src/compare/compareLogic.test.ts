import { describe, expect, test } from '@jest/globals';
import { bareKnowledge, compareBench, type Docket } from '@hardy/core';
import { checkFromFinding } from '../trace/checkFromFinding.ts';
import { COST_GROUPS, grouped } from './costGroups.ts';
import { roundTicks } from './roundTicks.ts';
import { dialValue } from './dialValue.ts';

const docket: Docket = {
  format: 'hardy-spoke/docket',
  version: 1,
  vehicle: { knuckle: 'iron', saltExposure: 'high', buildDate: '2011' },
  codes: [{ code: 'C0031-13', status: 'active' }],
  options: { stock: { sensor: 0 } },
};

describe('the bars', () => {
  test('the groups of a way add up to its mean, and every kind of cost is in one group', () => {
    const comparison = compareBench(docket, bareKnowledge('2026-11-25')).compare();
    expect(comparison?.ways.length).toBeGreaterThan(3);
    for (const way of comparison?.ways ?? []) {
      const sum = Object.values(grouped(way.costs)).reduce((total, part) => total + part, 0);
      expect(sum).toBeCloseTo(way.allIn.mean, 9);
    }
    const kinds: string[] = COST_GROUPS.flatMap((group) => [...group.kinds]);
    expect(new Set(kinds).size).toBe(kinds.length);
  });

  test('a snag and a wait stand in their own groups', () => {
    const way = compareBench(docket, bareKnowledge('2026-11-25'))
      .compare()
      ?.ways.find(({ id }) => /^sensor@A1L:[^+]*$/.test(id));
    const groups = grouped(way?.costs ?? []);
    expect(groups.seizure).toBeGreaterThan(0);
    expect(groups.waiting).toBeGreaterThan(0);
  });
});

test.each([
  [0.334, 'probability', '33 in 100'],
  [3, 'years', '3 years'],
  [1, 'years', '1 year'],
  [2.5, 'years', '2.5 years'],
  [78, 'money/h', '\u20AC78/h'],
  [140, 'money/day', '\u20AC140/day'],
  [165.4, 'money', '\u20AC165'],
])('a dial at %f %s says its unit', (value, unit, words) => {
  expect(dialValue(value, unit, 'EUR')).toBe(words);
});

describe('a finding of a log as a check', () => {
  const finding = {
    wheelEnd: 'A2R',
    confidence: 0.9,
    ratio: 0.9792,
    events: 0,
    explains: [],
  } as unknown as Parameters<typeof checkFromFinding>[0];

  test('a ratio becomes percent and grows with speed; another pattern carries none', () => {
    expect(checkFromFinding({ ...finding, pattern: 'reads-low' })).toEqual({
      check: 'live',
      wheelEnd: 'A2R',
      pattern: 'reads-low',
      percent: -2.08,
      growsWithSpeed: true,
    });
    expect(checkFromFinding({ ...finding, pattern: 'once-per-turn' })).toEqual({
      check: 'live',
      wheelEnd: 'A2R',
      pattern: 'once-per-turn',
    });
  });
});

test.each([
  [0, 835, 4, [0, 250, 500, 750, 1000]],
  [0, 95, 4, [0, 25, 50, 75, 100]],
  [-30, 62, 4, [-50, -25, 0, 25, 50, 75]],
  [0, 0, 4, [0]],
])('an axis from %d to %d has round ticks', (low, high, count, wanted) => {
  const ticks = roundTicks(low, high, count);
  if (high > low) expect(ticks).toEqual(wanted);
  expect(ticks[0]).toBeLessThanOrEqual(low);
  expect(ticks.at(-1)).toBeGreaterThanOrEqual(high);
});

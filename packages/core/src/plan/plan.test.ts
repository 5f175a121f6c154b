import { describe, expect, test } from '@jest/globals';
import { advise, bareKnowledge, CHECK_NAMES, type Docket, type PlanNode } from '../index.ts';
import { CHECK_RESULTS } from '../checkKinds/checkData.ts';
import { guideFor } from './planTree.ts';

const knowledge = bareKnowledge('2026-11-25');
const base: Docket = {
  format: 'hardy-spoke/docket',
  version: 1,
  vehicle: {
    name: 'van',
    axles: 2,
    wheelEnds: {
      A1: { sensor: 'passive', mounting: 'separate', target: 'ring-on-hub', ringSoldAlone: true },
    },
  },
  codes: [{ module: 'ABS', code: 'C0031-31', status: 'active' }],
};

const steps = (node: PlanNode | null): PlanNode[] =>
  node ? [node, ...node.then.flatMap((branch) => steps(branch.next))] : [];

describe('the plan', () => {
  test('is a tree whose branches add up and which never repeats a check on its way', () => {
    const walk = (node: PlanNode | null, done: readonly string[]): void => {
      if (!node) return;
      if (node.then.length > 0) {
        const sum = node.then.reduce((total, branch) => total + branch.chance, 0);
        expect(sum).toBeLessThanOrEqual(1 + 1e-9);
        expect(sum).toBeGreaterThan(0.85);
      }
      if (node.do === 'check') expect(done).not.toContain(node.check);
      for (const branch of node.then) walk(branch.next, node.check ? [...done, node.check] : done);
    };
    for (const code of ['C0031-31', 'C0031-13', 'C0031-2F', 'C0031-64', 'C0031-1F'])
      walk(advise({ ...base, codes: [{ module: 'ABS', code, status: 'active' }] }, knowledge).plan.step, []);
  });

  test('a check that was made, or that the architecture rules out, is not proposed', () => {
    const done = advise(
      { ...base, checks: [{ check: 'meter.ac', wheelEnd: 'A1L', volts: 0.2, turnsPerSecond: 1 }] },
      knowledge,
    );
    expect(steps(done.plan.step).map((step) => step.check)).not.toContain('meter.ac');
    const active = advise(
      {
        ...base,
        vehicle: {
          wheelEnds: {
            A1: { sensor: 'active', mounting: 'in-hub', target: 'encoder-in-bearing', ringSoldAlone: false },
          },
        },
      },
      knowledge,
    );
    for (const check of ['meter.ac', 'visual.ring', 'visual.sensor', 'swap'])
      expect(steps(active.plan.step).map((step) => step.check)).not.toContain(check);
  });

  test('schools are costs: a trip for every check makes selling at once likelier', () => {
    const worth = (school: 'test-first' | 'sell-likely') =>
      advise({ ...base, options: { school } }, knowledge).plan;
    expect(worth('sell-likely').worth).toBeLessThanOrEqual(worth('test-first').worth + 1e-9);
    expect(worth('sell-likely').school).toBe('sell-likely');
    const dear = advise(
      { ...base, options: { assumptions: { 'school.test-first.check-trip': 500 } } },
      knowledge,
    );
    expect(dear.verdict.action).not.toBe('check');
  });

  test('every check has a guide that speaks of its results', () => {
    for (const check of CHECK_NAMES) {
      const guide = guideFor(check, 1);
      expect(guide.how).toHaveLength(2);
      for (const result of CHECK_RESULTS[check].filter((r) => r !== 'not-visible'))
        expect(guide.results.map((each) => each.result)).toContain(result);
    }
  });
});

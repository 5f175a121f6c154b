import { describe, expect, test } from '@jest/globals';
import { advise } from '../advice/advise.ts';
import { bareKnowledge } from '../advice/knowledge.ts';
import type { Docket } from '../vocabulary/docket.ts';
import { SCHOOLS } from '../vocabulary/wordLists.ts';

const knowledge = bareKnowledge('2026-11-25');
const docket: Docket = {
  format: 'hardy-spoke/docket',
  version: 1,
  vehicle: {
    axles: 2,
    buildDate: '2012-05',
    saltExposure: 'high',
    knuckle: 'iron',
    wheelEnds: {
      A1: { sensor: 'passive', mounting: 'separate', target: 'ring-on-hub', ringSoldAlone: true },
    },
  },
  codes: [{ module: 'ABS', code: 'C0031-38', status: 'active' }],
  symptoms: ['lamp.abs'],
};
const plan = (d: Docket) => advise(d, knowledge).plan;

describe('what would change the answer', () => {
  test('each named finding, once made, does lead to what was said', () => {
    const before = advise(docket, knowledge);
    expect(before.plan.flips.length).toBeGreaterThan(0);
    expect(before.plan.flips.map(({ chance }) => chance)).toEqual(
      before.plan.flips.map(({ chance }) => chance).sort((a, b) => b - a),
    );
    for (const flip of before.plan.flips) {
      expect(flip.chance).toBeGreaterThan(0.01);
      expect(flip.then).toMatch(/^(sell|refer|clean|fit|charge|clear)/);
    }
  });

  test('a check that was made is neither proposed nor named again', () => {
    const first = plan(docket).step;
    expect(first?.do).toBe('check');
    const made: Docket = {
      ...docket,
      checks: [{ check: 'visual.ring', wheelEnd: 'A1L', result: 'sound' }],
    };
    const after = plan(made);
    expect(JSON.stringify(after.step)).not.toContain('"check":"visual.ring"');
    expect(after.flips.some(({ when }) => when.startsWith('look at the tone ring'))).toBe(false);
  });
});

describe('schools', () => {
  test.each(SCHOOLS)('%s has its figures and plans to an end', (school) => {
    const answer = plan({ ...docket, options: { school } });
    expect(answer.school).toBe(school);
    expect(answer.other?.school).not.toBe(school);
    const ends: string[] = [];
    const walk = (node: NonNullable<typeof answer.step>): void => {
      if (node.then.length === 0) ends.push(node.do);
      node.then.forEach(({ next }) => next && walk(next));
    };
    if (answer.step) walk(answer.step);
    for (const end of ends) expect(['sell', 'no-part', 'refer', 'check']).toContain(end);
  });

  test('dearer comebacks and trips never make the plan cheaper', () => {
    const cost = (school: (typeof SCHOOLS)[number]) =>
      plan({ ...docket, options: { school } }).step!.expectedCost;
    expect(cost('far-away')).toBeGreaterThanOrEqual(cost('test-first') - 1e-9);
    expect(cost('lift-at-hand')).toBeLessThanOrEqual(cost('test-first') + 1e-9);
  });

  test('the other school\u2019s figure is what that school itself says', () => {
    const mine = plan({ ...docket, options: { school: 'test-first' } });
    const theirs = plan({ ...docket, options: { school: 'sell-likely' } });
    expect(mine.other?.expectedCost).toBeCloseTo(theirs.step!.expectedCost, 6);
    expect(mine.other?.label).toBe(theirs.step!.label);
  });
});

describe('what repeats is worth less', () => {
  test('live speeds are worth less after a code of a dead circuit than after one that names no kind', () => {
    const worth = (code: string) => {
      const answer = advise(
        {
          ...docket,
          codes: [{ module: 'ABS', code, status: 'active' }],
          options: { assumptions: { 'check.minutes.live': 0 } },
        },
        knowledge,
      );
      return answer.plan.flips.filter(({ when }) => when.startsWith('compare live')).length;
    };
    expect(worth('C0031-13')).toBeLessThanOrEqual(worth('C0031'));
  });
});

describe('what moves the odds before any finding', () => {
  const bearing = (vehicle: Docket['vehicle']) =>
    advise(
      {
        ...docket,
        codes: [],
        symptoms: ['noise.wheel'],
        wheelEnd: 'A1L',
        vehicle: { ...docket.vehicle, ...vehicle },
      },
      knowledge,
    ).causes.find((c) => c.cause === 'bearing' && c.wheelEnd === 'A1L')?.probability ?? 0;

  test('distance beyond the usual wears the bearing, little distance spares it', () => {
    expect(bearing({ distanceKm: 420000 })).toBeGreaterThan(bearing({}));
    expect(bearing({ distanceKm: 20000 })).toBeLessThan(bearing({}));
  });

  test('tyres larger than built wear it too; the built size changes nothing', () => {
    const sizes = (size: string) => ({ A1L: size, A1R: size });
    const built = { originalTyre: '215/60 R16' };
    expect(bearing({ ...built, tyres: sizes('245/75 R16') })).toBeGreaterThan(
      bearing({ ...built, tyres: sizes('215/60 R16') }) + 1e-6,
    );
    expect(bearing({ ...built, tyres: sizes('215/60 R16') })).toBeCloseTo(
      bearing({ tyres: sizes('215/60 R16') }),
      9,
    );
  });
});

import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { assumptionsWith } from '../assumptions/assumptions.ts';
import { causeOf, FAULTS, type Fault } from '../faultKinds/faultData.ts';
import type { Cause } from '../vocabulary/words.ts';
import { architectureGroups, type ArchitectureGroup } from './architecture.ts';
import type { Complaint, Evidence, Finding } from './finding.ts';
import { likelihood } from './likelihood.ts';
import { posterior } from './posterior.ts';
import { asSensed } from './sensedEnd.ts';
import { faultCountWeights, faultPrior, secondEndChance, statePrior } from './priors.ts';
import { statesAt, type State } from './states.ts';

const a = assumptionsWith();
const TODAY = '2026-11-25';

/** Every combination of states of all wheel ends, ways of building, shared causes and corner complained of, one by one. */
const enumerated = (groups: readonly ArchitectureGroup[], evidence: Evidence): Map<string, number> => {
  const sums = new Map<string, number>();
  const ends = groups.flatMap((g) => g.ends);
  const adrift = evidence.findings.some((f) => f.wheelEnd === null);
  const corners = adrift ? ends : [null];
  let total = 0;
  // Prior odds of a fault at each wheel end, over the ways it may be built.
  const odds = groups.flatMap((group) =>
    group.ends.map((end) =>
      group.options.reduce((sum, { architecture, chance }) => {
        const weights = statesAt(end, architecture).map((s) =>
          statePrior(s, (f) => faultPrior(f, architecture, {}, TODAY, a), a),
        );
        return sum + chance * (weights.reduce((x, y) => x + y, 0) - 1);
      }, 0),
    ),
  );
  const counts = faultCountWeights(odds, secondEndChance({}, TODAY, a));
  const walk = (
    g: number,
    chosen: Array<{ end: string; state: State }>,
    p: number,
    shared: Fault[],
    corner: string | null,
  ): void => {
    const group = groups[g];
    if (!group) {
      let weight = p * (counts[chosen.filter(({ state }) => state.length > 0).length] ?? 0);
      for (const complaint of evidence.complaints) {
        let silent = 1 - complaint.leak;
        for (const cause of shared) silent *= 1 - complaint.brings(cause, null);
        for (const { end, state } of chosen)
          for (const cause of state) silent *= 1 - complaint.brings(cause, end);
        weight *= 1 - silent;
      }
      total += weight;
      for (const { end, state } of chosen)
        for (const cause of new Set(state.map(causeOf)))
          sums.set(`${cause} ${end}`, (sums.get(`${cause} ${end}`) ?? 0) + weight);
      for (const cause of shared) sums.set(`${cause} null`, (sums.get(`${cause} null`) ?? 0) + weight);
      return;
    }
    for (const { architecture, chance } of group.options) {
      const perEnd = group.ends.map((end) => {
        const states = statesAt(end, architecture);
        const priors = states.map((s) => statePrior(s, (c) => faultPrior(c, architecture, {}, TODAY, a), a));
        const sum = priors.reduce((x, y) => x + y, 0);
        return states.map((state, i) => {
          const mine = evidence.findings.filter(
            (f) => f.wheelEnd === end || (f.wheelEnd === null && corner === end),
          );
          const weight = mine.reduce(
            (w, f) => w * likelihood(f, [...state, ...shared], architecture),
            (priors[i] ?? 0) / sum,
          );
          return { end, state, weight };
        });
      });
      const [first = [], second = [{ end: '', state: [] as State, weight: 1 }]] = perEnd;
      for (const x of first)
        for (const y of second)
          walk(
            g + 1,
            [...chosen, x, ...(y.end ? [y] : [])],
            p * chance * x.weight * y.weight,
            shared,
            corner,
          );
    }
  };
  for (const shared of [[], ['module'], ['supply'], ['module', 'supply']] as Fault[][]) {
    const prior = (['module', 'supply'] as const).reduce(
      (p, c) => p * (shared.includes(c) ? a.get(`prior.${c}`) : 1 - a.get(`prior.${c}`)),
      1,
    );
    const told = evidence.shared.reduce((p, f) => p * f.seen(new Set(shared)), prior);
    for (const corner of corners) walk(0, [], told, shared, corner);
  }
  return new Map([...sums].map(([key, value]) => [key, value / total]));
};

const tables = fc.array(fc.double({ min: 0.02, max: 0.98, noNaN: true }), {
  minLength: FAULTS.length + 1,
  maxLength: FAULTS.length + 1,
});

const finding = (wheelEnd: string | null, table: readonly number[], i: number): Finding => ({
  path: `checks[${i}]`,
  label: '',
  wheelEnd: wheelEnd === null ? null : asSensed(wheelEnd),
  mechanism: `m${i}`,
  kind: 'present',
  seen: (cause) => (cause === null ? 0.01 : (table[FAULTS.indexOf(cause)] ?? 0.5)),
});

const complaint = (table: readonly number[]): Complaint => ({
  paths: [],
  label: '',
  leak: 0.02,
  brings: (cause, end) => (table[FAULTS.indexOf(cause)] ?? 0) * (end?.endsWith('R') ? 0.5 : 1),
});

describe('posterior', () => {
  test('equals direct enumeration on random tables', () => {
    // One axle keeps the enumeration small enough to be plain; unknown ringSoldAlone makes it sum over two ways of building.
    const groups = architectureGroups(
      { wheelEnds: { A1: { sensor: 'active', mounting: 'separate', target: 'ring-on-hub' } } },
      1,
      new Set(),
      a,
    );
    expect(groups[0]?.options.length).toBe(2);
    fc.assert(
      fc.property(
        tables,
        tables,
        tables,
        tables,
        fc.constantFrom('A1L', 'A1R', null),
        (t1, t2, t3, t4, at) => {
          const evidence: Evidence = {
            findings: [finding('A1L', t1, 0), finding(at, t2, 1)],
            complaints: [complaint(t3), complaint(t4)],
            shared: [{ path: 'codes', label: '', seen: (shared) => (shared.has('supply') ? 0.4 : 0.02) }],
            setAside: new Map(),
          };
          const fast = posterior(groups, evidence, {}, TODAY, a);
          for (const [key, p] of enumerated(groups, evidence)) {
            const [cause, end] = key.split(' ') as [Cause, string];
            expect(fast.chance(cause, end === 'null' ? null : end)).toBeCloseTo(p, 9);
          }
        },
      ),
      { numRuns: 40, seed: 3 },
    );
  });

  test('with nothing known it gives back the priors', () => {
    const groups = architectureGroups(
      {
        wheelEnds: {
          A1: { sensor: 'active', mounting: 'separate', target: 'encoder-in-bearing', ringSoldAlone: false },
        },
      },
      1,
      new Set(),
      a,
    );
    const p = posterior(
      groups,
      { findings: [], complaints: [], shared: [], setAside: new Map() },
      {},
      TODAY,
      a,
    );
    expect(p.shared.get('supply')).toBeCloseTo(a.get('prior.supply'), 10);
    expect(p.chance('sensor', 'A1L')).toBeGreaterThan(p.chance('wiring', 'A1L'));
    expect(p.chance('sensor', 'A1L')).toBeCloseTo(a.get('prior.sensor'), 2);
    for (const end of p.ends) expect(end.beliefs.reduce((sum, b) => sum + b.p, 0)).toBeCloseTo(1, 10);
  });

  test('three reports of one mechanism are not three proofs', () => {
    const groups = architectureGroups(
      {
        wheelEnds: {
          A1: { sensor: 'active', mounting: 'separate', target: 'encoder-in-bearing', ringSoldAlone: false },
        },
      },
      1,
      new Set(),
      a,
    );
    const table = FAULTS.map((c) => (c === 'sensor' ? 0.6 : 0.1));
    const one: Finding = { ...finding('A1L', table, 0), mechanism: 'same' };
    const chance = (findings: Finding[]) =>
      posterior(groups, { findings, complaints: [], shared: [], setAside: new Map() }, {}, TODAY, a).chance(
        'sensor',
        'A1L',
      );
    const odds = (p: number) => p / (1 - p);
    const gain = (findings: Finding[]) => Math.log(odds(chance(findings)) / odds(chance([])));
    expect(gain([one, one, one])).toBeLessThan(gain([one]) * 2);
    expect(gain([one, one])).toBeGreaterThan(gain([one]));
  });

  test('given a fault at one wheel end, each other has one with about the chance of a second', () => {
    const axle = {
      sensor: 'active',
      mounting: 'separate',
      target: 'encoder-in-bearing',
      ringSoldAlone: false,
    } as const;
    for (const axles of [2, 3]) {
      const vehicle = { axles };
      const known = Object.fromEntries(Array.from({ length: axles }, (_, i) => [`A${i + 1}`, axle]));
      const groups = architectureGroups({ ...vehicle, wheelEnds: known }, axles, new Set(), a);
      const proof: Finding = {
        ...finding('A1L', [], 0),
        seen: (fault) => (fault === 'sensor' ? 1 : 1e-9),
      };
      const p = posterior(
        groups,
        { findings: [proof], complaints: [], shared: [], setAside: new Map() },
        {},
        TODAY,
        a,
      );
      const q = secondEndChance({}, TODAY, a);
      for (const end of p.ends)
        if (end.wheelEnd !== 'A1L') {
          expect(end.odd).toBeGreaterThan(q * 0.9);
          expect(end.odd).toBeLessThan(q * 1.1);
        }
    }
  });
});

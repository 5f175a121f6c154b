import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { assumptionsWith } from '../assumptions/assumptions.ts';
import { CAUSES } from '../vocabulary/wordLists.ts';
import type { Cause } from '../vocabulary/words.ts';
import type { Architecture } from './architecture.ts';
import { checkChance, resultsOf } from './checkTable.ts';
import type { Finding } from './finding.ts';
import { likelihood } from './likelihood.ts';

const a = assumptionsWith();
const build: Architecture = {
  sensor: 'active',
  mounting: 'separate',
  target: 'ring-on-hub',
  ringSoldAlone: true,
};
const cause = fc.constantFrom<Cause>(...CAUSES);

const present = (table: Partial<Record<Cause, number>>, leak: number): Finding => ({
  path: '',
  label: '',
  wheelEnd: 'A1L',
  mechanism: 'm',
  kind: 'present',
  seen: (c) => (c === null ? leak : (table[c] ?? leak)),
});

const check = (table: string, result: string, normal: string): Finding => ({
  path: '',
  label: '',
  wheelEnd: 'A1L',
  mechanism: table,
  kind: 'check',
  seen: (c) => checkChance(table, result, c, a),
  normal: (c) => checkChance(table, normal, c, a),
  isNormal: result === normal,
});

describe('likelihood', () => {
  test('one cause alone gives its own row', () => {
    const finding = present({ sensor: 0.3 }, 0.01);
    expect(likelihood(finding, ['sensor'], build)).toBe(0.3);
    expect(likelihood(finding, [], build)).toBe(0.01);
    expect(likelihood(finding, ['tyre'], build)).toBe(0.01);
  });

  test('two causes that can each leave a code leave it more often than either', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.02, max: 0.9, noNaN: true }),
        fc.double({ min: 0.02, max: 0.9, noNaN: true }),
        (p, q) => {
          const both = likelihood(present({ sensor: p, wiring: q }, 0.01), ['sensor', 'wiring'], build);
          expect(both).toBeGreaterThanOrEqual(Math.max(p, q) - 1e-12);
          expect(both).toBeLessThanOrEqual(1);
        },
      ),
    );
  });

  test('the results of a check add up to one under any two causes', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('visual.ring', 'visual.connector', 'live', 'bearing.play', 'clear-and-drive'),
        cause,
        cause,
        (table, one, other) => {
          fc.pre(one !== other);
          const normal =
            {
              'visual.ring': 'sound',
              'visual.connector': 'sound',
              live: 'normal',
              'bearing.play': 'none',
              'clear-and-drive': 'stays-away',
            }[table] ?? '';
          const sum = resultsOf(table).reduce(
            (total, result) => total + likelihood(check(table, result, normal), [one, other], build),
            0,
          );
          expect(sum).toBeCloseTo(1, 6);
        },
      ),
      { numRuns: 200, seed: 4 },
    );
  });

  test('factors multiply', () => {
    const finding: Finding = { ...present({ sensor: 0.2, wiring: 3 }, 1), kind: 'factor' };
    expect(likelihood(finding, ['sensor', 'wiring'], build)).toBeCloseTo(0.6, 12);
    expect(likelihood(finding, [], build)).toBe(1);
  });
});

describe('check tables', () => {
  test('a cause without a row of its own is like nothing wrong', () => {
    for (const result of resultsOf('bearing.noise'))
      expect(checkChance('bearing.noise', result, 'tyre', a)).toBe(
        checkChance('bearing.noise', result, null, a),
      );
  });

  test('what is looked for is likelier under its cause', () => {
    const pairs: Array<[string, string, Cause]> = [
      ['visual.ring', 'cracked', 'ring'],
      ['visual.sensor', 'broken', 'sensor'],
      ['visual.connector', 'corroded', 'wiring'],
      ['visual.harness', 'chafed', 'wiring'],
      ['bearing.play', 'clear', 'bearing'],
      ['bearing.noise', 'growl', 'bearing'],
      ['swap', 'fault-followed', 'sensor'],
      ['wiggle', 'changes', 'wiring'],
      ['meter.supply', 'absent', 'wiring'],
      ['meter.ac', 'none', 'sensor'],
      ['live', 'once-per-turn', 'ring'],
      ['live', 'reads-low', 'tyre'],
      ['live', 'weak-at-low-speed', 'seating'],
      ['clear-and-drive', 'stays-away', 'none-present'],
      ['battery', 'weak', 'supply'],
    ];
    for (const [table, result, c] of pairs)
      expect(checkChance(table, result, c, a)).toBeGreaterThan(
        3 * checkChance(table, result, null, a) * (table === 'clear-and-drive' ? 0.3 : 1),
      );
  });
});

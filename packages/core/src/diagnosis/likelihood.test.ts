import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { assumptionsWith } from '../assumptions/assumptions.ts';
import { CHECK_TABLES } from '../checkKinds/checkData.ts';
import { SOUND_RESULT } from '../checkKinds/checkData.ts';
import { FAULTS, type Fault } from '../faultKinds/faultData.ts';
import type { Architecture } from './architecture.ts';
import { asSensed } from './sensedEnd.ts';
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
const fault = fc.constantFrom<Fault>(...FAULTS);

const present = (table: Partial<Record<Fault, number>>, leak: number): Finding => ({
  path: '',
  label: '',
  wheelEnd: asSensed('A1L'),
  mechanism: 'm',
  kind: 'present',
  seen: (c) => (c === null ? leak : (table[c] ?? leak)),
});

const check = (table: string, result: string, normal: string): Finding => ({
  path: '',
  label: '',
  wheelEnd: asSensed('A1L'),
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
          const both = likelihood(present({ sensor: p, joint: q }, 0.01), ['sensor', 'joint'], build);
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
        fault,
        fault,
        (table, one, other) => {
          fc.pre(one !== other);
          const normal = SOUND_RESULT[table] ?? '';
          const sum = resultsOf(table).reduce(
            (total, result) => total + likelihood(check(table, result, normal), [one, other], build),
            0,
          );
          // Where one fault hides a result better than a sound vehicle shows it, a little is cut off.
          expect(sum).toBeCloseTo(1, 1);
        },
      ),
      { numRuns: 200, seed: 4 },
    );
  });

  test('factors multiply', () => {
    const finding: Finding = { ...present({ sensor: 0.2, joint: 3 }, 1), kind: 'factor' };
    expect(likelihood(finding, ['sensor', 'joint'], build)).toBeCloseTo(0.6, 12);
    expect(likelihood(finding, [], build)).toBe(1);
  });
});

describe('check tables', () => {
  test('every fault that a wheel end can have has a stated chance in every table', () => {
    for (const [table, { rows, unmoved }] of Object.entries(CHECK_TABLES))
      for (const fault of FAULTS) {
        if (fault === 'module' || fault === 'supply') continue;
        expect({ table, fault, stated: Number(fault in rows) + Number(unmoved.includes(fault)) }).toEqual({
          table,
          fault,
          stated: 1,
        });
      }
  });

  test('direct sight is near proof: seen on a sound part one time in a thousand at most', () => {
    const plain: Array<[string, string]> = [
      ['visual.ring', 'cracked'],
      ['visual.ring', 'missing-teeth'],
      ['visual.sensor', 'broken'],
      ['visual.sensor', 'snapped'],
      ['visual.connector', 'shell-broken'],
      ['visual.harness', 'cut'],
      ['bearing.play', 'clear'],
      ['ring.teeth', 'differ'],
    ];
    for (const [table, result] of plain)
      expect(checkChance(table, result, null, a)).toBeLessThanOrEqual(0.0011);
  });

  test('a reading that says nothing has chance one under everything', () => {
    const blind: Finding = { ...check('meter.ac', 'none', 'good'), says: () => false };
    for (const faults of [[], ['sensor'], ['sensor', 'ring']] as Fault[][])
      expect(likelihood(blind, faults, build)).toBe(1);
  });

  test('a fault that does not show in a check changes nothing beside one that does', () => {
    for (const result of resultsOf('visual.ring'))
      expect(likelihood(check('visual.ring', result, 'sound'), ['ring', 'joint'], build)).toBeCloseTo(
        checkChance('visual.ring', result, 'ring', a),
        9,
      );
  });

  test('a fault without a row of its own is like nothing wrong', () => {
    for (const result of resultsOf('bearing.noise'))
      expect(checkChance('bearing.noise', result, 'joint', a)).toBe(
        checkChance('bearing.noise', result, null, a),
      );
  });

  test('what is looked for is likelier under its cause', () => {
    const pairs: Array<[string, string, Fault]> = [
      ['visual.ring', 'cracked', 'ring'],
      ['visual.sensor', 'broken', 'sensor'],
      ['visual.connector', 'corroded', 'joint'],
      ['visual.harness', 'chafed', 'loom'],
      ['bearing.play', 'clear', 'bearing'],
      ['bearing.noise', 'growl', 'bearing'],
      ['swap', 'fault-followed', 'sensor'],
      ['wiggle', 'changes', 'joint'],
      ['meter.supply', 'absent', 'joint'],
      ['meter.ac', 'none', 'sensor'],
      ['live', 'once-per-turn', 'ring'],
      ['live', 'reads-low', 'tyre'],
      ['live', 'weak-at-low-speed', 'seating'],
      ['clear-and-drive', 'stays-away', 'none-present'],
      ['battery', 'weak', 'supply'],
      ['ring.teeth', 'differ', 'wrong-target'],
      ['meter.resistance.new-part', 'bad', 'sender'],
      ['meter.ac', 'none', 'sender'],
    ];
    for (const [table, result, c] of pairs)
      expect(checkChance(table, result, c, a)).toBeGreaterThan(
        3 * checkChance(table, result, null, a) * (table === 'clear-and-drive' ? 0.3 : 1),
      );
  });
});

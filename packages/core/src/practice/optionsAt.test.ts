import { describe, expect, test } from '@jest/globals';
import { bareKnowledge } from '../advice/knowledge.ts';
import { parseDocket } from '../vocabulary/parseDocket.ts';
import type { Docket } from '../vocabulary/docket.ts';
import type { Deed } from './benchCard.ts';
import { optionsAt } from './optionsAt.ts';

const knowledge = bareKnowledge('2026-11-25');
const vehicle: Docket['vehicle'] = {
  axles: 2,
  driveline: 'fwd',
  wheelEnds: {
    A1: { sensor: 'passive', mounting: 'separate', target: 'ring-on-hub', ringSoldAlone: true },
    A2: { sensor: 'passive', mounting: 'separate', target: 'ring-on-hub', ringSoldAlone: true },
  },
};
const docket = (more: Partial<Docket>): Docket =>
  parseDocket({ format: 'hardy-spoke/docket', version: 1, vehicle, symptoms: ['lamp.abs'], ...more });
const ask = (
  given: Docket,
  more: { canRead?: boolean; timesDone?: (deed: Deed) => number; depth?: number } = {},
) => optionsAt(given, knowledge, { depth: 3, canRead: false, timesDone: () => 0, ...more });
const costOf = (options: ReturnType<typeof ask>, kind: string, at?: string) =>
  options.options.filter(({ deed }) => deed.kind === kind && (!at || ('at' in deed && deed.at === at)));

describe('what every next step is worth', () => {
  const coded = docket({
    reader: 'full',
    codes: [{ code: 'C0034-13', module: 'ABS', status: 'active' }],
  });

  test('the least of the options is what the job is worth, and handing it on is always one', () => {
    const options = ask(coded);
    expect(options.value).toBe(Math.min(...options.options.map(({ cost }) => cost)));
    expect(costOf(options, 'refer')).toHaveLength(1);
    expect(options.first).toBeNull();
  });

  test('a look leaves the best step open: it never costs more than its minutes and that', () => {
    const options = ask(coded);
    const minute = 100 / 60;
    for (const { deed, cost } of costOf(options, 'check'))
      // Sensors that change sides may snap as they are drawn: that is more than minutes.
      if (deed.kind === 'check' && deed.at !== null && deed.check !== 'swap')
        expect(cost).toBeLessThan(options.value + 40 * minute);
  });

  test('a look at the wheel the code names is worth more than at another', () => {
    const options = ask(coded);
    const least = (at: string) => Math.min(...costOf(options, 'check', at).map(({ cost }) => cost));
    expect(least('A1R')).toBeLessThan(least('A2L'));
    const fit = (at: string) => Math.min(...costOf(options, 'parts', at).map(({ cost }) => cost), Infinity);
    expect(fit('A1R')).toBeLessThan(fit('A1L'));
  });

  test('while nobody has read the codes, reading them is worth more than any part', () => {
    const unread = ask(docket({}), { canRead: true });
    const read = costOf(unread, 'read')[0]?.cost ?? Infinity;
    expect(read).toBeLessThan(Math.min(...costOf(unread, 'parts').map(({ cost }) => cost)));
    expect(read).toBeLessThan(costOf(unread, 'refer')[0]?.cost ?? 0);
    expect(costOf(ask(docket({})), 'read')).toEqual([]);
  });

  test('what was done in vain is no option any more', () => {
    const spent = ask(coded, { timesDone: (deed) => (deed.kind === 'parts' ? 2 : 0) });
    expect(costOf(spent, 'parts')).toEqual([]);
    expect(spent.value).toBeGreaterThanOrEqual(ask(coded).value);
  });

  test('looking further ahead never makes the job dearer', () => {
    const [near, far] = [ask(coded, { depth: 1 }), ask(coded, { depth: 4 })];
    expect(far.value).toBeLessThanOrEqual(near.value + 1e-9);
  });

  test('where a wheel may be loose, what safety asks for comes first, until it was done', () => {
    const felt = docket({
      ...coded,
      checks: [{ check: 'bearing.play', wheelEnd: 'A1R', result: 'clear' }],
    });
    const { first } = ask(felt);
    expect(first).toMatchObject({ kind: 'parts', at: 'A1R' });
    const fitted = ask(felt, {
      timesDone: (deed) => (JSON.stringify(deed) === JSON.stringify(first) ? 1 : 0),
    });
    expect(fitted.first).toBeNull();
  });
});

import { describe, expect, test } from '@jest/globals';
import { drawLife } from '@hardy/bench-vehicle';
import { assumptionsWith, bareKnowledge, emptySlice, optionsAt } from '@hardy/core/trial';
import { parseDocket } from '@hardy/core';
import type { PracticeDeed } from '@hardy/core/words';
import { accountOf, judgeSteps } from '../account/accountOf.ts';
import { vehicleKnown } from '../bench/docketOf.ts';
import { customerAt } from '../customer/customer.ts';
import { applied } from './applied.ts';
import { playVisit } from './visit.ts';
import { customerOf, TODAY } from '../tests/customerOf.ts';

const shop = { prices: assumptionsWith(), today: TODAY, slice: emptySlice() };
const knowledge = bareKnowledge(TODAY);
const ADVISED = { sheet: true, stop: true };
const NOTHING_SOLD = { leftOut: [], sent: ADVISED, cautions: [] };
const REFER: PracticeDeed = { kind: 'refer' };
const look = (at: string): PracticeDeed => ({ kind: 'check', check: 'visual.connector', at });

describe('a customer dealt with', () => {
  const customer = customerOf(700, 2);
  const deeds: PracticeDeed[] = [
    { kind: 'question', about: 'lamps' },
    { kind: 'read' },
    look('A1L'),
    { kind: 'check', check: 'live', at: null },
    { kind: 'work', work: 'seating', at: 'A1L' },
    REFER,
  ];

  test('the same deeds lead to the same, and the first of them to the same beginning', () => {
    const whole = playVisit(customer, deeds, shop);
    expect(playVisit(customer, deeds, shop)).toEqual(whole);
    for (let kept = 0; kept < deeds.length; kept++)
      expect(playVisit(customer, deeds.slice(0, kept), shop).steps).toEqual(whole.steps.slice(0, kept));
  });

  test('a look at the same state shows the same, however often and whatever was looked at before', () => {
    const found = (list: PracticeDeed[]) =>
      playVisit(customer, list, shop).steps.flatMap(({ deed, came }) =>
        deed.kind === 'check' && deed.at === 'A1R' ? [came] : [],
      );
    const [alone] = found([look('A1R')]);
    expect(found([look('A1L'), { kind: 'read' }, look('A1R'), look('A2L'), look('A1R')])).toEqual([
      alone,
      alone,
    ]);
  });

  test('what was known grows, and stays a docket the contract takes', () => {
    const { steps } = playVisit(customer, deeds, shop);
    for (const { before, after, minutes, money } of steps) {
      expect(() => parseDocket(after)).not.toThrow();
      expect((after.checks ?? []).slice(0, (before.checks ?? []).length)).toEqual(before.checks ?? []);
      expect(minutes).toBeGreaterThanOrEqual(0);
      expect(money).toBeGreaterThanOrEqual(0);
    }
  });

  test('it comes onto a docket of the learner’s own beside what they wrote', () => {
    const { steps } = playVisit(customer, deeds.slice(0, 3), shop);
    const own = parseDocket({
      format: 'hardy-spoke/docket',
      version: 1,
      words: 'the blue one',
      checks: [{ check: 'bearing.play', wheelEnd: 'A2R', result: 'none' }],
    });
    const grown = steps.reduce((docket, { before, after }) => applied(docket, before, after), own);
    expect(grown.words).toBe('the blue one');
    expect(grown.checks?.map(({ check }) => check)).toEqual(['bearing.play', 'visual.connector']);
    expect(grown.codes).toEqual(steps.at(-1)?.after.codes);
  });

  test('nothing is done once the customer has left', () => {
    const { steps, over } = playVisit(customer, [REFER, look('A1L')], shop);
    expect(over).toBe(true);
    expect(steps).toHaveLength(1);
  });
});

describe('a wheel that is loose', () => {
  // A life whose bearing is worn far beyond what is safe.
  const LOOSE = 14;
  const customer = customerAt(
    {
      seed: 1,
      level: 2,
      lives: () => drawLife(LOOSE),
      vehicleOf: ({ vehicle }) => vehicleKnown(vehicle, TODAY, true),
      vehicleWords: 'minibus',
      today: TODAY,
      prices: shop.prices,
    },
    LOOSE,
  );
  const at = customer.life.befell[0]?.[1] ?? 'A1L';
  const elsewhere = at === 'A1L' ? 'A1R' : 'A1L';
  const sensor: PracticeDeed = { kind: 'parts', parts: ['sensor'], at: elsewhere };

  test('drives away on it, and that is told once', () => {
    const { steps, overlooked } = playVisit(customer, [sensor, sensor], shop);
    expect(overlooked).toBe(true);
    expect(steps.map(({ came }) => came.includes('a wheel was loose when it drove away'))).toEqual([
      true,
      false,
    ]);
  });

  test('felt and let go all the same, it is the first thing the account speaks of', () => {
    const rock: PracticeDeed = { kind: 'check', check: 'bearing.play', at };
    const visit = playVisit(customer, [rock, sensor, REFER], shop);
    expect(visit.steps[0]?.came).toBe('clear');
    expect(visit.unsafe).toBe(true);
    const account = accountOf(customer, visit, knowledge, NOTHING_SOLD);
    expect(account.lapses[0]?.what).toBe('safety');
    expect(account.next.words).toMatch(/^Safety first/);
    expect(account.steps[1]?.unsafe).toBe(true);
    // Who fits its hub first has done what safety asks for: nothing after it is called unsafe.
    const hub: PracticeDeed = { kind: 'parts', parts: ['hub-assembly'], at };
    const mended = judgeSteps(playVisit(customer, [rock, hub, look(at), REFER], shop), knowledge);
    expect(mended.steps.every(({ unsafe }) => !unsafe)).toBe(true);
    // Handing it on instead passes nothing over.
    const handed = judgeSteps(playVisit(customer, [rock, REFER], shop), knowledge);
    expect(handed.steps.map(({ unsafe }) => unsafe)).toEqual([false, false]);
  });
});

describe('the account', () => {
  test.each([1, 2, 3, 4, 5])('of level %i adds up to the cent, and regret is never below nought', (level) => {
    const customer = customerOf(800 + level, level);
    const visit = playVisit(
      customer,
      [{ kind: 'question', about: 'history' }, look('A2L'), { kind: 'work', work: 'loom', at: 'A2L' }, REFER],
      shop,
    );
    const account = accountOf(customer, visit, knowledge, NOTHING_SOLD);
    const sum = account.steps.reduce((total, { regret, luck }) => total + regret + luck, 0);
    expect(account.fair + sum).toBeCloseTo(account.cost, 6);
    for (const { regret } of account.steps) expect(regret).toBeGreaterThanOrEqual(0);
    expect(account.regret).toBeCloseTo(
      account.steps.reduce((total, { regret }) => total + regret, 0),
      9,
    );
  });

  test('whoever takes the best step at each moment has no regret; who does not is told the better one', () => {
    const customer = customerOf(700, 2);
    const options = optionsAt(customer.first, knowledge, {
      depth: 3,
      canRead: true,
      timesDone: () => 0,
    });
    const best = [...options.options].sort((x, y) => x.cost - y.cost)[0]?.deed as PracticeDeed;
    const good = judgeSteps(playVisit(customer, [best], shop), knowledge).steps[0];
    expect(good?.regret).toBeCloseTo(0, 9);
    expect(good?.better).toBeNull();
    const hub: PracticeDeed = { kind: 'parts', parts: ['hub-assembly'], at: 'A2R' };
    const bad = judgeSteps(playVisit(customer, [hub], shop), knowledge).steps[0];
    expect(bad?.regret).toBeGreaterThan(50);
    expect(bad?.better).toBeTruthy();
  });

  test('a guess that was lucky is luck, not merit', () => {
    const customer = [...Array.from({ length: 20 }, (_, i) => customerOf(1_200 + i, 2))].find(
      ({ life }) => life.befell[0]?.[0] === 'winding or element',
    );
    if (!customer) throw new Error('no customer has a dead winding');
    const at = customer.life.befell[0]?.[1] ?? 'A1L';
    const visit = playVisit(customer, [{ kind: 'parts', parts: ['sensor'], at }], shop);
    expect(visit.over).toBe(true);
    const [step] = judgeSteps(visit, knowledge).steps;
    expect(step?.regret).toBeGreaterThan(0);
    expect(step?.luck).toBeLessThan(0);
  });

  test('what was not asked, not said and left out is named; safety comes first', () => {
    const customer = customerOf(803, 3);
    const visit = playVisit(customer, [{ kind: 'parts', parts: ['sensor'], at: 'A1L' }, REFER], shop);
    const account = accountOf(customer, visit, knowledge, {
      leftOut: ['axle nut', 'bolt'],
      cautions: ['stop-driving', 'lifting'],
      sent: { sheet: false, stop: false },
    });
    const kinds = account.lapses.map(({ what }) => what);
    expect(kinds[0]).toBe('safety');
    expect(kinds).toContain('caution');
    expect(kinds).toContain('question');
    expect(account.lapses.find(({ what }) => what === 'companion')?.words).toContain('axle nut, bolt');
    expect(account.next.words).toMatch(/^Safety first/);
    const careful = accountOf(customer, visit, knowledge, {
      leftOut: [],
      cautions: ['lifting'],
      sent: { sheet: true, stop: false },
    });
    expect(careful.lapses.map(({ what }) => what)).not.toContain('caution');
  });
});

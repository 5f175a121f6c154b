import { describe, expect, test } from '@jest/globals';
import { randomFrom } from '@hardy/core/chance';
import { assumptionsWith, bareKnowledge, emptySlice, judge } from '@hardy/core/trial';
import { fullDeeds, isTrue } from '../fair/fullVisit.ts';
import { playVisit } from '../job/visit.ts';
import { LEVEL_RULES } from './levels.ts';
import { customerOf, TODAY } from '../tests/customerOf.ts';

/** `npm run practice-report` asks 300. */
const CUSTOMERS = 30;
const LEVELS = Object.keys(LEVEL_RULES).map(Number);

describe('customers in practice', () => {
  test.each(LEVELS)('one of level %i is as its level says, and the same for everybody', (level) => {
    const customer = customerOf(100 + level, level);
    const rules = LEVEL_RULES[level];
    expect(rules?.manners).toContain(customer.manner);
    expect(rules?.fits(customer.life)).toBe(true);
    expect(customer.told.words).toContain('Merrowby minibus 2018');
    expect(customer.first.codes !== undefined).toBe(rules?.codes === 'brought');
    expect(customer.first.reader === 'none').toBe(rules?.codes === 'no reader');
    const again = customerOf(100 + level, level);
    expect(again.told).toEqual(customer.told);
    expect(again.first).toEqual(customer.first);
    expect(again.life.befell).toEqual(customer.life.befell);
  });

  test('what misleads is said as the customer believes it, never more', () => {
    const mirrored = Array.from({ length: 12 }, (_, i) => customerOf(900 + i, 3)).filter(
      ({ manner }) => manner === 'mirrored',
    );
    expect(mirrored.length).toBeGreaterThan(0);
    for (const { told, life, first } of mirrored) {
      const sore = life.befell.find(([, end]) => end !== null)?.[1];
      expect(told.corner?.slice(0, 2)).toBe(sore?.slice(0, 2));
      expect(told.corner).not.toBe(sore);
      expect(first.wheelEnd).toBe(told.corner);
      expect(first.history ?? []).toEqual([]);
    }
  });

  test('whoever asks and checks everything comes to the truth, in whatever order', () => {
    const knowledge = bareKnowledge(TODAY);
    let reached = 0;
    for (let i = 0; i < CUSTOMERS; i++) {
      const customer = customerOf(5_000 + i * 11, LEVELS[i % LEVELS.length] ?? 1);
      const deeds = fullDeeds(customer);
      const changes = (kind: (typeof deeds)[number]) =>
        kind.kind === 'check' && (kind.check === 'clear-and-drive' || kind.check === 'swap');
      const looks = randomFrom(i).shuffled(deeds.filter((deed) => !changes(deed)));
      const { docket } = playVisit(customer, [...looks, ...deeds.filter(changes)], {
        prices: assumptionsWith(),
        today: TODAY,
        slice: emptySlice(),
      });
      if (isTrue(judge(docket, knowledge), customer)) reached++;
    }
    expect(reached / CUSTOMERS).toBeGreaterThanOrEqual(0.97);
  });
});

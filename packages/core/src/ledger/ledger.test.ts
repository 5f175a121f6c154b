import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { advise } from '../advice/advise.ts';
import { bareKnowledge, type Knowledge } from '../advice/knowledge.ts';
import { assumptionsWith } from '../assumptions/assumptions.ts';
import { randomFrom } from '../chance/random.ts';
import { takeOffer } from '../handover/takeOffer.ts';
import { drawEntry, drawShop } from '../practice/drawShop.ts';
import type { Docket, Outcome } from '../vocabulary/docket.ts';
import { LedgerEntry, type CauseShare } from '../vocabulary/ledgerEntry.ts';
import { badParts } from './badParts.ts';
import { calibrate } from './calibrate.ts';
import { countsOf } from './counts.ts';
import { entryOf } from './entryOf.ts';
import { figuresOf } from './figures.ts';
import { knownTruth } from './knownTruth.ts';
import { learn, learnedName, overridesFor } from './learn.ts';
import { ledgerCsv } from './ledgerCsv.ts';
import { relearn } from './relearn.ts';
import { LearnedCounts, tallyOf, toLeave, weightOf, type MonthCount } from './tally.ts';
import { weakPlacesOf } from './weakPlaces.ts';

const judged = assumptionsWith();
const TODAY = '2026-11-26';
const MONTH = '2026-11';
const entriesOf = (jobs: number, slip = 1, seed = 1): LedgerEntry[] => {
  const shop = drawShop(randomFrom(seed), slip);
  const random = randomFrom(seed + 1000);
  return Array.from({ length: jobs }, (_, i) =>
    drawEntry(random, shop, judged, { docket: i + 1, day: TODAY }),
  );
};
const countsAt = (entries: readonly LedgerEntry[], month = MONTH): MonthCount[] =>
  entries.flatMap((entry) => countsOf(entry, judged).map((count) => ({ ...count, month })));
const learnedFrom = (entries: readonly LedgerEntry[]) =>
  learn(tallyOf(countsAt(entries), MONTH, judged.get('learning.half-life')), judged);
const FEW = entriesOf(120);

const docket: Docket = {
  format: 'hardy-spoke/docket',
  version: 1,
  vehicle: {
    axles: 2,
    buildDate: '2014-06',
    saltExposure: 'high',
    knuckle: 'iron',
    wheelEnds: { A2: { sensor: 'active', mounting: 'separate', target: 'ring-on-hub', ringSoldAlone: true } },
  },
  codes: [{ module: 'ABS', code: 'C0037', status: 'active' }],
  symptoms: ['lamp.abs'],
  checks: [{ check: 'visual.ring', wheelEnd: 'A2L', result: 'cracked' }],
};
const knowledge = bareKnowledge(TODAY);
const given = advise(docket, knowledge);
const offer = given.offers[0];
if (!offer) throw new Error('nothing is offered');
const sold: Docket = { ...docket, chosen: { ...takeOffer(offer, TODAY), on: TODAY } };
const entryFor = (outcome: Outcome, more: Partial<Docket> = {}): LedgerEntry =>
  entryOf(
    { ...sold, ...more, outcome },
    outcome,
    { docketNumber: 7, soldOn: TODAY, closedOn: TODAY, minutes: 2, given, learnedThen: {} },
    knowledge,
  );
const shareOf = (shares: readonly CauseShare[], cause: string) =>
  shares.filter((share) => share.cause === cause).reduce((sum, { p }) => sum + p, 0);

describe('a closed docket as the ledger counts it', () => {
  test('is valid, its shares are whole, and what was advised and taken was followed', () => {
    const entry = entryFor({ result: 'cured', trueCause: 'ring', knownBy: 'seen' });
    expect(LedgerEntry.safeParse(entry).success).toBe(true);
    for (const shares of [entry.expected, entry.truth])
      expect(shares.reduce((sum, { p }) => sum + p, 0)).toBeCloseTo(1, 3);
    expect(entry).toMatchObject({
      wheelEnd: 'A2L',
      builds: { rear: 'active' },
      told: 'seen',
      firstTime: true,
    });
    expect(entry.followed).toBe(true);
  });

  test('a cure by a ring tells of the ring; a ring that did not cure tells against it; a told cause tells most', () => {
    const said = shareOf(entryFor({ result: 'never-heard' }).truth, 'ring');
    const cured = shareOf(entryFor({ result: 'cured' }).truth, 'ring');
    const not = shareOf(entryFor({ result: 'not-cured' }).truth, 'ring');
    const told = shareOf(entryFor({ result: 'not-cured', trueCause: 'ring', knownBy: 'seen' }).truth, 'ring');
    expect(offer.part).toBe('tone-ring');
    expect(cured).toBeGreaterThan(said);
    expect(not).toBeLessThan(said);
    expect(told).toBeGreaterThan(not);
  });

  test('a cause that nobody thought of is told all the same, and a rare one is an error more often', () => {
    const said: CauseShare[] = [
      { cause: 'sensor', place: 'rear', p: 0.95 },
      { cause: 'ring', place: 'rear', p: 0.05 },
    ];
    const fitted = { parts: ['sensor' as const], place: 'rear' as const };
    const outcome = (trueCause: Outcome['trueCause']): Outcome => ({
      result: 'returned-unused',
      trueCause,
      knownBy: 'cured',
    });
    const common = shareOf(knownTruth(said, outcome('sensor'), fitted, judged), 'sensor');
    const rare = shareOf(knownTruth(said, outcome('ring'), fitted, judged), 'ring');
    const unthought = shareOf(knownTruth(said, outcome('bearing'), fitted, judged), 'bearing');
    expect(common).toBeGreaterThan(rare);
    expect(rare).toBeGreaterThan(unthought);
    expect(unthought).toBeGreaterThan(0);
  });

  test('nobody heard of weighs little and is no comeback', () => {
    const entry = entryFor({ result: 'never-heard' });
    expect(entry).toMatchObject({
      weight: judged.get('learning.never-heard'),
      comeback: false,
      firstTime: null,
    });
  });
});

describe('counts', () => {
  test('add up to the same to the last bit in any order, and one taken away leaves no trace', () => {
    const sums = (entries: readonly LedgerEntry[]) =>
      JSON.stringify([...tallyOf(countsAt(entries), MONTH, 1e9)].sort(([p], [q]) => (p < q ? -1 : 1)));
    fc.assert(
      fc.property(fc.shuffledSubarray(FEW, { minLength: FEW.length }), (shuffled) => {
        expect(sums(shuffled)).toBe(sums(FEW));
      }),
      { numRuns: 10 },
    );
    const [gone, ...rest] = FEW;
    const without = new Map([...tallyOf(countsAt(FEW), MONTH, 1e9)].map(([key, sum]) => [key, { ...sum }]));
    for (const { key, n, e, x, jobs } of countsOf(gone as LedgerEntry, judged)) {
      const sum = without.get(key);
      if (!sum) throw new Error(key);
      sum.n -= n;
      sum.e -= e;
      sum.x -= x;
      sum.jobs -= jobs;
    }
    const kept = tallyOf(countsAt(rest), MONTH, 1e9);
    for (const [key, sum] of without)
      expect([key, sum]).toEqual([key, kept.get(key) ?? { n: 0, e: 0, x: 0, jobs: 0 }]);
  });

  test('weigh half after a half-life, and are whole in their own month', () => {
    expect(weightOf('2026-11', MONTH, 12)).toBe(1);
    expect(weightOf('2025-11', MONTH, 12)).toBe(0.5);
    expect(weightOf('2027-03', MONTH, 12)).toBe(1);
  });

  test('leave the shop by year, without what is of a few jobs, and are read back', () => {
    const file = toLeave(countsAt(FEW), 'The counter', 3);
    expect(LearnedCounts.safeParse(file).success).toBe(true);
    expect(file.counts.length).toBeGreaterThan(20);
    expect(file.counts.every(({ jobs, month }) => jobs >= 3 && month.endsWith('-07'))).toBe(true);
    expect(toLeave(countsAt(FEW.slice(0, 2)), 'The counter', 3).counts).toEqual([]);
  });
});

describe('what is learned', () => {
  test('without jobs nothing is, and judgement stands', () => {
    expect(learnedFrom([])).toEqual([]);
    expect(overridesFor([], 'a line', {})).toEqual({});
  });

  test('a conjugate update equals a brute-force grid: Gamma prior, Poisson counts', () => {
    const weight = judged.get('learning.weight.causes');
    const tally = new Map([
      ['cause|sensor', { n: 30, e: 20, x: 30, jobs: 80 }],
      ['cause|ring', { n: 50, e: 60, x: 50, jobs: 80 }],
    ]);
    const share = 20 / 80;
    const xs = Array.from({ length: 60_000 }, (_, i) => (i + 0.5) / 15_000);
    const logs = xs.map(
      (m) => (weight * share - 1) * Math.log(m) - weight * share * m + 30 * Math.log(m) - 20 * m,
    );
    const top = Math.max(...logs);
    const weights = logs.map((log) => Math.exp(log - top));
    const mean =
      xs.reduce((sum, m, i) => sum + m * (weights[i] ?? 0), 0) / weights.reduce((sum, w) => sum + w, 0);
    const number = learn(tally, judged).find(({ key }) => key === 'prior.sensor');
    expect((number?.learned ?? 0) / (number?.prior ?? 1)).toBeCloseTo(mean, 3);
  });

  test('comes nearer the truth than judgement, the more so the more jobs', () => {
    const shop = drawShop(randomFrom(5), 1);
    const random = randomFrom(6);
    const all = Array.from({ length: 1500 }, (_, i) =>
      drawEntry(random, shop, judged, { docket: i, day: TODAY }),
    );
    const error = (jobs: number) => {
      const rates = learnedFrom(all.slice(0, jobs)).filter(
        ({ key, line }) => line === null && key.startsWith('pace.'),
      );
      return Math.hypot(...rates.map(({ key, learned }) => Math.log(learned / shop.truth.get(key))));
    };
    const judgement = Math.hypot(
      ...learnedFrom(all)
        .filter(({ key }) => key.startsWith('pace.'))
        .map(({ key }) => Math.log(1 / shop.truth.get(key))),
    );
    expect(error(1500)).toBeLessThan(error(60));
    expect(error(1500)).toBeLessThan(judgement / 3);
  });

  test('never lowers the rate of a bearing, and touches no number of a stop or a caution', () => {
    for (const seed of [3, 4, 5]) {
      const numbers = learnedFrom(entriesOf(400, 1.5, seed));
      for (const { key, learned, prior } of numbers) {
        if (key.endsWith('.bearing') && !/^(check|cures)/.test(key))
          expect(learned).toBeGreaterThanOrEqual(prior);
        expect(key).not.toMatch(/^(safety|caution|proof|second-end)/);
      }
    }
  });

  test('a line leans on everyone, and a number is sound only where judgement lies outside its interval', () => {
    const numbers = learnedFrom(entriesOf(900));
    for (const { prior, learned, low, high, sound } of numbers) {
      expect(low).toBeLessThanOrEqual(high);
      if (sound) expect(prior < low || prior > high).toBe(true);
      else if (learned !== prior) expect(prior >= low && prior <= high).toBe(true);
    }
    const wide = numbers.filter(({ line }) => line !== null);
    expect(wide.length).toBeGreaterThan(50);
  });

  test('what is frozen stays, what is of another line is not taken', () => {
    const numbers = learnedFrom(FEW);
    const [number] = numbers.filter(({ line }) => line === 'line-1');
    if (!number) throw new Error('no number of a line');
    expect(overridesFor(numbers, 'line-1', {})[number.key]).toBe(number.learned);
    expect(overridesFor(numbers, 'line-1', { [learnedName(number)]: 2 })[number.key]).toBe(2);
    expect(overridesFor(numbers, null, {})[number.key]).toBeUndefined();
  });

  test('learned anew, told jobs weigh as before and the echo of judgement is taken out', () => {
    const shop = drawShop(randomFrom(41), 1);
    const random = randomFrom(42);
    const all = Array.from({ length: 1500 }, (_, i) =>
      drawEntry(random, shop, judged, { docket: i, day: TODAY }),
    );
    const again = relearn(all, judged, MONTH);
    expect(again).toHaveLength(all.length);
    for (const { truth } of again) expect(truth.reduce((sum, { p }) => sum + p, 0)).toBeCloseTo(1, 6);
    // A second run begins from judgement again and ends where the first did.
    const twice = relearn(again, judged, MONTH);
    const most = Math.max(
      ...again.flatMap(({ truth }, i) => truth.map(({ p }, k) => Math.abs(p - (twice[i]?.truth[k]?.p ?? 0)))),
    );
    expect(most).toBeLessThan(0.05);
  });
});

describe('advice with what was learned', () => {
  const rings: Knowledge = {
    ...knowledge,
    learned: {
      overrides: { 'prior.ring': 0.2, 'prior.sensor': 0.004 },
      lineJobs: 14,
      jobs: 300,
      bad: {},
      weak: [{ wheelEnd: 'A2L', cause: 'wiring', n: 4, of: 6, place: 'lead chafed at the tank strap' }],
    },
  };
  const plain: Docket = { ...docket, checks: [] };

  test('a verdict that learning turned says so, with the jobs behind it; one that it did not turn does not', () => {
    const same = advise(plain, knowledge);
    const other = advise(plain, rings);
    expect([same.verdict.action, other.verdict.action, other.verdict.part]).toEqual([
      'check',
      'sell',
      'tone-ring',
    ]);
    expect(other.fromLedger[0]).toBe(
      `Turned since 14 jobs of this line and 300 jobs in all. By judgement alone: ${same.verdict.sentence}`,
    );
    const little = { ...rings.learned, overrides: { 'prior.ring': 0.0061 }, weak: [] };
    expect(advise(plain, { ...knowledge, learned: little }).fromLedger).toEqual([]);
    expect(same.fromLedger).toEqual([]);
  });

  test('a weak place of the line is told with its evidence', () => {
    expect(advise(plain, rings).fromLedger.join(' ')).toMatch(
      /rear left: .* in 4 of 6 jobs \(lead chafed at the tank strap\)/,
    );
  });

  test('the caution that a sensor may snap stands by judgement, whatever was learned', () => {
    const easy: Knowledge = {
      ...knowledge,
      learned: { ...rings.learned, overrides: { 'seizure.iron': 0.001 }, weak: [] },
    };
    expect(advise(plain, knowledge).cautions).toContain('seizure-risk');
    expect(advise(plain, easy).cautions).toContain('seizure-risk');
  });
});

describe('what the ledger shows', () => {
  test('counts with intervals, by month, followed and overruled with what each is made of', () => {
    const figures = figuresOf([
      ...FEW,
      entryFor({ result: 'never-heard' }),
      { ...entryFor({ result: 'came-back' }), followed: false },
    ]);
    expect(figures.jobs).toBe(FEW.length + 2);
    expect(figures.neverHeard).toBe(1);
    expect(figures.overruled.jobs).toBe(1);
    expect(figures.cured.interval?.low).toBeLessThan(figures.cured.interval?.mean ?? 0);
    expect(figures.months.reduce((sum, { jobs }) => sum + jobs, 0)).toBe(figures.jobs);
    expect(figuresOf([]).cured.interval).toBeNull();
  });

  test('who says what is so scores better than the base rate; who says it the wrong way round scores worse', () => {
    const said = (p: number, result: Outcome['result']): LedgerEntry => {
      const entry = entryFor({ result });
      return { ...entry, said: entry.said && { ...entry.said, cures: p } };
    };
    const right = calibrate(
      [...Array.from({ length: 9 }, () => said(0.9, 'cured')), said(0.1, 'not-cured')],
      judged,
    );
    const wrong = calibrate(
      [...Array.from({ length: 9 }, () => said(0.1, 'cured')), said(0.9, 'not-cured')],
      judged,
    );
    const cures = (of: typeof right) => of.kinds.find(({ kind }) => kind === 'cures');
    expect(cures(right)?.brier.said).toBeLessThan(cures(right)?.brier.baseRate ?? 0);
    expect(cures(wrong)?.log.said).toBeGreaterThan(cures(wrong)?.log.baseRate ?? 0);
    expect(cures(right)?.bins.map(({ share }) => [share.n, share.of])).toEqual([
      [0, 1],
      [9, 9],
    ]);
  });

  test('a weak place needs enough jobs and most of them; a bad part enough pieces', () => {
    const at = (cause: 'wiring' | 'sensor', place: string | null): LedgerEntry => ({
      ...entryFor({ result: 'cured', trueCause: cause, knownBy: 'seen' }),
      line: 'a-line',
      at: place,
    });
    const chafed = 'Lead chafed at the tank strap';
    const jobs = [
      at('wiring', chafed),
      at('wiring', 'lead chafed at the tank-strap'),
      at('wiring', null),
      at('sensor', null),
    ];
    expect(weakPlacesOf(jobs, 'a-line', judged)).toEqual([
      { wheelEnd: 'A2L', cause: 'wiring', n: 3, of: 4, place: chafed },
    ]);
    expect(weakPlacesOf(jobs.slice(0, 3), 'a-line', judged)).toEqual([]);
    expect(weakPlacesOf(jobs, 'another', judged)).toEqual([]);
    const box = (n: number) => new Map([['box|budget|P-1', { n, e: 11, x: 0, jobs: 11 }]]);
    expect(badParts(box(2), judged)).toEqual([]);
    expect(badParts(box(3), judged)[0]).toMatchObject({ partNumber: 'P-1', bad: 3, sold: 11, batches: [] });
    const batched = new Map([...box(3), ['batch|P-1|K26-11', { n: 2, e: 0, x: 0, jobs: 2 }]]);
    expect(badParts(batched, judged)[0]?.batches).toEqual([{ batch: 'K26-11', bad: 2 }]);
    const claimed = countsOf(
      { ...entryFor({ result: 'cured' }), partNumber: 'P-1', batch: 'K26-11', badFromBox: 1 },
      judged,
    );
    expect(claimed.find(({ key }) => key.startsWith('batch|'))?.n).toBe(1);
  });

  test('the file for a spreadsheet has a line a job and no formula', () => {
    const text = ledgerCsv([{ ...entryFor({ result: 'cured' }), desk: '=1+1' }]);
    const [head, line] = text.split('\r\n');
    expect(head?.split(',').length).toBeGreaterThan(20);
    expect(line).toContain("'=1+1");
  });
});

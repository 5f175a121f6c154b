import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { advise, bareKnowledge, type Cause, type Check, type Docket, type DocketCode } from '../index.ts';

const knowledge = bareKnowledge('2026-11-25');
const shallow = { assumptions: { 'plan.depth': 1 } };

const TELLING: ReadonlyArray<readonly [Check, Cause]> = [
  [{ check: 'visual.ring', wheelEnd: 'A2L', result: 'cracked' }, 'ring'],
  [{ check: 'visual.ring', wheelEnd: 'A2L', result: 'missing-teeth' }, 'ring'],
  [{ check: 'visual.connector', wheelEnd: 'A2L', result: 'corroded' }, 'wiring'],
  [{ check: 'visual.harness', wheelEnd: 'A2L', result: 'cut' }, 'wiring'],
  [{ check: 'wiggle', wheelEnd: 'A2L', result: 'changes' }, 'wiring'],
  [{ check: 'bearing.play', wheelEnd: 'A2L', result: 'clear' }, 'bearing'],
  [{ check: 'bearing.noise', wheelEnd: 'A2L', result: 'growl' }, 'bearing'],
  [{ check: 'visual.sensor', wheelEnd: 'A2L', result: 'broken' }, 'sensor'],
  [{ check: 'swap', wheelEnd: 'A2L', result: 'fault-followed' }, 'sensor'],
  [{ check: 'meter.resistance', of: 'sensor', wheelEnd: 'A2L', ohms: 'open' }, 'sensor'],
  [{ check: 'visual.sensor', wheelEnd: 'A2L', result: 'metal-on-tip' }, 'seating'],
];

const codes = fc.constantFrom<DocketCode>(
  ...['13', '14', '1F', '2F', '31', '36', '64'].map((type) => ({
    module: 'ABS',
    code: `C0037-${type}`,
    status: 'active' as const,
  })),
);
const dockets = fc
  .record({
    code: fc.option(codes, { nil: null }),
    lamp: fc.boolean(),
    salt: fc.constantFrom('none' as const, 'some' as const, 'high' as const, null),
    build: fc.constantFrom('2008', '2016', '2022', null),
    sensor: fc.constantFrom('passive' as const, 'active' as const),
    soldAlone: fc.constantFrom(true, false, null),
    other: fc.subarray(
      TELLING.map(([check]) => check),
      { maxLength: 2 },
    ),
  })
  .map(({ code, lamp, salt, build, sensor, soldAlone, other }): Docket => ({
    format: 'hardy-spoke/docket',
    version: 1,
    vehicle: {
      axles: 2,
      saltExposure: salt,
      buildDate: build,
      wheelEnds: { A2: { sensor, mounting: 'separate', target: 'ring-on-hub', ringSoldAlone: soldAlone } },
    },
    codes: code ? [code] : [],
    symptoms: lamp ? ['lamp.abs'] : [],
    checks: other,
    options: shallow,
  }));

const chance = (docket: Docket, cause: Cause): number =>
  advise(docket, knowledge).causes.find((c) => c.cause === cause && c.wheelEnd === 'A2L')?.probability ?? 0;

describe('sanity of the whole', () => {
  test('a finding that points to a cause never lowers it', () => {
    fc.assert(
      fc.property(dockets, fc.constantFrom(...TELLING), (docket, [check, cause]) => {
        fc.pre(!(docket.checks ?? []).some((known) => known.check === check.check));
        expect(
          chance({ ...docket, checks: [...(docket.checks ?? []), check] }, cause),
        ).toBeGreaterThanOrEqual(chance(docket, cause) - 1e-9);
      }),
      { numRuns: 60, seed: 12 },
    );
  });

  test('left and right mirrored give the mirrored answer', () => {
    const turn = (text: string): string =>
      text
        .replace(/A(\d)(L|R)/g, (_, axle: string, side: string) => `A${axle}${side === 'L' ? 'R' : 'L'}`)
        .replace(/C0037/g, 'C003A');
    fc.assert(
      fc.property(dockets, (docket) => {
        const mirrored = JSON.parse(turn(JSON.stringify(docket))) as Docket;
        const [one, two] = [advise(docket, knowledge), advise(mirrored, knowledge)];
        const odds = (advice: typeof one, flip: boolean) =>
          Object.fromEntries(
            advice.causes.map((c) => [
              `${c.cause} ${flip ? turn(c.wheelEnd ?? '') : (c.wheelEnd ?? '')}`,
              Number(c.probability.toFixed(9)),
            ]),
          );
        expect(odds(two, true)).toEqual(odds(one, false));
        expect(two.verdict.action).toBe(one.verdict.action);
        expect(two.wheelEnd && turn(two.wheelEnd)).toBe(one.wheelEnd);
      }),
      { numRuns: 30, seed: 5 },
    );
  });

  test('a fact that has nothing to do with it changes nothing', () => {
    fc.assert(
      fc.property(dockets, (docket) => {
        const before = advise(docket, knowledge);
        const noise: Docket = {
          ...docket,
          codes: [...(docket.codes ?? []), { module: 'Engine', code: 'P0300', text: 'Misfire' }],
          customer: { name: 'somebody' },
          leftOver: ['squeaky mat'],
        };
        const after = advise(noise, knowledge);
        expect(after.causes).toEqual(before.causes);
        expect(after.verdict).toEqual(before.verdict);
      }),
      { numRuns: 25, seed: 13 },
    );
  });

  test('every advice keeps the contract\u2019s order: causes by probability, offers by mean cost', () => {
    fc.assert(
      fc.property(dockets, (docket) => {
        const { causes, offers, verdict } = advise(docket, knowledge);
        for (let i = 1; i < causes.length; i++)
          expect(causes[i - 1]!.probability).toBeGreaterThanOrEqual(causes[i]!.probability);
        for (let i = 1; i < offers.length; i++)
          expect(offers[i - 1]!.allIn.mean).toBeLessThanOrEqual(offers[i]!.allIn.mean);
        expect(verdict.sentence).not.toBe('');
        if (verdict.action === 'sell') expect(offers.map((offer) => offer.part)).toContain(verdict.part);
      }),
      { numRuns: 50, seed: 14 },
    );
  });
});

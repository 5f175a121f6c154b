import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { advise, bareKnowledge, type Check, type Docket, type DocketSymptom } from '../index.ts';
import { randomDockets } from '../advice/tests/randomDocket.ts';

const knowledge = bareKnowledge('2026-11-26');

/** Anything else a docket may hold that outweighs a lamp's cause: a flat battery, a failed controller, many codes. */
const NOISE: ReadonlyArray<Partial<Docket>> = [
  {},
  { history: [{ event: 'battery-flat', daysAgo: 1 }], codes: [{ module: 'ENGINE', code: 'P0562' }] },
  { codes: [{ module: 'ABS', code: 'C1100-49', text: 'control unit internal fault' }] },
  { symptoms: ['lamp.brake'] },
  { wants: ['just-the-part', 'today'], reader: 'none' },
  { checks: [{ check: 'clear-and-drive', result: 'stays-away' }] },
  { wheelEnd: 'A1L', positions: [{ text: 'rear right', wheelEnds: ['A2R'] }] },
  { vehicle: { axles: 2, wheelEnds: { A2: { mounting: 'centre' } } } },
  { vehicle: { axles: 3, driveline: 'trailer' } },
];

type Danger = {
  readonly checks?: Check[];
  readonly symptoms?: DocketSymptom[];
  readonly doubts?: Docket['doubts'];
};
const at = (wheelEnd: string | null) => ({ wheelEnd });

const FORBIDS: readonly Danger[] = [
  ...['A1L', 'A2R', null].flatMap((end): Danger[] => [
    { checks: [{ check: 'bearing.play', ...at(end), result: 'clear' }] },
    {
      checks: [
        { check: 'bearing.play', ...at(end), result: 'slight' },
        { check: 'bearing.noise', ...at(end), result: 'growl' },
      ],
    },
  ]),
  { checks: [{ check: 'brake.fluid', result: 'leaking' }] },
  { checks: [{ check: 'brake.fluid', result: 'low' }] },
  { symptoms: ['pedal.soft'] },
  { symptoms: ['wheel.hot'] },
];

const MUST_BE_SAID: ReadonlyArray<readonly [Danger, RegExp]> = [
  [{ checks: [{ check: 'bearing.noise', wheelEnd: 'A1R', result: 'growl' }] }, /growls|Rock|rock/],
  [{ checks: [{ check: 'bearing.play', wheelEnd: 'A2L', result: 'slight' }] }, /spin it|Spin|Do not drive/i],
  [{ symptoms: ['noise.wheel'] }, /growls|rock/i],
  [{ doubts: [{ about: 'play', words: 'a bit loose' }] }, /a bit loose|rock|Rock/],
];

const mixed = (danger: Danger, base: Docket, noise: Partial<Docket>): Docket => ({
  ...base,
  ...noise,
  options: { assumptions: { 'plan.depth': 1 } },
  codes: [...(base.codes ?? []), ...(noise.codes ?? [])],
  symptoms: [...(noise.symptoms ?? []), ...(danger.symptoms ?? [])],
  checks: [...(danger.checks ?? []), ...(noise.checks ?? [])],
  doubts: danger.doubts ?? null,
});

const quiet = randomDockets(0);

describe('no docket passes by safety, whatever else holds', () => {
  test('what forbids driving is the verdict, and the caution is shown', () => {
    fc.assert(
      fc.property(fc.constantFrom(...FORBIDS), quiet, fc.constantFrom(...NOISE), (danger, base, noise) => {
        const { verdict, cautions } = advise(mixed(danger, base, noise), knowledge);
        expect(cautions[0]).toBe('stop-driving');
        expect(verdict.sentence).toMatch(/^Do not drive it/);
        expect(verdict.action).not.toBe('no-part');
      }),
      { numRuns: 60 },
    );
  });

  test('half of a danger, or a word of one, is said beside any verdict', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...MUST_BE_SAID),
        quiet,
        fc.constantFrom(...NOISE),
        ([danger, said], base, noise) => {
          const { verdict } = advise(mixed(danger, base, noise), knowledge);
          expect([verdict.sentence, ...verdict.because, ...verdict.also].join('\n')).toMatch(said);
        },
      ),
      { numRuns: 60 },
    );
  });
});

import fc from 'fast-check';
import type { Check, Docket, DocketCode, HistoryEvent, WheelEndArchitecture } from '../../index.ts';

/** Dockets of every kind for the laws: known and unknown builds, codes, complaints, history, checks, some nonsense. */
export const ENDS = ['A1L', 'A1R', 'A2L', 'A2R'] as const;
const CODE_OF: Readonly<Record<string, string>> = {
  A1L: 'C0031',
  A1R: 'C0034',
  A2L: 'C0037',
  A2R: 'C003A',
};
const end = fc.constantFrom(...ENDS);

const builds = fc.constantFrom<WheelEndArchitecture>(
  { sensor: 'active', mounting: 'separate', target: 'encoder-in-bearing', ringSoldAlone: false },
  { sensor: 'active', mounting: 'in-hub', target: 'encoder-in-bearing', ringSoldAlone: false },
  { sensor: 'active', mounting: 'separate', target: 'ring-on-hub', ringSoldAlone: true },
  { sensor: 'passive', mounting: 'separate', target: 'ring-on-hub', ringSoldAlone: true },
  { sensor: 'passive', mounting: 'separate', target: 'ring-on-shaft', ringSoldAlone: false },
  { sensor: 'active', mounting: 'in-hub', target: 'ring-on-hub', ringSoldAlone: false },
  {},
);

const code = fc
  .record({
    at: end,
    type: fc.constantFrom('', '-13', '-14', '-1F', '-2F', '-31', '-36', '-64'),
    status: fc.constantFrom('active', 'active', 'stored', 'history', null),
  })
  .map(({ at, type, status }): DocketCode => ({
    module: 'ABS',
    code: `${CODE_OF[at] ?? ''}${type}`,
    status,
  }));

const history = fc
  .record({
    event: fc.constantFrom(
      'tyre-replaced',
      'sensor-replaced',
      'hub-replaced',
      'connector-repaired',
      'brake-work',
      'suspension-work',
    ),
    wheelEnd: end,
    daysAgo: fc.constantFrom(3, 20, 90, null),
    cured: fc.constantFrom('no', 'for-a-while', null),
  })
  .map((event): HistoryEvent => event as HistoryEvent);

const RESULTS: ReadonlyArray<readonly [string, readonly string[]]> = [
  ['visual.ring', ['sound', 'cracked', 'missing-teeth', 'rusted', 'dirty']],
  ['visual.sensor', ['sound', 'broken', 'corroded', 'rubbed', 'metal-on-tip', 'snapped']],
  ['visual.connector', ['sound', 'corroded', 'loose-pins', 'shell-broken']],
  ['visual.harness', ['sound', 'chafed', 'cut']],
  ['bearing.play', ['none', 'slight', 'clear']],
  ['bearing.noise', ['none', 'growl']],
  ['wiggle', ['steady', 'changes']],
  ['clear-and-drive', ['stays-away', 'back-at-once', 'back-when-driven', 'back-on-bumps']],
];
const LIVE = ['normal', 'no-signal', 'drops-out', 'once-per-turn', 'reads-low', 'weak-at-low-speed', 'noisy'];
const look = fc.tuple(fc.nat(RESULTS.length), end, fc.nat(20)).map(([which, wheelEnd, pick]): Check => {
  const row = RESULTS[which];
  if (!row) return { check: 'live', wheelEnd, pattern: LIVE[pick % LIVE.length] } as Check;
  return { check: row[0], wheelEnd, result: row[1][pick % row[1].length] } as Check;
});

/** One reading of a thing: repeats have laws of their own. */
const unique = <T extends { wheelEnd?: string | null }>(list: T[], what: (each: T) => string): T[] =>
  list.filter((each, i) => list.findIndex((e) => what(e) === what(each)) === i);

export const randomDockets = (looks = 4): fc.Arbitrary<Docket> =>
  fc
    .record({
      a1: builds,
      a2: builds,
      salt: fc.constantFrom('none', 'some', 'high', null),
      build: fc.constantFrom('2006', '2014', '2021', null),
      codes: fc.array(code, { maxLength: 2 }),
      symptoms: fc.subarray(
        [
          'lamp.abs',
          'lamp.traction',
          'abs.activates-when-stopping',
          'noise.wheel',
          'steering.heavy',
        ] as const,
        { maxLength: 3 },
      ),
      history: fc.array(history, { maxLength: 2 }),
      checks: fc.array(look, { maxLength: looks }),
      reader: fc.constantFrom('full', 'none', null),
    })
    .map(({ a1, a2, salt, build, codes, symptoms, history: events, checks, reader }): Docket => ({
      format: 'hardy-spoke/docket',
      version: 1,
      vehicle: {
        axles: 2,
        saltExposure: salt,
        buildDate: build,
        wheelEnds: { A1: a1, A2: a2 },
      },
      codes: codes.filter((each, i) => codes.findIndex((c) => c.code === each.code) === i),
      symptoms: [...symptoms],
      history: unique(events, (e) => `${e.event} ${e.wheelEnd}`),
      checks: unique(checks, (c) => `${c.check} ${c.wheelEnd}`),
      reader: reader,
    }));

const renamed = (docket: Docket, names: Readonly<Record<string, string>>): Docket =>
  JSON.parse(
    JSON.stringify(docket).replace(
      new RegExp(Object.keys(names).join('|'), 'g'),
      (found) => names[found] ?? found,
    ),
  ) as Docket;

const CODES_MIRRORED = { C0031: 'C0034', C0034: 'C0031', C0037: 'C003A', C003A: 'C0037' };
const CODES_TURNED = { C0031: 'C0037', C0037: 'C0031', C0034: 'C003A', C003A: 'C0034' };

/** A wheel end seen in the mirror, and with the axles renamed. */
export const mirrorEnd = (at: string): string => at.replace(/[LR]$/, (s) => (s === 'L' ? 'R' : 'L'));
export const turnEnd = (at: string): string => at.replace(/^A[12]/, (a) => (a === 'A1' ? 'A2' : 'A1'));

/** Left and right exchanged. */
export const mirrored = (docket: Docket): Docket =>
  renamed(docket, { A1L: 'A1R', A1R: 'A1L', A2L: 'A2R', A2R: 'A2L', ...CODES_MIRRORED });

/** The two axles exchanged, builds and codes with them. */
export const turned = (docket: Docket): Docket =>
  renamed(docket, {
    A1L: 'A2L',
    A1R: 'A2R',
    A2L: 'A1L',
    A2R: 'A1R',
    '"A1"': '"A2"',
    '"A2"': '"A1"',
    ...CODES_TURNED,
  });

/** Every list the other way round. */
export const reversed = (docket: Docket): Docket => ({
  ...docket,
  codes: [...(docket.codes ?? [])].reverse(),
  symptoms: [...(docket.symptoms ?? [])].reverse(),
  history: [...(docket.history ?? [])].reverse(),
  checks: [...(docket.checks ?? [])].reverse(),
});

/** Everything written down twice. */
export const doubled = (docket: Docket): Docket => ({
  ...docket,
  codes: [...(docket.codes ?? []), ...(docket.codes ?? [])],
  symptoms: [...(docket.symptoms ?? []), ...(docket.symptoms ?? [])],
  history: [...(docket.history ?? []), ...(docket.history ?? [])],
  checks: [...(docket.checks ?? []), ...(docket.checks ?? [])],
});

/** A look that saw nothing: it says nothing of any cause. */
export const withBlindLook = (docket: Docket): Docket => ({
  ...docket,
  checks: [...(docket.checks ?? []), { check: 'visual.ring', wheelEnd: 'A1L', result: 'not-visible' }],
});

/** Facts beside the matter. */
export const withIrrelevant = (docket: Docket): Docket => ({
  ...docket,
  words: 'the customer has a dog',
  vehicle: { ...docket.vehicle, name: 'the blue one', plate: 'HB 12' },
  checks: [...(docket.checks ?? []), { check: 'brake.fluid', result: 'full' }],
});

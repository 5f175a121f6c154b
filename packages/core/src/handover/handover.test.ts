import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { advise } from '../advice/advise.ts';
import { bareKnowledge } from '../advice/knowledge.ts';
import { assumptionsWith } from '../assumptions/assumptions.ts';
import { CHECK_NAMES } from '../checkKinds/checkTypes.ts';
import { dangersOf } from '../safety/dangers.ts';
import { emptySlice, type CatalogueSlice } from '../vocabulary/catalogue.ts';
import type { Docket } from '../vocabulary/docket.ts';
import { usualWays } from '../vocabulary/houseWays.ts';
import { inEveryUnit } from '../vocabulary/imperial.ts';
import { parseDocket } from '../vocabulary/parseDocket.ts';
import { CAUSES, PART_CLASSES } from '../vocabulary/wordLists.ts';
import type { Cause, PartClass } from '../vocabulary/words.ts';
import { checkSheet } from './checkSheet.ts';
import { fitJob, type Fitted } from './fitJob.ts';
import { fitSheet } from './fitSheet.ts';
import { noPartSheet } from './noPartSheet.ts';
import { stopSheet } from './stopSheet.ts';
import { tellSheet, type ToldSheet } from './tellSheet.ts';
import { LANGUAGE_CODES, type LanguageCode } from './texts/languages.ts';

const docketOf = (more: Partial<Docket> = {}): Docket =>
  parseDocket({ format: 'hardy-spoke/docket', version: 1, ...more });
const SEPARATE = {
  sensor: 'active',
  mounting: 'separate',
  target: 'ring-on-hub',
  ringSoldAlone: true,
} as const;
const fitted = (part: PartClass, more: Partial<Fitted> = {}): Fitted => ({
  part,
  wheelEnd: 'A1L',
  architecture: SEPARATE,
  ...more,
});
const jobOf = (parts: Fitted[], docket: Docket = docketOf(), slice: CatalogueSlice = emptySlice()) =>
  fitJob(parts, { docket, slice, ways: usualWays(), axles: 2, a: assumptionsWith({}) });
const told = (sheet: Parameters<typeof tellSheet>[0], language: LanguageCode = 'en'): ToldSheet =>
  tellSheet(sheet, { language, names: { axles: 2 }, docketNumber: 1042, phone: '555 0142' });
const wordsOf = (sheet: ToldSheet): string =>
  [sheet.title, ...sheet.sections.flatMap(({ heading, lines }) => [heading, ...lines])].join('\n');
const verdict = (cause: Cause) => ({
  action: 'no-part' as const,
  part: null,
  with: [],
  wheelEnd: 'A1L',
  check: null,
  cause,
  sentence: 'No part.',
  also: [],
  because: [],
});

/** Every sheet there can be, of every kind. */
const everySheet = [
  ...PART_CLASSES.flatMap((part) =>
    ([null, SEPARATE, { ...SEPARATE, target: 'encoder-in-bearing' }] as const).flatMap((architecture) =>
      ([null, 'out', 'snapped'] as const).flatMap((old) =>
        (['full', 'engine', 'none', null] as const).map((reader) =>
          fitSheet(
            jobOf(
              [fitted(part, { architecture, wheelEnd: 'A2R' })],
              docketOf({ reader, options: { seizure: { old } } }),
            ),
            ['lifting', 'licensed-work'],
          ),
        ),
      ),
    ),
  ),
  ...CHECK_NAMES.map((check) => checkSheet(check, 'A2L', 5, ['lifting'])),
  ...CAUSES.map((cause) => noPartSheet(verdict(cause), jobOf([]), ['abs-inactive'])),
  ...[
    { check: 'bearing.play', wheelEnd: 'A1L', result: 'clear' },
    { check: 'brake.fluid', result: 'leaking' },
    { check: 'brake.fluid', result: 'low' },
  ].map((check) => stopSheet(dangersOf(docketOf({ checks: [check] as Docket['checks'] })))),
];

describe('every sheet there can be', () => {
  test.each(LANGUAGE_CODES)(
    'is told in full in %s: no name of a text is left, no gap is open',
    (language) => {
      for (const sheet of everySheet) {
        const page = told(sheet, language);
        const words = [
          wordsOf(page),
          ...page.torques.flatMap(({ what, figure, again }) => [what, figure, again]),
          ...page.results.map(({ word }) => word),
        ].join('\n');
        expect(words).not.toMatch(
          /\{\{|\}\}|@end|@parts|(?:frame|work|snap|always|prove|ways|stop|noPart|check)\//,
        );
        for (const { lines } of page.sections) for (const line of lines) expect(line.trim()).not.toBe('');
      }
    },
  );

  test('in another language no line is left in English', () => {
    for (const sheet of everySheet) {
      const [english, german] = [told(sheet), told(sheet, 'de')];
      const lines = german.sections.flatMap(({ lines: of }) => of);
      const same = english.sections.flatMap(({ lines: of }) => of).filter((line) => lines.includes(line));
      expect(same).toEqual([]);
    }
  });

  test('nobody is sent to provoke a stop, and no sheet makes up a figure where the catalogue has none', () => {
    for (const sheet of everySheet) {
      if (sheet.kind !== 'stop') expect(wordsOf(told(sheet))).toContain('Do not provoke an anti-lock stop');
      for (const { figure } of sheet.torques) expect(figure).toBeNull();
    }
  });
});

describe('the sheet for fitting', () => {
  test('a damaged face says to find what it ran against, in either language, and only where it was seen', () => {
    const sheet = (result: 'rubbed' | 'sound', language: LanguageCode = 'en') =>
      wordsOf(
        told(
          fitSheet(
            jobOf(
              [fitted('sensor')],
              docketOf({ checks: [{ check: 'visual.sensor', wheelEnd: 'A1L', result }] }),
            ),
            [],
          ),
          language,
        ),
      );
    expect(sheet('rubbed')).toMatch(/face is damaged[\s\S]*does not go back in/);
    expect(sheet('rubbed', 'de')).toContain('kommt nicht wieder hinein');
    expect(sheet('sound')).not.toContain('face is damaged');
  });

  test('a caliper that was off: pump the pedal; at the rear the electric park brake too; never for a sensor', () => {
    const page = (part: PartClass, wheelEnd: string) =>
      wordsOf(told(fitSheet(jobOf([fitted(part, { wheelEnd })]), [])));
    expect(page('hub-assembly', 'A2L')).toMatch(/Pump the brake pedal[\s\S]*electric park brake/);
    expect(page('hub-assembly', 'A1L')).not.toContain('electric park brake');
    expect(page('sensor', 'A2L')).not.toContain('Pump the brake pedal');
    expect(page('sensor', 'A2L')).toContain('50 to 100 km');
  });

  test('a caliper named in the catalogue’s own note counts as off, whatever the part', () => {
    const slice: CatalogueSlice = {
      ...emptySlice(),
      jobs: [
        {
          vehicleId: 'v',
          axle: 1,
          partClass: 'sensor',
          labourHours: 2,
          access: 'wheel off; caliper off; disc off',
          tools: '32 mm socket',
          torques: '!axle nut=230 Nm; sensor bolt=9 Nm; none=hand work',
        },
      ],
    };
    const sheet = fitSheet(jobOf([fitted('sensor')], docketOf(), slice), []);
    expect(wordsOf(told(sheet))).toContain('Pump the brake pedal');
    expect(told(sheet).torques).toEqual([
      { what: 'axle nut', figure: '230 N m \u00B7 170 lb ft', again: 'no: fit a new one' },
      { what: 'sensor bolt', figure: '9 N m \u00B7 6.6 lb ft \u00B7 80 lb in', again: 'yes, if sound' },
    ]);
    expect(told(sheet, 'de').torques[0]?.what).toBe('Achsmutter');
    expect(told(sheet, 'de').sections.find(({ heading }) => heading === 'Zugang')?.lines[0]).toBe('Rad ab');
  });

  test('a snapped sensor comes first, one that is out already has nothing left to snap', () => {
    const page = (old: 'out' | 'snapped' | null) =>
      wordsOf(told(fitSheet(jobOf([fitted('sensor')], docketOf({ options: { seizure: { old } } })), [])));
    expect(page(null)).toMatch(/Order of work[\s\S]*If the old sensor snaps[\s\S]*never an option/);
    expect(page('snapped')).toMatch(/The snapped sensor first[\s\S]*never an option[\s\S]*Order of work/);
    expect(page('out')).not.toContain('snap');
    expect(page('out')).toContain('Look through the bore');
  });

  test('each wheel end has its own figure: a fastener with two says where each is', () => {
    const note = (axle: number, figure: string) => ({
      vehicleId: 'v',
      axle,
      partClass: 'hub-assembly' as const,
      labourHours: 2,
      access: 'wheel off',
      tools: '',
      torques: `!axle nut=${figure}; wheel bolts=110 Nm`,
    });
    const slice: CatalogueSlice = { ...emptySlice(), jobs: [note(1, '230 Nm'), note(2, '450 Nm')] };
    const both = [fitted('hub-assembly'), fitted('hub-assembly', { wheelEnd: 'A2L' })];
    expect(
      told(fitSheet(jobOf(both, docketOf(), slice), [])).torques.map(
        ({ what, figure }) => `${what}: ${figure}`,
      ),
    ).toEqual([
      'axle nut, front left: 230 N m \u00B7 170 lb ft',
      'wheel bolts: 110 N m \u00B7 81 lb ft',
      'axle nut, rear left: 450 N m \u00B7 332 lb ft',
    ]);
  });

  test('what is out at one wheel is not out at the other', () => {
    const docket = docketOf({ options: { seizure: { old: 'out', oldAt: 'A1L' } } });
    const page = (...ends: string[]) =>
      wordsOf(
        told(
          fitSheet(
            jobOf(
              ends.map((wheelEnd) => fitted('sensor', { wheelEnd })),
              docket,
            ),
            [],
          ),
        ),
      );
    expect(page('A1L')).not.toContain('snap');
    expect(page('A1L', 'A1R')).toMatch(/Look through the bore[\s\S]*If the old sensor snaps/);
    expect(page('A1R')).toContain('Soak the bore');
  });

  test('a hub whose wheel end nobody knows may have a sensor that snaps', () => {
    expect(wordsOf(told(fitSheet(jobOf([fitted('hub-assembly', { architecture: null })]), [])))).toContain(
      'If the old sensor snaps',
    );
  });

  test('found snapped on looking is snapped', () => {
    const docket = docketOf({ checks: [{ check: 'visual.sensor', wheelEnd: 'A1L', result: 'snapped' }] });
    expect(wordsOf(told(fitSheet(jobOf([fitted('sensor')], docket), [])))).toContain(
      'The snapped sensor first',
    );
  });

  test('no solvent is told of near a bearing with an encoder, whatever the shop does', () => {
    const encoder = { ...SEPARATE, target: 'encoder-in-bearing' } as const;
    const page = (architecture: Fitted['architecture']) =>
      wordsOf(
        told(
          fitSheet(
            fitJob([fitted('sensor', { architecture })], {
              docket: docketOf(),
              slice: emptySlice(),
              ways: { ...usualWays(), targetWipe: 'cleaner' },
              axles: 2,
              a: assumptionsWith({}),
            }),
            [],
          ),
        ),
      );
    expect(page(SEPARATE)).toContain('rag damp with cleaner');
    expect(page(encoder)).not.toContain('rag damp with cleaner');
    expect(page(null)).not.toContain('rag damp with cleaner');
  });

  test('several parts are one sheet, each line once', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.constantFrom(...PART_CLASSES), { minLength: 1 }), (classes) => {
        const page = told(fitSheet(jobOf(classes.map((part) => fitted(part))), []));
        for (const { lines } of page.sections) expect(new Set(lines).size).toBe(lines.length);
      }),
    );
  });
});

describe('which pages leave the counter', () => {
  const kinds = (more: Partial<Docket>): string[] =>
    advise(
      docketOf({ wheelEnd: 'A1L', symptoms: ['lamp.abs'], ...more }),
      bareKnowledge('2026-11-26'),
    ).sheets.map(({ kind }) => kind);
  const chosen = { part: 'sensor', wheelEnd: 'A1L', priceCents: 1, allInMeanCents: 1, cures: 0.5 } as const;

  test('a check first is a check alone; taken all the same it is fitted; a stop is first whatever else is printed', () => {
    expect(kinds({})).toEqual(['check']);
    expect(kinds({ chosen })).toEqual(['fit']);
    const loose: Docket['checks'] = [{ check: 'bearing.play', wheelEnd: 'A1L', result: 'clear' }];
    expect(kinds({ checks: loose })[0]).toBe('stop');
    expect(kinds({ checks: loose, chosen })).toEqual(['stop', 'fit']);
    expect(kinds({ symptoms: ['pedal.soft'] })).toEqual(['stop', 'check']);
  });

  test('where no part cures it the page says what does', () => {
    const tyres: Docket['checks'] = [
      {
        check: 'tyres',
        sizes: { A1L: '195/65 R15', A1R: '195/65 R15', A2L: '195/65 R15', A2R: '205/60 R15' },
      },
      { check: 'live', wheelEnd: 'A2R', pattern: 'reads-low', percent: 4, growsWithSpeed: true },
    ];
    const history: Docket['history'] = [{ event: 'tyre-replaced', wheelEnd: 'A2R', daysAgo: 10 }];
    expect(kinds({ wheelEnd: 'A2R', checks: tyres, history })).toEqual(['no-part']);
  });

  test('a look is told the cautions of a look', () => {
    const words = wordsOf(
      told(
        checkSheet('visual.connector', 'A1L', 8, [
          'lifting',
          'single-use-fasteners',
          'encoder-magnets',
          'licensed-work',
        ]),
      ),
    );
    expect(words).not.toContain('single-use');
    expect(words).not.toContain('magnets');
  });
});

describe('the other endings', () => {
  test('a check sheet has each result with the key it is entered with, and whom to call', () => {
    const page = told(checkSheet('visual.ring', 'A2L', 12, []));
    expect(page.title).toBe('Check first: look at the tone ring, rear left');
    expect(page.results.slice(0, 2)).toEqual([
      { key: 1, word: 'sound', means: 'points away from the ring' },
      { key: 2, word: 'cracked', means: 'the ring is bad' },
    ]);
    expect(wordsOf(page)).toContain('Call 555 0142 and say docket 1042');
    expect(told(checkSheet('visual.ring', 'A2L', 12, []), 'de').title).toBe(
      'Erst pr\u00FCfen: den Zahnring ansehen, hinten links',
    );
  });

  test('the stop says what was found, where, and who may fetch it', () => {
    const docket = docketOf({
      checks: [
        { check: 'bearing.play', wheelEnd: 'A2R', result: 'slight' },
        { check: 'bearing.noise', wheelEnd: 'A2R', result: 'growl' },
      ],
    });
    const words = wordsOf(told(stopSheet(dangersOf(docket))));
    expect(words).toMatch(/Wheel rear right: slight play and a growl/);
    expect(words).toMatch(/flatbed/);
  });

  test('numbers are the shop\u2019s own, written as the language does', () => {
    const job = { ...jobOf([]), a: assumptionsWith({ 'battery.resting': 12.35, 'proof.bolts-from': 40 }) };
    expect(wordsOf(told(noPartSheet(verdict('supply'), job, [])))).toContain('above 12.35 V and above 9.6 V');
    expect(wordsOf(told(noPartSheet(verdict('supply'), job, []), 'de'))).toContain('12,35 V und');
    expect(wordsOf(told(fitSheet({ ...jobOf([fitted('sensor')]), a: job.a }, [])))).toContain(
      'after 40 to 100 km',
    );
  });

  test('figures are in every unit a wrench has', () => {
    expect(['9 Nm', '110 Nm', '70 Nm + 60 deg'].map(inEveryUnit)).toEqual([
      '9 N m \u00B7 6.6 lb ft \u00B7 80 lb in',
      '110 N m \u00B7 81 lb ft',
      '70 N m (52 lb ft) + 60\u00B0',
    ]);
  });
});

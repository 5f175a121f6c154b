import { describe, expect, test } from '@jest/globals';
import { bareKnowledge } from '../knowledge.ts';
import { advise } from '../advise.ts';
import type { Check, Docket, DocketCode } from '../../index.ts';

const knowledge = bareKnowledge('2026-11-25');
const ENCODER = {
  sensor: 'active',
  mounting: 'separate',
  target: 'encoder-in-bearing',
  ringSoldAlone: false,
} as const;
const RING = { sensor: 'passive', mounting: 'separate', target: 'ring-on-hub', ringSoldAlone: true } as const;
const docket = (more: Partial<Docket> = {}, rear: object = ENCODER): Docket => ({
  format: 'hardy-spoke/docket',
  version: 1,
  vehicle: { axles: 2, buildDate: '2015', wheelEnds: { A1: ENCODER, A2: rear } },
  ...more,
});
const code = (text: string, more: Partial<DocketCode> = {}): DocketCode => ({
  module: 'ABS',
  code: text,
  status: 'active',
  ...more,
});
const at = (wheelEnd: string, check: string, result: string): Check =>
  ({ check, wheelEnd, result }) as unknown as Check;
const told = (given: Docket) => advise(given, knowledge);
const chance = (given: Docket, cause: string): number =>
  told(given).causes.find((c) => c.cause === cause)?.probability ?? 0;

describe('danger', () => {
  test('every unsafe wheel is named, the worst first, and its reason speaks of it', () => {
    const { verdict } = told(
      docket({
        checks: [
          at('A2R', 'bearing.play', 'slight'),
          at('A2R', 'bearing.noise', 'growl'),
          at('A1L', 'bearing.play', 'clear'),
        ],
      }),
    );
    expect(verdict).toMatchObject({ action: 'sell', part: 'hub-assembly', wheelEnd: 'A1L' });
    expect(verdict.because[0]).toMatch(/^front left: clear play/);
    expect(verdict.because.join()).toMatch(/also not safe: rear right, slight play and a growl/);
  });

  test('a wheel that was off lately has its bolts tightened first', () => {
    const { verdict, cautions } = told(
      docket({
        history: [{ event: 'tyre-replaced', wheelEnd: 'A1R', daysAgo: 1 }],
        checks: [at('A1R', 'bearing.play', 'clear')],
      }),
    );
    expect(verdict).toMatchObject({ action: 'check', check: 'bearing.play', wheelEnd: 'A1R' });
    expect(verdict.sentence).toMatch(/bolts/);
    expect(cautions).toContain('stop-driving');
  });

  test('who did as told and found the wheel firm is not told the same again, but how the stop ends', () => {
    const checks = [at('A1R', 'bearing.play', 'clear'), at('A1R', 'bearing.play', 'none')];
    const lately = docket({ history: [{ event: 'tyre-replaced', wheelEnd: 'A1R', daysAgo: 1 }], checks });
    const { verdict, cautions } = told(lately);
    expect(verdict.sentence).toMatch(/^Do not drive it yet.*strike the first reading out/);
    expect(cautions).toContain('stop-driving');
    expect(told({ ...lately, checks: checks.slice(1) }).verdict.sentence).not.toMatch(/Do not drive/);
    // Nothing was done in between that could have mended it: its hub stays first, and the look is not passed over.
    const unmended = told(docket({ checks })).verdict;
    expect(unmended).toMatchObject({ action: 'sell', part: 'hub-assembly' });
    expect(unmended.because.join()).toMatch(/a later look found no play/);
  });

  test('brakes outrank a proven part; a wheel that is loose besides is said too', () => {
    const { verdict, cautions } = told(
      docket({
        symptoms: ['pedal.soft'],
        checks: [at('A1L', 'visual.sensor', 'broken'), at('A2L', 'bearing.play', 'clear')],
      }),
    );
    expect(verdict).toMatchObject({ action: 'check', check: 'brake.fluid' });
    expect(verdict.because.join()).toMatch(/rear left: clear play/);
    expect(cautions).toContain('stop-driving');
  });
});

describe('what all wheels share', () => {
  test.each([
    ['Electronic control unit internal failure', 'C0550'],
    ['Pump motor circuit malfunction', 'C0110'],
    ['', 'C1000-49'],
  ])('a controller that says so itself: "%s" %s', (text, failed) => {
    const { verdict, causes } = told(docket({ codes: [code(failed, { text })], symptoms: ['lamp.abs'] }));
    expect(causes[0]?.cause).toBe('module');
    expect(verdict).toMatchObject({ action: 'no-part', cause: 'module', part: null });
  });

  test('battery history counts once, however many wheels there are', () => {
    const flat = (axles: number) =>
      chance(
        {
          ...docket({ codes: [code('C0031-13')], history: [{ event: 'battery-flat', daysAgo: 5 }] }),
          vehicle: { axles },
        },
        'supply',
      );
    expect(flat(3)).toBeCloseTo(flat(2), 2);
    expect(flat(2)).toBeLessThan(0.2);
  });

  test('a battery renewed already is not sold again', () => {
    const { verdict } = told(
      docket({
        codes: ['Engine', 'Body', 'Gateway', 'Airbag', 'Radio', 'Doors'].map((module) => ({
          module,
          code: 'U3003',
          text: 'Battery voltage low',
          status: 'stored' as const,
        })),
        history: [{ event: 'battery-replaced', daysAgo: 2 }],
      }),
    );
    expect(verdict.action).toBe('no-part');
    expect(verdict.sentence).not.toMatch(/renew/);
  });

  test('asks whether codes were cleared, and a yes ends the supply theory', () => {
    const given = docket({ codes: [code('C0031-13')], history: [{ event: 'battery-flat', daysAgo: 2 }] });
    expect(told(given).questions.map(({ about }) => about)).toContain('codesCleared');
    expect(chance({ ...given, codesCleared: true }, 'supply')).toBeLessThan(chance(given, 'supply') / 3);
  });
});

describe('codes and silence', () => {
  test.each(['Brake ECU', 'trailer', 'Chassis node 7', 'Engine'])(
    'a reserved code is never lost by the name of its module: %s',
    (module) => {
      const advice = told(docket({ codes: [code('C0034-13', { module })], symptoms: ['lamp.abs'] }));
      expect(advice.codes[0]?.role).toBe('root');
      expect(advice.wheelEnd).toBe('A1R');
    },
  );

  test('a brake controller that was read and is silent clears dead sensors, not worn bearings', () => {
    const growl = docket({ symptoms: ['lamp.abs', 'noise.wheel'] });
    const read = { ...growl, modulesRead: ['ABS'] };
    const ratio = (given: Docket) => chance(given, 'bearing') / chance(given, 'sensor');
    expect(ratio(read)).toBeGreaterThan(3 * ratio(growl));
    const engineOnly: Docket = { ...growl, modulesRead: ['Engine'], reader: 'engine' };
    expect(chance(engineOnly, 'sensor')).toBeCloseTo(chance(growl, 'sensor'), 6);
  });

  test('an active code explains the lamps: they count against no other wheel', () => {
    const bare = docket({ codes: [code('C0031-2F')] });
    const lit = docket({ codes: [code('C0031-2F')], symptoms: ['lamp.abs', 'lamp.traction'] });
    const other = (given: Docket) => told(given).corners.find((c) => c.wheelEnd === 'A2R')?.probability ?? 1;
    expect(other(lit)).toBeCloseTo(other(bare), 9);
    expect(other(lit)).toBeLessThan(0.02);
  });
});

describe('what is sold', () => {
  test('both of two parts that are seen bad are one job, the main one first', () => {
    const { verdict, offers } = told(
      docket(
        {
          codes: [code('C0037-2F')],
          checks: [at('A2L', 'visual.ring', 'cracked'), at('A2L', 'visual.sensor', 'broken')],
        },
        RING,
      ),
    );
    expect(verdict).toMatchObject({ action: 'sell', part: 'tone-ring', with: ['sensor'] });
    const pair = offers.find((offer) => offer.with.length > 0);
    expect(pair?.lines.length).toBeGreaterThan(1);
    expect(pair?.cures).toBeGreaterThan(0.8);
  });

  test('a wrong part says whether it is the sensor or its target', () => {
    const kind = (given: Docket) => told(given).causes.find((c) => c.cause === 'mismatched-part')?.kind;
    expect(
      kind(
        docket(
          {
            codes: [code('C0037-64')],
            checks: [{ check: 'ring.teeth', wheelEnd: 'A2L', counted: 47, expected: 48 }],
          },
          RING,
        ),
      ),
    ).toBe('target');
    expect(
      kind(
        docket(
          {
            codes: [code('C0037-1A')],
            history: [{ event: 'sensor-replaced', wheelEnd: 'A2L', daysAgo: 2, cured: 'no' }],
          },
          RING,
        ),
      ),
    ).toBe('sensor');
  });

  test('just the part: sold, with what the check would have saved', () => {
    const given = docket({ codes: [code('C0031-2F')] });
    expect(told(given).verdict.action).toBe('check');
    const { verdict } = told({ ...given, wants: ['just-the-part'] });
    expect(verdict.action).toBe('sell');
    expect(verdict.also.join()).toMatch(
      /just the part, as the customer wants: \d+ minutes .* would save about/,
    );
  });

  test('the workshop itself is never sent to a workshop', () => {
    for (const type of ['1F', '2F', '36', '64']) {
      const { verdict, plan } = told(
        docket({ codes: [code(`C0031-${type}`)], customer: { kind: 'garage' } }),
      );
      expect(verdict.sentence).not.toMatch(/workshop/);
      expect(plan.step?.do).not.toBe('refer');
    }
  });

  test('without a reader nothing is read', () => {
    for (const reader of ['none', 'engine'] as const)
      for (const wheelEnd of [null, 'A1L']) {
        const { verdict } = told(docket({ reader, wheelEnd, symptoms: ['lamp.abs'] }));
        expect(verdict.action).toBe('check');
        expect(['live', 'clear-and-drive']).not.toContain(verdict.check);
      }
  });

  test('trailers count axles and have no battery of their own', () => {
    const trailer: Docket = {
      ...docket({ codes: [{ module: 'Trailer ABS', code: '789/5', status: 'active' }] }),
      vehicle: { axles: 2, driveline: 'trailer', wheelEnds: { A1: RING, A2: RING } },
    };
    const advice = told(trailer);
    expect(advice.verdict.sentence).toMatch(/^Axle 1 left/);
    expect(JSON.stringify(advice.plan)).not.toMatch(/battery/);
  });
});

describe('what is asked of the build', () => {
  test('what saves most is asked first, with what it is worth; nothing is asked of what is known', () => {
    const unknown: Docket = {
      format: 'hardy-spoke/docket',
      version: 1,
      codes: [code('C0037-2F')],
      symptoms: ['lamp.abs'],
    };
    const asked = told(unknown).questions.filter(({ about }) =>
      ['sensor', 'mounting', 'target', 'ringSoldAlone'].includes(about),
    );
    expect(asked.length).toBeGreaterThan(1);
    const worth = asked.map(({ because }) => Number(/worth about \D*(\d+)/.exec(because)?.[1] ?? 0));
    expect(worth[0]).toBeGreaterThan(0);
    expect([...worth].sort((x, y) => y - x)).toEqual(worth);
    const known = told(docket({ codes: [code('C0037-2F')] }));
    expect(known.questions.map(({ about }) => about)).not.toContain('target');
  });
});

describe('how it is built', () => {
  const unknown = (checks: Check[], more: object = {}): Docket =>
    docket({
      vehicle: {
        axles: 2,
        buildDate: '2012',
        wheelEnds: { A1: { sensor: 'passive', mounting: 'separate', ...more }, A2: RING },
      },
      codes: [code('C0034-2F')],
      symptoms: ['lamp.abs', 'abs.activates-when-stopping'],
      checks,
    });
  const cracked = [at('A1R', 'visual.ring', 'cracked')];

  test('a cracked ring whose part depends on the build is not handed on: one finds out first', () => {
    const { verdict, plan, questions } = told(unknown(cracked));
    // An answer is wanted, not another look: the page asks.
    expect(plan.next).toBeNull();
    expect(plan.step?.label).toMatch(/how it is built/);
    expect(questions.map(({ about }) => about)).toContain('target');
    expect(verdict).toMatchObject({ action: 'check', check: 'visual.ring', wheelEnd: 'A1R', cause: 'ring' });
    expect(verdict.sentence).toMatch(/how it is built/);
    expect(verdict.because.join()).toMatch(/saves about/);
  });

  test('once it is known, that part is sold, whichever it is', () => {
    const sold = (more: object) => told(unknown(cracked, more)).verdict;
    expect(sold({ target: 'ring-on-hub', ringSoldAlone: true })).toMatchObject({
      action: 'sell',
      part: 'tone-ring',
    });
    expect(sold({ target: 'ring-on-shaft', ringSoldAlone: false })).toMatchObject({
      action: 'sell',
      part: 'axle-shaft',
    });
    expect(sold({ target: 'ring-on-hub', ringSoldAlone: false })).toMatchObject({
      action: 'sell',
      part: 'hub-assembly',
    });
  });
});

describe('the corner, after the speeds did not tell', () => {
  const ends = ['A1L', 'A1R', 'A2L', 'A2R'];
  const normal = ends.map((end) => ({ check: 'live', wheelEnd: end, pattern: 'normal' }) as unknown as Check);
  const looked = (name: string, result: string) => ends.map((end) => at(end, name, result));
  const asked = (more: Partial<Docket>) =>
    told(docket({ reader: 'full', checks: normal, ...more }, RING)).verdict;

  test('what has been compared is not asked for again, and the sentence names what is', () => {
    const { action, check, sentence } = asked({ symptoms: ['abs.activates-when-stopping'] });
    expect(action).toBe('check');
    expect(check).not.toBe('live');
    expect(sentence).toMatch(/^The speeds did not tell the corner: /);
    expect(sentence).not.toMatch(/compare the live/);
  });

  test('codes are cleared and driven before each wheel is looked at', () => {
    const verdict = asked({
      symptoms: ['lamp.abs'],
      codes: [{ module: 'ABS', code: 'C0044', text: 'wheel speed', status: 'stored' }],
    });
    expect(verdict.check).toBe('clear-and-drive');
    expect(verdict.sentence).toMatch(/clear the codes, drive/);
  });

  test('each look is taken once at every wheel, and it comes to an end', () => {
    const done = [...normal];
    const order: string[] = [];
    for (let i = 0; i < 8; i++) {
      const { check } = asked({ symptoms: ['abs.activates-when-stopping'], checks: done });
      if (!check || order.includes(check)) break;
      order.push(check);
      done.push(...looked(check, check === 'bearing.play' || check === 'bearing.noise' ? 'none' : 'sound'));
    }
    expect(order.length).toBeGreaterThan(3);
    expect(new Set(order).size).toBe(order.length);
  });
});

import { describe, expect, test } from '@jest/globals';
import { advise, bareKnowledge, type Check, type Docket } from '../index.ts';

const knowledge = bareKnowledge('2026-11-25');

const minibus = (more: Partial<Docket> = {}): Docket => ({
  format: 'hardy-spoke/docket',
  version: 1,
  vehicle: {
    name: 'minibus',
    axles: 2,
    steeringSide: 'left',
    driveline: 'rwd',
    saltExposure: 'some',
    knuckle: 'iron',
    buildDate: '2018',
    wheelEnds: {
      A1: { sensor: 'active', mounting: 'separate', target: 'encoder-in-bearing', ringSoldAlone: false },
      A2: { sensor: 'active', mounting: 'separate', target: 'ring-on-hub', ringSoldAlone: true },
    },
  },
  codes: [{ module: 'ABS', code: 'C0037-31', text: null, status: 'active' }],
  symptoms: ['lamp.abs'],
  ...more,
});

const chanceOf = (docket: Docket, cause: string) =>
  advise(docket, knowledge).causes.find((c) => c.cause === cause && c.wheelEnd === 'A2L')?.probability ?? 0;

describe('advise', () => {
  test('a check moves the cause it speaks of, and its fact says so', () => {
    const before = minibus();
    for (const [check, cause] of [
      [{ check: 'visual.connector', wheelEnd: 'A2L', result: 'corroded' }, 'wiring'],
      [{ check: 'visual.ring', wheelEnd: 'A2L', result: 'cracked' }, 'ring'],
      [{ check: 'bearing.play', wheelEnd: 'A2L', result: 'clear' }, 'bearing'],
    ] as Array<[Check, string]>) {
      const after = minibus({ checks: [check] });
      expect(chanceOf(after, cause)).toBeGreaterThan(chanceOf(before, cause) * 1.5);
      const fact = advise(after, knowledge).facts.find((f) => f.path === 'checks[0]');
      expect(fact?.effects[0]?.cause).toBe(cause);
      expect(fact?.said).toMatch(/likelier/);
    }
  });

  test('clear bearing play means stop, hub first, whatever is cheaper', () => {
    const advice = advise(
      minibus({ checks: [{ check: 'bearing.play', wheelEnd: 'A2L', result: 'clear' }] }),
      knowledge,
    );
    expect(advice.verdict).toMatchObject({ action: 'sell', part: 'hub-assembly', wheelEnd: 'A2L' });
    expect(advice.cautions[0]).toBe('stop-driving');
  });

  test('never offers a part the vehicle does not have', () => {
    const parts = (
      target: 'ring-on-shaft' | 'ring-on-hub' | 'encoder-in-bearing',
      mounting: 'separate' | 'in-hub',
      ringSoldAlone: boolean,
    ) => {
      const docket = minibus();
      const vehicle = {
        ...docket.vehicle,
        wheelEnds: { A1: { sensor: 'active' as const, mounting, target, ringSoldAlone } },
      };
      return advise({ ...docket, vehicle, codes: [{ code: 'C0031' }] }, knowledge)
        .offers.map((o) => o.part)
        .sort();
    };
    expect(parts('encoder-in-bearing', 'in-hub', false)).toEqual(['connector-kit', 'hub-assembly']);
    expect(parts('ring-on-shaft', 'separate', false)).toEqual([
      'axle-shaft',
      'connector-kit',
      'hub-assembly',
      'sensor',
    ]);
    expect(parts('ring-on-hub', 'separate', true)).toEqual([
      'connector-kit',
      'hub-assembly',
      'sensor',
      'tone-ring',
    ]);
  });

  test('a sensor never cures a cracked ring; a hub with built-in sensor cures a bad sensor', () => {
    const cracked = advise(
      minibus({
        codes: [{ module: 'ABS', code: 'C0037-2F', status: 'active' }],
        checks: [
          { check: 'visual.ring', wheelEnd: 'A2L', result: 'cracked' },
          { check: 'live', wheelEnd: 'A2L', pattern: 'once-per-turn' },
        ],
      }),
      knowledge,
    );
    const cures = (part: string) => cracked.offers.find((o) => o.part === part)?.cures ?? 0;
    expect(cures('tone-ring')).toBeGreaterThan(0.6);
    expect(cures('sensor')).toBeLessThan(0.1);
    const inHub = minibus();
    inHub.vehicle = {
      ...inHub.vehicle,
      wheelEnds: { A2: { sensor: 'active', mounting: 'in-hub', target: 'encoder-in-bearing' } },
    };
    const hub = advise(inHub, knowledge).offers.find((o) => o.part === 'hub-assembly');
    expect(hub?.cures).toBeGreaterThan(0.5);
  });

  test('left and right mirror images give mirror answers', () => {
    const left = advise(
      minibus({ checks: [{ check: 'visual.connector', wheelEnd: 'A2L', result: 'corroded' }] }),
      knowledge,
    );
    const right = advise(
      minibus({
        codes: [{ module: 'ABS', code: 'C003A-31', status: 'active' }],
        checks: [{ check: 'visual.connector', wheelEnd: 'A2R', result: 'corroded' }],
      }),
      knowledge,
    );
    const mirror = (end: string | null) =>
      end?.replace(/[LR]$/, (side) => (side === 'L' ? 'R' : 'L')) ?? null;
    expect(right.wheelEnd).toBe(mirror(left.wheelEnd));
    const table = (causes: typeof left.causes, flip: boolean) =>
      Object.fromEntries(
        causes.map((c) => [
          `${c.cause} ${flip ? mirror(c.wheelEnd) : c.wheelEnd}`,
          Number(c.probability.toFixed(9)),
        ]),
      );
    const mirrored = table(right.causes, true);
    for (const [key, p] of Object.entries(table(left.causes, false)))
      if (p > 0.001) expect(mirrored[key]).toBeCloseTo(p, 8);
  });

  test('the mean of an offer is the sum of its parts', () => {
    for (const offer of advise(minibus(), knowledge).offers) {
      expect(offer.costs.reduce((sum, cost) => sum + cost.amount, 0)).toBeCloseTo(offer.allIn.mean, 6);
      expect(offer.allIn.p10).toBeLessThanOrEqual(offer.allIn.p50);
      expect(offer.allIn.p50).toBeLessThanOrEqual(offer.allIn.p90);
    }
  });

  test('customer and code naming different corners: no corner, both shown, asked', () => {
    const advice = advise(minibus({ wheelEnd: 'A1R' }), knowledge);
    expect(advice.wheelEnd).toBeNull();
    expect(advice.conflicts[0]?.because).toContain('front right');
    expect(advice.questions.map((q) => q.about)).toContain('wheelEnd');
    expect(advice.verdict.action).toBe('check');
  });

  test('a phrase that needed the steering side is placed once it is known', () => {
    const docket = minibus({
      codes: [],
      positions: [{ text: "driver's front", wheelEnds: [], needs: 'steeringSide' }],
    });
    const unknown = advise({ ...docket, vehicle: { ...docket.vehicle, steeringSide: null } }, knowledge);
    expect(unknown.questions[0]?.about).toBe('steeringSide');
    const known = advise({ ...docket, vehicle: { ...docket.vehicle, steeringSide: 'right' } }, knowledge);
    expect(known.wheelEnd).toBe('A1R');
  });

  test('a flat battery and codes everywhere: charge first, no part', () => {
    const modules = ['Engine', 'Gearbox', 'Airbag', 'Camera', 'Doors', 'Radio'];
    const advice = advise(
      minibus({
        codes: [
          ...modules.map((module, i) => ({ module, code: `B1${i}0${i}`, text: 'implausible signal' })),
          { module: 'Engine', code: 'P0562', text: 'System voltage low' },
          { module: 'ABS', code: 'C0037', status: 'stored' as const },
        ],
        history: [{ event: 'battery-flat', daysAgo: 2 }],
      }),
      knowledge,
    );
    expect(advice.verdict).toMatchObject({ action: 'no-part', cause: 'supply' });
  });

  test('overrides of the assumptions move the money, and unknown ones are refused', () => {
    const labour = (rate: number) =>
      advise(minibus({ options: { labourRate: rate } }), knowledge).offers[0]?.costs.find(
        (c) => c.kind === 'labour',
      )?.amount ?? 0;
    expect(labour(100)).toBeCloseTo(labour(50) * 2, 6);
    expect(() => advise(minibus({ options: { assumptions: { 'no.such': 1 } } }), knowledge)).toThrow(
      /no\.such/,
    );
  });

  test('the hand-over sheet fits how the vehicle is built', () => {
    const sheet = (mounting: 'separate' | 'in-hub') => {
      const docket = minibus({ checks: [{ check: 'bearing.play', wheelEnd: 'A2L', result: 'clear' }] });
      docket.vehicle = {
        ...docket.vehicle,
        wheelEnds: { A2: { sensor: 'active', mounting, target: 'encoder-in-bearing', ringSoldAlone: false } },
      };
      const { sheets } = advise(docket, knowledge);
      expect(sheets.map(({ kind }) => kind)).toEqual(['stop', 'fit']);
      return JSON.stringify(sheets[1]);
    };
    const step = 'work/hub-assembly/steps/2';
    expect(sheet('separate')).toContain(step);
    expect(sheet('in-hub')).not.toContain(step);
    expect(sheet('in-hub')).toContain('cautions/stop-driving');
  });
});

import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { advise, bareKnowledge, type Advice, type Check, type Docket } from '../index.ts';
import { randomDockets } from './tests/randomDocket.ts';

const knowledge = bareKnowledge('2026-11-26');
const shallow = { assumptions: { 'plan.depth': 1 } };

const docket = (rest: Partial<Docket>): Docket => ({
  format: 'hardy-spoke/docket',
  version: 1,
  options: shallow,
  ...rest,
});

const CENTRE_REAR = {
  axles: 2,
  wheelEnds: {
    A1: { mounting: 'separate' as const },
    A2: { sensor: 'passive', mounting: 'centre' } as const,
  },
};

const of = (advice: Advice, path: string) => advice.facts.find((fact) => fact.path === path);
const chances = (advice: Advice): string =>
  JSON.stringify(advice.causes.map(({ cause, wheelEnd, probability }) => [cause, wheelEnd, probability]));

describe('an axle with one sender at its centre', () => {
  const open: Check = { check: 'meter.resistance', of: 'sensor', ohms: 'open' };

  test('what was metered counts though the corner was given as a side', () => {
    const advice = advise(
      docket({ vehicle: CENTRE_REAR, symptoms: ['lamp.abs'], wheelEnd: 'A2L', checks: [open] }),
      knowledge,
    );
    expect(advice.causes[0]).toMatchObject({ cause: 'sender', wheelEnd: 'A2C' });
    expect(advice.causes[0]?.probability).toBeGreaterThan(0.8);
    expect(of(advice, 'checks[0]')?.effects.length).toBeGreaterThan(0);
  });

  test('a side named and a code for the sender do not disagree', () => {
    const advice = advise(
      docket({
        vehicle: CENTRE_REAR,
        wheelEnd: 'A2R',
        codes: [{ module: 'ABS', code: 'C0037-13', wheelEnd: 'A2C', status: 'active' }],
      }),
      knowledge,
    );
    expect(advice.conflicts).toEqual([]);
    expect(advice.wheelEnd).toBe('A2C');
  });

  test('a loose wheel beside it is still a wheel of its own', () => {
    const advice = advise(
      docket({
        vehicle: CENTRE_REAR,
        wheelEnd: 'A2L',
        checks: [{ check: 'bearing.play', wheelEnd: 'A2L', result: 'clear' }],
      }),
      knowledge,
    );
    expect(advice.cautions).toContain('stop-driving');
    expect(advice.verdict).toMatchObject({ part: 'hub-assembly', wheelEnd: 'A2L' });
  });
});

describe('a wheel the vehicle does not have', () => {
  test('a fact of it says why it counts for nothing', () => {
    const slice = { ...knowledge.slice, vehicle: null };
    const advice = advise(
      docket({
        vehicle: { axles: 2, wheelEnds: { A2: { mounting: 'separate' } } },
        codes: [{ module: 'ABS', code: 'C0037-13', status: 'active' }],
        checks: [{ check: 'visual.sensor', wheelEnd: 'A2C', result: 'broken' }],
      }),
      { ...knowledge, slice },
    );
    expect(of(advice, 'checks[0]')?.said).toMatch(/a sensor at each wheel/);
  });

  test('a code whose text looks like a wheel end makes no axles', () => {
    const advice = advise(docket({ codes: [{ module: null, code: 'A9C' }] }), knowledge);
    expect(advice.vehicle.axles).toBe(2);
  });
});

describe('whatever moves the answer is listed with what it did', () => {
  test('the distance driven', () => {
    const advice = advise(
      docket({
        vehicle: { axles: 2, distanceKm: 400_000, buildDate: '2019' },
        codes: [{ module: 'ABS', code: 'C0037-31', status: 'active' }],
      }),
      knowledge,
    );
    expect(of(advice, 'vehicle.distanceKm')?.effects.length).toBeGreaterThan(0);
  });

  test('how a wheel end is built, when the docket says so', () => {
    const advice = advise(
      docket({
        vehicle: { axles: 2, wheelEnds: { A2: { target: 'ring-on-hub', sensor: 'passive' } } },
        codes: [{ module: 'ABS', code: 'C0037-31', status: 'active' }],
      }),
      knowledge,
    );
    expect(of(advice, 'vehicle.wheelEnds.A2')?.said).toBeTruthy();
    expect(of(advice, 'vehicle.wheelEnds.A2')?.said).not.toBe('changes little');
  });
});

/** Facts of a docket that were given as such, by path. */
const pathsOf = (d: Docket): string[] => [
  ...(['codes', 'symptoms', 'history', 'checks'] as const).flatMap((list) =>
    (d[list] ?? []).map((_, i) => `${list}[${i}]`),
  ),
  ...(['distanceKm', 'saltExposure', 'buildDate', 'driveline', 'knuckle'] as const).flatMap((field) =>
    d.vehicle?.[field] == null ? [] : [`vehicle.${field}`],
  ),
];

const without = (d: Docket, path: string): Docket => {
  const at = /^(\w+)\[(\d+)\]$/.exec(path);
  if (!at) return { ...d, vehicle: { ...d.vehicle, [path.slice('vehicle.'.length)]: null } };
  const list = at[1] as 'codes' | 'symptoms' | 'history' | 'checks';
  // Several lamps are one complaint: what they did, they did together.
  if (list === 'symptoms') return { ...d, symptoms: [] };
  return { ...d, [list]: (d[list] as unknown[]).filter((_, i) => i !== Number(at[2])) };
};

const anything = fc
  .record({
    base: randomDockets(3),
    centre: fc.boolean(),
    km: fc.constantFrom(null, 20_000, 400_000),
    driveline: fc.constantFrom(null, 'fwd' as const, 'rwd' as const),
    knuckle: fc.constantFrom(null, 'iron' as const),
    odd: fc.constantFrom<Check | null>(
      null,
      { check: 'visual.sensor', wheelEnd: 'A2C', result: 'broken' },
      { check: 'meter.supply', wheelEnd: 'A1L', volts: 0 },
      { check: 'meter.resistance', of: 'sensor', wheelEnd: 'A1L', ohms: 1200 },
      { check: 'visual.ring', wheelEnd: 'A1R', result: 'not-visible' },
      { check: 'brake.fluid', result: 'full' },
      { check: 'tyres', sizes: { A1L: '205/55 R16' } },
      { check: 'battery', restingVolts: 12.6 },
      { check: 'lamps', result: 'on' },
    ),
    code: fc.constantFrom(null, 'U0121', 'P0562', 'B1234', 'C0A9C', 'A9C'),
    named: fc.constantFrom(null, 'A2L', 'A1R'),
  })
  .map(({ base, centre, km, driveline, knuckle, odd, code, named }): Docket => ({
    ...base,
    options: shallow,
    wheelEnd: named,
    vehicle: {
      ...base.vehicle,
      distanceKm: km,
      driveline,
      knuckle,
      ...(centre ? { wheelEnds: { ...base.vehicle?.wheelEnds, A2: { mounting: 'centre' } } } : {}),
    },
    codes: [...(base.codes ?? []), ...(code ? [{ module: 'BODY', code }] : [])],
    checks: [...(base.checks ?? []), ...(odd ? [odd] : [])],
  }));

/** What was checked on which axle, where a path is that of a check: one sender at the centre has no sides. */
const thingAt = (d: Docket, path: string): string | null => {
  const at = /^checks\[(\d+)\]$/.exec(path)?.[1];
  const check = at === undefined ? null : d.checks?.[Number(at)];
  const axle = check?.wheelEnd?.[1];
  return check && axle && d.vehicle?.wheelEnds?.[`A${axle}`]?.mounting === 'centre'
    ? `${check.check} ${axle}`
    : null;
};

test('every fact moves a probability, or says in words why it does not', () => {
  fc.assert(
    fc.property(anything, (d) => {
      const advice = advise(d, knowledge);
      for (const path of pathsOf(d)) {
        const fact = of(advice, path);
        expect([path, Boolean(fact?.said)]).toEqual([path, true]);
        // A reading that another was set aside for is the only one of its thing: without it the other would stand.
        // Of two sides of an axle with one sender too: their places differ in words, the thing read is one.
        const stands = advice.facts.some(
          (other) =>
            /again|worse one/.test(other.said) &&
            (other.label === fact?.label ||
              (thingAt(d, path) !== null && thingAt(d, other.path) === thingAt(d, path))),
        );
        if (fact?.said === 'changes little' && !stands)
          expect([path, chances(advise(without(d, path), knowledge)) !== chances(advice)]).toEqual([
            path,
            true,
          ]);
      }
    }),
    { numRuns: 40 },
  );
}, 120_000);

describe('a docket with more facts than anybody reads', () => {
  const codes = (n: number) =>
    Array.from({ length: n }, (_, i) => ({
      code: `C00${(0x31 + (i % 12)).toString(16).toUpperCase()}-${['13', '37', '64', '11', '12'][Math.floor(i / 12) % 5]}`,
      module: 'ABS',
      text: `wheel speed sensor ${i}`,
    }));
  const seen: Check[] = [{ check: 'visual.connector', wheelEnd: 'A1L', result: 'corroded' }];

  test('tells what forty of them did, what was seen before what was read, and says so of the others', () => {
    const advice = advise(docket({ vehicle: { axles: 2 }, codes: codes(60), checks: seen }), knowledge);
    const many = advice.facts.filter(({ said }) => said.startsWith('one of many'));
    expect(many).toHaveLength(60 + 1 - 40);
    expect(many.every(({ path }) => path.startsWith('codes['))).toBe(true);
    expect(of(advice, 'checks[0]')?.effects.length).toBeGreaterThan(0);
  });

  test('is answered alike however its codes are ordered', () => {
    const given = { vehicle: { axles: 2 }, checks: seen };
    const list = codes(45);
    const [there, back] = [list, [...list].reverse()].map(
      (each) => advise(docket({ ...given, codes: each }), knowledge).causes,
    );
    for (const { cause, wheelEnd, probability } of there ?? [])
      expect(
        back?.find((other) => other.cause === cause && other.wheelEnd === wheelEnd)?.probability,
      ).toBeCloseTo(probability, 9);
  });
});

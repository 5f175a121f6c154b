import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { advise, bareKnowledge, type Check, type Docket } from '../index.ts';
import { groupAt } from '../diagnosis/architecture.ts';
import { SHARED_STATES } from '../diagnosis/endTable.ts';
import { likelihood } from '../diagnosis/likelihood.ts';
import { statesAt } from '../diagnosis/states.ts';
import { causeOf } from '../faultKinds/faultData.ts';
import type { Cause } from '../vocabulary/words.ts';
import { diagnose } from './diagnose.ts';
import {
  doubled,
  ENDS,
  mirrored,
  mirrorEnd,
  randomDockets,
  reversed,
  turned,
  turnEnd,
  withBlindLook,
  withIrrelevant,
} from './tests/randomDocket.ts';

const knowledge = bareKnowledge('2026-11-25');
const same = (end: string): string => end;

/** Every change to a docket that must change nothing, with how it names wheel ends. */
const CHANGES: ReadonlyArray<readonly [string, (docket: Docket) => Docket, (end: string) => string]> = [
  ['left and right exchanged', mirrored, mirrorEnd],
  ['every list the other way round', reversed, same],
  ['everything written down twice', doubled, same],
  ['facts beside the matter', withIrrelevant, same],
  ['the axles renamed', turned, turnEnd],
];
/** A look that saw nothing changes no cause; the plan does not ask for it again. */
const OF_CAUSES: typeof CHANGES = [...CHANGES, ['a look that saw nothing', withBlindLook, same]];
/** All of them one after the other: what breaks one breaks this, at a third of the cost of trying each. */
const ALL_AT_ONCE: (typeof CHANGES)[number] = [
  'all of these at once',
  (docket) => OF_CAUSES.reduce((changed, [, change]) => change(changed), docket),
  (end) => OF_CAUSES.reduce((named, [, , name]) => name(named), end),
];

const oddsOf = (docket: Docket, name: (end: string) => string): Map<string, number> => {
  const { whole } = diagnose(docket, knowledge);
  const odds = new Map<string, number>([...whole.shared].map(([cause, p]) => [cause, p]));
  for (const end of whole.ends)
    for (const belief of end.beliefs)
      for (const fault of belief.state) {
        const key = `${causeOf(fault)} ${name(end.wheelEnd)}`;
        odds.set(key, (odds.get(key) ?? 0) + belief.p);
      }
  return odds;
};

const expectAlike = (
  what: string,
  one: ReadonlyMap<string, number>,
  other: ReadonlyMap<string, number>,
): void => {
  for (const key of new Set([...one.keys(), ...other.keys()])) {
    const [p, q] = [one.get(key) ?? 0, other.get(key) ?? 0];
    if (Math.abs(p - q) > 1e-7) throw new Error(`${what}: ${key} ${p} against ${q}`);
  }
};

describe('what changes nothing', () => {
  test.each([
    ['1000 random dockets stays, whatever is done all at once', [ALL_AT_ONCE], 1000],
    ['100 of them stays, whatever of these is done alone', OF_CAUSES, 100],
  ] as const)('the posterior of %s', (_, changes, numRuns) => {
    fc.assert(
      fc.property(randomDockets(), (docket) => {
        const odds = oddsOf(docket, same);
        for (const [what, change, name] of changes) expectAlike(what, odds, oddsOf(change(docket), name));
      }),
      { numRuns, seed: 77 },
    );
  });

  test.each(CHANGES)('%s: 20 whole advises stay', (_, change, name) => {
    fc.assert(
      fc.property(randomDockets(2), (docket) => {
        const [one, two] = [advise(docket, knowledge), advise(change(docket), knowledge)];
        expect(two.verdict.action).toBe(one.verdict.action);
        expect(two.verdict.part).toBe(one.verdict.part);
        expect(two.verdict.check).toBe(one.verdict.check);
        // Two wheels alike in everything have no order of their own.
        const tie = one.corners.filter(
          ({ probability }) =>
            Math.abs(
              probability - (one.corners.find((c) => c.wheelEnd === one.verdict.wheelEnd)?.probability ?? -1),
            ) < 1e-6,
        );
        if (tie.length < 2)
          expect(two.verdict.wheelEnd && name(two.verdict.wheelEnd)).toBe(one.verdict.wheelEnd);
        expect([...two.cautions].sort()).toEqual([...one.cautions].sort());
        expect(two.offers.map((o) => o.allIn.mean.toFixed(4)).sort()).toEqual(
          one.offers.map((o) => o.allIn.mean.toFixed(4)).sort(),
        );
      }),
      { numRuns: 20, seed: 78 },
    );
  });
});

const LOOKS: readonly Check[] = [
  { check: 'visual.ring', result: 'cracked' },
  { check: 'visual.ring', result: 'missing-teeth' },
  { check: 'visual.sensor', result: 'broken' },
  { check: 'visual.sensor', result: 'snapped' },
  { check: 'visual.sensor', result: 'metal-on-tip' },
  { check: 'visual.connector', result: 'loose-pins' },
  { check: 'visual.connector', result: 'shell-broken' },
  { check: 'visual.harness', result: 'cut' },
  { check: 'bearing.play', result: 'clear' },
  { check: 'bearing.noise', result: 'growl' },
  { check: 'wiggle', result: 'changes' },
  { check: 'live', pattern: 'once-per-turn' },
  { check: 'live', pattern: 'weak-at-low-speed' },
  { check: 'live', pattern: 'reads-low' },
  { check: 'clear-and-drive', result: 'stays-away' },
];

describe('what a result does', () => {
  test('one that is likeliest under the states that hold a cause never lowers that cause', () => {
    let tried = 0;
    fc.assert(
      fc.property(
        randomDockets(3),
        fc.constantFrom(...LOOKS),
        fc.constantFrom(...ENDS),
        (docket, look, wheelEnd) => {
          const check: Check = { ...look, wheelEnd };
          fc.pre(!(docket.checks ?? []).some((c) => c.check === check.check && c.wheelEnd === wheelEnd));
          const after = { ...docket, checks: [...(docket.checks ?? []), check] };
          const [before, now] = [diagnose(docket, knowledge), diagnose(after, knowledge)];
          const path = `checks[${after.checks.length - 1}]`;
          const finding = now.evidence.findings.find((f) => f.path === path);
          const group = groupAt(now.groups, wheelEnd);
          if (!finding || !group) return;
          const states = group.options.flatMap(({ architecture }) =>
            statesAt(wheelEnd, architecture).flatMap((state) =>
              SHARED_STATES.map((shared) => ({
                state,
                p: likelihood(finding, [...state, ...shared], architecture),
              })),
            ),
          );
          for (const cause of [
            'sensor',
            'ring',
            'bearing',
            'wiring',
            'seating',
            'tyre',
            'none-present',
          ] as Cause[]) {
            const holds = states.filter(({ state }) => state.some((f) => causeOf(f) === cause));
            const others = states.filter(({ state }) => !state.some((f) => causeOf(f) === cause));
            if (holds.length === 0) continue;
            const least = Math.min(...holds.map(({ p }) => p));
            const most = Math.max(...others.map(({ p }) => p));
            if (least < most) continue;
            tried++;
            expect(now.whole.chance(cause, wheelEnd)).toBeGreaterThanOrEqual(
              before.whole.chance(cause, wheelEnd) - 1e-9,
            );
          }
        },
      ),
      { numRuns: 600, seed: 79 },
    );
    expect(tried).toBeGreaterThan(50);
  });

  test('a reading that says nothing leaves every cause where it was', () => {
    const blind: readonly Check[] = [
      { check: 'visual.ring', wheelEnd: 'A1L', result: 'not-visible' },
      { check: 'meter.ac', wheelEnd: 'A1L', volts: 0, turnsPerSecond: 1 },
      { check: 'meter.resistance', wheelEnd: 'A1L', of: 'sensor', ohms: 1300 },
      { check: 'meter.resistance', wheelEnd: 'A1L', of: 'new-part', ohms: 1300 },
    ];
    const active = {
      sensor: 'active',
      mounting: 'separate',
      target: 'ring-on-hub',
      ringSoldAlone: true,
    } as const;
    fc.assert(
      fc.property(randomDockets(), fc.constantFrom(...blind), (docket, check) => {
        const known: Docket = {
          ...docket,
          vehicle: { ...docket.vehicle, wheelEnds: { A1: active, A2: active } },
        };
        expectAlike(
          'reading',
          oddsOf(known, same),
          oddsOf({ ...known, checks: [...(known.checks ?? []), check] }, same),
        );
      }),
      { numRuns: 200, seed: 80 },
    );
  });

  test('of two readings of one thing the later counts, of play and growl the worse', () => {
    const bare: Docket = {
      format: 'hardy-spoke/docket',
      version: 1,
      vehicle: { axles: 2 },
      codes: [{ module: 'ABS', code: 'C0031-2F', status: 'active' }],
    };
    const holding = (...checks: Check[]): Docket => ({ ...bare, checks });
    const cracked: Check = { check: 'visual.ring', wheelEnd: 'A1L', result: 'cracked' };
    const sound: Check = { check: 'visual.ring', wheelEnd: 'A1L', result: 'sound' };
    expectAlike('reading', oddsOf(holding(cracked, sound), same), oddsOf(holding(sound), same));
    expectAlike('reading', oddsOf(holding(sound, cracked), same), oddsOf(holding(cracked), same));
    const clear: Check = { check: 'bearing.play', wheelEnd: 'A1L', result: 'clear' };
    const none: Check = { check: 'bearing.play', wheelEnd: 'A1L', result: 'none' };
    expectAlike('reading', oddsOf(holding(clear, none), same), oddsOf(holding(clear), same));
    expectAlike('reading', oddsOf(holding(none, clear), same), oddsOf(holding(clear), same));
    const said = advise(holding(cracked, sound), knowledge).facts;
    expect(said.find(({ path }) => path === 'checks[0]')?.said).toMatch(/later reading counts/);
  });
});

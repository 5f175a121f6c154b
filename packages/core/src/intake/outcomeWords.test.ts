import { describe, expect, test } from '@jest/globals';
import type { Outcome } from '../vocabulary/docket.ts';
import { readOutcome } from './readOutcome.ts';

type Heard = Partial<Outcome>;

/** Written before the reader was. */
const OPEN: ReadonlyArray<readonly [words: string, heard: Heard]> = [
  ['cured, all lamps out', { result: 'cured' }],
  [
    'all good now, ring was cracked, we could see it once the wheel was off',
    { result: 'cured', trueCause: 'ring', knownBy: 'seen' },
  ],
  ['sensor snapped, drilled it out, took 3 hours', { snapped: true, gotOut: 'drilled', hours: 3 }],
  ['lamp came back after 12 days', { result: 'came-back', afterDays: 12 }],
  ['not cured, same light as before', { result: 'not-cured' }],
  ['brought it back unopened', { result: 'returned-unused' }],
  ['box was opened, returned it', { result: 'returned-opened' }],
  ['ABS lamp out but the speedo is still dead', { result: 'partly', stayed: ['speedometer.dead'] }],
  ['it was the connector, green inside, metered open', { trueCause: 'wiring', knownBy: 'metered' }],
  ['swapped left to right and the fault moved, so the sensor', { trueCause: 'sensor', knownBy: 'swapped' }],
  ['fixed. sensor came out without a fight, half an hour', { result: 'cured', snapped: false, hours: 0.5 }],
  ['wrong part, plug did not match', { result: 'wrong-part' }],
  ['works fine, cost them 340 euros at the garage', { result: 'cured', spentCents: 34000 }],
  ['turned out to be the bearing, it had play', { trueCause: 'bearing', knownBy: 'seen' }],
  ['back after two weeks with the same code', { result: 'came-back', afterDays: 14 }],
  ['no joy', { result: 'not-cured' }],
];

/** Kept apart and scored once, when the reader was whole: twelve of twelve. */
const UNSEEN: ReadonlyArray<readonly [words: string, heard: Heard]> = [
  ['sorted, it was just rust under the sensor', { result: 'cured', trueCause: 'seating' }],
  ['old one broke off in the hub, had to take the knuckle off', { snapped: true, gotOut: 'knuckle-off' }],
  ['still on', { result: 'not-cured' }],
  ['light stayed off for a week then came on again', { result: 'came-back', afterDays: 7 }],
  ['happy customer, sensor was dead, 1 hour', { result: 'cured', trueCause: 'sensor', hours: 1 }],
  ['never opened the box, wants the money back', { result: 'returned-unused' }],
  ['traction light gone, brake light still there', { result: 'partly', stayed: ['lamp.brake'] }],
  ['loom was chafed through at the strut, saw it straight away', { trueCause: 'wiring', knownBy: 'seen' }],
  ['did not fit', { result: 'wrong-part' }],
  ['all lamps out, paid 210', { result: 'cured' }],
  ['encoder was damaged', { trueCause: 'encoder' }],
  ['picked the stub out with a screwdriver after it snapped', { snapped: true, gotOut: 'picked' }],
];

const wrongIn = (set: typeof OPEN) =>
  set.filter(([words, heard]) => {
    const got = readOutcome(words);
    const { result, trueCause, knownBy, stayed, afterDays, snapped, gotOut, hours, spentCents } = got;
    const facts = { result, trueCause, knownBy, stayed, afterDays, snapped, gotOut, hours, spentCents };
    const known = Object.fromEntries(Object.entries(facts).filter(([, value]) => value != null));
    try {
      expect(known).toEqual(heard);
      return false;
    } catch {
      return true;
    }
  });

describe('what came of it, in free words', () => {
  test('sentences written before the reader', () => {
    expect(wrongIn(OPEN).map(([words]) => words)).toEqual([]);
  });

  test('sentences kept apart from it', () => {
    expect(wrongIn(UNSEEN).map(([words]) => words)).toEqual([]);
  });

  test.each(['the lamp', 'rear left abs light', '', '12', 'he will call back tomorrow'])(
    '%p says nothing of an outcome',
    (words) => {
      const { result, trueCause, snapped, hours, spentCents } = readOutcome(words);
      expect([result, trueCause, snapped, hours, spentCents].filter((value) => value !== undefined)).toEqual(
        [],
      );
    },
  );
});

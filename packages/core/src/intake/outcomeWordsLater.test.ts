import { describe, expect, test } from '@jest/globals';
import type { Outcome } from '../vocabulary/docket.ts';
import { readOutcome } from './readOutcome.ts';

/**
 * What people say on the telephone days later, written when the reader had been whole for a while. How many were right when
 * they were first read stands in the change log; none may ever be heard as something it is not.
 */
const SAID: ReadonlyArray<readonly [words: string, heard: Partial<Outcome>]> = [
  ['yep thats done it, light gone', { result: 'cured' }],
  ['Light went out on the drive home, thank you', { result: 'cured' }],
  ['made no difference whatsoever', { result: 'not-cured' }],
  ['it lasted three days and the lamp is back', { result: 'came-back', afterDays: 3 }],
  ['he sent it back, seal not broken', { result: 'returned-unused' }],
  ['reluctor was split, my lad spotted it', { result: undefined, trueCause: 'ring', knownBy: 'seen' }],
  ['turned out the battery was flat all along', { trueCause: 'supply' }],
  ['we could not get the old one out, snapped, ended up drilling', { snapped: true, gotOut: 'drilled' }],
  ['came out a treat with the puller', { snapped: false }],
  ['took me an hour and a half', { hours: 1.5 }],
  ['they charged her £260', { spentCents: 26000 }],
  ['abs light is off, traction light still on', { result: 'partly', stayed: ['lamp.traction'] }],
  ['bearing had gone, found when we jacked it up', { trueCause: 'bearing' }],
  ['other side of the plug was corroded', { trueCause: 'wiring' }],
  ['the new sensor was the wrong one, connector is a different shape', { result: 'wrong-part' }],
  ['opened the packet but never fitted it', { result: 'returned-opened' }],
  ['two different tyres on the back, that was it', { trueCause: 'tyre' }],
  ['module is dead, going to the dealer', { trueCause: 'module' }],
  ['still have the light', { result: 'not-cured' }],
  ['not heard a thing', {}],
];

const FIELDS = [
  'result',
  'trueCause',
  'knownBy',
  'stayed',
  'afterDays',
  'snapped',
  'gotOut',
  'hours',
  'spentCents',
] as const;
type Field = (typeof FIELDS)[number];
const valueOf = (of: Partial<Outcome>, field: Field): string => JSON.stringify(of[field] ?? null);

/** Sentences heard in full. */
const HEARD: readonly string[] = SAID.filter(([words, said]) => {
  const heard = readOutcome(words);
  return FIELDS.every((field) => valueOf(heard, field) === valueOf(said, field));
}).map(([words]) => words);

describe('what people say days later', () => {
  test('what is heard is what was said, or nothing', () => {
    const wrong = SAID.flatMap(([words, said]) => {
      const heard = readOutcome(words);
      return FIELDS.filter(
        (field) => heard[field] != null && valueOf(heard, field) !== valueOf(said, field),
      ).map((field) => `${words}: ${field} ${valueOf(heard, field)}`);
    });
    expect(wrong).toEqual([]);
  });

  test('sentences heard in full', () => {
    expect(SAID.map(([words]) => words).filter((words) => !HEARD.includes(words))).toEqual([]);
  });

  test.each([
    ['it was never really fixed', 'not-cured'],
    ["the lamp isn't out", 'not-cured'],
    ['the light has not gone out', 'not-cured'],
    ["that didn't fix it", 'not-cured'],
  ])('a cure that is denied is none: %p', (words, result) => {
    expect(readOutcome(words).result).toBe(result);
  });

  test('put back is not come back', () => {
    expect(readOutcome('put it back together and the lamp is out').result).toBe('cured');
    expect(readOutcome('brought it back').result).toBeUndefined();
  });

  test.each(['the ring was not cracked', 'the bearing was fine', 'sensor was sound, ring was sound'])(
    'what is sound is no cause: %p',
    (words) => {
      expect(readOutcome(words).trueCause).toBeUndefined();
    },
  );
});

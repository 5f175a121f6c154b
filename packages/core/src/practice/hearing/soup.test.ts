import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { HEARD_WORDS } from '../../intake/words/index.ts';
import { docketFromReading } from '../../intake/docketFromReading.ts';
import { mergeReading } from '../../intake/mergeReading.ts';
import { readIntake } from '../../intake/readIntake.ts';
import { Docket } from '../../vocabulary/docket.ts';
import { IntakeReading } from '../../vocabulary/intakeReading.ts';
import { contextFor } from './labelledSentences.ts';

const context = contextFor('L', { vehicles: [], fleet: [] });
const PLACES = [
  'front left',
  'rear',
  'the right one',
  'both',
  'axle 2',
  'opposite side',
  'FL',
  'one of the back two',
];
const NUMBERS = [
  '0',
  '12',
  '1.1k',
  '99999999999 ohms',
  '5000 %',
  '900 degrees',
  '1150',
  '900 V',
  '-3',
  '300 years ago',
  '1e9',
  '2017-06',
  '48 teeth',
  '999999 days ago',
];
const MARKS = [',', '.', ':', '?', ' and ', ' but ', '\n', '-', ' sorry ', ' no ', '/', '='];

/* Whatever is said in whatever order: the reading and the docket made of it are valid, and every chip stands where it says. */
test('a soup of known words, places, numbers and marks is read into a valid reading and docket', () => {
  const words = [...HEARD_WORDS.words];
  const piece = fc.oneof(
    { weight: 5, arbitrary: fc.constantFrom(...words) },
    { weight: 2, arbitrary: fc.constantFrom(...PLACES) },
    { weight: 2, arbitrary: fc.constantFrom(...NUMBERS) },
    { weight: 2, arbitrary: fc.constantFrom(...MARKS) },
  );
  fc.assert(
    fc.property(fc.array(piece, { minLength: 1, maxLength: 30 }), (pieces) => {
      const text = pieces.join(' ');
      const reading = readIntake(text, context);
      const parsed = IntakeReading.safeParse(reading);
      expect(parsed.success ? null : [text, parsed.error.issues[0]]).toBeNull();
      const docket = docketFromReading(reading, text, null);
      for (const made of [docket, mergeReading(docket, reading, text)]) {
        const valid = Docket.safeParse(made);
        expect(valid.success ? null : [text, valid.error.issues[0]]).toBeNull();
      }
      for (const chip of reading.chips) expect(chip.end).toBeGreaterThanOrEqual(chip.start);
    }),
    { numRuns: 1500, seed: 12 },
  );
});

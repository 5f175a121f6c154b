import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { writtenForm } from './writtenForm.ts';

describe('the written form of what was said', () => {
  test.each([
    ['left front eleven hundred ohms', 'left front 1100 ohms'],
    ['one point oh five kay', '1.05k'],
    ['point four of a volt', '0.4 volts'],
    ['nought point three five volts', '0.35 volts'],
    ['quarter of a volt', '0.25 volts'],
    ['one thousand and eighty ohms cold', '1080 ohms cold'],
    ['twelve fifty and one one six five', '1250 and 1165'],
    ['fourteen hundred and ten ohms', '1410 ohms'],
    ['fifteen hundred odd ohms', '1500 ohms'],
    ['eighty millivolts', '80 mv'],
    ['2 meg', '2000 kohm'],
    ['1 150 ohm', '1150 ohm'],
    ['1.2 kilo ohms', '1.2 kohm'],
    ['forty six teeth', '46 teeth'],
    ['reads four percent low', 'reads 4 percent low'],
    ['built twenty fourteen', 'built 2014'],
    [
      'two weeks ago, both of the two, rock it six and twelve',
      'two weeks ago, both of the two, rock it six and twelve',
    ],
    ['one of a kind', 'one of a kind'],
    ['spin one wheel by hand', 'spin one wheel by hand'],
    ['spin seven nine zero', 'SPN 790'],
    ['axles one two three, rocked it twelve six', 'axles one two three, rocked it twelve six'],
    ['axle one left', 'axle one left'],
    ['two oh five fifty five sixteen', '205/55 R16'],
    ['two one five sixty sixteen', '215/60 R16'],
    ['see zero zero three seven dash three one', 'C0037-31'],
    ['charlie zero zero three four dash thirteen', 'C0034-13'],
    ['c double oh three one stored', 'C0031 stored'],
    ['you oh one two one', 'U0121'],
    ['s p n seven eight nine f m i five', 'SPN 789 FMI 5'],
    ['you one day two', 'you one day two'],
    ['tone wring is cracked comma plug is fine full stop', 'tone ring is cracked, plug is fine.'],
    ['none period', 'none period'],
    ['front write censor', 'front right sensor'],
    ['off side rare', 'off side rear'],
    ['break peddle', 'brake pedal'],
    ['the plug did not break', 'the plug did not break'],
    ['FL ok / FR " / RL 2 teeth gone / RR "', 'FL ok / FR ok / RL 2 teeth gone / RR 2 teeth gone'],
  ])('%s', (said, written) => {
    expect(writtenForm(said).text).toBe(written);
  });

  test('every character leads back to the words it came from', () => {
    const said = 'left front eleven hundred ohms comma tone wring sound';
    const { text, given } = writtenForm(said);
    const at = text.indexOf('1100 ohms');
    const span = given(at, at + '1100 ohms'.length);
    expect(said.slice(span.start, span.end)).toBe('eleven hundred ohms');
    const ring = given(text.indexOf('ring'), text.indexOf('ring') + 4);
    expect(said.slice(ring.start, ring.end)).toBe('wring');
    const sound = given(text.indexOf('sound'), text.length);
    expect(said.slice(sound.start, sound.end)).toBe('sound');
  });

  test('spans stay in the text and in order, and what is in written form already stays', () => {
    const words = fc.constantFrom(
      'eleven',
      'hundred',
      'point',
      'oh',
      'five',
      'ohms',
      'comma',
      'wring',
      'c',
      'zero',
      'dash',
      'ring',
      '"',
      '/',
      'FL',
      'ok',
      '1.2',
      'kilo',
      'volts',
      'of',
      'a',
      'and',
      '205/55',
      'spn',
      'we’ll',
      '.',
    );
    fc.assert(
      fc.property(fc.array(words, { maxLength: 25 }), (list) => {
        const said = list.join(' ');
        const { text, given } = writtenForm(said);
        let last = 0;
        for (let i = 0; i < text.length; i++) {
          const { start, end } = given(i, i + 1);
          expect(start).toBeGreaterThanOrEqual(last);
          expect(end).toBeGreaterThan(start);
          expect(end).toBeLessThanOrEqual(said.length);
          last = start;
        }
        expect(writtenForm(text).text.replace(/\s+/g, ' ').length).toBeLessThanOrEqual(text.length + 1);
      }),
      { numRuns: 500 },
    );
  });
});

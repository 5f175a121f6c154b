import { describe, expect, test } from '@jest/globals';
import { PART_CLASSES } from '../wordLists.ts';
import { GLOSSARY, glossaryAt, glossaryOf } from './glossary.ts';

describe('words of the trade', () => {
  test('each is explained in three sentences, and no word means two things', () => {
    const names = GLOSSARY.flatMap(({ term, also }) => [term, ...also]).map((each) => each.toLowerCase());
    expect(names.filter((name, i) => names.indexOf(name) !== i)).toEqual([]);
    for (const { lines } of GLOSSARY) for (const line of lines) expect(line).toMatch(/[.]$/);
  });

  test('a drawn part is one that is sold', () => {
    for (const { drawing } of GLOSSARY)
      if (drawing?.as === 'part') expect(PART_CLASSES as readonly string[]).toContain(drawing.part);
  });

  test.each([
    ['the tone ring is cracked', 10, 'tone ring'],
    ['the tone ring is cracked', 6, 'tone ring'],
    ['two rings lie here', 5, 'tone ring'],
    ['Wheel Speed Sensor', 15, 'wheel speed sensor'],
    ['meter the resistance', 12, 'ohmmeter'],
    ['ABS', 1, 'anti-lock lamp'],
    ['it dips once a turn,', 10, 'once a turn'],
  ])('in "%s" at %i it is %s', (text, place, term) => {
    expect(glossaryAt(text, place)?.term).toBe(term);
  });

  test('what is no word of the trade is none', () => {
    expect(glossaryOf('bicycle')).toBeNull();
    expect(glossaryOf('')).toBeNull();
    expect(glossaryOf('constructor')).toBeNull();
    expect(glossaryAt('the tone ring', 40)).toBeNull();
    expect(glossaryAt('', 0)).toBeNull();
  });

  test('what a lamp alone means is said first', () => {
    for (const { lines } of GLOSSARY.filter(({ kind }) => kind === 'lamp'))
      expect(lines.some((line) => /^alone/i.test(line))).toBe(true);
    expect(glossaryOf('brake lamp')?.lines[0]).toMatch(/fluid, pads or park brake/);
  });
});

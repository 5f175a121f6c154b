import { describe, expect, test } from '@jest/globals';
import Papa from 'papaparse';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { assumptionsWith } from '../assumptions/assumptions.ts';
import { randomFrom } from '../chance/random.ts';
import { PARTS } from '../catalogueFiles/tables.ts';
import type { CataloguePart } from '../vocabulary/catalogue.ts';
import { PART_FIGURES } from '../partKinds/partData.ts';
import type { PartClass } from '../vocabulary/words.ts';
import { indistinguishable, matchPart } from './matchPart.ts';
import { deviationOf, readingChance, type Reading } from './readingChance.ts';

const a = assumptionsWith();
const catalogue = Papa.parse<Record<string, string>>(
  readFileSync(join(__dirname, '../../../../demo/parts.csv'), 'utf8'),
  { header: true, skipEmptyLines: true },
).data.map((cells) => PARTS.read(cells));
const classes: readonly PartClass[] = ['tone-ring', 'sensor', 'hub-assembly', 'connector-kit'];

/** What a hand with a tool reads off a part: lengths off by the tool, a count now and then by one, a colour misseen. */
const measured = (
  part: CataloguePart,
  key: string,
  random: ReturnType<typeof randomFrom>,
): Reading | null => {
  const figure = PART_FIGURES[part.partClass as PartClass].find((f) => f.key === key);
  if (figure?.kind === 'look') {
    const is = part.looks[key];
    if (is === undefined) return null;
    const misseen = random.chance(1 - a.get('look.right'));
    return { key, tool: 'eye', value: misseen ? random.pick(figure.values ?? [is]) : is };
  }
  const is = part.measures[key];
  if (is === undefined || !figure) return null;
  if (figure.kind === 'count')
    return { key, tool: 'eye', value: random.chance(a.get('count.right')) ? is : is + random.pick([-1, 1]) };
  return { key, tool: 'caliper', value: is + random.normal() * deviationOf(key, is, 'caliper', a) };
};

describe('matching by measurement', () => {
  test('the true design comes first in 95 of 100, measuring what is asked for next until it is sure', () => {
    const random = randomFrom(77);
    let right = 0;
    let all = 0;
    for (const partClass of classes) {
      const pool = catalogue.filter((p) => p.partClass === partClass && Object.keys(p.measures).length > 0);
      for (let i = 0; i < 60; i++) {
        const truth = random.pick(pool);
        const readings: Reading[] = [];
        let key: string | undefined = PART_FIGURES[partClass][partClass === 'tone-ring' ? 1 : 0]?.key;
        let result = matchPart(pool, partClass, readings, new Set(), a);
        for (let step = 0; step < 6 && key; step++) {
          const reading = measured(truth, key, random);
          if (reading) readings.push(reading);
          result = matchPart(pool, partClass, readings, new Set(), a);
          key = result.next?.figure.key;
        }
        const first = result.ranked[0]!;
        const same = (p: CataloguePart) =>
          p.number === truth.number || (p.interchange !== null && p.interchange === truth.interchange);
        all++;
        if (same(first.part) || indistinguishable(first.part, truth, a)) right++;
      }
    }
    expect(right / all).toBeGreaterThanOrEqual(0.95);
  });

  const ring = (
    number: string,
    measures: Record<string, number>,
    looks = { form: 'teeth' },
  ): CataloguePart => ({
    ...catalogue.find((p) => p.partClass === 'tone-ring')!,
    number,
    interchange: null,
    measures,
    looks,
  });
  const base = { teeth: 48, insideDiameter: 71, outsideDiameter: 85, height: 12 };

  test('two rings that differ in height only: the height is asked for, and settles it', () => {
    const two = [ring('low', base), ring('high', { ...base, height: 14 })];
    const first = matchPart(
      two,
      'tone-ring',
      [{ key: 'insideDiameter', value: 71.05, tool: 'caliper' }],
      new Set(),
      a,
    );
    expect(first.next?.figure.key).toBe('height');
    expect(first.said).toContain('Measure the height next');
    const second = matchPart(
      two,
      'tone-ring',
      [
        { key: 'insideDiameter', value: 71.05, tool: 'caliper' },
        { key: 'height', value: 13.9, tool: 'caliper' },
      ],
      new Set(),
      a,
    );
    expect(second.ranked[0]?.part.number).toBe('high');
    expect(second.said).toContain('It is high');
  });

  test('two that no tool tells apart are said to be so', () => {
    const twins = [ring('one', base), ring('other', { ...base, height: 12.05 })];
    const result = matchPart(twins, 'tone-ring', [{ key: 'teeth', value: 48, tool: 'eye' }], new Set(), a);
    expect([...result.cannotTell].sort()).toEqual(['one', 'other']);
    expect(result.said).toContain('Cannot tell');
  });

  test('what fits the docket\u2019s vehicle goes ahead, a reading that agrees with nothing is told', () => {
    const two = [ring('here', base), ring('there', base)];
    expect(
      matchPart(two, 'tone-ring', [{ key: 'teeth', value: 48, tool: 'eye' }], new Set(['there']), a).ranked[0]
        ?.part.number,
    ).toBe('there');
    const none = matchPart(
      two,
      'tone-ring',
      [{ key: 'insideDiameter', value: 140, tool: 'caliper' }],
      new Set(),
      a,
    );
    expect(none.said).toContain('Nothing in the catalogue agrees');
  });

  test('a worse tool says less; an unknown figure says nothing', () => {
    const part = ring('x', base);
    const off = (tool: Reading['tool']) => readingChance(part, { key: 'height', value: 13, tool }, a);
    expect(off('caliper')).toBeLessThan(off('ruler'));
    expect(off('ruler')).toBeLessThan(off('tape'));
    expect(readingChance(part, { key: 'pilot', value: 1, tool: 'caliper' }, a)).toBe(1);
  });
});

import { describe, expect, test } from '@jest/globals';
import { randomFrom } from '@hardy/core/chance';
import { CHECK_RESULTS, type CheckName, type Skill } from '@hardy/core/words';
import { bareIntake, readIntake } from '@hardy/core';
import { isRight } from './exercise.ts';
import { drawExercise, EXERCISES, variantsOf } from './exercises.ts';

const ALL = EXERCISES.flatMap(({ skill, variants }) =>
  Object.keys(variants).map((variant) => [skill, variant] as const),
);

describe('exercises', () => {
  test.each(ALL)(
    '%s, %s: has one answer among its choices, the same for the same seed, others for others',
    (skill, variant) => {
      const seen = new Set<string>();
      for (let seed = 1; seed <= 6; seed++) {
        const exercise = drawExercise(skill, variant, seed * 997);
        expect(drawExercise(skill, variant, seed * 997)).toEqual(exercise);
        expect(exercise.prompt.length).toBeGreaterThan(10);
        expect(exercise.why.length).toBeGreaterThan(10);
        if (exercise.choices.length > 0) {
          const keys = exercise.choices.map(({ key }) => key);
          expect(new Set(keys).size).toBe(keys.length);
          expect(keys).toContain(exercise.answer);
          for (const key of keys) expect(isRight(exercise, key)).toBe(key === exercise.answer);
        } else expect(typeof exercise.answer).toBe('number');
        seen.add(JSON.stringify([exercise.prompt, exercise.shows, exercise.answer]));
      }
      // A drawing is what it is; all else differs.
      if (skill !== 'picture' && variant !== 'plain') expect(seen.size).toBeGreaterThan(1);
    },
  );

  test('a kind of question that there is not is refused, also one named as something every object has', () => {
    expect(() => drawExercise('corner', 'nowhere', 1)).toThrow(/no kind of question/);
    expect(() => drawExercise('corner', 'constructor', 1)).toThrow(/no kind of question/);
    expect(() => variantsOf('juggling' as Skill)).toThrow(/no exercises/);
  });

  test('a corner is the one the reader of words hears too', () => {
    let heard = 0;
    for (const variant of ["driver's side", 'nearside', 'kerb', 'plain'])
      for (let seed = 1; seed <= 8; seed++) {
        const { prompt, answer } = drawExercise('corner', variant, seed * 31);
        const said = /"([^"]+)"/.exec(prompt)?.[1] ?? '';
        const steered = /wheel is on the (left|right)/.exec(prompt)?.[1] as 'left' | 'right' | undefined;
        const drives = /drives on the (left|right)/.exec(prompt)?.[1] as 'left' | 'right' | undefined;
        const { positions } = readIntake(said.toLowerCase().replace('at the', ''), {
          ...bareIntake('2026-11-25'),
          steeringSide: steered ?? null,
          trafficSide: drives ?? null,
          axles: 2,
        });
        const ends = positions.flatMap(({ wheelEnds }) => wheelEnds);
        // Where it hears one wheel, it is the same.
        if (ends.length !== 1) continue;
        heard++;
        expect([variant, said, ends[0]]).toEqual([variant, said, answer]);
      }
    // Most of them are: were none, nothing would be compared.
    expect(heard).toBeGreaterThan(16);
  });

  test('every drawing that is asked for is a result a look can have', () => {
    for (const variant of Object.keys(variantsOf('picture'))) {
      const [look = '', result = ''] = variant.split(' ');
      // An encoder on a card and a bearing cut open are no checks of a docket.
      if (look.startsWith('visual.'))
        expect(CHECK_RESULTS[look as CheckName] as readonly string[]).toContain(result);
    }
  });

  test('a number is right within a tenth, a comma is a point, and words are wrong', () => {
    const exercise = drawExercise('price', 'part and labour', 5);
    const answer = exercise.answer as number;
    expect(isRight(exercise, String(answer * 1.09))).toBe(true);
    expect(isRight(exercise, String(answer * 1.12))).toBe(false);
    expect(isRight(exercise, String(Math.round(answer)).concat(',0'))).toBe(true);
    for (const wrong of ['', ' ', 'ten', 'NaN', 'Infinity']) expect(isRight(exercise, wrong)).toBe(false);
  });

  test('a cold coil below its printed range is sound at 20 degrees', () => {
    for (let seed = 1; seed < 20; seed++) {
      const { shows, answer } = drawExercise('meter', 'cold coil', randomFrom(seed).below(1e6));
      if (shows.as !== 'table') throw new Error('a table was meant');
      const [, range = '', reading = '', yard = ''] = shows.rows[0] ?? [];
      const [low = 0, high = 0] = (range.match(/\d+/g) ?? []).map(Number);
      const warm = Number.parseFloat(reading) / (1 + 0.00393 * (Number.parseFloat(yard) - 20));
      expect(answer).toBe('sound');
      expect(warm).toBeGreaterThan(low * 0.999);
      expect(warm).toBeLessThan(high);
      expect(Number.parseFloat(reading)).toBeLessThan(low * 1.02);
    }
  });
});

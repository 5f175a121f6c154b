import { describe, expect, test } from '@jest/globals';
import { randomFrom } from '@hardy/core/chance';
import { assumptionsWith } from '@hardy/core/trial';
import {
  aboutRight,
  afterAnswer,
  askedFirst,
  NEWCOMER,
  successOf,
  tellApart,
  type Rating,
} from './rating.ts';

const GOOD_SUCCESS = assumptionsWith().get('practice.success');

const correlation = (x: readonly number[], y: readonly number[]): number => {
  const mean = (list: readonly number[]) => list.reduce((a, b) => a + b, 0) / list.length;
  const [mx, my] = [mean(x), mean(y)];
  const cov = x.reduce((sum, each, i) => sum + (each - mx) * ((y[i] as number) - my), 0);
  const spread = (list: readonly number[], m: number) =>
    Math.sqrt(list.reduce((s, v) => s + (v - m) ** 2, 0));
  return cov / (spread(x, mx) * spread(y, my));
};

/** People of planted ability answer questions of planted difficulty, chosen for them as in practice. */
const world = (seed: number, people: number, answers: number) => {
  const random = randomFrom(seed);
  const hard = Array.from({ length: 24 }, (_, i) => -2 + (4 * i) / 23);
  const able = Array.from({ length: people }, () => random.normal());
  // What is thought at first is off by more than half a step.
  const questions: Rating[] = hard.map((at) => askedFirst(at + 0.7 * random.normal()));
  const persons: Rating[] = able.map(() => NEWCOMER);
  let late = 0;
  let right = 0;
  for (let a = 0; a < answers; a++)
    able.forEach((ability, p) => {
      const person = persons[p] as Rating;
      const chosen = Number(
        aboutRight(
          person.at,
          questions.map(({ at }, q) => ({ variant: String(q), at })),
          random.next(),
          GOOD_SUCCESS,
        ),
      );
      const isRight = random.chance(successOf(ability, hard[chosen] as number));
      const moved = afterAnswer(person, questions[chosen] as Rating, isRight);
      persons[p] = moved.person;
      questions[chosen] = moved.question;
      if (a >= answers / 2) {
        late++;
        if (isRight) right++;
      }
    });
  return { hard, able, questions, persons, success: right / late };
};

describe('ratings', () => {
  test('planted difficulties are recovered, and what was thought at first is left behind', () => {
    const { hard, questions } = world(4, 120, 60);
    const asked = questions.flatMap(({ variance, at }, q) =>
      variance < 0.1 ? [[hard[q] as number, at] as const] : [],
    );
    expect(asked.length).toBeGreaterThan(12);
    expect(
      correlation(
        asked.map(([planted]) => planted),
        asked.map(([, found]) => found),
      ),
    ).toBeGreaterThan(0.95);
  });

  test('so are abilities, within what is said of their spread', () => {
    const { able, persons } = world(5, 150, 60);
    expect(
      correlation(
        able,
        persons.map(({ at }) => at),
      ),
    ).toBeGreaterThan(0.85);
  });

  test('people are kept near the share of right answers that is good', () => {
    for (const seed of [1, 2, 3]) {
      const { success } = world(seed, 60, 40);
      expect(success).toBeGreaterThan(GOOD_SUCCESS - 0.07);
      expect(success).toBeLessThan(GOOD_SUCCESS + 0.07);
    }
  });

  test('a right answer never lowers anybody, nor makes a question harder; each answer makes both surer', () => {
    const random = randomFrom(9);
    for (let i = 0; i < 200; i++) {
      const person = { at: random.between(-3, 3), variance: random.between(0.05, 1) };
      const question = { at: random.between(-3, 3), variance: random.between(0.05, 1) };
      const after = afterAnswer(person, question, true);
      expect(after.person.at).toBeGreaterThan(person.at);
      expect(after.question.at).toBeLessThan(question.at);
      expect(after.person.variance).toBeLessThanOrEqual(person.variance);
      expect(after.question.variance).toBeLessThanOrEqual(question.variance);
    }
  });
});

describe('two scores', () => {
  test('of the same customers are told apart by what differs between them', () => {
    const hard = [10, 200, 30, 400, 20, 300, 50, 100];
    const better = hard.map((regret) => regret - 8);
    const apart = tellApart(hard, better);
    expect(apart).toMatchObject({ difference: 8, isSure: true });
    const noisy = tellApart([10, 200, 30, 400], [180, 20, 390, 40]);
    expect(noisy.isSure).toBe(false);
    expect(noisy.needed).toBeGreaterThan(4);
  });
  test('one customer tells nothing, and the same tells nothing', () => {
    expect(tellApart([5], [9])).toMatchObject({ isSure: false, needed: null });
    expect(tellApart([5, 5], [5, 5])).toMatchObject({ difference: 0, isSure: false, needed: null });
  });
  test('the interval holds the true difference nine times in ten', () => {
    const random = randomFrom(3);
    let held = 0;
    for (let i = 0; i < 1000; i++) {
      const base = Array.from({ length: 30 }, () => random.between(0, 300));
      const one = base.map((b) => b + 20 * random.normal());
      const other = base.map((b) => b + 5 + 20 * random.normal());
      const { difference, give } = tellApart(other, one);
      if (give !== null && Math.abs(difference - 5) <= give) held++;
    }
    expect(held / 1000).toBeGreaterThan(0.86);
    expect(held / 1000).toBeLessThan(0.93);
  });
});

import { randomFrom, type Random } from '@hardy/core/chance';
import type { SkillExercises } from './exercise.ts';

/** What one can measure on a sensor, how far look-alikes differ, and how well a rule or a caliper tells it. */
const MEASURES: ReadonlyArray<
  readonly [name: string, unit: string, from: number, to: number, apart: number, error: number]
> = [
  ['lead', 'mm', 420, 1180, 60, 8],
  ['tip diameter', 'mm', 11, 19, 1.2, 0.1],
  ['reach below the flange', 'mm', 22, 48, 2.5, 0.3],
  ['bolt hole', 'mm', 6.2, 8.8, 1, 0.1],
  ['flange to bolt', 'mm', 17, 29, 1.6, 0.3],
];
const shown = (value: number): string => value.toFixed(value > 100 ? 0 : 1);

/** Which of two parts that look alike is the one in hand, by measuring. */
export const lookAlike: SkillExercises = {
  skill: 'look-alike',
  variants: {
    'three differ': -1,
    'two differ': -0.2,
    'one differs': 0.5,
    'one differs a little': 1.1,
    neither: 1.2,
  },
  draw(variant, seed) {
    const random: Random = randomFrom(seed);
    const differing = { 'three differ': 3, 'two differ': 2, neither: 2 }[variant] ?? 1;
    const share = variant === 'one differs a little' ? 0.45 : 1;
    const order = random.shuffled(MEASURES.map((_, i) => i));
    const differs = new Set(order.slice(0, differing));
    const isFirst = random.chance(0.5);
    const rows = MEASURES.map(([name, unit, from, to, apart, error], i) => {
      const first = random.between(from, to);
      const second = differs.has(i) ? first + (random.chance(0.5) ? 1 : -1) * apart * share : first;
      // Neither: in one measure it is off both, by as much as they are off each other.
      const off = variant === 'neither' && i === order[0] ? 3 * apart * share : 0;
      const inHand = (isFirst ? first : second) + off + error * 0.4 * random.normal();
      return [`${name}, ${unit}`, shown(first), shown(second), shown(inHand), `± ${error}`];
    });
    return {
      prompt: 'Two sensors fit by the list. The old one lies on the counter, measured. Which is it?',
      shows: { as: 'table', head: ['Measure', 'Part A', 'Part B', 'In hand', 'Measured to'], rows },
      choices: [
        { key: 'A', words: 'Part A' },
        { key: 'B', words: 'Part B' },
        { key: 'neither', words: 'neither: ask for the plate' },
      ],
      answer: variant === 'neither' ? 'neither' : isFirst ? 'A' : 'B',
      unit: null,
      why:
        variant === 'neither'
          ? `${MEASURES[order[0] as number]?.[0]} is off both by more than one mismeasures.`
          : `Only ${[...differs].map((i) => MEASURES[i]?.[0]).join(' and ')} tells them apart; the rest is within what one mismeasures.`,
    };
  },
};

import { randomFrom } from '@hardy/core/chance';
import type { SkillExercises } from './exercise.ts';

/** Price it in the head: what a way really costs on this job, within a tenth. */
export const price: SkillExercises = {
  skill: 'price',
  variants: {
    'part and labour': -0.8,
    'with companions': -0.2,
    'with tax': 0.5,
    'it may snap': 1,
    'sensor first, then hub': 1.5,
  },
  draw(variant, seed) {
    const random = randomFrom(seed);
    const part = 5 * (6 + random.below(40));
    const hours = 0.25 * (2 + random.below(10));
    const rate = 5 * (10 + random.below(9));
    const labour = hours * rate;
    const line = (name: string, value: string) => [name, value];
    const base = [line('part', `${part}`), line('hours', `${hours}`), line('an hour', `${rate}`)];
    const make = (more: string[][], answer: number, why: string, asks = 'What does it come to?') => ({
      prompt: `${asks} Within a tenth, in the head.`,
      shows: { as: 'table' as const, head: ['What', 'Money'], rows: [...base, ...more] },
      choices: [],
      answer: Math.round(answer * 100) / 100,
      unit: 'money',
      why,
    });
    const sum = part + labour;
    switch (variant) {
      case 'with companions': {
        const bolts = 2 + random.below(12);
        const paste = 3 + random.below(5);
        return make(
          [line('bolts', `${bolts}`), line('paste', `${paste}`)],
          sum + bolts + paste,
          `${part} + ${hours} x ${rate} + ${bolts} + ${paste} = ${(sum + bolts + paste).toFixed(0)}.`,
        );
      }
      case 'with tax': {
        const tax = random.pick([8, 20, 25]);
        return make(
          [line('tax on all of it', `${tax} %`)],
          sum * (1 + tax / 100),
          `${sum.toFixed(0)}, and ${tax} % of it: ${(sum * (1 + tax / 100)).toFixed(0)}.`,
        );
      }
      case 'it may snap': {
        const chance = 10 * (1 + random.below(4));
        const drill = 10 * (6 + random.below(15));
        return make(
          [line('snaps in', `${chance} of 100`), line('then drilling', `${drill}`)],
          sum + (chance / 100) * drill,
          `${sum.toFixed(0)}, and on average ${((chance / 100) * drill).toFixed(0)} for what may snap.`,
          'What does it cost on average?',
        );
      }
      case 'sensor first, then hub': {
        const cures = 10 * (5 + random.below(4));
        const hub = 10 * (15 + random.below(20));
        const again = 10 * (5 + random.below(6));
        return make(
          [
            line('the sensor cures', `${cures} of 100`),
            line('else: second visit', `${again}`),
            line('and the hub, fitted', `${hub}`),
          ],
          sum + (1 - cures / 100) * (again + hub),
          `${sum.toFixed(0)} at once, and in ${100 - cures} of 100 another ${again + hub}: ${(sum + (1 - cures / 100) * (again + hub)).toFixed(0)}.`,
          'The sensor first, and the hub where it fails: what does that cost on average?',
        );
      }
      default:
        return make([], sum, `${part} + ${hours} x ${rate} = ${sum.toFixed(0)}.`);
    }
  },
};

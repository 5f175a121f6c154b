import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { countedOne, countIn, weighedOthers, type Counted, type CountedEnd } from './countedProducts.ts';

const chance = fc.double({ min: 0.01, max: 2, noNaN: true });
const end: fc.Arbitrary<CountedEnd> = fc.record({ sound: chance, faulty: chance });
/** Groups of one or two wheel ends, each as any other and as the one that is marked. */
const groups = fc.array(fc.array(fc.tuple(end, end), { minLength: 1, maxLength: 2 }), {
  minLength: 1,
  maxLength: 5,
});
type Ends = ReadonlyArray<readonly [CountedEnd, CountedEnd]>;

const counted = (ends: Ends): Counted => {
  const out = countedOne(ends.length, true);
  for (const [asAny, asMarked] of ends) countIn(out, asAny, asMarked);
  return out;
};

/** Every way some of the ends may be faulty, one by one: sum of weight x product, `mark`: which end is the marked one. */
const oneByOne = (ends: Ends, weights: readonly number[], own: number, mark: number | null): number => {
  let sum = 0;
  for (let set = 0; set < 1 << ends.length; set++) {
    let product = 1;
    let faulty = own;
    ends.forEach(([asAny, asMarked], i) => {
      const as = i === mark ? asMarked : asAny;
      const isFaulty = (set & (1 << i)) !== 0;
      product *= isFaulty ? as.faulty : as.sound;
      if (isFaulty) faulty++;
    });
    sum += product * (weights[faulty] ?? 0);
  }
  return sum;
};

describe('what all other groups come to', () => {
  test('is the sum over every way they may be faulty, with and without a mark among them', () => {
    fc.assert(
      fc.property(groups, fc.array(chance, { minLength: 11, maxLength: 11 }), (list, some) => {
        const weights = some.slice(0, list.flat().length + 1);
        weighedOthers(list.map(counted), weights).forEach(({ plain, marked }, g) => {
          const others = list.filter((_, i) => i !== g).flat();
          for (let own = 0; own <= (list[g]?.length ?? 0); own++) {
            expect(plain[own]).toBeCloseTo(oneByOne(others, weights, own, null), 8);
            const anyMark = others.reduce((sum, _, mark) => sum + oneByOne(others, weights, own, mark), 0);
            expect(marked?.[own]).toBeCloseTo(anyMark, 7);
          }
        });
      }),
      { numRuns: 100 },
    );
  });
});

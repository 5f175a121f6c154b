import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { leftForOne, productOf, weighedOthers, wholeSums, type CountedEnd } from './countedProducts.ts';

const ROWS = 3;
/** Two numbers a row: sound and faulty. */
const numbers = fc.array(fc.double({ min: 0.01, max: 2, noNaN: true }), {
  minLength: 2 * ROWS,
  maxLength: 2 * ROWS,
});
interface End {
  readonly asAny: readonly number[];
  readonly asMarked: readonly number[];
}
const end: fc.Arbitrary<End> = fc.record({ asAny: numbers, asMarked: numbers });
/** Groups of one or two wheel ends, each as any other and as the one that is marked. */
const groups = fc.array(fc.array(end, { minLength: 1, maxLength: 2 }), { minLength: 1, maxLength: 4 });
const weightsFor = fc.array(fc.double({ min: 0.01, max: 2, noNaN: true }), { minLength: 9, maxLength: 9 });

const flat = ({ asAny, asMarked }: End, marks: boolean): CountedEnd => ({
  asAny: Float64Array.from(asAny),
  asMarked: marks ? Float64Array.from(asMarked) : null,
});
const counted = (ends: readonly End[], marks: boolean) =>
  productOf(
    ends.map((each) => flat(each, marks)),
    ROWS,
    marks,
  );

/** Every way some of the ends may be faulty, one by one: sum of weight x product, `mark`: which end is the marked one. */
const oneByOne = (
  ends: readonly End[],
  weights: readonly number[],
  row: number,
  own: number,
  mark: number | null,
): number => {
  let sum = 0;
  for (let set = 0; set < 1 << ends.length; set++) {
    let product = 1;
    let faulty = own;
    ends.forEach((each, i) => {
      const as = i === mark ? each.asMarked : each.asAny;
      const isFaulty = (set & (1 << i)) !== 0;
      product *= as[2 * row + (isFaulty ? 1 : 0)] ?? 0;
      if (isFaulty) faulty++;
    });
    sum += product * (weights[faulty] ?? 0);
  }
  return sum;
};
/** The same with any one of them marked. */
const anyMarked = (ends: readonly End[], weights: readonly number[], row: number, own: number): number =>
  ends.reduce((sum, _, mark) => sum + oneByOne(ends, weights, row, own, mark), 0);

describe('what all other groups come to', () => {
  test('is the sum over every way they may be faulty, with and without a mark among them, in every row', () => {
    fc.assert(
      fc.property(groups, weightsFor, fc.boolean(), (list, some, marks) => {
        const all = list.flat();
        const weights = some.slice(0, all.length + 1);
        const products = list.map((ends) => counted(ends, marks));
        const others = weighedOthers(products, weights, ROWS);
        list.forEach((own, g) => {
          const rest = list.filter((_, i) => i !== g).flat();
          const sums = wholeSums(others[g]!, products[g]!, ROWS);
          for (let row = 0; row < ROWS; row++) {
            for (let faulty = 0; faulty <= own.length; faulty++) {
              const at = row * (own.length + 1) + faulty;
              expect(others[g]!.plain[at]).toBeCloseTo(oneByOne(rest, weights, row, faulty, null), 8);
              if (marks)
                expect(others[g]!.marked?.[at]).toBeCloseTo(anyMarked(rest, weights, row, faulty), 7);
            }
            expect(
              sums[row]! / (marks ? anyMarked(all, weights, row, 0) : oneByOne(all, weights, row, 0, null)),
            ).toBeCloseTo(1, 8);
          }
          own.forEach((_, e) => {
            const besides = own.filter((_each, i) => i !== e);
            const left = leftForOne(others[g]!, counted(besides, marks), ROWS);
            const everyOther = [...rest, ...besides];
            for (let row = 0; row < ROWS; row++)
              for (const faulty of [0, 1]) {
                expect(left.unmarked[2 * row + faulty]).toBeCloseTo(
                  oneByOne(everyOther, weights, row, faulty, null),
                  7,
                );
                if (marks)
                  expect(left.marked?.[2 * row + faulty]).toBeCloseTo(
                    anyMarked(everyOther, weights, row, faulty),
                    7,
                  );
              }
          });
        });
      }),
      { numRuns: 60 },
    );
  });
});

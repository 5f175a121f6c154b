/** Product of two polynomials in the number of faulty wheel ends, by their coefficients. */
export const times = (x: readonly number[], y: readonly number[]): number[] => {
  const out = new Array<number>(x.length + y.length - 1).fill(0);
  for (let i = 0; i < x.length; i++) {
    const p = x[i] as number;
    for (let j = 0; j < y.length; j++) out[i + j] = (out[i + j] as number) + p * (y[j] as number);
  }
  return out;
};
/** Their sum. */
export const plus = (x: readonly number[], y: readonly number[]): number[] =>
  Array.from({ length: Math.max(x.length, y.length) }, (_, i) => (x[i] ?? 0) + (y[i] ?? 0));
/** Sum of the coefficients, each weighed by `weights` from `from` on. */
export const weighed = (x: readonly number[], weights: readonly number[], from: number): number => {
  let sum = 0;
  for (let i = 0; i < x.length; i++) sum += (x[i] as number) * (weights[i + from] ?? 0);
  return sum;
};
/** For each place, the product of all the others. */
export const productOfOthers = (list: ReadonlyArray<readonly number[]>): number[][] => {
  const before: number[][] = [[1]];
  for (const each of list) before.push(times(before.at(-1) as number[], each));
  const out = new Array<number[]>(list.length);
  let after: number[] = [1];
  for (let i = list.length - 1; i >= 0; i--) {
    out[i] = times(before[i] as number[], after);
    after = times(after, list[i] as readonly number[]);
  }
  return out;
};

/** Product of two polynomials in the number of faulty wheel ends, by their coefficients. */
export const times = (x: readonly number[], y: readonly number[]): number[] => {
  const out = new Array<number>(x.length + y.length - 1).fill(0);
  x.forEach((p, i) => y.forEach((q, j) => (out[i + j] = (out[i + j] as number) + p * q)));
  return out;
};
/** Their sum. */
export const plus = (x: readonly number[], y: readonly number[]): number[] =>
  Array.from({ length: Math.max(x.length, y.length) }, (_, i) => (x[i] ?? 0) + (y[i] ?? 0));
/** Sum of the coefficients, each weighed by `weights` from `from` on. */
export const weighed = (x: readonly number[], weights: readonly number[], from: number): number =>
  x.reduce((sum, p, i) => sum + p * (weights[i + from] ?? 0), 0);
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

/** Adds to `into[t]` the sum over rows of `by[row] x rows[row][t]`, from place `from` on. */
export const addRows = (
  into: Float64Array,
  rows: readonly Float64Array[],
  by: Float64Array,
  from: number,
): void => {
  rows.forEach((row, r) => {
    const times = by[r] as number;
    for (let t = from; t < into.length; t++) into[t] = (into[t] as number) + times * (row[t] as number);
  });
};

/** The sum of `x[t] x row[t]`, from place `from` on. */
export const dotFrom = (x: Float64Array, row: Float64Array, from: number): number => {
  let sum = 0;
  for (let t = from; t < x.length; t++) sum += (x[t] as number) * (row[t] as number);
  return sum;
};

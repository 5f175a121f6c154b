/*
 * Sums over the rows of a table, four rows in one run: the machine waits for each addition it must carry on with, and four
 * that do not wait for each other take little longer than one.
 */
const AT_ONCE = 4;

/** Adds to `into[t]` the sum over rows of `by[row] x rows[row][t]`, from place `from` on. */
export const addRows = (
  into: Float64Array,
  rows: readonly Float64Array[],
  by: Float64Array,
  from: number,
): void => {
  const length = into.length;
  let row = 0;
  for (; row + AT_ONCE <= rows.length; row += AT_ONCE) {
    const a = rows[row] as Float64Array;
    const b = rows[row + 1] as Float64Array;
    const c = rows[row + 2] as Float64Array;
    const d = rows[row + 3] as Float64Array;
    const x = by[row] as number;
    const y = by[row + 1] as number;
    const z = by[row + 2] as number;
    const w = by[row + 3] as number;
    for (let t = from; t < length; t++)
      into[t] =
        (into[t] as number) +
        (x * (a[t] as number) + y * (b[t] as number)) +
        (z * (c[t] as number) + w * (d[t] as number));
  }
  for (; row < rows.length; row++) {
    const a = rows[row] as Float64Array;
    const x = by[row] as number;
    for (let t = from; t < length; t++) into[t] = (into[t] as number) + x * (a[t] as number);
  }
};

/** Gives `say` the sum of `x[t] x rows[row][t]` from place `from` on, for every row. */
export const dotRows = (
  x: Float64Array,
  rows: readonly Float64Array[],
  from: number,
  say: (row: number, sum: number) => void,
): void => {
  const length = x.length;
  let row = 0;
  for (; row + AT_ONCE <= rows.length; row += AT_ONCE) {
    const a = rows[row] as Float64Array;
    const b = rows[row + 1] as Float64Array;
    const c = rows[row + 2] as Float64Array;
    const d = rows[row + 3] as Float64Array;
    let p = 0;
    let q = 0;
    let r = 0;
    let s = 0;
    for (let t = from; t < length; t++) {
      const value = x[t] as number;
      p += value * (a[t] as number);
      q += value * (b[t] as number);
      r += value * (c[t] as number);
      s += value * (d[t] as number);
    }
    say(row, p);
    say(row + 1, q);
    say(row + 2, r);
    say(row + 3, s);
  }
  for (; row < rows.length; row++) {
    const a = rows[row] as Float64Array;
    let sum = 0;
    for (let t = from; t < length; t++) sum += (x[t] as number) * (a[t] as number);
    say(row, sum);
  }
};

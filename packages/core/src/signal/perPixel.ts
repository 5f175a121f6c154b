/** Points of a curve: x rising, y NaN at gaps. */
export interface Curve {
  readonly x: Float64Array;
  readonly y: Float64Array;
}

/**
 * Thins a curve to at most four points a pixel column: first, lowest, highest and last, so that no peak is lost and
 * the drawing is the same as that of all points. M4 aggregation (Jugel, Jerzak, Hackenbroich, Markl: VLDB 2014).
 * `from` and `to` are samples; `columns` the width of the drawing in pixels.
 */
export const thinPerPixel = (
  time: Float64Array,
  values: Float32Array,
  from: number,
  to: number,
  columns: number,
): Curve => {
  const n = to - from;
  if (n <= columns * 4) return { x: time.slice(from, to), y: Float64Array.from(values.subarray(from, to)) };
  const start = time[from] as number;
  const span = Math.max(1e-9, (time[to - 1] as number) - start);
  const x: number[] = [];
  const y: number[] = [];
  let s = from;
  for (let column = 0; column < columns && s < to; column++) {
    const end = start + (span * (column + 1)) / columns;
    const first = s;
    let low = -1;
    let high = -1;
    while (s < to && ((time[s] as number) <= end || column === columns - 1)) {
      const v = values[s] as number;
      if (v === v) {
        if (low < 0 || v < (values[low] as number)) low = s;
        if (high < 0 || v > (values[high] as number)) high = s;
      }
      s++;
    }
    if (s === first) continue;
    const picks = low < 0 ? [first] : [...new Set([first, Math.min(low, high), Math.max(low, high), s - 1])];
    for (const pick of picks) {
      x.push(time[pick] as number);
      y.push(values[pick] as number);
    }
  }
  return { x: Float64Array.from(x), y: Float64Array.from(y) };
};

/** The first sample at or after `seconds`. Binary search. */
export const sampleAt = (time: Float64Array, seconds: number): number => {
  let low = 0;
  let high = time.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((time[middle] as number) < seconds) low = middle + 1;
    else high = middle;
  }
  return low;
};

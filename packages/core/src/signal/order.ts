/**
 * The k-th smallest of the first `n` values of `a`, which is reordered. Hoare's selection; NaN is not allowed.
 * Linear on average; used where sorting would dominate.
 */
export const kthSmallest = (a: Float64Array, n: number, k: number): number => {
  let low = 0;
  let high = n - 1;
  while (low < high) {
    const pivot = a[(low + high) >> 1] as number;
    let i = low;
    let j = high;
    while (i <= j) {
      while ((a[i] as number) < pivot) i++;
      while ((a[j] as number) > pivot) j--;
      if (i <= j) {
        const swap = a[i] as number;
        a[i++] = a[j] as number;
        a[j--] = swap;
      }
    }
    if (k <= j) high = j;
    else if (k >= i) low = i;
    else break;
  }
  return a[k] as number;
};

/** Median of the first `n` values of `a`, which is reordered; the lower of the two middle ones when even. NaN for none. */
export const medianOf = (a: Float64Array, n = a.length): number =>
  n === 0 ? Number.NaN : kthSmallest(a, n, (n - 1) >> 1);

/** A robust mean: of the values within `width` of the median. NaN for none. */
export const meanNearMedian = (values: Float64Array, n: number, width: number): number => {
  const middle = medianOf(values, n);
  let sum = 0;
  let count = 0;
  for (let i = 0; i < n; i++) {
    const value = values[i] as number;
    if (Math.abs(value - middle) <= width) {
      sum += value;
      count++;
    }
  }
  return count === 0 ? middle : sum / count;
};

/**
 * Where values crowd most: the peak of their histogram smoothed by a triangle, then the mean near the peak.
 * `bin` is the width of a bin, `span` the half width of the triangle in bins.
 */
export const modeOf = (values: Float64Array, n: number, bin: number, span: number): number => {
  if (n === 0) return Number.NaN;
  const centre = medianOf(values, n);
  const half = 400;
  const counts = new Float64Array(2 * half + 1);
  for (let i = 0; i < n; i++) {
    const at = Math.round(((values[i] as number) - centre) / bin) + half;
    if (at >= 0 && at < counts.length) counts[at] = (counts[at] as number) + 1;
  }
  let best = half;
  let most = -1;
  for (let i = span; i < counts.length - span; i++) {
    let sum = 0;
    for (let k = -span; k <= span; k++) sum += (counts[i + k] as number) * (span + 1 - Math.abs(k));
    if (sum > most) {
      most = sum;
      best = i;
    }
  }
  const peak = centre + (best - half) * bin;
  let sum = 0;
  let count = 0;
  for (let i = 0; i < n; i++)
    if (Math.abs((values[i] as number) - peak) <= span * bin) {
      sum += values[i] as number;
      count++;
    }
  return count === 0 ? peak : sum / count;
};

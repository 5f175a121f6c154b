import { BadInput } from '../vocabulary/badInput.ts';
import { medianOf } from './order.ts';

/** A mended time axis and the rows it keeps. */
export interface TimeBase {
  /** Seconds from the first sample, strictly rising. */
  readonly time: Float64Array;
  /** Row of the log for each kept sample. */
  readonly rows: Uint32Array;
  /** Usual time between samples in seconds. */
  readonly interval: number;
  readonly notes: string[];
}

/** Share of repeated stamps above which the clock itself is coarse, not the rows doubled. */
const COARSE_CLOCK = 0.3;

const usualInterval = (time: Float64Array): number => {
  const n = time.length - 1;
  if (n < 1) return 0;
  const stride = Math.max(1, Math.floor(n / 20000));
  const steps = new Float64Array(Math.ceil(n / stride));
  let count = 0;
  for (let i = 0; i < n; i += stride) {
    const step = (time[i + 1] as number) - (time[i] as number);
    if (step > 0) steps[count++] = step;
  }
  return count === 0 ? 0 : medianOf(steps, count);
};

/**
 * Mends the times of a log: rows without a time are left out, rows out of order sorted, doubled rows dropped, and a
 * clock too coarse for its rows (ten rows with one stamp) spread evenly.
 * @throws BadInput when fewer than `least` samples with different times remain.
 */
export const mendTimes = (raw: Float64Array, least = 20): TimeBase => {
  const notes: string[] = [];
  let rows = new Uint32Array(raw.length);
  let n = 0;
  let sorted = true;
  let last = -Infinity;
  for (let i = 0; i < raw.length; i++) {
    const t = raw[i] as number;
    if (!Number.isFinite(t)) continue;
    if (t < last) sorted = false;
    last = t;
    rows[n++] = i;
  }
  if (n < raw.length) notes.push(`${raw.length - n} rows without a readable time were left out`);
  rows = rows.subarray(0, n);
  if (!sorted) {
    rows = rows.slice().sort((a, b) => (raw[a] as number) - (raw[b] as number) || a - b);
    notes.push('the rows were not in order of time and have been sorted');
  }
  let repeats = 0;
  for (let i = 1; i < n; i++) if (raw[rows[i] as number] === raw[rows[i - 1] as number]) repeats++;
  if (n > 0 && repeats === n - 1)
    throw new BadInput(
      'time',
      'is the same in every row; choose the column that runs, or say how fast it was sampled',
    );
  const time = new Float64Array(n);
  let kept = n;
  if (repeats > COARSE_CLOCK * n) {
    for (let i = 0; i < n;) {
      const stamp = raw[rows[i] as number] as number;
      let end = i;
      while (end < n && raw[rows[end] as number] === stamp) end++;
      const next = end < n ? (raw[rows[end] as number] as number) : stamp + (end - i) * 1e-3;
      for (let k = i; k < end; k++) time[k] = stamp + ((next - stamp) * (k - i)) / (end - i);
      i = end;
    }
    notes.push('many rows share a time stamp: they were spread evenly between stamps');
  } else {
    kept = 0;
    for (let i = 0; i < n; i++) {
      const t = raw[rows[i] as number] as number;
      if (kept > 0 && t === time[kept - 1]) {
        rows[kept - 1] = rows[i] as number;
        continue;
      }
      rows[kept] = rows[i] as number;
      time[kept++] = t;
    }
    if (repeats > 0) notes.push(`${repeats} rows with a time already seen were left out`);
  }
  const result = time.subarray(0, kept);
  const first = kept > 0 ? (result[0] as number) : 0;
  for (let i = 0; i < kept; i++) result[i] = (result[i] as number) - first;
  const interval = usualInterval(result);
  if (kept < least || interval === 0)
    throw new BadInput(
      'time',
      `has only ${kept} samples with a time of their own; a log needs at least ${least}, best a minute of driving`,
    );
  return { time: result, rows: rows.subarray(0, kept), interval, notes };
};

import { axleOf } from '../vocabulary/wheelEndWords.ts';
import { LOST_ABOVE_KMH as LOST_ABOVE, LOST_SHARE as LOST } from './commonMotion.ts';
import { medianOf } from './order.ts';
import { sideSign, type WheelLog } from './wheelLog.ts';

// Taken into this module once: the loops below run over millions of samples, and a constant of another module is looked
// up through it each time.
const LOST_SHARE = LOST;
const LOST_ABOVE_KMH = LOST_ABOVE;

/** Upper edges in km/h of the speed bands in which noise is measured. */
export const SPEED_BANDS = [5, 10, 20, 40, 80, Infinity] as const;
/** Slowest speed in km/h at which a deviation is looked at. */
export const SLOWEST_SEEN_KMH = 2;

export const bandOf = (kmh: number): number => {
  let band = 0;
  while (kmh > (SPEED_BANDS[band] as number)) band++;
  return band;
};

/** One wheel's reading, its own gain divided out, against what the others say it should be. */
export interface Residual {
  /** Quick deviation in km/h: bends, slip and spin taken out. NaN where nothing can be said. */
  readonly quick: Float32Array;
  /** 1.4826 times the median absolute deviation per speed band, km/h. */
  readonly noise: number[];
  /** Samples that entered each band. */
  readonly counts: number[];
  /** How restless the wheel itself is per speed band, km/h, to compare with the others. */
  readonly restless: number[];
}

/** Seconds of a block whose median is the slow part of a deviation: longer than a dip, shorter than a bend. */
const BLOCK_SECONDS = 1;
const LEAST_BLOCK = 8;
const NOISE_SAMPLES = 4000;

/** The slow part of `e`: medians of blocks, joined by straight lines. Written over `e` as the quick part. */
const removeSlow = (e: Float32Array, block: number): void => {
  const n = e.length;
  const blocks = Math.max(1, Math.round(n / block));
  const medians = new Float64Array(blocks);
  const centres = new Float64Array(blocks);
  const scratch = new Float64Array(Math.ceil(n / blocks) + 2);
  // Thirty-odd samples give a block's median as well as a hundred.
  const stride = Math.max(1, Math.floor(block / 33));
  let last = 0;
  for (let b = 0; b < blocks; b++) {
    const from = Math.floor((b * n) / blocks);
    const to = Math.floor(((b + 1) * n) / blocks);
    let count = 0;
    for (let s = from; s < to; s += stride) {
      const value = e[s] as number;
      if (value === value) scratch[count++] = value;
    }
    if (count > 0) last = medianOf(scratch, count);
    medians[b] = last;
    centres[b] = (from + to - 1) / 2;
  }
  let b = 0;
  for (let s = 0; s < n; s++) {
    while (b < blocks - 2 && s > (centres[b + 1] as number)) b++;
    if (blocks === 1) {
      e[s] = (e[s] as number) - (medians[0] as number);
      continue;
    }
    const from = centres[b] as number;
    const part = Math.min(1, Math.max(0, (s - from) / ((centres[b + 1] as number) - from)));
    const slow = (medians[b] as number) + part * ((medians[b + 1] as number) - (medians[b] as number));
    e[s] = (e[s] as number) - slow;
  }
};

/** The smaller of two deviations of one sign; nothing when they disagree. */
const minmod = (a: number, b: number): number =>
  a > 0 ? (b <= 0 ? 0 : b < a ? b : a) : b >= 0 ? 0 : b > a ? b : a;

/** Right less left of an axle in km/h; NaN where one of them is lost and says nothing of the vehicle. */
const swingOf = (left: Float32Array, right: Float32Array, motion: Float32Array): Float32Array => {
  const swing = new Float32Array(left.length);
  for (let s = 0; s < swing.length; s++) {
    const m = motion[s] as number;
    const most = -LOST_SHARE * (m > 1 ? m : 1);
    const l = left[s] as number;
    const r = right[s] as number;
    swing[s] = l > most && r > most ? r - l : Number.NaN;
  }
  return swing;
};

/** Noise per speed band, and the samples of each band. */
const noiseOf = (
  valueAt: (s: number) => number,
  motion: Float32Array,
): { noise: number[]; counts: number[] } => {
  const samples = SPEED_BANDS.map(() => new Float64Array(NOISE_SAMPLES));
  const kept = SPEED_BANDS.map(() => 0);
  const counts = SPEED_BANDS.map(() => 0);
  const n = motion.length;
  const stride = Math.max(1, Math.floor(n / (NOISE_SAMPLES * 6)));
  for (let s = 0; s < n; s += stride) {
    const value = valueAt(s);
    const speed = motion[s] as number;
    if (value !== value || !(speed > SLOWEST_SEEN_KMH)) continue;
    const band = bandOf(speed);
    counts[band] = (counts[band] as number) + stride;
    const k = kept[band] as number;
    if (k < NOISE_SAMPLES) {
      (samples[band] as Float64Array)[k] = Math.abs(value);
      kept[band] = k + 1;
    }
  }
  const noise = samples.map((values, band) =>
    (kept[band] as number) < 12 ? Number.NaN : 1.4826 * medianOf(values, kept[band]),
  );
  return { noise, counts };
};

/** A reading against the mean of its neighbours in time, scaled to the deviation of one reading. NaN at the ends. */
const roughness = (kmh: Float32Array) => {
  const scale = 1 / Math.sqrt(6);
  return (s: number): number =>
    ((kmh[s - 1] ?? Number.NaN) - 2 * (kmh[s] as number) + (kmh[s + 1] ?? Number.NaN)) * scale;
};

/**
 * With two wheels a difference alone does not say whose it is. Signals fail by reading low, so the lower wheel is
 * taken to deviate; which one is restless is told by how it follows itself in time.
 */
const residualsOfTwo = (
  log: WheelLog,
  gains: readonly number[],
  motion: Float32Array,
  interval: number,
): Residual[] => {
  const n = log.time.length;
  const [a, b] = log.wheels as [WheelLog['wheels'][number], WheelLog['wheels'][number]];
  const difference = new Float32Array(n);
  const slow = new Float32Array(n);
  for (let s = 0; s < n; s++) {
    difference[s] = (a.kmh[s] as number) / (gains[0] as number) - (b.kmh[s] as number) / (gains[1] as number);
    const lost = Math.abs(difference[s] as number) > (motion[s] as number) * LOST_SHARE;
    slow[s] = lost ? Number.NaN : (difference[s] as number);
  }
  const quickened = slow.slice();
  removeSlow(quickened, Math.max(LEAST_BLOCK, Math.round(BLOCK_SECONDS / interval)));
  const spread = noiseOf((s) => quickened[s] as number, motion);
  return log.wheels.map(({ kmh }, w) => {
    const sign = w === 0 ? 1 : -1;
    const quick = new Float32Array(n);
    for (let s = 0; s < n; s++) {
      const value = slow[s] === slow[s] ? (quickened[s] as number) : (difference[s] as number);
      quick[s] = value === value ? Math.min(0, sign * value) : Number.NaN;
    }
    return { quick, ...spread, restless: noiseOf(roughness(kmh), motion).noise };
  });
};

/**
 * Quick deviations of every wheel from the common motion.
 *
 * Slow ones (bends, slip of a driven axle, spin, another tyre) go with the median of each second. A quick swing into a
 * bend moves left and right apart on every axle alike, so what the other axles show of it is taken off, and the
 * smaller of the two deviations counts: a fault must stand out both ways.
 */
export const residualsOf = (
  log: WheelLog,
  gains: readonly number[],
  motion: Float32Array,
  interval: number,
): Residual[] => {
  const n = log.time.length;
  if (log.wheels.length === 2) return residualsOfTwo(log, gains, motion, interval);
  const block = Math.max(LEAST_BLOCK, Math.round(BLOCK_SECONDS / interval));
  const rough = log.wheels.map(({ kmh }, w) => {
    const e = new Float32Array(n);
    const inverse = 1 / (gains[w] as number);
    for (let s = 0; s < n; s++) {
      const m = motion[s] as number;
      const v = (kmh[s] as number) * inverse;
      e[s] = m > LOST_ABOVE_KMH && v < m * LOST_SHARE ? Number.NaN : v - m;
    }
    removeSlow(e, block);
    // A lost signal is a deviation too, once it can no longer drag the median with it.
    for (let s = 0; s < n; s++) {
      const m = motion[s] as number;
      const v = (kmh[s] as number) * inverse;
      if (m > LOST_ABOVE_KMH && v < m * LOST_SHARE) e[s] = v - m;
    }
    return e;
  });
  const axles = [...new Set(log.wheels.map((wheel) => axleOf(wheel.wheelEnd)))].flatMap((axle) => {
    const find = (side: -1 | 1) =>
      rough[log.wheels.findIndex(({ wheelEnd }) => axleOf(wheelEnd) === axle && sideSign(wheelEnd) === side)];
    const left = find(-1);
    const right = find(1);
    return left && right ? [{ axle, swing: swingOf(left, right, motion) }] : [];
  });
  return log.wheels.map(({ wheelEnd }, w) => {
    const mine = rough[w] as Float32Array;
    const sign = sideSign(wheelEnd);
    const others = axles.filter(({ axle }) => axle !== axleOf(wheelEnd));
    const quick = new Float32Array(n);
    const one = others[0]?.swing;
    const two = others[1]?.swing;
    if (sign === 0 || !one) quick.set(mine);
    else
      for (let s = 0; s < n; s++) {
        const value = mine[s] as number;
        const swing = two ? minmod(one[s] as number, two[s] as number) : (one[s] as number);
        quick[s] = swing === swing ? minmod(value, value - (sign * swing) / 2) : value;
      }
    return {
      quick,
      ...noiseOf((s) => quick[s] as number, motion),
      restless: noiseOf(roughness(log.wheels[w]?.kmh as Float32Array), motion).noise,
    };
  });
};

import type { WheelLog } from './wheelLog.ts';

/** Share of the reference speed below which a wheel counts as lost. */
export const LOST_SHARE = 0.5;
/** Below this speed in km/h nothing is called lost: most wheels read nothing when nearly standing. */
export const LOST_ABOVE_KMH = 3;

/** Sorts up to six values in place; insertion is fastest at this size. */
const sortFew = (a: Float64Array, n: number): void => {
  for (let i = 1; i < n; i++) {
    const value = a[i] as number;
    let k = i - 1;
    while (k >= 0 && (a[k] as number) > value) {
      a[k + 1] = a[k] as number;
      k--;
    }
    a[k + 1] = value;
  }
};

/**
 * The speed of the vehicle from its wheels, sample by sample, in km/h: the median of the wheels that are not lost.
 * With three wheels or more one that spins cannot set the standard: a wheel is lost below half of the second fastest.
 * NaN where no wheel has a sample.
 *
 * `gains`: reading over true speed of each wheel, divided out first.
 */
export const commonMotion = (log: WheelLog, gains: readonly number[]): Float32Array => {
  const n = log.time.length;
  const wheels = log.wheels.map((wheel) => wheel.kmh);
  const inverse = gains.map((gain) => 1 / gain);
  const motion = new Float32Array(n);
  const few = new Float64Array(wheels.length);
  const four = wheels.length === 4;
  const [w0, w1, w2, w3] = wheels as [Float32Array, Float32Array, Float32Array, Float32Array];
  const [g0, g1, g2, g3] = inverse as [number, number, number, number];
  for (let s = 0; s < n; s++) {
    if (four) {
      // The usual case, four sound wheels: the mean of the middle two without sorting.
      const a = (w0[s] as number) * g0;
      const b = (w1[s] as number) * g1;
      const c = (w2[s] as number) * g2;
      const d = (w3[s] as number) * g3;
      const low = Math.min(a, b, c, d);
      const high = Math.max(a, b, c, d);
      if (low >= high * LOST_SHARE) {
        motion[s] = (a + b + c + d - low - high) / 2;
        continue;
      }
    }
    let count = 0;
    for (let w = 0; w < wheels.length; w++) {
      const v = (wheels[w] as Float32Array)[s] as number;
      if (v === v) few[count++] = v * (inverse[w] as number);
    }
    if (count === 0) {
      motion[s] = Number.NaN;
      continue;
    }
    sortFew(few, count);
    if (count <= 2) {
      const [low, high] = [few[0] as number, few[count - 1] as number];
      motion[s] = low < high * LOST_SHARE ? high : (low + high) / 2;
      continue;
    }
    const floor = (few[count - 2] as number) * LOST_SHARE;
    let from = 0;
    while (from < count - 2 && (few[from] as number) < floor) from++;
    const left = count - from;
    const middle = from + (left >> 1);
    motion[s] =
      left % 2 === 1 ? (few[middle] as number) : ((few[middle - 1] as number) + (few[middle] as number)) / 2;
  }
  return motion;
};

/** The faster of two wheels: a dip of one does not look as if the vehicle braked. */
export const fasterOfTwo = (log: WheelLog, gains: readonly number[]): Float32Array => {
  const [a, b] = log.wheels as [WheelLog['wheels'][number], WheelLog['wheels'][number]];
  return a.kmh.map((v, s) => Math.max(v / (gains[0] as number), (b.kmh[s] as number) / (gains[1] as number)));
};

/**
 * Acceleration of the vehicle in m/s2 over about half a second around each sample. 0 where it cannot be told.
 */
export const accelerationOf = (time: Float64Array, motion: Float32Array, interval: number): Float32Array => {
  const n = motion.length;
  const reach = Math.max(1, Math.round(0.25 / interval));
  const acceleration = new Float32Array(n);
  for (let s = 0; s < n; s++) {
    const from = s < reach ? 0 : s - reach;
    const to = s + reach >= n ? n - 1 : s + reach;
    const dt = (time[to] as number) - (time[from] as number);
    const dv = (motion[to] as number) - (motion[from] as number);
    acceleration[s] = dt > 0 && dt < 2 && dv === dv ? dv / 3.6 / dt : 0;
  }
  return acceleration;
};

/**
 * Turns over which one unbroken phase is asked for: short stretches forgive a distance that drifts, long ones find
 * rare events. Long ones also go on through a standstill, where the wheel keeps its place.
 */
export const STRETCHES = [
  { turns: 40, slowest: 1.2 },
  { turns: 240, slowest: 0 },
] as const;
export type Stretching = (typeof STRETCHES)[number];

/** Times the speed of two samples a turn up to which a place may still be told. */
const FASTER = [1, 2, 5] as const;
/** A missing sample or two is bridged with the last speed; over a longer gap, in seconds, the place is lost. */
const BRIDGED_SECONDS = 0.4;

/** The way driven, sample by sample, and in which unbroken stretch each sample lies. */
export interface DistanceWalk {
  /** Metres by the common motion. */
  readonly metres: Float64Array;
  /** For each of `STRETCHES`. */
  readonly stretch: readonly Uint32Array[];
  /** Speeds in km/h up to which events are looked at, slowest first, and metres driven up to each. */
  readonly limits: readonly number[];
  readonly driven: readonly number[];
  readonly interval: number;
}

/** Sums up the way once for all wheels; each scales it by its own gain. `range` in metres a turn. */
export const walkDistance = (
  time: Float64Array,
  motion: Float32Array,
  interval: number,
  range: { readonly from: number; readonly to: number },
): DistanceWalk => {
  const n = time.length;
  const metresAt = new Float64Array(n);
  const stretch = STRETCHES.map(() => new Uint32Array(n));
  const [short, long] = stretch as [Uint32Array, Uint32Array];
  const middle = Math.sqrt(range.from * range.to);
  const seen = (range.from / interval / 2) * 3.6;
  const limits = FASTER.map((times) => seen * times);
  const fastest = limits.at(-1) ?? 0;
  const driven = limits.map(() => 0);
  const slowest = STRETCHES[0].slowest;
  const [longestShort, longestLong] = [STRETCHES[0].turns * middle, STRETCHES[1].turns * middle];
  let [metres, lastKmh, startShort, startLong, nthShort, nthLong] = [0, 0, 0, 0, 0, 0];
  for (let s = 1; s < n; s++) {
    const dt = (time[s] as number) - (time[s - 1] as number);
    const read = motion[s] as number;
    const kmh = read >= 0 ? read : lastKmh;
    lastKmh = kmh;
    const gap = dt > BRIDGED_SECONDS && dt > 3 * interval;
    if (gap || kmh < slowest || metres - startShort > longestShort) {
      if (metres > startShort) nthShort++;
      startShort = metres;
    }
    if (gap || metres - startLong > longestLong) {
      if (metres > startLong) nthLong++;
      startLong = metres;
    }
    if (!gap) {
      const step = (kmh / 3.6) * dt;
      metres += step;
      if (kmh < fastest) {
        let k = 0;
        while (kmh >= (limits[k] as number)) k++;
        driven[k] = (driven[k] as number) + step;
      }
    }
    metresAt[s] = gap ? Number.NaN : metres;
    short[s] = nthShort;
    long[s] = nthLong;
  }
  // Metres up to a limit hold those up to every lower one.
  for (let k = 1; k < driven.length; k++) driven[k] = (driven[k] as number) + (driven[k - 1] as number);
  return { metres: metresAt, stretch, limits, driven, interval };
};

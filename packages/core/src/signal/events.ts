import { bandOf, SLOWEST_SEEN_KMH, SPEED_BANDS, type Residual } from './residuals.ts';

/** One disturbance of one wheel: neighbouring samples that stand out together. */
export interface SignalEvent {
  /** First and last sample. */
  readonly from: number;
  readonly to: number;
  /** Sample of the greatest deviation. */
  readonly peak: number;
  /** Time of the peak in seconds. */
  readonly seconds: number;
  /** Speed of the vehicle at the peak, km/h. */
  readonly kmh: number;
  /** Deviation at the peak as a part of the speed: negative for a dip. */
  readonly depth: number;
  /** The vehicle sped up or braked hard meanwhile: slip looks alike. */
  readonly hard: boolean;
}

/** Standard deviations of noise from which a sample stands out. */
const SIGMAS = 4.5;
/** Part of the speed below which nothing is called an event, whatever the noise. */
const LEAST_DEPTH = 0.015;
/** Deceleration in m/s2 from which a tyre may slip. */
const HARD = 2.2;
/** A wheel slips, or rolls over a kerb, for about as long, in seconds around the hard moment. */
const HARD_REACH_SECONDS = 0.6;

/**
 * How far a sample must stand out per speed band, in km/h: from the wheel's own noise, but no more than a sound wheel
 * of this log would need, so that a wheel full of dips cannot hide in its own noise.
 */
export const thresholdsOf = (residuals: readonly Residual[], w: number, step: number): number[] =>
  SPEED_BANDS.map((_, band) => {
    const own = residuals[w]?.noise[band] ?? Number.NaN;
    const others = residuals
      .flatMap((r, i) => (i !== w && Number.isFinite(r.noise[band]) ? [r.noise[band] as number] : []))
      .sort((a, b) => a - b);
    const usual = others[others.length >> 1] ?? own;
    const noise = Math.min(Number.isFinite(own) ? own : usual, Math.max(usual, step / 3) * 2);
    return Math.max(Number.isFinite(noise) ? noise * SIGMAS : 0, step * 1.6);
  });

/** Pulling away, a driven wheel may spin: from this acceleration in m/s2 below this speed in km/h. */
const PULLING = 0.8;
const PULLING_KMH = 30;

/**
 * Samples within reach of hard braking or acceleration. With `pairOnly` pulling away counts too: where one wheel spins
 * and there is only one other, that one looks as if it dropped.
 */
export const hardMoments = (
  acceleration: Float32Array,
  motion: Float32Array,
  interval: number,
  pairOnly: boolean,
): Uint8Array => {
  const n = acceleration.length;
  const reach = Math.ceil(HARD_REACH_SECONDS / interval);
  const hard = new Uint8Array(n);
  let until = -1;
  for (let s = 0; s < n; s++) {
    const a = acceleration[s] as number;
    const pulling = pairOnly && a > PULLING && (motion[s] as number) < PULLING_KMH;
    if (pulling || a > HARD || a < -HARD) {
      for (let k = Math.max(0, s - reach); k < s; k++) hard[k] = 1;
      until = s + reach;
    }
    if (s <= until) hard[s] = 1;
  }
  return hard;
};

/** A wheel whose neighbour deviates so many times more at that moment only mirrors it. */
const MIRRORED = 1.4;

/** Finds the events of wheel `w`: what its neighbours show stronger at the same moment is theirs. At most `most` are kept; the count in `total` goes on. */
export const findEvents = (
  residuals: readonly Residual[],
  w: number,
  time: Float64Array,
  motion: Float32Array,
  hard: Uint8Array,
  thresholds: readonly number[],
  most = 40000,
): { events: SignalEvent[]; total: number } => {
  const { quick } = residuals[w] as Residual;
  const others = residuals.filter((_, i) => i !== w).map((residual) => residual.quick);
  const events: SignalEvent[] = [];
  let total = 0;
  let from = -1;
  let peak = 0;
  let sign = 0;
  let isHard = 0;
  const close = (to: number) => {
    const size = Math.abs(quick[peak] as number) * MIRRORED;
    if (others.some((other) => Math.abs(other[peak] as number) > size)) {
      from = -1;
      return;
    }
    total++;
    if (events.length < most)
      events.push({
        from,
        to,
        peak,
        seconds: time[peak] as number,
        kmh: motion[peak] as number,
        depth: (quick[peak] as number) / Math.max(1, motion[peak] as number),
        hard: isHard > 0,
      });
    from = -1;
  };
  const [slowest, band] = [SLOWEST_SEEN_KMH, bandOf];
  for (let s = 0; s < quick.length; s++) {
    const m = motion[s] as number;
    const value = quick[s] as number;
    const size = value < 0 ? -value : value;
    const stands = m > slowest && size > LEAST_DEPTH * m && size > (thresholds[band(m)] as number);
    if (from >= 0 && (!stands || value * sign < 0)) close(s - 1);
    if (!stands) continue;
    if (from < 0) {
      from = s;
      peak = s;
      sign = value < 0 ? -1 : 1;
      isHard = 0;
    }
    if (size > Math.abs(quick[peak] as number)) peak = s;
    isHard |= hard[s] as number;
  }
  if (from >= 0) close(quick.length - 1);
  return { events, total };
};

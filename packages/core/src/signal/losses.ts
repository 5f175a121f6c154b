import { LOST_SHARE } from './commonMotion.ts';
import type { WheelLog } from './wheelLog.ts';

/** How often and when a wheel's signal is gone. */
export interface Losses {
  /** Part of the moving samples at which the signal is gone. */
  readonly share: number;
  /** Separate losses, and the longest in seconds. */
  readonly episodes: number;
  readonly longest: number;
  /** The signal went and did not come back while driving on: the time in seconds it went, else null. */
  readonly goneSince: number | null;
  /** Samples moving, and of them without a number. */
  readonly moving: number;
  readonly missing: number;
  /** Lost and seen samples per km/h of vehicle speed, up to `SPEEDS`. */
  readonly lostAt: Float64Array;
  readonly seenAt: Float64Array;
}

const SPEEDS = 60;
/** A vehicle is moving above this speed in km/h. */
const MOVING_KMH = 5;
/** A wheel below half the common speed by so little, in km/h, may only be coarse. */
const LEAST_LOSS_KMH = 1.5;

/** Counts a wheel's losses. `hard` samples count for no separate loss: a locked tyre reads nothing too. */
export const lossesOf = (
  log: WheelLog,
  w: number,
  gain: number,
  motion: Float32Array,
  hard: Uint8Array,
): Losses => {
  const kmh = log.wheels[w]?.kmh as Float32Array;
  const lostAt = new Float64Array(SPEEDS);
  const seenAt = new Float64Array(SPEEDS);
  const inverse = 1 / gain;
  let moving = 0;
  let lost = 0;
  let missing = 0;
  let episodes = 0;
  let longest = 0;
  let since = -1;
  let started = 0;
  const share = LOST_SHARE;
  for (let s = 0; s < motion.length; s++) {
    const m = motion[s] as number;
    if (!(m > 1.5)) continue;
    const value = kmh[s] as number;
    if (m > MOVING_KMH) moving++;
    if (value !== value) {
      if (m > MOVING_KMH) missing++;
      continue;
    }
    const v = value * inverse;
    const isLost = v < m * share && m - v > LEAST_LOSS_KMH;
    if (m < SPEEDS) {
      const at = isLost ? lostAt : seenAt;
      at[Math.floor(m)] = (at[Math.floor(m)] as number) + 1;
    }
    if (m > MOVING_KMH) {
      if (isLost) {
        lost++;
        if (since < 0) {
          since = s;
          started = hard[s] as number;
        }
      } else if (since >= 0) {
        if (!started) {
          episodes++;
          longest = Math.max(longest, (log.time[s] as number) - (log.time[since] as number));
        }
        since = -1;
      }
    }
  }
  return {
    share: moving - missing > 0 ? lost / (moving - missing) : 0,
    episodes: episodes + (since >= 0 ? 1 : 0),
    longest,
    goneSince: since >= 0 ? (log.time[since] as number) : null,
    moving,
    missing,
    lostAt,
    seenAt,
  };
};

/** The speed below which a wheel's signal is lost, and how cleanly. */
export interface SpeedCut {
  readonly kmh: number;
  /** Part of the samples below it that are lost, and of those well above it. */
  readonly below: number;
  readonly wellAbove: number;
  /** Lost samples in all. */
  readonly lost: number;
}

/** Around the cut the signal comes and goes: from this many times the cut on it should be sound. */
const RAGGED = 1.3;

/**
 * Below which speed in km/h the signal is lost: where losses below and sound samples above part best.
 * Null when nothing is ever lost.
 */
export const lowSpeedCut = ({ lostAt, seenAt }: Losses): SpeedCut | null => {
  let best = { kmh: 0, below: 0, score: 0 };
  let lost = 0;
  let seen = 0;
  for (let kmh = 0; kmh < SPEEDS; kmh++) {
    lost += lostAt[kmh] as number;
    seen += seenAt[kmh] as number;
    if (lost - seen > best.score) best = { kmh: kmh + 1, below: lost / (lost + seen), score: lost - seen };
  }
  if (best.score <= 0) return null;
  const from = Math.ceil(best.kmh * RAGGED);
  const far = (at: Float64Array) => at.slice(from).reduce((sum, count) => sum + count, 0);
  const lostFar = far(lostAt);
  return { kmh: best.kmh, below: best.below, wellAbove: lostFar / Math.max(1, lostFar + far(seenAt)), lost };
};

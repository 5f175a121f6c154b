import { axleOf } from '../vocabulary/wheelEndWords.ts';
import { LOST_ABOVE_KMH, LOST_SHARE } from './commonMotion.ts';
import { meanNearMedian, modeOf } from './order.ts';
import { sideSign, type WheelLog } from './wheelLog.ts';

/** How each wheel reads against the vehicle. */
export interface Gains {
  /** Reading over true speed; NaN for a wheel with no speed to compare. */
  readonly ratios: number[];
  /** Set where the log cannot say which wheels are the true ones. */
  readonly ambiguous: string | null;
  /** Calm seconds the figures rest on. */
  readonly blocks: number;
}

/** Samples looked at: more do not make a ratio better. */
const MOST_SAMPLES = 200000;
/** Calm blocks, and straight ones, that are enough. */
const LEAST_BLOCKS = 12;
/** Slower than this in km/h the steps of a reading are coarser than the ratios sought. */
const SLOWEST_KMH = 9;
/** Acceleration in m/s2 below which tyre slip stays under half a percent. */
const CALM = 0.8;
/** Half difference of left and right (as a part of the speed) up to which the vehicle goes straight. */
const STRAIGHT = 0.006;
/** Wheels within this of each other are of one opinion: wear and pressure explain as much. */
const AGREE = 0.012;

/** Seconds averaged into one comparison, so that noise at walking pace does not hide whether it goes straight. */
const BLOCK_SECONDS = 1;

/** First samples of calm blocks: the vehicle neither speeds up nor brakes, and there is speed enough to compare. */
const calmBlocks = (
  motion: Float32Array,
  acceleration: Float32Array,
  slowest: number,
  length: number,
): Uint32Array => {
  const blocks = Math.floor(motion.length / length);
  const stride = Math.max(1, Math.floor((blocks * length) / MOST_SAMPLES));
  const calm = new Uint32Array(Math.ceil(blocks / stride));
  let count = 0;
  for (let b = 0; b < blocks; b += stride) {
    const from = b * length;
    let still = true;
    for (let s = from; s < from + length && still; s++)
      still = (motion[s] as number) > slowest && Math.abs(acceleration[s] as number) < CALM;
    if (still) calm[count++] = from;
  }
  return calm.subarray(0, count);
};

/** Mean logarithm of wheel over common speed in each block, near its median; NaN where the wheel was lost. */
const blockLogs = (
  kmh: Float32Array,
  motion: Float32Array,
  at: Uint32Array,
  length: number,
): Float64Array => {
  const [lowest, highest] = [LOST_SHARE, 1 / LOST_SHARE];
  const values = new Float64Array(at.length);
  const scratch = new Float64Array(length);
  for (let i = 0; i < at.length; i++) {
    const from = at[i] as number;
    let count = 0;
    let speed = 0;
    for (let s = from; s < from + length; s++) {
      const v = kmh[s] as number;
      const m = motion[s] as number;
      if (v > m * lowest && v < m * highest) {
        scratch[count++] = v / m;
        speed = m;
      }
    }
    values[i] =
      count * 2 < length ? Number.NaN : Math.log(meanNearMedian(scratch, count, 0.03 + 0.6 / speed));
  }
  return values;
};

interface Axle {
  readonly left: number;
  readonly right: number;
}

/**
 * Yaw at each sample as half the difference of right and left over the speed, and each axle's own imbalance.
 * An axle's imbalance against another is free of bends, since both see the same yaw; what all axles share is taken
 * where it crowds most, since a drive is straight more often than it bends by any one amount.
 */
const findYaw = (x: readonly Float64Array[], axles: readonly Axle[], n: number): Float64Array => {
  const yaw = new Float64Array(n);
  if (axles.length === 0) return yaw;
  const scratch = new Float64Array(n);
  const differences = axles.map(({ left, right }) => {
    const d = new Float64Array(n);
    const l = x[left] as Float64Array;
    const r = x[right] as Float64Array;
    for (let i = 0; i < n; i++) d[i] = ((r[i] as number) - (l[i] as number)) / 2;
    return d;
  });
  const first = differences[0] as Float64Array;
  const offsets = differences.map((d, a) => {
    if (a === 0) return 0;
    let count = 0;
    for (let i = 0; i < n; i++) {
      const value = (d[i] as number) - (first[i] as number);
      if (value === value) scratch[count++] = value;
    }
    return count === 0 ? 0 : meanNearMedian(scratch, count, 0.01);
  });
  for (let i = 0; i < n; i++) {
    let sum = 0;
    let count = 0;
    for (let a = 0; a < differences.length; a++) {
      const value = ((differences[a] as Float64Array)[i] as number) - (offsets[a] as number);
      if (value === value) {
        sum += value;
        count++;
      }
    }
    yaw[i] = count === 0 ? Number.NaN : sum / count;
  }
  let count = 0;
  for (let i = 0; i < n; i++) if (yaw[i] === yaw[i]) scratch[count++] = yaw[i] as number;
  const straight = modeOf(scratch, count, 0.0005, 6);
  for (let i = 0; i < n; i++) yaw[i] = (yaw[i] as number) - straight;
  return yaw;
};

/** The true speed is what most wheels agree on; a tie is told. */
const settleScale = (logs: readonly number[], log: WheelLog): { scale: number; ambiguous: string | null } => {
  const known = logs.flatMap((g, i) => (Number.isFinite(g) ? [{ g, i }] : []));
  const groups = known.map(({ g }) => known.filter((other) => Math.abs(other.g - g) <= AGREE));
  const largest = Math.max(0, ...groups.map((group) => group.length));
  if (largest === 0) return { scale: 0, ambiguous: null };
  const best = groups.filter((group) => group.length === largest);
  const group = best[0] as typeof known;
  const rival = best.find((other) => !other.some(({ i }) => group.some((mine) => mine.i === i)));
  const scale = group.reduce((sum, { g }) => sum + g, 0) / group.length;
  if (!rival) return { scale, ambiguous: null };
  const names = (which: typeof known) => which.map(({ i }) => log.wheels[i]?.wheelEnd).join(' and ');
  return {
    scale,
    ambiguous: `${names(rival)} differ from ${names(group)}; the log alone cannot say which are true, ${names(group)} were taken`,
  };
};

/**
 * Ratio of each wheel's reading to the true speed, with yaw free so that bends do not look like faults.
 * On calm, straight samples each wheel's share of the common speed is averaged near its median, so that drop-outs
 * do not bend it and the steps of a coarse reading even out. A vehicle speed in the log settles which wheels are true.
 */
export const findGains = (
  log: WheelLog,
  motion: Float32Array,
  acceleration: Float32Array,
  interval: number,
): Gains => {
  const length = Math.max(1, Math.round(BLOCK_SECONDS / interval));
  let at = calmBlocks(motion, acceleration, SLOWEST_KMH, length);
  if (at.length < LEAST_BLOCKS) at = calmBlocks(motion, acceleration, LOST_ABOVE_KMH + 1, length);
  const n = at.length;
  const x = log.wheels.map(({ kmh }) => blockLogs(kmh, motion, at, length));
  const axles = [...new Set(log.wheels.map(({ wheelEnd }) => axleOf(wheelEnd)))].flatMap((axle) => {
    const find = (side: -1 | 1) =>
      log.wheels.findIndex(
        ({ wheelEnd }, w) =>
          axleOf(wheelEnd) === axle &&
          sideSign(wheelEnd) === side &&
          (x[w] as Float64Array).some((value) => value === value),
      );
    const left = find(-1);
    const right = find(1);
    return left < 0 || right < 0 ? [] : [{ left, right }];
  });
  const yaw = findYaw(x, axles, n);
  let straight = 0;
  for (let i = 0; i < n; i++) if (Math.abs(yaw[i] as number) <= STRAIGHT) straight++;
  const widest = straight >= LEAST_BLOCKS ? STRAIGHT : Infinity;

  const signs = log.wheels.map(({ wheelEnd }) => sideSign(wheelEnd));
  const logs = log.wheels.map(() => 0);
  const scratch = new Float64Array(n);
  const level = new Float64Array(n);
  const few = new Float64Array(x.length);
  for (let round = 0; round < 4; round++) {
    for (let i = 0; i < n; i++) {
      let count = 0;
      for (let w = 0; w < x.length; w++) {
        const value = ((x[w] as Float64Array)[i] as number) - (signs[w] as number) * (yaw[i] as number);
        if (value === value && Number.isFinite(logs[w])) few[count++] = value - (logs[w] as number);
      }
      level[i] = count === 0 ? Number.NaN : meanNearMedian(few, count, 0.02);
    }
    for (let w = 0; w < x.length; w++) {
      let count = 0;
      for (let i = 0; i < n; i++) {
        if (Math.abs(yaw[i] as number) > widest) continue;
        const value =
          ((x[w] as Float64Array)[i] as number) -
          (signs[w] as number) * (yaw[i] as number) -
          (level[i] as number);
        if (value === value) scratch[count++] = value;
      }
      logs[w] = count < 3 ? Number.NaN : meanNearMedian(scratch, count, 0.02);
    }
  }
  let { scale, ambiguous } = settleScale(logs, log);
  if (log.vehicle) {
    let count = 0;
    for (let i = 0; i < n; i++) {
      const s = at[i] as number;
      const v = log.vehicle[s] as number;
      if (v > 1 && Math.abs(yaw[i] as number) <= widest)
        scratch[count++] = Math.log(v / (motion[s] as number)) - (level[i] as number);
    }
    const seen = count < LEAST_BLOCKS ? Number.NaN : meanNearMedian(scratch, count, 0.02);
    // A vehicle speed off by more than a tyre could be is in another unit or from one of the wheels.
    if (Number.isFinite(seen) && Math.abs(seen - scale) < 0.15 && ambiguous) {
      scale = seen;
      ambiguous = null;
    }
  }
  return { ratios: logs.map((g) => Math.exp(g - scale)), ambiguous, blocks: n };
};

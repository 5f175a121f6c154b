import { axleOf } from '../vocabulary/wheelEndWords.ts';
import { LOST_ABOVE_KMH, LOST_SHARE } from './commonMotion.ts';
import { meanNearMedian } from './order.ts';
import { findStraight } from './straight.ts';
import { sideSign, type WheelLog } from './wheelLog.ts';

/** How each wheel reads against the vehicle. */
export interface Gains {
  /** Reading over true speed; NaN for a wheel with no speed to compare. */
  readonly ratios: number[];
  /** Set where the log cannot say which wheels are the true ones. */
  readonly ambiguous: string | null;
  /** Calm seconds the figures rest on. */
  readonly blocks: number;
  /** How far off a ratio may be because no stretch was straight. */
  readonly error: number;
  /** How each wheel would read if straight ahead lay where it might as well: bends and a ratio look alike. */
  readonly rival: number[] | null;
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

/** A ratio is not known better than this: where straight ahead lies leaves as much open. */
const LEAST_ERROR = 0.001;

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

/** Yaw before it is known where straight ahead lies, and how much each axle's imbalance differs from the first's. */
interface RawYaw {
  readonly raw: Float64Array;
  readonly offsets: readonly number[];
}

/**
 * Yaw at each block as half the difference of right and left over the speed. An axle's imbalance against another is
 * free of bends, since both see the same yaw; what all axles share is not, see `findStraight`.
 */
const rawYaw = (x: readonly Float64Array[], axles: readonly Axle[], n: number): RawYaw => {
  const raw = new Float64Array(n);
  if (axles.length === 0) return { raw, offsets: [] };
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
    raw[i] = count === 0 ? Number.NaN : sum / count;
  }
  return { raw, offsets };
};

/** How much faster the first axle runs than the last, as a logarithm, in each block; NaN where either is unknown. */
const axleLead = (x: readonly Float64Array[], axles: readonly Axle[], n: number): Float64Array => {
  const lead = new Float64Array(n).fill(Number.NaN);
  const front = axles[0];
  const rear = axles.at(-1);
  if (!front || !rear || front === rear) return lead;
  for (let i = 0; i < n; i++)
    lead[i] =
      ((x[front.left] as Float64Array)[i] as number) / 2 +
      ((x[front.right] as Float64Array)[i] as number) / 2 -
      ((x[rear.left] as Float64Array)[i] as number) / 2 -
      ((x[rear.right] as Float64Array)[i] as number) / 2;
  return lead;
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
  const { raw, offsets } = rawYaw(x, axles, n);
  const speeds = Float64Array.from(at, (from) => motion[from] as number);
  const { steering } = log;
  const found = findStraight({
    raw,
    offsets,
    speeds,
    lead: axleLead(x, axles, n),
    severalAxles:
      new Set(
        log.wheels.flatMap(({ wheelEnd }, w) =>
          (x[w] as Float64Array).some((value) => value === value) ? [axleOf(wheelEnd)] : [],
        ),
      ).size > 1,
    steering: steering ? Float64Array.from(at, (from) => steering[from + (length >> 1)] as number) : null,
  });
  const read = (straight: number) => gainsAround(log, x, raw, straight, found.bow);
  const here = read(found.straight);
  const { yaw, widest, level } = here;
  const { logs } = here;
  let { scale, ambiguous } = settleScale(logs, log);
  const scratch = new Float64Array(n);
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
  const ratios = logs.map((g) => Math.exp(g - scale));
  const error = found.bowError * here.bent ** 2 + LEAST_ERROR;
  if (found.rival === null) return { ratios, ambiguous, blocks: n, error, rival: null };
  const other = read(found.rival);
  const otherScale = settleScale(other.logs, log).scale;
  return {
    ratios,
    ambiguous,
    blocks: n,
    error,
    rival: other.logs.map((g) => Math.exp(g - otherScale)),
  };
};

/** Each wheel's gain when straight ahead lies at `straight`: averaged over the straightest blocks there are. */
const gainsAround = (
  log: WheelLog,
  x: readonly Float64Array[],
  raw: Float64Array,
  straight: number,
  bow: number,
): { logs: number[]; yaw: Float64Array; widest: number; level: Float64Array; bent: number } => {
  const n = raw.length;
  const yaw = raw.map((value) => value - straight);
  const bends = yaw
    .map((value) => Math.abs(value))
    .filter((value) => value === value)
    .sort();
  // Where hardly anything is straight the straightest blocks must do.
  const widest = Math.max(STRAIGHT, bends[Math.min(bends.length - 1, LEAST_BLOCKS - 1)] ?? Infinity);
  // By its place: the first axle is the first also where one of its wheels is dead.
  const first = Math.min(...log.wheels.map(({ wheelEnd }) => axleOf(wheelEnd)));
  const onFront = log.wheels.map(({ wheelEnd }) => axleOf(wheelEnd) === first);
  const signs = log.wheels.map(({ wheelEnd }) => sideSign(wheelEnd));
  const logs = log.wheels.map(() => 0);
  const scratch = new Float64Array(n);
  const level = new Float64Array(n);
  const few = new Float64Array(x.length);
  // In a bend the first axle runs on a wider circle than the last.
  const plain = (w: number, i: number): number => {
    const y = yaw[i] as number;
    return ((x[w] as Float64Array)[i] as number) - (signs[w] as number) * y - (onFront[w] ? bow * y * y : 0);
  };
  for (let round = 0; round < 4; round++) {
    for (let i = 0; i < n; i++) {
      let count = 0;
      for (let w = 0; w < x.length; w++) {
        const value = plain(w, i);
        if (value === value && Number.isFinite(logs[w])) few[count++] = value - (logs[w] as number);
      }
      level[i] = count === 0 ? Number.NaN : meanNearMedian(few, count, 0.02);
    }
    for (let w = 0; w < x.length; w++) {
      let count = 0;
      for (let i = 0; i < n; i++) {
        if (Math.abs(yaw[i] as number) > widest) continue;
        const value = plain(w, i) - (level[i] as number);
        if (value === value) scratch[count++] = value;
      }
      logs[w] = count < 3 ? Number.NaN : meanNearMedian(scratch, count, 0.02);
    }
  }
  // How much the blocks used bend, in the middle of them.
  const used = bends.filter((value) => value <= widest);
  return { logs, yaw, widest, level, bent: used[used.length >> 1] ?? 0 };
};

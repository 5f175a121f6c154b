import type { Random } from '../../chance/random.ts';

/** How a drive is driven. */
export const DRIVES = ['yard', 'town', 'road', 'mixed'] as const;
/** Drives in which a straight stretch is rare: lanes that wind, circles in a yard, a route that bends one way only. */
export const WINDING_DRIVES = ['winding', 'circles', 'one-sided'] as const;
export type Drive = (typeof DRIVES)[number] | (typeof WINDING_DRIVES)[number];

/** Speed (m/s), acceleration (m/s2) and yaw rate (rad/s) at each step of time. */
export interface DriveProfile {
  readonly speed: Float64Array;
  readonly acceleration: Float64Array;
  readonly yaw: Float64Array;
}

const TARGETS: Readonly<Record<Drive, readonly [low: number, high: number, stop: number]>> = {
  yard: [4, 20, 0.2],
  town: [12, 55, 0.25],
  road: [45, 105, 0.03],
  mixed: [5, 90, 0.15],
  winding: [12, 60, 0.12],
  circles: [6, 16, 0.1],
  'one-sided': [12, 55, 0.15],
};

/** Chance that a stretch is straight, where it is not an even coin. */
const STRAIGHT: Readonly<Partial<Record<Drive, number>>> = { winding: 0.08, circles: 0, 'one-sided': 0.3 };

/** Most sideways acceleration of an ordinary driver, m/s2. */
const SIDEWAYS = 2.2;

/**
 * A made-up drive: legs of speeding up, holding and braking, with bends as tight as the speed allows.
 * `bends` scales how often it bends; `brisk` how hard it speeds up and brakes.
 */
export const driveProfile = (
  random: Random,
  drive: Drive,
  seconds: number,
  dt: number,
  { bends = 1, brisk = 1 }: { bends?: number; brisk?: number } = {},
): DriveProfile => {
  const n = Math.round(seconds / dt);
  const speed = new Float64Array(n);
  const acceleration = new Float64Array(n);
  const yaw = new Float64Array(n);
  const [low, high, stops] = TARGETS[drive];
  let v = random.chance(0.5) ? 0 : random.between(low, high) / 3.6;
  let goal = random.between(low, high) / 3.6;
  let push = random.between(0.6, 1.8) * brisk;
  let holdUntil = 0;
  let wander = 0;
  let bendUntil = 0;
  let curvature = 0;
  let bend = 0;
  // Which way a drive of one kind of bend goes, and how wide its circle is.
  const oneWay = drive === 'circles' || drive === 'one-sided' ? (random.chance(0.5) ? 1 : -1) : 0;
  const circle = drive === 'circles' ? 1 / random.between(7, 16) : 0;
  for (let i = 0; i < n; i++) {
    const t = i * dt;
    let a = 0;
    if (Math.abs(goal - v) > push * dt) a = Math.sign(goal - v) * push;
    else if (t > holdUntil) {
      goal = random.chance(stops) ? 0 : random.between(low, high) / 3.6;
      push = (goal < v ? random.between(0.8, 3.2) : random.between(0.5, 2)) * brisk;
      holdUntil = t + Math.abs(goal - v) / push + random.between(2, goal === 0 ? 6 : 18);
    } else if (v > 1) {
      wander += (-wander * 0.5 + random.normal() * 0.25) * Math.sqrt(dt);
      a = wander;
    }
    v = Math.max(0, v + a * dt);
    if (t > bendUntil) {
      const straight = random.chance(STRAIGHT[drive] ?? 0.55);
      const tightest = Math.min(1 / 6, SIDEWAYS / Math.max(1, v * v));
      const sign = () => (oneWay !== 0 ? oneWay : random.chance(0.5) ? 1 : -1);
      if (straight) bend = 0;
      else if (circle > 0) bend = sign() * Math.min(tightest, circle * random.between(0.92, 1.1));
      else bend = random.between(0.1, 1) * tightest * sign() * bends;
      bendUntil = t + (straight ? random.between(3, 12) : random.between(1.5, 7));
    }
    curvature += ((bend - curvature) / 0.5) * dt;
    const most = SIDEWAYS / Math.max(1, v * v);
    const held = Math.max(-most, Math.min(most, curvature));
    speed[i] = v;
    acceleration[i] = a;
    yaw[i] = held * v;
  }
  return { speed, acceleration, yaw };
};

import type { Random } from '@hardy/core/chance';

/** Samples of a drive are so far apart, s: 50 Hz, as fast as a reader can show. */
export const STEP_S = 0.02;

/** A drive: what the vehicle does, sample by sample. */
export interface Drive {
  readonly steps: number;
  /** Of the middle of the rear axle, m/s; below nought it rolls back. */
  readonly speed: Float32Array;
  /** Turning to the left, rad/s. */
  readonly yaw: Float32Array;
  /** Change of speed, m/s2. */
  readonly push: Float32Array;
  /** 1 where a wheel meets a bump. */
  readonly bump: Uint8Array;
  readonly wet: boolean;
  /** At the sensors, degC. */
  readonly celsius: Float32Array;
}

/** A stretch: seconds, speed to reach in km/h, turning in degrees a second, bumps a second. */
type Stretch = readonly [seconds: number, kmh: number, turning: number, bumps: number];

/** Drives as people make them to try a vehicle, and as they use it. */
export const CYCLES = {
  yard: [
    [6, 5, 0, 0.2],
    [8, 8, 20, 0.2],
    [6, 4, 0, 0.3],
    [8, 10, -20, 0.2],
    [6, 6, 0, 0.2],
    [4, 0, 0, 0],
  ],
  town: [
    [10, 30, 0, 0.3],
    [6, 20, 12, 0.4],
    [12, 50, 0, 0.3],
    [5, 0, 0, 0.2],
    [3, 0, 0, 0],
    [10, 35, 0, 0.6],
    [6, 15, -14, 0.4],
    [10, 45, 0, 0.3],
    [6, 0, 0, 0.2],
  ],
  road: [
    [15, 70, 0, 0.3],
    [20, 90, 0.5, 0.3],
    [10, 60, -2, 0.4],
    [10, 80, 0, 0.3],
    [10, 0, 0, 0.1],
  ],
  reverse: [
    [8, -6, 8, 0.1],
    [4, 0, 0, 0],
  ],
  kerb: [
    [4, 6, 0, 0.2],
    [1, 4, 5, 3],
    [4, 6, 0, 0.2],
    [3, 0, 0, 0],
  ],
  'wet stop': [
    [8, 40, 0, 0.3],
    [9, 0, 0, 0.2],
  ],
} as const satisfies Record<string, readonly Stretch[]>;
export type Cycle = keyof typeof CYCLES;

/** Drivers of vans and cars pull away and brake about so hard, m/s2. */
const PULL = 1.4;
const BRAKE = 2.4;
const AMBIENT_C = 15;
/** What braking and rolling add to the temperature at the hub after long use, and how slowly, K and s. */
const WARMS_BY = 75;
const WARMS_OVER_S = 500;

/**
 * A drive of several cycles, one after the other.
 * @param usedBefore seconds the vehicle was driven before: a hub is warm after ten minutes, cold in a test drive
 */
export const driveOf = (
  cycles: readonly Cycle[],
  random: Random,
  { wet = false, usedBefore = 0 }: { wet?: boolean; usedBefore?: number } = {},
): Drive => {
  const stretches = cycles.flatMap((cycle): readonly Stretch[] => CYCLES[cycle]);
  const steps = Math.round(stretches.reduce((sum, [seconds]) => sum + seconds, 0) / STEP_S);
  const drive = {
    steps,
    speed: new Float32Array(steps),
    yaw: new Float32Array(steps),
    push: new Float32Array(steps),
    bump: new Uint8Array(steps),
    wet,
    celsius: new Float32Array(steps),
  };
  let i = 0;
  let now = 0;
  for (const [seconds, kmh, turning, bumps] of stretches)
    for (const end = i + Math.round(seconds / STEP_S); i < end && i < steps; i++) {
      const wanted = kmh / 3.6;
      const change = Math.max(-BRAKE * STEP_S, Math.min(PULL * STEP_S, wanted - now));
      now += change;
      drive.speed[i] = now;
      drive.push[i] = change / STEP_S;
      drive.yaw[i] = (turning * Math.PI) / 180;
      drive.bump[i] = now !== 0 && random.next() < bumps * STEP_S ? 1 : 0;
      drive.celsius[i] = AMBIENT_C + WARMS_BY * (1 - Math.exp(-(usedBefore + i * STEP_S) / WARMS_OVER_S));
    }
  return drive;
};

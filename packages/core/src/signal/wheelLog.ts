import type { WheelEnd } from '../vocabulary/wheelEnd.ts';

/** A recorded drive: times in seconds, rising; speeds in km/h, NaN where a sample is missing. */
export interface WheelLog {
  readonly time: Float64Array;
  readonly wheels: ReadonlyArray<{ readonly wheelEnd: WheelEnd; readonly kmh: Float32Array }>;
  /** The vehicle's own speed, when the log has it from elsewhere than the wheels. km/h. */
  readonly vehicle: Float32Array | null;
  /** Angle of the steering wheel in degrees, where it was logged. */
  readonly steering?: Float32Array | null;
  /** What was forgiven or guessed in reading it. */
  readonly notes: readonly string[];
}

/** 1 for the right side, -1 for the left, 0 at the centre. */
export const sideSign = (wheelEnd: WheelEnd): -1 | 0 | 1 =>
  wheelEnd[2] === 'R' ? 1 : wheelEnd[2] === 'L' ? -1 : 0;

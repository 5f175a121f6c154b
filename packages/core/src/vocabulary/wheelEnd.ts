import { z } from 'zod';

/** Highest axle number the application handles: the longest road trains on one brake controller have fewer. */
export const MAX_AXLES = 9;

/**
 * A wheel end: axle counted from the front, then the side as seated facing forward. `A2C` is a sender at the
 * centre of axle 2 (differential or gearbox output).
 */
export const WheelEnd = z
  .string()
  .regex(/^A[1-9][LRC]$/, 'is not a wheel end; write the axle and the side, such as A1L, A2R or A2C');
export type WheelEnd = z.infer<typeof WheelEnd>;

/** An axle (`A2`) or a wheel end (`A2L`), as keys of the vehicle's architecture. */
export const AxleOrWheelEnd = z
  .string()
  .regex(/^A[1-9][LRC]?$/, 'is not an axle or a wheel end; write A1, A2L or A2C');

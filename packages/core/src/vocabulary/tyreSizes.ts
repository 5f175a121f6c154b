import { z } from 'zod';
import { WheelEnd } from './wheelEnd.ts';

/** Tyre size as written on the sidewall, by wheel end. The text is kept; geometry is worked out in `checks/`. */
export const TyreSizes = z.record(WheelEnd, z.string().min(1).max(40));
export type TyreSizes = z.infer<typeof TyreSizes>;

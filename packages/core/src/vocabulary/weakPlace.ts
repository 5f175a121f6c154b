import { z } from 'zod';
import { WheelEnd } from './wheelEnd.ts';
import { Cause } from './words.ts';

/** Where a vehicle line keeps failing: so many of the jobs at a wheel end. */
export const WeakPlace = z.object({
  wheelEnd: WheelEnd,
  cause: Cause,
  n: z.number(),
  of: z.number(),
  /** In whose words, such as "lead chafed at the tank strap"; null where nobody said. */
  place: z.string().nullable(),
});
export type WeakPlace = z.infer<typeof WeakPlace>;

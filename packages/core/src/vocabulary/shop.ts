import { z } from 'zod';
import { School } from './docket.ts';
import { Side } from './words.ts';

/** What one shop sets for itself. `overrides` are its changes to the assumptions. */
export const ShopSettings = z.object({
  name: z.string().min(1).max(120).default('The counter'),
  trafficSide: Side.default('right'),
  currency: z
    .string()
    .refine((letters) => Intl.supportedValuesOf('currency').includes(letters), {
      error: ({ input }) =>
        `"${String(input)}" is not a currency; write the three letters of ISO 4217, such as EUR`,
    })
    .default('EUR'),
  school: School.default('test-first'),
  units: z.enum(['metric', 'imperial']).default('metric'),
  overrides: z.record(z.string(), z.number()).default({}),
});
export type ShopSettings = z.infer<typeof ShopSettings>;

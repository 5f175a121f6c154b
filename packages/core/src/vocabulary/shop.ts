import { z } from 'zod';
import { School } from './docket.ts';
import { HouseWayChange, HouseWays } from './houseWays.ts';
import { LONGEST } from './longest.ts';
import { Side } from './words.ts';

const FIELDS = {
  name: z.string().min(1).max(120),
  trafficSide: Side,
  currency: z.string().refine((letters) => Intl.supportedValuesOf('currency').includes(letters), {
    error: ({ input }) =>
      `"${String(input)}" is not a currency; write the three letters of ISO 4217, such as EUR`,
  }),
  school: School,
  units: z.enum(['metric', 'imperial']),
  /** What a customer calls with a result. */
  phone: z.string().max(LONGEST.phone).nullable(),
  /** Whether what closed jobs teach counts. */
  learning: z.boolean(),
};

/** What one shop sets for itself. `overrides` are its changes to the assumptions. */
export const ShopSettings = z.object({
  name: FIELDS.name.default('The counter'),
  trafficSide: FIELDS.trafficSide.default('right'),
  currency: FIELDS.currency.default('EUR'),
  school: FIELDS.school.default('test-first'),
  units: FIELDS.units.default('metric'),
  phone: FIELDS.phone.default(null),
  /** How it does what practitioners differ on. */
  ways: HouseWays.prefault({}),
  overrides: z.record(z.string(), z.number()).default({}),
  learning: FIELDS.learning.default(true),
  /** Learned numbers that are held where they were put, by name. */
  frozen: z.record(z.string().max(200), z.number()).default({}),
});
export type ShopSettings = z.infer<typeof ShopSettings>;

/** A change of them: only what is changed. A number of judgement that is null goes back to its default, a frozen one to what is learned. */
export const ShopChange = z
  .strictObject({
    ...FIELDS,
    ways: HouseWayChange,
    overrides: z.record(z.string(), z.number().nullable()),
    frozen: z.record(z.string().max(200), z.number().nullable()),
  })
  .partial()
  .refine((change) => Object.keys(change).length > 0, { error: 'says nothing to change' });
export type ShopChange = z.infer<typeof ShopChange>;

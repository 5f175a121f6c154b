import { z } from 'zod';
import { ShopSettings } from '../vocabulary/shop.ts';

/** One judgement number with its unit, range and reason. */
export const AssumptionLine = z.object({
  key: z.string(),
  value: z.number(),
  unit: z.string(),
  min: z.number(),
  max: z.number(),
  reason: z.string(),
});
export type AssumptionLine = z.infer<typeof AssumptionLine>;

/** A docket whose answer a change of settings turned. */
export const Turned = z.object({
  id: z.string(),
  number: z.number().int(),
  before: z.string(),
  after: z.string(),
});
export type Turned = z.infer<typeof Turned>;

/** The settings with their version: it counts up with every change. */
export const ShopView = ShopSettings.extend({ version: z.number().int().min(0) });
export type ShopView = z.infer<typeof ShopView>;

/** What the change that made a version did to the dockets on the counter, as far as it has been looked at. */
export const TurnedAnswer = z.object({
  version: z.number().int().min(0),
  turned: z.array(Turned),
  looked: z.number().int(),
  done: z.boolean(),
});
export type TurnedAnswer = z.infer<typeof TurnedAnswer>;

/** A vehicle line to choose from. */
export const VehicleLine = z.object({
  id: z.string(),
  name: z.string(),
  kind: z.string(),
  builtFrom: z.string(),
  builtTo: z.string().nullable(),
});
export type VehicleLine = z.infer<typeof VehicleLine>;

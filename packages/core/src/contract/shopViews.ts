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

/** Settings as they were kept, and what the change did to the dockets on the counter. */
export const SettingsAnswer = z.object({
  settings: ShopSettings,
  turned: z.array(Turned),
  /** How many dockets were looked at for it. */
  looked: z.number().int(),
});
export type SettingsAnswer = z.infer<typeof SettingsAnswer>;

/** A vehicle line to choose from. */
export const VehicleLine = z.object({
  id: z.string(),
  name: z.string(),
  kind: z.string(),
  builtFrom: z.string(),
  builtTo: z.string().nullable(),
});
export type VehicleLine = z.infer<typeof VehicleLine>;

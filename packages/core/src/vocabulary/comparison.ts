import { z } from 'zod';
import { AllIn, CostPart, OrderLine } from './advice.ts';
import { School } from './docket.ts';
import { PART_CLASSES } from './wordLists.ts';
import { WheelEnd } from './wheelEnd.ts';

const money = z.number();
const probability = z.number().min(0).max(1);

/** One part of a way, fitted at one wheel end. */
export const WayPart = z.object({
  part: z.enum(PART_CLASSES),
  wheelEnd: WheelEnd,
  partNumber: z.string().nullable(),
  tier: z.string().nullable(),
  brand: z.string().nullable(),
});
export type WayPart = z.infer<typeof WayPart>;

/** One way of fixing the job, with all it is expected to cost. Money in the shop's currency. */
export const ComparedWay = z.object({
  /** The same way has the same id on every machine: `sensor@A2L:WS30026`, `work:seating`, `refer`. */
  id: z.string(),
  label: z.string(),
  /** Work without a part done in the same visit, in words. */
  work: z.string().nullable(),
  kind: z.enum(['parts', 'work', 'refer']),
  parts: z.array(WayPart),
  cures: probability,
  /** Parts and companions at this customer's prices, at list prices, and what they cost the shop where that is known. */
  price: money,
  listPrice: money,
  costPrice: money.nullable(),
  deposit: money,
  labourHours: z.number().min(0),
  waitDays: z.number().min(0),
  from: z.enum(['shelf', 'branch', 'supplier', 'not-known']),
  /** Chance that a separate sensor breaks when it is drawn out; null where none is drawn. */
  seizure: probability.nullable(),
  /** What is certain to be paid: parts, labour, supplies, tax, fee. */
  sure: money,
  allIn: AllIn,
  /** Of the mean of the draws; the mean itself is exact. */
  standardError: z.number().min(0),
  costs: z.array(CostPart),
  lines: z.array(OrderLine),
  because: z.array(z.string()),
});
export type ComparedWay = z.infer<typeof ComparedWay>;

export const Comparison = z.object({
  format: z.literal('hardy-spoke/comparison'),
  version: z.literal(1),
  currency: z.string(),
  wheelEnd: WheelEnd,
  seed: z.number().int(),
  draws: z.number().int().min(1),
  /** Cheapest on average first. */
  ways: z.array(ComparedWay),
  /** `beats[i][j]`: chance that way i costs less than way j on the same luck. */
  beats: z.array(z.array(probability)),
  schools: z.array(z.object({ school: School, label: z.string(), way: z.string().nullable() })),
  /** The cheapest way that does something else than the first one: what it is held against. */
  rival: z.string().nullable(),
  /** One sentence to say aloud. */
  sentence: z.string(),
  /** Tax on parts and work, percent. */
  taxPercent: z.number().min(0),
  /** Days a quote made now holds. */
  quoteDays: z.number().min(1),
  /** Prices from elsewhere beside ours, with the same risks counted as on our best way. */
  elsewhere: z.array(
    z.object({
      label: z.string(),
      /** What is certain to be paid there, and with us for what is not in it. */
      sure: money,
      mean: money,
      /** Above zero: dearer than our best way, on average. */
      gap: money,
      sentence: z.string(),
    }),
  ),
  /**
   * For one who would do it alone: what that saves on the best way in money spent, the hours it takes, and whether that is
   * worth it by their own figure. Their hours are in that figure, so they are not charged beside it.
   */
  ownWork: z
    .object({
      garage: money,
      own: money,
      saves: money,
      hours: z.number().min(0),
      from: money,
      worthIt: z.boolean(),
      sentence: z.string(),
    })
    .nullable(),
  /** What driving meanwhile would save and risk, where the best way must be waited for. */
  meanwhile: z
    .object({ parked: money, driven: money, allowed: z.boolean(), sentence: z.string() })
    .nullable(),
});
export type Comparison = z.infer<typeof Comparison>;

/** Inputs that can be dragged to see where the answer flips. */
export const DIALS = ['seizure', 'hub-price', 'labour-rate', 'idle-day', 'horizon', 'comeback'] as const;
export const Dial = z.enum(DIALS);
export type Dial = z.infer<typeof Dial>;

/** How the answer hangs on one input. */
export const Sensitivity = z.object({
  dial: Dial,
  label: z.string(),
  unit: z.string(),
  low: z.number(),
  high: z.number(),
  at: z.number(),
  /** Where the cheapest way changes, and to which. */
  flips: z.array(z.object({ at: z.number(), from: z.string(), to: z.string() })),
  /** By how much the best way leads the best of another kind at the plausible ends of the input; below zero it trails. */
  swing: z.object({ low: z.number(), lowAt: z.number(), high: z.number(), highAt: z.number() }),
});
export type Sensitivity = z.infer<typeof Sensitivity>;

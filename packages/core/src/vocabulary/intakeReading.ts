import { z } from 'zod';
import { Check } from './check.ts';
import {
  CustomerKind,
  Doubt,
  DocketCode,
  DocketSymptom,
  DocketVehicle,
  HistoryEvent,
  Reader,
} from './docket.ts';
import { Wish } from './sale.ts';
import { TyreSizes } from './tyreSizes.ts';
import { WheelEnd } from './wheelEnd.ts';
import { PositionNeed } from './words.ts';

const PositionRole = z.enum(['corner', 'past', 'denied']);

export const ReadPosition = z.object({
  text: z.string(),
  wheelEnds: z.array(WheelEnd),
  needs: PositionNeed.nullable(),
  role: PositionRole.optional(),
  /** The word that ties it to the position before. */
  joinedBy: z.enum(['and', 'or', 'so']).nullish(),
  /** Its axle was said with another place of the sentence. */
  carried: z.boolean().optional(),
});
export type ReadPosition = z.infer<typeof ReadPosition>;

export const PositionConflict = z.object({ texts: z.array(z.string()), because: z.string() });
export type PositionConflict = z.infer<typeof PositionConflict>;

const ChipKind = z.enum([
  'vehicle',
  'code',
  'corner',
  'complaint',
  'history',
  'check',
  'tyre',
  'wish',
  'left-over',
]);

/** One thing read, with the words it came from (`start` and `end` are character offsets into the text). */
export const Chip = z.object({
  kind: ChipKind,
  label: z.string(),
  words: z.string(),
  start: z.number().int(),
  end: z.number().int(),
  note: z.string().nullable(),
  /** Where the clause stands in which it was said. */
  clause: z.object({ start: z.number().int(), end: z.number().int() }).nullish(),
  /** Wheels it is of, for what speaks of a wheel; empty where that was not said. */
  wheelEnds: z.array(WheelEnd).nullish(),
  /** Its wheel was said in another clause. */
  carried: z.boolean().nullish(),
  /** Several wheels are possible: it is asked. */
  asked: z.boolean().nullish(),
  /** Names the chip in a request that moves it to another wheel; it outlives typing elsewhere in the text. */
  key: z.string().nullish(),
  /** Path of the fact in a docket made of this reading, such as `checks[0]`. */
  path: z.string().nullish(),
  /** A person moved it. */
  moved: z.boolean().nullish(),
});
export type Chip = z.infer<typeof Chip>;

/** What was read from free text or a scan report. */
export const IntakeReading = z.object({
  format: z.literal('hardy-spoke/intake'),
  version: z.literal(1),
  positions: z.array(ReadPosition),
  conflicts: z.array(PositionConflict),
  codes: z.array(DocketCode),
  symptoms: z.array(DocketSymptom),
  history: z.array(HistoryEvent),
  checks: z.array(Check),
  tyres: TyreSizes,
  vehicle: DocketVehicle,
  /** How far the reader at hand reaches, where that was said. */
  reader: Reader.nullish(),
  /** What the customer wants, in the docket's words. */
  wants: z.array(z.string()).nullish(),
  codesCleared: z.boolean().nullish(),
  customer: z
    .object({
      name: z.string().nullish(),
      phone: z.string().nullish(),
      firm: z.string().nullish(),
      kind: CustomerKind.nullish(),
    })
    .nullish(),
  budgetCents: z.number().int().nullish(),
  neededBy: z.iso.date().nullish(),
  wishes: z.array(Wish).nullish(),
  /** What was heard but cannot be placed or is doubtful, once each, with the words it came from. */
  asks: z.array(z.object({ about: z.string(), ask: z.string(), words: z.string() })).nullish(),
  /** Words of danger that became no fact; the docket keeps them and asks. */
  doubts: z.array(Doubt).nullish(),
  leftOver: z.array(z.string()),
  chips: z.array(Chip),
  notes: z.array(z.string()),
});
export type IntakeReading = z.infer<typeof IntakeReading>;

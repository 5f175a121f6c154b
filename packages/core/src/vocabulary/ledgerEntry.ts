import { z } from 'zod';
import { KNOWN_BY } from './wordLists.ts';
import { OutcomeResult } from './docket.ts';
import { LONGEST } from './longest.ts';
import { WheelEnd } from './wheelEnd.ts';
import { Action, Cause, Knuckle, PartClass, SaltExposure, SensorType } from './words.ts';

/* One closed docket as the ledger counts it: what was said, what was done, what came of it. No customer stands in it. */

const chance = z.number().min(0).max(1);
const cents = z.number().int();

/** Where on a vehicle: its steered axle, one behind it, the centre of an axle, or all of it. */
const LEDGER_PLACES = ['front', 'rear', 'centre', 'shared'] as const;
export const LedgerPlace = z.enum(LEDGER_PLACES);
export type LedgerPlace = z.infer<typeof LedgerPlace>;

/** So much of a whole is a cause at a place. */
export const CauseShare = z.object({
  cause: Cause,
  place: LedgerPlace,
  p: chance,
  /** By how much learning had moved it when it was said. */
  moved: z.number().positive().optional(),
});
export type CauseShare = z.infer<typeof CauseShare>;

/** What is known of drawing the old sensor. */
export const SeizureTrial = z.object({
  knuckle: Knuckle.nullable(),
  salt: SaltExposure.nullable(),
  /** Years it sat in its bore. */
  years: z.number().min(0).max(100),
  /** The chance that was said. */
  said: chance,
  /** The chance by judgement alone. */
  judged: chance,
  snapped: z.boolean(),
});
export type SeizureTrial = z.infer<typeof SeizureTrial>;

export const LedgerEntry = z.object({
  docket: z.number().int(),
  soldOn: z.iso.date(),
  closedOn: z.iso.date(),
  line: z.string().max(LONGEST.vehicleId).nullable(),
  lineName: z.string().max(LONGEST.vehicleName).nullable(),
  /** How the sensors are built, where it is known. */
  builds: z.object({ front: SensorType.nullable(), rear: SensorType.nullable() }),
  wheelEnd: WheelEnd.nullable(),
  parts: z.array(PartClass).max(6),
  partNumber: z.string().max(LONGEST.partNumber).nullable(),
  tier: z.string().max(20).nullable(),
  supplier: z.string().max(LONGEST.supplier).nullable(),
  batch: z.string().max(60).nullable(),
  desk: z.string().max(60).nullable(),
  /** What was said when it was sold; null where the advice of that day is not known. */
  said: z
    .object({
      action: Action,
      part: PartClass.nullable(),
      causes: z.array(CauseShare).max(60),
      cures: chance,
      hours: z.number().nullable(),
      money: z.object({ mean: z.number(), low: z.number(), high: z.number() }).nullable(),
    })
    .nullable(),
  /** Whether what was sold is what was advised. */
  followed: z.boolean().nullable(),
  /** Shares of the causes before anything was found, by judgement alone. */
  expected: z.array(CauseShare).max(60),
  /** Shares of the causes when all was known. */
  truth: z.array(CauseShare).max(60),
  /** How much all of it counts: little where nobody was heard. */
  weight: chance,
  /** What was found at the wheel, by table of the checks. */
  checks: z.array(z.object({ table: z.string().max(40), result: z.string().max(40) })).max(40),
  result: OutcomeResult,
  /** Cured by what was sold first. */
  firstTime: z.boolean().nullable(),
  cause: Cause.nullable(),
  /** Where the cause was, if that is elsewhere than the part went. */
  truePlace: LedgerPlace.nullish(),
  /** How the cause is known; null where nobody told it. */
  told: z.enum(['told', ...KNOWN_BY]).nullable(),
  at: z.string().max(200).nullable(),
  comeback: z.boolean(),
  returned: z.number().int().min(0),
  badFromBox: z.number().int().min(0),
  /** Pieces of the main part that left. */
  sold: z.number().int().min(0),
  seizure: SeizureTrial.nullable(),
  hours: z.number().nullable(),
  spentCents: cents.nullable(),
  marginCents: cents.nullable(),
  /** From opening to taking. */
  minutes: z.number().min(0).nullable(),
});
export type LedgerEntry = z.infer<typeof LedgerEntry>;

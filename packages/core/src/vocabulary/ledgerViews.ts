import { z } from 'zod';

/* What the ledger shows. */

const Interval = z.object({ mean: z.number(), low: z.number(), high: z.number() });

/** So many of so many, and where the share most likely lies; null where nothing was counted. */
export const LedgerShare = z.object({ n: z.number(), of: z.number(), interval: Interval.nullable() });
export type LedgerShare = z.infer<typeof LedgerShare>;

const Mix = z.array(z.object({ name: z.string(), n: z.number() }));

/** Jobs that are looked at together, with what they are made of. */
export const LedgerGroup = z.object({
  jobs: z.number(),
  cured: LedgerShare,
  wrongPart: LedgerShare,
  comeback: LedgerShare,
  said: Interval.nullable(),
  parts: Mix,
  lines: Mix,
  causes: Mix,
});
export type LedgerGroup = z.infer<typeof LedgerGroup>;

export const LedgerFigures = z.object({
  jobs: z.number(),
  neverHeard: z.number(),
  cured: LedgerShare,
  wrongPart: LedgerShare,
  comeback: LedgerShare,
  returned: LedgerShare,
  badFromBox: LedgerShare,
  snapped: LedgerShare,
  marginCents: z.number(),
  marginEach: Interval.nullable(),
  minutes: Interval.nullable(),
  months: z.array(
    z.object({ month: z.string(), jobs: z.number(), cured: LedgerShare, comeback: LedgerShare }),
  ),
  followed: LedgerGroup,
  overruled: LedgerGroup,
});
export type LedgerFigures = z.infer<typeof LedgerFigures>;

const CALIBRATED = ['causes', 'cures', 'snaps', 'comebacks'] as const;
const Scores = z.object({ said: z.number(), baseRate: z.number(), before: z.number().nullable() });

/** When it said so much in a hundred, how often it was so. */
export const Calibration = z.object({
  kinds: z.array(
    z.object({
      kind: z.enum(CALIBRATED),
      /** How many times something was said. */
      said: z.number(),
      bins: z.array(z.object({ from: z.number(), to: z.number(), meanSaid: z.number(), share: LedgerShare })),
      /** Mean squared error and mean log score: of what was said, of always saying the base rate, of last month’s tables. */
      brier: Scores,
      log: Scores,
    }),
  ),
  /** Bands that should hold eighty in a hundred. */
  bands: z.array(z.object({ kind: z.enum(['money']), share: LedgerShare })),
  /** Hours told against hours said. */
  hours: z.object({ n: z.number(), ratio: Interval.nullable() }),
});
export type Calibration = z.infer<typeof Calibration>;

/** A number that was learned, beside what judgement says of it. */
export const LearnedLine = z.object({
  key: z.string(),
  line: z.string().nullable(),
  name: z.string(),
  prior: z.number(),
  learned: z.number(),
  low: z.number(),
  high: z.number(),
  /** What counts now: learned, frozen or set by the shop. */
  inForce: z.number(),
  held: z.enum(['learned', 'too-few', 'frozen', 'shop']),
  jobs: z.number(),
  sound: z.boolean(),
});
export type LearnedLine = z.infer<typeof LearnedLine>;

/** A part of which too many came back bad. */
export const BadPart = z.object({
  partNumber: z.string(),
  tier: z.string(),
  bad: z.number(),
  sold: z.number(),
  /** Of which batch, where it was read off the part. */
  batches: z.array(z.object({ batch: z.string(), bad: z.number() })),
  interval: Interval,
});
export type BadPart = z.infer<typeof BadPart>;

/** An order of which nobody said what came of it. */
export const Unheard = z.object({
  id: z.string(),
  number: z.number().int(),
  customerName: z.string().nullable(),
  phone: z.string().nullable(),
  vehicleName: z.string().nullable(),
  headline: z.string(),
  parts: z.string().nullable(),
  handedOn: z.string(),
  /** What to ask. */
  ask: z.string(),
  /** So long without a word that it is taken as never heard of. */
  late: z.boolean(),
});
export type Unheard = z.infer<typeof Unheard>;

/** What an earlier sale says to a vehicle or a customer that is here again. */
export const Comeback = z.object({
  id: z.string(),
  number: z.number().int(),
  sameVehicle: z.boolean(),
  partNumber: z.string().nullable(),
  what: z.string(),
  wheelEnd: z.string().nullable(),
  part: z.string().nullable(),
  tier: z.string().nullable(),
  soldOn: z.string(),
  daysAgo: z.number(),
  /** What was advised that day. */
  advised: z.string(),
  warrantyUntil: z.string().nullable(),
  underWarranty: z.boolean(),
  outcome: z.string().nullable(),
  linked: z.boolean(),
});
export type Comeback = z.infer<typeof Comeback>;

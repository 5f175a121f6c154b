import { z } from 'zod';
import { LONGEST, MOST_CENTS, MOST_PIECES } from './longest.ts';
import { WheelEnd } from './wheelEnd.ts';
import { CLAIM_STATES } from './wordLists.ts';
import { PartClass } from './words.ts';

/* What a docket holds of the sale beside the order itself. */

const text = (max: number) => z.string().max(max);
const cents = z.number().int().min(0).max(MOST_CENTS);
const pieces = z.number().int().min(1).max(MOST_PIECES);
const partNumber = text(LONGEST.partNumber).min(1);

/** Pieces the customer took away, and when. */
export const Handed = z.object({ partNumber, quantity: pieces, on: z.iso.date() });
export type Handed = z.infer<typeof Handed>;

/** Pieces the customer brought back, opened or as they left; `bad` from the box is exchanged and claimed. */
export const Returned = z.object({
  partNumber,
  quantity: pieces,
  opened: z.boolean(),
  bad: z.boolean().nullish(),
  on: z.iso.date(),
});
export type Returned = z.infer<typeof Returned>;

/** Old parts the customer brought in for their deposit. */
export const CoreBack = z.object({ partNumber, quantity: pieces, on: z.iso.date() });
export type CoreBack = z.infer<typeof CoreBack>;

/** When a part will be here, and who said so. */
export const Promised = z.object({ partNumber, on: z.iso.date(), by: text(LONGEST.customerName) });
export type Promised = z.infer<typeof Promised>;

/** A claim on a part that failed: what was found on it, and what its supplier says. */
export const Claim = z.object({
  partNumber,
  quantity: pieces,
  on: z.iso.date(),
  /** It was bad before it was fitted. */
  fromBox: z.boolean(),
  batch: text(60).nullish(),
  /** The returned part, metered on the bench and looked at. */
  ohms: z.union([z.number().min(0).max(1e9), z.literal('open'), z.literal('unsteady')]).nullish(),
  looked: text(300).nullish(),
  state: z.enum(CLAIM_STATES),
  answeredOn: z.iso.date().nullish(),
  answer: text(300).nullish(),
  settled: z.enum(['refund', 'exchange']).nullish(),
  refundCents: cents.nullish(),
});
export type Claim = z.infer<typeof Claim>;

/** What a price from elsewhere is of. */
export const ELSEWHERE_KINDS = ['dealer', 'garage', 'part', 'used', 'brought'] as const;

/** A price from elsewhere that the customer names: it stands beside ours as a way of its own. */
export const Elsewhere = z.object({
  kind: z.enum(ELSEWHERE_KINDS),
  what: text(LONGEST.description),
  /** All that is asked there: parts, work and tax. */
  cents,
  /** Asked there for finding out, before anything is done. */
  feeCents: cents.nullish(),
  /** Whether work is in it; a part alone still has to be fitted. */
  withWork: z.boolean(),
});
export type Elsewhere = z.infer<typeof Elsewhere>;

/** A way put on a quote, with the figures of that day. */
export const QuotedWay = z.object({
  way: text(200),
  label: text(200),
  /** What is fitted where; none where it is work alone. */
  parts: z
    .array(z.object({ part: PartClass, wheelEnd: WheelEnd, tier: text(20).nullable() }))
    .max(6)
    .nullish(),
  partsCents: cents,
  workCents: cents,
  workHours: z.number().min(0).max(1000),
  taxCents: cents,
  depositCents: cents,
  cures: z.number().min(0).max(1),
  waitDays: z.number().min(0).max(1000),
});
export type QuotedWay = z.infer<typeof QuotedWay>;

/** A quote: what was offered, on which day, and until when it holds. Its number is the docket’s with its own behind it. */
export const Quote = z.object({
  number: z.number().int().min(1).max(1000),
  on: z.iso.date(),
  until: z.iso.date(),
  withWork: z.boolean(),
  taxPercent: z.number().min(0).max(100),
  ways: z.array(QuotedWay).max(12),
});
export type Quote = z.infer<typeof Quote>;

/** What must be cured and what the customer can live with. */
export const Wish = z.object({ what: text(200).min(1), matters: z.enum(['must', 'can-live']) });
export type Wish = z.infer<typeof Wish>;

/** So many speeds of a wheel are kept of a stretch. */
export const KEPT_SPEEDS = 120;

/** A stretch of a wheel-speed log, thinned: in each of its columns the lowest and the highest speed of a wheel. */
export const KeptStretch = z.object({
  name: text(200),
  /** Seconds of the log. */
  from: z.number().min(0).max(1e7),
  to: z.number().min(0).max(1e7),
  wheels: z
    .array(
      z.object({
        wheelEnd: WheelEnd,
        kmh: z.array(z.number().min(0).max(500).nullable()).max(KEPT_SPEEDS),
      }),
    )
    .max(20),
});
export type KeptStretch = z.infer<typeof KeptStretch>;

/** What was seen when the fix was proved. */
export const Proof = z.object({
  /** The wheel speeds before the fix, and after it. */
  before: KeptStretch.nullish(),
  after: KeptStretch.nullish(),
  /** Lamps out after so many metres. */
  lampsOutMetres: z.number().min(0).max(1e6).nullish(),
  /** Wheel speeds of the axle agree within so much. */
  speedsWithinPercent: z.number().min(0).max(100).nullish(),
  codesBack: z.boolean().nullish(),
});
export type Proof = z.infer<typeof Proof>;

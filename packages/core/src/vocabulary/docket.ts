import { z } from 'zod';
import { Check, CHECK_NAMES } from './check.ts';
import { LONGEST, MOST_CENTS, MOST_PIECES } from './longest.ts';
import { DOUBTS, GOT_OUT, KNOWN_BY, OLD_SENSOR, OUTCOME_RESULTS, READERS, SCHOOLS } from './wordLists.ts';
import { Claim, CoreBack, Elsewhere, Handed, Promised, Proof, Quote, Returned, Wish } from './sale.ts';
import { TyreSizes, TyreSizeText } from './tyreSizes.ts';
import { AxleOrWheelEnd, MAX_AXLES, WheelEnd } from './wheelEnd.ts';
import {
  Cause,
  CodeStatus,
  Cured,
  Driveline,
  EventName,
  Knuckle,
  Mounting,
  PartClass,
  SaltExposure,
  SensorType,
  Side,
  Symptom,
  Target,
} from './words.ts';

const text = (max: number) => z.string().max(max);

/** What is known of the sensing at one axle or wheel end. Null or absent: not known. */
export const WheelEndArchitecture = z.object({
  sensor: SensorType.nullish(),
  mounting: Mounting.nullish(),
  target: Target.nullish(),
  ringSoldAlone: z.boolean().nullish(),
});
export type WheelEndArchitecture = z.infer<typeof WheelEndArchitecture>;

/** A date known to the year, the month or the day. */
export const PartialDate = z
  .string()
  .regex(
    /^\d{4}(-(0[1-9]|1[0-2])(-(0[1-9]|[12]\d|3[01]))?)?$/,
    'is not a date; write YYYY, YYYY-MM or YYYY-MM-DD',
  );

export const DocketVehicle = z.object({
  catalogueId: text(LONGEST.vehicleId).nullish(),
  name: text(LONGEST.vehicleName).nullish(),
  vin: text(LONGEST.vin).nullish(),
  fleetNumber: text(LONGEST.fleetNumber).nullish(),
  plate: text(LONGEST.plate).nullish(),
  axles: z.number().int().min(1).max(MAX_AXLES).nullish(),
  steeringSide: Side.nullish(),
  trafficSide: Side.nullish(),
  buildDate: PartialDate.nullish(),
  driveline: Driveline.nullish(),
  saltExposure: SaltExposure.nullish(),
  knuckle: Knuckle.nullish(),
  distanceKm: z.number().min(0).max(5e6).nullish(),
  electric: z.boolean().nullish(),
  wheelEnds: z.record(AxleOrWheelEnd, WheelEndArchitecture).nullish(),
  tyres: TyreSizes.nullish(),
  /** What splits the fitment and was found out: hub maker, brake code, plug colour. */
  attributes: z
    .record(text(LONGEST.attribute), text(LONGEST.attribute))
    .refine((found) => Object.keys(found).length <= 50, { message: 'has more than 50 entries' })
    .nullish(),
  /** Size the vehicle was built with. */
  originalTyre: TyreSizeText.nullish(),
});
export type DocketVehicle = z.infer<typeof DocketVehicle>;

export const DocketCode = z.object({
  module: text(LONGEST.module).nullish(),
  code: text(LONGEST.code),
  text: text(LONGEST.codeText).nullish(),
  status: CodeStatus.nullish(),
  wheelEnd: WheelEnd.nullish(),
});
export type DocketCode = z.infer<typeof DocketCode>;

export const HistoryEvent = z.object({
  event: EventName,
  wheelEnd: WheelEnd.nullish(),
  daysAgo: z.number().min(0).max(36525).nullish(),
  cured: Cured.nullish(),
  daysUntilReturn: z.number().min(0).max(36525).nullish(),
});
export type HistoryEvent = z.infer<typeof HistoryEvent>;

/** A complaint, plain or with what became of it since something was done: one may be cured while another stays. */
export const DocketSymptom = z.union([Symptom, z.object({ is: Symptom, cured: Cured.nullish() })]);
export type DocketSymptom = z.infer<typeof DocketSymptom>;

/** How far the reader at hand reaches: every controller, the engine only, or there is none. */
export const Reader = z.enum(READERS);
export type Reader = z.infer<typeof Reader>;

/** A way the shop likes to work: a cost policy, not separate code. */
export const School = z.enum(SCHOOLS);
export type School = z.infer<typeof School>;

/** Every number of the assumptions changed at once takes less than half of it. */
const MOST_OPTIONS = 100_000;

/**
 * Overrides for this docket. `assumptions` takes any key of the assumptions table; the named fields are the ones
 * people change daily. Money is in the shop's currency.
 */
const DocketOptions = z
  .looseObject({
    labourRate: z.number().min(0).max(1000).nullish(),
    school: School.nullish(),
    prices: z.partialRecord(PartClass, z.number().min(0).max(100000)).nullish(),
    stock: z.partialRecord(PartClass, z.number().int().min(0)).nullish(),
    assumptions: z.record(z.string(), z.number()).nullish(),
    /** What is known of the old sensor in its bore; `chance` is a person's own estimate and wins over all of it. */
    seizure: z
      .object({
        housing: z.enum(['plastic', 'metal']).nullish(),
        coated: z.boolean().nullish(),
        soakedHours: z.number().min(0).max(1000).nullish(),
        chance: z.number().min(0).max(1).nullish(),
        /** The old sensor is out already, or it snapped and the rest is still in its bore. */
        old: z.enum(OLD_SENSOR).nullish(),
        /** Where that is; null: at every wheel the docket speaks of. */
        oldAt: WheelEnd.nullish(),
      })
      .nullish(),
    /** While the part is awaited: stand still, or drive with the lamp lit, which the customer decides. */
    meanwhile: z.enum(['parked', 'driven']).nullish(),
  })
  .refine((options) => JSON.stringify(options).length <= MOST_OPTIONS, {
    message: `is longer than ${MOST_OPTIONS} characters of JSON; give only what this docket changes`,
  });

export const CustomerKind = z.enum(['garage', 'fleet', 'self']);
const Customer = z.object({
  name: text(LONGEST.customerName).nullish(),
  phone: text(LONGEST.phone).nullish(),
  /** Firm, school, department. */
  firm: text(LONGEST.customerName).nullish(),
  kind: CustomerKind.nullish(),
});

const cents = z.number().int().min(0).max(MOST_CENTS);

/** One part of what was taken, at one wheel end. */
const ChosenPart = z.object({
  part: PartClass,
  wheelEnd: WheelEnd,
  partNumber: text(LONGEST.partNumber).nullish(),
});

/** A line of the order as it was when it was taken. Money in hundredths of the currency, whole. */
export const OrderedLine = z.object({
  partNumber: text(LONGEST.partNumber).nullable(),
  description: text(LONGEST.description),
  brand: text(LONGEST.brand).nullable(),
  tier: text(20).nullable(),
  quantity: z.number().int().min(1).max(MOST_PIECES),
  unitCents: cents,
  listCents: cents,
  depositCents: cents,
  bin: text(LONGEST.bin).nullable(),
  why: text(LONGEST.why),
  /** Where it is fitted; null for what serves the whole order. */
  wheelEnd: WheelEnd.nullish(),
  /** Goes along with a part. */
  companion: z.boolean().nullish(),
});
export type OrderedLine = z.infer<typeof OrderedLine>;

/** An older docket kept prices as fractions: they are read as whole hundredths. */
const inCents = (value: unknown): unknown => {
  if (typeof value !== 'object' || value === null) return value;
  const { price, allInMean, ...rest } = value as Record<string, unknown>;
  return {
    ...(typeof price === 'number' ? { priceCents: Math.round(price * 100) } : {}),
    ...(typeof allInMean === 'number' ? { allInMeanCents: Math.round(allInMean * 100) } : {}),
    ...rest,
  };
};

/**
 * The offer the customer took. Figures are as shown when it was taken, so that a later price change rewrites nothing.
 * `part` and `wheelEnd` name the main part; `parts` all of them where more are fitted in one go.
 */
export const ChosenOffer = z.preprocess(
  inCents,
  z.object({
    part: PartClass,
    wheelEnd: WheelEnd,
    partNumber: text(LONGEST.partNumber).nullish(),
    /** The way of the comparison it came from, and its words. */
    way: text(200).nullish(),
    label: text(200).nullish(),
    parts: z.array(ChosenPart).max(6).nullish(),
    lines: z.array(OrderedLine).max(60).nullish(),
    /** Day it was taken. */
    on: z.iso.date().nullish(),
    /** What would have gone along and was left out at the customer’s wish. */
    skipped: z.array(OrderedLine).max(60).nullish(),
    priceCents: cents,
    allInMeanCents: cents,
    cures: z.number().min(0).max(1),
  }),
);
export type ChosenOffer = z.infer<typeof ChosenOffer>;

/** A way that was compared and not taken, and why not. */
export const DeclinedOffer = z.object({
  way: text(200),
  label: text(200),
  allInMeanCents: cents,
  because: text(300),
  /** Advised, and declined all the same: it is printed. */
  advised: z.boolean().nullish(),
});
export type DeclinedOffer = z.infer<typeof DeclinedOffer>;

export const OutcomeResult = z.enum(OUTCOME_RESULTS);
export type OutcomeResult = z.infer<typeof OutcomeResult>;

/** What happened in the end: the thing the next answer learns from. */
export const Outcome = z.object({
  result: OutcomeResult,
  trueCause: Cause.nullish(),
  /** Where that was, if elsewhere than the part went. */
  trueWheelEnd: WheelEnd.nullish(),
  knownBy: z.enum(KNOWN_BY).nullish(),
  /** Complaints that stayed. */
  stayed: z.array(Symptom).max(20).nullish(),
  /** Days until it came back. */
  afterDays: z.number().min(0).max(36525).nullish(),
  /** Whether the old sensor snapped, and how the rest was got out. */
  snapped: z.boolean().nullish(),
  gotOut: z.enum(GOT_OUT).nullish(),
  /** What it took: hours of work, and all that was paid. */
  hours: z.number().min(0).max(1000).nullish(),
  spentCents: cents.nullish(),
  /** The check that told. */
  toldBy: z.enum(CHECK_NAMES).nullish(),
  /** Where on the vehicle it was, such as "lead chafed at the tank strap". */
  place: text(200).nullish(),
  /** Number of the docket it came back on. */
  backOn: z.number().int().min(1).nullish(),
  /** Day it was heard. */
  on: z.iso.date().nullish(),
  note: text(1000).nullish(),
});
export type Outcome = z.infer<typeof Outcome>;

/** So many words that were not understood are kept. */
export const MOST_LEFT_OVER = 200;

const list = <T extends z.ZodType>(item: T, max: number) => z.array(item).max(max).nullish();

/** A word of danger that was heard but not surely meant: it is asked until it is answered. */
export const Doubt = z.object({
  about: z.enum(DOUBTS),
  words: text(400),
  wheelEnd: WheelEnd.nullish(),
});
export type Doubt = z.infer<typeof Doubt>;

/** One customer's job. Absent and null both mean not known. */
export const Docket = z.object({
  format: z.literal('hardy-spoke/docket'),
  version: z.literal(1),
  vehicle: DocketVehicle.nullish(),
  codes: list(DocketCode, 500),
  symptoms: list(DocketSymptom, 50),
  history: list(HistoryEvent, 100),
  checks: list(Check, 200),
  wheelEnd: WheelEnd.nullish(),
  options: DocketOptions.nullish(),
  /** The customer's own words, as typed or pasted. */
  words: text(20000).nullish(),
  /** Words the reading could not use; kept visible. */
  leftOver: list(text(400), MOST_LEFT_OVER),
  doubts: list(Doubt, 20),
  /** Corner phrases as read, so that a disagreement stays on the docket until it is answered. */
  positions: list(
    z.object({
      text: text(200),
      wheelEnds: z.array(WheelEnd).max(20),
      needs: z.enum(['steeringSide', 'trafficSide', 'axle', 'side']).nullish(),
      role: z.enum(['corner', 'past', 'denied']).nullish(),
      joinedBy: z.enum(['and', 'or', 'so']).nullish(),
      carried: z.boolean().nullish(),
    }),
    50,
  ),
  /** Names of the controllers that were read, so that their silence counts. */
  modulesRead: list(text(80), 60),
  /** Whether codes were cleared and read again since the battery or the last work. */
  codesCleared: z.boolean().nullish(),
  reader: Reader.nullish(),
  /** What the customer wants: `self`, `both-sides`, `cheapest`, `today`, `just-the-part`, or free words. */
  wants: list(text(200), 20),
  customer: Customer.nullish(),
  chosen: ChosenOffer.nullish(),
  declined: list(DeclinedOffer, 40),
  outcome: Outcome.nullish(),
  handed: list(Handed, 120),
  returned: list(Returned, 120),
  /** Old parts that came in for their deposit. */
  coresBack: list(CoreBack, 60),
  promised: list(Promised, 60),
  /** Every supplier and branch was asked: it is not to be had. */
  askedEverywhere: z.boolean().nullish(),
  quotes: list(Quote, 20),
  elsewhere: list(Elsewhere, 10),
  wishes: list(Wish, 20),
  /** Day by which it must run. */
  neededBy: z.iso.date().nullish(),
  budgetCents: cents.nullish(),
  proof: Proof.nullish(),
  /** Number of the docket that this one came back from. */
  comebackOf: z.number().int().min(1).nullish(),
  claims: list(Claim, 40),
  /** The desk it was sold at. */
  desk: text(60).nullish(),
});
export type Docket = z.infer<typeof Docket>;

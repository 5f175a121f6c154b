import { z } from 'zod';
import { column } from './catalogueColumn.ts';
import { PartialDate, WheelEndArchitecture } from './docket.ts';
import { LONGEST, MOST_CENTS, MOST_PIECES, MOST_STOCK } from './longest.ts';
import { TyreSizeText } from './tyreSizes.ts';
import { AxleOrWheelEnd, WheelEnd } from './wheelEnd.ts';
import { Driveline, Knuckle, Mounting, PartClass, SaltExposure, SensorType, Side, Target } from './words.ts';

/*
 * Each row is declared here once: heading, cell, column of the database and API follow from its field
 * (`catalogueFiles/columns.ts`). A field more is a line here and a migration.
 */

const word = (most: number) => z.string().min(1).max(most);
const cents = () => z.number().int().min(0).max(MOST_CENTS);
const pieces = () => z.number().int().min(0).max(MOST_STOCK);

const vehicleId = word(LONGEST.vehicleId).register(column, { refersTo: 'vehicle', indexed: true });
const indexed = <T extends z.ZodType>(schema: T): T => {
  column.add(schema, { indexed: true });
  return schema;
};

/** Quality tiers, dearest first. */
export const Tier = z.enum(['dealer', 'good', 'budget']);
export type Tier = z.infer<typeof Tier>;

/** Whether a part is new, renewed in exchange for the old one, or taken from another vehicle. */
export const PartState = z.enum(['new', 'exchange', 'used']);
export type PartState = z.infer<typeof PartState>;

/** Who sends parts: how many days it takes, and until when an order goes out the same day. */
export const Supplier = z.object({
  id: word(LONGEST.supplier),
  name: word(LONGEST.vehicleName),
  days: z.number().min(0).max(1000),
  /** HH:MM, local time; null where any time will do. */
  orderUntil: z
    .string()
    .regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'is not a time; write HH:MM')
    .nullable(),
  phone: word(LONGEST.phone).nullable(),
  note: z.string().max(LONGEST.note).nullable(),
});
export type Supplier = z.infer<typeof Supplier>;

/** A line of vehicles the catalogue knows. */
export const CatalogueVehicle = z.object({
  id: word(LONGEST.vehicleId),
  make: indexed(word(LONGEST.vehicleWord)),
  model: indexed(word(LONGEST.vehicleWord)),
  /** What is under the body, shared with other lines. */
  platform: word(LONGEST.vehicleWord).nullable().default(null),
  /** Everyday words for it: minibus, gritter, pickup. */
  kind: indexed(word(LONGEST.vehicleWord)),
  builtFrom: PartialDate,
  builtTo: PartialDate.nullable(),
  axles: z.number().int().min(1).max(9),
  driveline: Driveline,
  steeringSide: Side.nullable(),
  knuckle: Knuckle.nullable(),
  electric: z.boolean(),
  tyre: TyreSizeText.nullable(),
  /** Which maker's code dictionary its controllers use. */
  dictionary: word(LONGEST.vehicleWord).nullable(),
  wheelEnds: z.record(AxleOrWheelEnd, WheelEndArchitecture).default({}).register(column, { elsewhere: true }),
});
export type CatalogueVehicle = z.infer<typeof CatalogueVehicle>;

/** How one axle or wheel end of a vehicle senses. */
export const SensingLine = z.object({
  vehicleId,
  position: AxleOrWheelEnd.clone().register(column, { onAxle: true }),
  sensor: SensorType.nullable(),
  mounting: Mounting.nullable(),
  target: Target.nullable(),
  ringSoldAlone: z.boolean().nullable(),
});
export type SensingLine = z.infer<typeof SensingLine>;

/** One vehicle of the fleet the counter looks after. */
export const FleetVehicle = z.object({
  fleetNumber: word(LONGEST.fleetNumber),
  plate: indexed(word(LONGEST.plate).nullable()),
  vin: indexed(word(LONGEST.vin).nullable()),
  vehicleId,
  buildDate: PartialDate.nullable(),
  saltExposure: SaltExposure.nullable(),
  distanceKm: z.number().min(0).max(5e6).nullable(),
  note: z.string().max(LONGEST.note).nullable(),
});
export type FleetVehicle = z.infer<typeof FleetVehicle>;

/** A part on the shelf. `companion` is what goes along: bolts, clips, seals, grease. Money in cents. */
export const CataloguePart = z.object({
  number: word(LONGEST.partNumber),
  partClass: indexed(z.union([PartClass, z.literal('companion')])),
  tier: Tier,
  brand: word(LONGEST.brand),
  description: word(LONGEST.description),
  priceCents: cents().register(column, { heading: 'price', as: 'money' }),
  stock: pieces(),
  bin: word(LONGEST.bin).nullable(),
  supplierDays: z.number().min(0).max(1000),
  warrantyMonths: z.number().int().min(0).max(600),
  /** Pieces in a pack, and pieces at the branch. */
  packQuantity: z.number().int().min(1).max(10_000).default(1),
  branchStock: pieces().default(0),
  /** EAN-13 or the maker's own code, as a scanner gives it. */
  barcode: indexed(z.string().min(1).max(40).nullable().default(null)),
  /** The number that took its place. */
  supersededBy: indexed(word(LONGEST.partNumber).nullable().default(null)),
  /** Parts with the same word here do the same job, in whatever tier. */
  interchange: indexed(word(LONGEST.partNumber).nullable().default(null)),
  /** What a kit holds: part number and pieces. */
  contents: z
    .array(z.object({ number: word(LONGEST.partNumber), quantity: z.number().int().min(1).max(MOST_PIECES) }))
    .max(40)
    .default([]),
  /** Lengths in millimetres and counts, by figure. */
  measures: z.record(z.string(), z.number().min(0).max(10000)).default({}),
  /** What is seen: colour, keying, tooth form. */
  looks: z.record(z.string(), z.string().min(1).max(40)).default({}),
  /** Resistance of a passive sensor at 20 degC, ohm. */
  ohmsLow: z.number().min(0).nullable().default(null).register(column, { heading: 'ohms', as: 'low' }),
  ohmsHigh: z.number().min(0).nullable().default(null).register(column, { heading: 'ohms', as: 'high' }),
  /** What the shop pays for it; null where the file does not say. Never shown to the customer. */
  costCents: cents().nullable().default(null).register(column, { heading: 'cost', as: 'money' }),
  /** Who sends it: the id of a supplier; null where the file does not say. */
  supplier: indexed(word(LONGEST.supplier).nullable().default(null)),
  /** New, renewed in exchange for the old one, or used. */
  state: PartState.default('new'),
  /** Deposit on the old part, paid back when it is brought in. */
  coreCents: cents().default(0).register(column, { heading: 'core', as: 'money' }),
});
export type CataloguePart = z.infer<typeof CataloguePart>;

/** This part fits this vehicle, at these wheel ends, under these conditions. */
export const Application = z.object({
  partNumber: word(LONGEST.partNumber).register(column, { refersTo: 'part', indexed: true }),
  vehicleId: word(LONGEST.vehicleId).register(column, { refersTo: 'vehicle' }),
  wheelEnds: z.array(WheelEnd).min(1).register(column, { onAxle: true }),
  builtFrom: PartialDate.nullable(),
  builtTo: PartialDate.nullable(),
  /** What else must be so: `hubMaker` is `Corvane`, `steeringSide` is `left`. */
  conditions: z.record(z.string(), word(LONGEST.attribute)).default({}),
});
export type Application = z.infer<typeof Application>;

/** How the work goes on this vehicle: hours, access, torque. One row for each axle and part class. */
export const JobNote = z.object({
  vehicleId,
  axle: z.number().int().min(1).max(9).register(column, { onAxle: true }),
  partClass: PartClass,
  labourHours: z.number().min(0).max(40),
  access: z.string(),
  tools: z.string(),
  /** `what=figure` pairs separated by `;`, a `!` before a single-use fastener. */
  torques: z.string(),
});
export type JobNote = z.infer<typeof JobNote>;

/**
 * What goes with a part of this class, and why; on one vehicle when `vehicleId` is given, on all otherwise. `conditions` say
 * when (`offers/companions.ts` knows the names); what is not known is taken to hold: better one bolt too many.
 */
export const CompanionRule = z.object({
  partClass: indexed(PartClass.clone()),
  vehicleId: z.string().nullable().register(column, { refersTo: 'vehicle', indexed: true }),
  companionNumber: word(LONGEST.partNumber).register(column, { refersTo: 'part' }),
  quantity: z.number().int().min(1).max(MOST_PIECES),
  why: word(LONGEST.why),
  /** `seizure=likely; target=ring-on-hub|ring-on-shaft`. */
  conditions: z.record(z.string(), word(LONGEST.attribute)).default({}),
  /** One is enough for the whole order, however many parts it has: grease, cleaner, a voucher. */
  oncePerOrder: z.boolean().default(false),
});
export type CompanionRule = z.infer<typeof CompanionRule>;

/** One entry of a maker's own code dictionary. */
export const DictionaryEntry = z.object({
  dictionary: word(LONGEST.vehicleWord),
  code: indexed(word(LONGEST.code)),
  module: z.string().max(LONGEST.module),
  text: word(LONGEST.codeText),
});
export type DictionaryEntry = z.infer<typeof DictionaryEntry>;

/** What the catalogue knows about one vehicle: all that advising needs, and no more. */
export const CatalogueSlice = z.object({
  vehicle: CatalogueVehicle.nullable(),
  parts: z.array(CataloguePart),
  applications: z.array(Application),
  jobs: z.array(JobNote),
  companions: z.array(CompanionRule),
  /** Of parts that keep coming back, by number: the share that is bad from the box, as learned. */
  bad: z.record(z.string(), z.number().min(0).max(1)).optional(),
});
export type CatalogueSlice = z.infer<typeof CatalogueSlice>;

export const emptySlice = (): CatalogueSlice => ({
  vehicle: null,
  parts: [],
  applications: [],
  jobs: [],
  companions: [],
});

import { z } from 'zod';
import { PartialDate, WheelEndArchitecture } from './docket.ts';
import { AxleOrWheelEnd, WheelEnd } from './wheelEnd.ts';
import { Driveline, Knuckle, PartClass, SaltExposure, Side } from './words.ts';

/** Quality tiers, dearest first. */
export const Tier = z.enum(['dealer', 'good', 'budget']);
export type Tier = z.infer<typeof Tier>;

/** A line of vehicles the catalogue knows. */
export const CatalogueVehicle = z.object({
  id: z.string().min(1),
  make: z.string().min(1),
  model: z.string().min(1),
  /** What is under the body, shared with other lines. */
  platform: z.string().min(1).nullable().default(null),
  /** Everyday words for it: minibus, gritter, pickup. */
  kind: z.string().min(1),
  builtFrom: PartialDate,
  builtTo: PartialDate.nullable(),
  axles: z.number().int().min(1).max(9),
  driveline: Driveline,
  steeringSide: Side.nullable(),
  knuckle: Knuckle.nullable(),
  electric: z.boolean(),
  tyre: z.string().nullable(),
  /** Which maker's code dictionary its controllers use. */
  dictionary: z.string().nullable(),
  wheelEnds: z.record(AxleOrWheelEnd, WheelEndArchitecture),
});
export type CatalogueVehicle = z.infer<typeof CatalogueVehicle>;

/** One vehicle of the fleet the counter looks after. */
export const FleetVehicle = z.object({
  fleetNumber: z.string().min(1),
  plate: z.string().nullable(),
  vin: z.string().nullable(),
  vehicleId: z.string().min(1),
  buildDate: PartialDate.nullable(),
  saltExposure: SaltExposure.nullable(),
  distanceKm: z.number().nullable(),
  note: z.string().nullable(),
});
export type FleetVehicle = z.infer<typeof FleetVehicle>;

/** A part on the shelf. `companion` is what goes along: bolts, clips, seals, grease. Money in cents. */
export const CataloguePart = z.object({
  number: z.string().min(1),
  partClass: z.union([PartClass, z.literal('companion')]),
  tier: Tier,
  brand: z.string().min(1),
  description: z.string().min(1),
  priceCents: z.number().int().min(0),
  /** What the shop pays for it; null where the file does not say. Never shown to the customer. */
  costCents: z.number().int().min(0).nullable().default(null),
  /** Deposit on the old part, paid back when it is brought in. */
  coreCents: z.number().int().min(0).default(0),
  stock: z.number().int().min(0),
  bin: z.string().nullable(),
  supplierDays: z.number().min(0),
  warrantyMonths: z.number().int().min(0),
  /** Pieces in a pack, and pieces at the branch. */
  packQuantity: z.number().int().min(1).default(1),
  branchStock: z.number().int().min(0).default(0),
  /** EAN-13 or the maker's own code, as a scanner gives it. */
  barcode: z.string().min(1).max(40).nullable().default(null),
  /** The number that took its place. */
  supersededBy: z.string().min(1).nullable().default(null),
  /** Parts with the same word here do the same job, in whatever tier. */
  interchange: z.string().min(1).nullable().default(null),
  /** What a kit holds: part number and pieces. */
  contents: z.array(z.object({ number: z.string().min(1), quantity: z.number().int().min(1) })).default([]),
  /** Lengths in millimetres and counts, by figure. */
  measures: z.record(z.string(), z.number().min(0).max(10000)).default({}),
  /** What is seen: colour, keying, tooth form. */
  looks: z.record(z.string(), z.string().min(1).max(40)).default({}),
  /** Resistance of a passive sensor at 20 degC, ohm. */
  ohmsLow: z.number().min(0).nullable().default(null),
  ohmsHigh: z.number().min(0).nullable().default(null),
});
export type CataloguePart = z.infer<typeof CataloguePart>;

/** This part fits this vehicle, at these wheel ends, under these conditions. */
export const Application = z.object({
  partNumber: z.string().min(1),
  vehicleId: z.string().min(1),
  wheelEnds: z.array(WheelEnd).min(1),
  builtFrom: PartialDate.nullable(),
  builtTo: PartialDate.nullable(),
  /** What else must be so: `hubMaker` is `Corvane`, `steeringSide` is `left`. */
  conditions: z.record(z.string(), z.string().min(1).max(60)).default({}),
});
export type Application = z.infer<typeof Application>;

/** How the work goes on this vehicle: hours, access, torque. One row for each axle and part class. */
export const JobNote = z.object({
  vehicleId: z.string().min(1),
  axle: z.number().int().min(1).max(9),
  partClass: PartClass,
  labourHours: z.number().min(0).max(40),
  access: z.string(),
  tools: z.string(),
  /** `what=figure` pairs separated by `;`, a `!` before a single-use fastener. */
  torques: z.string(),
});
export type JobNote = z.infer<typeof JobNote>;

/** What goes with a part of this class; on one vehicle when `vehicleId` is given, on all otherwise. */
export const CompanionRule = z.object({
  partClass: PartClass,
  vehicleId: z.string().nullable(),
  companionNumber: z.string().min(1),
  quantity: z.number().int().min(1),
  why: z.string().min(1),
});
export type CompanionRule = z.infer<typeof CompanionRule>;

/** One entry of a maker's own code dictionary. */
export const DictionaryEntry = z.object({
  dictionary: z.string().min(1),
  code: z.string().min(1),
  module: z.string(),
  text: z.string().min(1),
});
export type DictionaryEntry = z.infer<typeof DictionaryEntry>;

/** What the catalogue knows about one vehicle: all that advising needs, and no more. */
export const CatalogueSlice = z.object({
  vehicle: CatalogueVehicle.nullable(),
  parts: z.array(CataloguePart),
  applications: z.array(Application),
  jobs: z.array(JobNote),
  companions: z.array(CompanionRule),
});
export type CatalogueSlice = z.infer<typeof CatalogueSlice>;

export const emptySlice = (): CatalogueSlice => ({
  vehicle: null,
  parts: [],
  applications: [],
  jobs: [],
  companions: [],
});

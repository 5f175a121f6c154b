import { z } from 'zod';

/*
 * What is said to the bench that stands in for a vehicle: nothing a real one could be told. A vehicle is put on it, driven,
 * mended; probes are put on a plug. JSON over HTTP on this machine.
 */

/** A wheel of it: two or three axles, a sensor at each wheel. */
const BENCH_ENDS = ['A1L', 'A1R', 'A2L', 'A2R', 'A3L', 'A3R'] as const;
export const BenchEnd = z.enum(BENCH_ENDS);
export type BenchEnd = z.infer<typeof BenchEnd>;

/** How one axle senses, as far as it is known. */
const Sensing = z.strictObject({
  sensor: z.enum(['passive', 'active']).nullable(),
  mounting: z.enum(['separate', 'in-hub']).nullable(),
  target: z.enum(['ring-on-shaft', 'ring-on-hub', 'encoder-in-bearing']).nullable(),
  ringSoldAlone: z.boolean().nullable(),
  /** Teeth or pole pairs. */
  count: z.number().int().min(8).max(400).nullable(),
});

/** A vehicle to be put on the bench, and what was told of it: what is wrong with it the bench finds itself. */
export const BenchVehicleOrder = z.strictObject({
  name: z.string().min(1).max(200),
  /** Whose it is: a docket. */
  docketId: z.string().min(1).max(80),
  seed: z
    .number()
    .int()
    .min(0)
    .max(2 ** 31),
  axles: z.union([z.literal(2), z.literal(3)]),
  driven: z.enum(['fwd', 'rwd', 'awd', 'trailer']).nullable(),
  knuckle: z.enum(['iron', 'aluminium']).nullable(),
  salt: z.enum(['none', 'some', 'high']).nullable(),
  ageYears: z.number().min(0).max(60).nullable(),
  distanceKm: z.number().min(0).max(5e6).nullable(),
  /** ISO size: width in mm, aspect in %, rim in inches. */
  tyre: z
    .strictObject({
      width: z.number().min(100).max(500),
      aspect: z.number().min(20).max(110),
      rim: z.number().min(8).max(30),
    })
    .nullable(),
  sensing: z.array(Sensing).min(2).max(3),
  detailedCodes: z.boolean(),
  codes: z
    .array(
      z.strictObject({
        of: z.union([BenchEnd, z.enum(['supply', 'controller'])]),
        failure: z.enum(['11', '13', '1C', '1F', '2F', '31', '62']).nullable(),
        active: z.boolean().nullable(),
      }),
    )
    .max(50),
  wheel: BenchEnd.nullable(),
});
export type BenchVehicleOrder = z.infer<typeof BenchVehicleOrder>;

/** Drives one can make with it. */
export const BENCH_DRIVES = ['yard', 'town', 'road', 'wet stop'] as const;
export const BenchDrive = z.strictObject({ drive: z.enum(BENCH_DRIVES) });

/** Where the probes of the meter are. */
export const BenchProbes = z.strictObject({
  wheelEnd: BenchEnd,
  /** The sensor's side of its plug, or the body's. */
  plug: z.enum(['sensor', 'loom']),
  /** Across both pins, or from one to ground. */
  pins: z.enum(['across', 'signal to ground', 'feed to ground']),
  /** How fast somebody turns the wheel by hand. */
  turnsPerSecond: z.number().min(0).max(3),
});
export type BenchProbes = z.infer<typeof BenchProbes>;

/** Parts that can be fitted and work that can be done on it. */
export const BenchWork = z.strictObject({
  wheelEnd: BenchEnd.nullable(),
  fit: z.enum(['sensor', 'tone-ring', 'hub-assembly', 'axle-shaft', 'connector-kit']).nullable(),
  /** Quality of the part: a cheap one is oftener bad from the box. Absent: a good one. */
  tier: z.enum(['dealer', 'good', 'budget']).nullish(),
  work: z.enum(['seating', 'loom', 'tyre', 'supply']).nullable(),
});
export type BenchWork = z.infer<typeof BenchWork>;

/** A check made on it by hand and eye. The answer is one of a docket. */
export const BenchCheck = z.strictObject({ check: z.string().min(1).max(60), wheelEnd: BenchEnd });
export const BenchFound = z.object({ found: z.record(z.string(), z.unknown()).nullable() });

/** What anybody can see of the bench. */
export const BenchState = z.object({
  vehicle: z
    .object({
      name: z.string(),
      docketId: z.string(),
      ends: z.array(BenchEnd),
      /** A trailer speaks over its bus, not to a reader. */
      trailer: z.boolean(),
    })
    .nullable(),
  /** The anti-lock lamp. */
  lamp: z.boolean(),
  /** The pedal grinds: brakes were let off for nothing. */
  grinds: z.boolean(),
  driving: z.object({ drive: z.string(), seconds: z.number(), of: z.number(), kmh: z.number() }).nullable(),
  probes: BenchProbes,
});
export type BenchState = z.infer<typeof BenchState>;

/** What runs over a vehicle's bus, as loggers write it. */
export const BenchBus = z.object({ log: z.string().max(1_000_000) });

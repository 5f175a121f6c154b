import { z } from 'zod';
import { BenchState } from '../vocabulary/bench.ts';
import { MeterReading, ReaderCodes } from '../vocabulary/devices.ts';
import { SupplierOrder } from '../vocabulary/supplierOrder.ts';

const DEVICE_KINDS = ['reader', 'meter', 'supplier', 'bench'] as const;

/** One device of the start-up file: where it is, how it stands, the last words exchanged. */
export const DeviceLine = z.object({
  kind: z.enum(DEVICE_KINDS),
  /** Of a supplier its name in the catalogue; else the kind. */
  id: z.string(),
  name: z.string(),
  at: z.string(),
  state: z.enum(['not asked', 'answers', 'busy', 'trouble']),
  words: z.array(z.object({ at: z.iso.datetime(), who: z.enum(['we', 'it', 'trouble']), text: z.string() })),
});
export type DeviceLine = z.infer<typeof DeviceLine>;

/** The reading of all controllers, under way or last done. */
export const ReadingJob = z.object({
  state: z.enum(['none', 'reading', 'done', 'stopped', 'failed']),
  docketId: z.string().nullable(),
  done: z.number().int(),
  of: z.number().int(),
  result: ReaderCodes.nullable(),
  problem: z.string().nullable(),
});
export type ReadingJob = z.infer<typeof ReadingJob>;

export const DevicesView = z.object({
  /** No device is named in a start-up file. */
  off: z.boolean(),
  devices: z.array(DeviceLine),
  reading: ReadingJob,
  bench: BenchState.nullable(),
});
export type DevicesView = z.infer<typeof DevicesView>;

export const Measured = z.object({
  reading: MeterReading,
  /** Of the meter's own probe; null where it has none. */
  celsius: z.number().nullable(),
});
export type Measured = z.infer<typeof Measured>;

export const Cleared = z.object({
  cleared: z.array(z.string()),
  refused: z.array(z.object({ name: z.string(), why: z.string() })),
});

export const StockSaid = z.object({
  partNumber: z.string(),
  priceCents: z.number().int(),
  branches: z.array(z.object({ branch: z.string(), pieces: z.number().int(), days: z.number() })),
});
export type StockSaid = z.infer<typeof StockSaid>;

/** What came of an order sent by wire. */
export const WireAnswer = z.object({
  order: SupplierOrder,
  /** Nothing is ordered yet: these prices are others than the catalogue's. */
  changed: z.array(
    z.object({ partNumber: z.string(), wasCents: z.number().int(), nowCents: z.number().int() }),
  ),
  said: z.array(z.string()),
});
export type WireAnswer = z.infer<typeof WireAnswer>;

import { z } from 'zod';

/** One backup, newest first in lists. */
export const BackupLine = z.object({
  /** Name of its folder. */
  name: z.string(),
  at: z.iso.datetime(),
  why: z.enum(['scheduled', 'command', 'import', 'migration', 'erasure']),
  bytes: z.number().int(),
  /** Whether the training database is in it. */
  training: z.boolean(),
  /** Customers that were erased since and are still in it; null where that cannot be read. */
  erased: z.number().int().nullable(),
});
export type BackupLine = z.infer<typeof BackupLine>;

/** A jump of this machine's clock, in milliseconds; ahead is positive. */
const ClockJump = z.object({ at: z.iso.datetime(), byMs: z.number().int() });

/** The backups of the shop, what is being made, and what is wrong. */
export const BackupsView = z.object({
  /** Where they are; null: none are made. */
  folder: z.string().nullable(),
  making: z.object({ why: BackupLine.shape.why, progress: z.number().min(0).max(1) }).nullable(),
  /** Why the last one failed. */
  problem: z.string().nullable(),
  backups: z.array(BackupLine),
  /** Entries that cannot be read, with why. They are neither counted nor deleted. */
  unreadable: z.array(z.object({ name: z.string(), reason: z.string() })),
  clock: z.array(ClockJump),
});
export type BackupsView = z.infer<typeof BackupsView>;

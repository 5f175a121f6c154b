import { z } from 'zod';
import { LONGEST } from './longest.ts';

/** What a reader found: the codes of every controller that answered, and who did not. */
export const ReaderCodes = z.object({
  codes: z.array(
    z.object({
      module: z.string().max(LONGEST.module),
      code: z.string().max(LONGEST.code),
      status: z.enum(['active', 'stored']),
    }),
  ),
  read: z.array(z.string()),
  unread: z.array(z.object({ name: z.string(), why: z.string() })),
  /** They were cleared for this docket before it was read. */
  wasCleared: z.boolean(),
});
export type ReaderCodes = z.infer<typeof ReaderCodes>;

/** What a meter can be asked for. */
export const MeterQuantity = z.enum(['ohms', 'voltsDc', 'voltsAc']);
export type MeterQuantity = z.infer<typeof MeterQuantity>;

/** A reading: a figure that stands, one that runs, or beyond the range (an open circuit, on ohms). */
export const MeterReading = z.discriminatedUnion('is', [
  z.object({ is: z.literal('steady'), value: z.number() }),
  z.object({ is: z.literal('overload') }),
  /** `to` is null where it ran beyond the range. */
  z.object({ is: z.literal('unstable'), from: z.number(), to: z.number().nullable() }),
]);
export type MeterReading = z.infer<typeof MeterReading>;

import { z } from 'zod';
import { parseTyreSize } from './tyreSize.ts';
import { WheelEnd } from './wheelEnd.ts';

/** A tyre size as written on the sidewall. The text is kept; what it says is worked out where it is needed. */
export const TyreSizeText = z
  .string()
  .max(60)
  .refine((text) => parseTyreSize(text) !== null, {
    error: ({ input }) =>
      `${JSON.stringify(input)} is not a tyre size; write it as on the sidewall, such as 205/55 R16`,
  });

/** Tyre sizes by wheel end. */
export const TyreSizes = z.record(WheelEnd, TyreSizeText);
export type TyreSizes = z.infer<typeof TyreSizes>;

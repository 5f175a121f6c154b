import { z } from 'zod';
import { WheelEnd } from '../../vocabulary/wheelEnd.ts';
import { SPEED_UNITS, TIME_UNITS } from './units.ts';

/** Which column of a log is what. Chosen by the reader where the headings tell, by a person where they do not. */
export const LogMapping = z.object({
  delimiter: z.string().min(1).max(1),
  decimalComma: z.boolean(),
  /** Lines before the first sample. */
  skip: z.number().int().min(0),
  /** Column of the time; null when there is none and `rateHz` says how fast it was sampled. */
  time: z.number().int().min(0).nullable(),
  timeUnit: z.enum(TIME_UNITS).nullable(),
  rateHz: z.number().positive().max(10000).nullable(),
  wheels: z
    .array(
      z.object({ column: z.number().int().min(0), wheelEnd: WheelEnd, unit: z.enum(SPEED_UNITS).nullable() }),
    )
    .max(18),
  vehicle: z.object({ column: z.number().int().min(0), unit: z.enum(SPEED_UNITS).nullable() }).nullable(),
  /** Column of the steering wheel's angle in degrees, where it was logged. */
  steering: z.number().int().min(0).nullish(),
});
export type LogMapping = z.infer<typeof LogMapping>;

/** A mapping guessed from the first lines, with what a person should confirm. */
export interface MappingGuess {
  readonly mapping: LogMapping;
  readonly headings: string[];
  /** The first rows of samples. */
  readonly preview: string[][];
  /** What could not be recognised; empty when the log can be read as it is. */
  readonly missing: string[];
  /** What was assumed, good enough to go on with. */
  readonly assumed: string[];
}

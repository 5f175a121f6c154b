import { z } from 'zod';
import { CHECK_NAMES } from './check.ts';
import { WheelEnd } from './wheelEnd.ts';
import { PartClass } from './words.ts';

/**
 * A line of a sheet, in no language yet: the name of a text with what stands in its gaps, or plain words as they stand in
 * the catalogue. A gap that begins with `@` is the name of a text itself, with `@end/` a wheel end; one that begins with `#` a number, written as the language does.
 */
export const Line = z.union([
  z.strictObject({ say: z.string(), with: z.record(z.string(), z.string()).optional() }),
  z.strictObject({ plain: z.string() }),
]);
export type Line = z.infer<typeof Line>;

/** Tightening: the fastener, the maker's or the catalogue's figure, and whether it is used once. */
export const Torque = z.strictObject({
  what: Line,
  /** `110 Nm`, `70 Nm + 60 deg`; null where only the maker's data have it. */
  figure: z.string().nullable(),
  singleUse: z.boolean(),
  /** Where, if another wheel end of the job has another figure. */
  wheelEnd: WheelEnd.nullable(),
});
export type Torque = z.infer<typeof Torque>;

/** A result of a check as its sheet asks it: the key it is entered with, its word, and what it would mean. */
const SheetResult = z.strictObject({ key: z.number().int().min(1), word: Line, means: Line });

/**
 * One block of a sheet. `warn` stands out, `steps` are numbered, `run` is one line; where `parts`, `torques` and `results`
 * stand the sheet’s table of them goes.
 */
export const SheetSection = z.strictObject({
  heading: Line,
  as: z.enum(['warn', 'list', 'run', 'steps', 'parts', 'torques', 'results']),
  /** Short enough to stand beside another. */
  narrow: z.boolean(),
  lines: z.array(Line),
});
export type SheetSection = z.infer<typeof SheetSection>;

export const SHEET_KINDS = ['stop', 'fit', 'check', 'no-part'] as const;
export type SheetKind = (typeof SHEET_KINDS)[number];

/** A page that leaves the counter: one for every way a docket can end. */
export const Sheet = z.strictObject({
  kind: z.enum(SHEET_KINDS),
  title: Line,
  part: PartClass.nullable(),
  check: z.enum(CHECK_NAMES).nullable(),
  wheelEnd: WheelEnd.nullable(),
  sections: z.array(SheetSection),
  torques: z.array(Torque),
  results: z.array(SheetResult),
});
export type Sheet = z.infer<typeof Sheet>;

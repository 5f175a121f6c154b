import { z } from 'zod';
import { CataloguePart } from '../vocabulary/catalogue.ts';
import type { MatchResult } from '../matching/matchPart.ts';

/** A part with what is around it: its chain, its group, what it holds, and the vehicles it fits. */
export const PartView = z.object({
  part: CataloguePart,
  chain: z.array(z.string()),
  group: z.array(CataloguePart),
  contents: z.array(CataloguePart),
  fits: z.array(
    z.object({
      vehicle: z.string(),
      wheelEnds: z.string(),
      builtFrom: z.string().nullable(),
      builtTo: z.string().nullable(),
      conditions: z.record(z.string(), z.string()),
    }),
  ),
});
export type PartView = z.infer<typeof PartView>;

/** The ranked parts and what to measure next, see `matchPart`. */
export const MatchAnswer: z.ZodType<MatchResult> = z.object({
  ranked: z.array(
    z.object({ part: CataloguePart, sameAs: z.array(z.string()), probability: z.number().min(0).max(1) }),
  ),
  next: z
    .object({
      figure: z.custom<NonNullable<MatchResult['next']>['figure']>(
        (figure) => typeof figure === 'object' && figure !== null && 'key' in figure,
      ),
      between: z.array(z.object({ number: z.string(), value: z.union([z.number(), z.string()]) })),
      deviations: z.number().nullable(),
    })
    .nullable(),
  cannotTell: z.array(z.string()),
  said: z.string(),
});
export type MatchAnswer = z.infer<typeof MatchAnswer>;

/** One row of a catalogue file that cannot be used: where and why. */
export const RowError = z.object({
  file: z.string(),
  line: z.number().int(),
  column: z.string(),
  reason: z.string(),
});
export type RowError = z.infer<typeof RowError>;

export const ImportReport = z.object({
  /** Rows put in, by file. */
  rows: z.record(z.string(), z.number().int()),
  errors: z.array(RowError),
  errorCount: z.number().int(),
  written: z.boolean(),
});
export type ImportReport = z.infer<typeof ImportReport>;

/** `whole`: one bad row and nothing goes in. `good`: the good rows go in, the bad ones are listed. */
export const ImportMode = z.enum(['whole', 'good']);
export type ImportMode = z.infer<typeof ImportMode>;

export const ImportProgress = z.object({
  id: z.string(),
  /** Waiting for its first file, taking one, ready to run, running, and how it ended. */
  state: z.enum(['waiting', 'uploading', 'ready', 'running', 'done', 'failed', 'cancelled']),
  progress: z.number().min(0).max(1),
  problem: z.string().nullable(),
  report: ImportReport.nullable(),
});
export type ImportProgress = z.infer<typeof ImportProgress>;

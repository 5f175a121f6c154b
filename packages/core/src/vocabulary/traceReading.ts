import { z } from 'zod';
import { LivePattern } from './check.ts';
import { WheelEnd } from './wheelEnd.ts';
import { Cause } from './words.ts';

const probability = z.number().min(0).max(1);

export const TraceExplanation = z.object({ cause: Cause, because: z.string() });
export type TraceExplanation = z.infer<typeof TraceExplanation>;

/** What a wheel-speed log shows of one wheel end. */
export const TraceFinding = z.object({
  wheelEnd: WheelEnd,
  pattern: LivePattern,
  confidence: probability,
  /** Measured speed over true speed; null while the wheel gave no speed to compare. */
  ratio: z.number().nullable(),
  /** Separate disturbances counted at this wheel. */
  events: z.number().int().min(0),
  explains: z.array(TraceExplanation),
  /** One sentence of what is seen, and one of what to look at next. */
  sentence: z.string(),
  next: z.string(),
  /** Set for `weak-at-low-speed`: below this speed in km/h the signal is lost. */
  lostBelowKmh: z.number().nullable(),
  /** Set for `once-per-turn`: circumference in metres at which the events fall on one place of the wheel. */
  circumferenceM: z.number().nullable(),
});
export type TraceFinding = z.infer<typeof TraceFinding>;

/** What a wheel-speed log shows, wheel end by wheel end. */
export const TraceReading = z.object({
  format: z.literal('hardy-spoke/trace'),
  version: z.literal(1),
  sampleRateHz: z.number(),
  seconds: z.number(),
  samples: z.number().int(),
  /** Above this speed the log has under two samples a turn: too slow to show a fault that comes once per turn. */
  onceVisibleBelowKmh: z.number(),
  findings: z.array(TraceFinding),
  /** What was forgiven, guessed or could not be told. */
  notes: z.array(z.string()),
});
export type TraceReading = z.infer<typeof TraceReading>;

import { z } from 'zod';
import { CHECK_NAMES } from './check.ts';
import { WheelEnd } from './wheelEnd.ts';
import { PartClass } from './words.ts';

/* What is said of practice: a customer played by a bench vehicle, what a learner does, and what it came to. */

/** Things a customer can be asked for nothing but the time. */
const ABOUT = ['lamps', 'corner', 'history', 'noise'] as const;
const PRACTICE_WORKS = ['seating', 'loom', 'tyre', 'supply', 'none-present'] as const;

/** What one can do on a job in practice. */
export const PracticeDeed = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('question'), about: z.enum(ABOUT) }),
  /** Reads every controller. */
  z.strictObject({ kind: z.literal('read') }),
  /** Asks, or looks up, how a wheel end is built. */
  z.strictObject({ kind: z.literal('ask'), at: WheelEnd }),
  z.strictObject({ kind: z.literal('check'), check: z.enum(CHECK_NAMES), at: WheelEnd.nullable() }),
  z.strictObject({ kind: z.literal('parts'), parts: z.array(PartClass).min(1).max(4), at: WheelEnd }),
  z.strictObject({ kind: z.literal('work'), work: z.enum(PRACTICE_WORKS), at: WheelEnd.nullable() }),
  /** Hands the job to a workshop. */
  z.strictObject({ kind: z.literal('refer') }),
]);
export type PracticeDeed = z.infer<typeof PracticeDeed>;

export const Level = z.number().int().min(1).max(5);

/** What a customer is told with the parts: looked at when the vehicle leaves. */
export const SentWith = z.strictObject({
  /** The sheet with its cautions was given. */
  sheet: z.boolean(),
  /** The vehicle must not be driven. */
  stop: z.boolean(),
});
export type SentWith = z.infer<typeof SentWith>;

/** One thing done, as it is told afterwards. */
export const AccountStep = z.object({
  deed: PracticeDeed,
  words: z.string(),
  /** What came of it: what was seen, answered, or happened. */
  came: z.string(),
  minutes: z.number(),
  money: z.number(),
  /** What it cost more than the best step by what was known then, money. */
  regret: z.number(),
  /** What chance added or took, money. */
  luck: z.number(),
  /** The best step by what was known then; null where this was it. */
  better: z.string().nullable(),
  /** A rule of safety was passed over. */
  unsafe: z.boolean(),
});
export type AccountStep = z.infer<typeof AccountStep>;

export const SKILLS = ['corner', 'root', 'meter', 'speeds', 'picture', 'look-alike', 'price'] as const;
export const Skill = z.enum(SKILLS);
export type Skill = z.infer<typeof Skill>;

/** What a customer came to, judged by what was known at each moment. Money in the shop's currency. */
export const Account = z.object({
  steps: z.array(AccountStep),
  /** What was so, in words. */
  truth: z.array(z.string()),
  cost: z.number(),
  /** What the job was worth when the customer came in, by what was known then. */
  fair: z.number(),
  regret: z.number(),
  luck: z.number(),
  minutes: z.number(),
  /** Minutes the customer had. */
  hadMinutes: z.number(),
  /** What they would have spent at most, money. */
  budget: z.number(),
  visits: z.number().int(),
  /** What went wrong beside the money, plainly, the gravest first. */
  lapses: z.array(
    z.object({
      what: z.enum(['safety', 'caution', 'question', 'check', 'companion', 'time', 'money']),
      words: z.string(),
    }),
  ),
  /** The one thing to practise next, and why. */
  next: z.object({ skill: Skill.nullable(), words: z.string() }),
});
export type Account = z.infer<typeof Account>;

/** What an exercise shows beside its words. */
export const ExerciseShows = z.discriminatedUnion('as', [
  z.object({ as: z.literal('nothing') }),
  /** A line drawing of what a look found: the check and its result, drawn but not named. */
  z.object({ as: z.literal('drawing'), check: z.string(), result: z.string() }),
  /** Rows of a table: codes, measures, lines of a price. */
  z.object({ as: z.literal('table'), head: z.array(z.string()), rows: z.array(z.array(z.string())) }),
  /** Speeds of wheels over a drive, km/h at even times. */
  z.object({
    as: z.literal('speeds'),
    seconds: z.number(),
    wheels: z.array(z.object({ name: z.string(), kmh: z.array(z.number()) })),
  }),
]);
export type ExerciseShows = z.infer<typeof ExerciseShows>;

/** One question of one skill: the same seed is the same question. */
export const ExerciseView = z.object({
  skill: Skill,
  /** Which kind of question of the skill. */
  variant: z.string(),
  seed: z.number().int(),
  prompt: z.string(),
  shows: ExerciseShows,
  /** What one can answer; none where a number is asked for. */
  choices: z.array(z.object({ key: z.string(), words: z.string() })),
  /** What a number is in, where one is asked for. */
  unit: z.string().nullable(),
  /** Why it comes now: missed before, or about as hard as is good. */
  because: z.enum(['due', 'level']),
});
export type ExerciseView = z.infer<typeof ExerciseView>;

import { z } from 'zod';
import { Account, Level, Skill } from '../vocabulary/practice.ts';
import { WheelEnd } from '../vocabulary/wheelEnd.ts';

/** Names are picked from a list, until there are accounts. */
export const LearnerName = z.string().trim().min(1).max(60);
const id = z.uuid();

/** A customer as the learner has them before them. */
export const VisitView = z.object({
  id,
  learnerId: id,
  learner: z.string(),
  level: Level,
  levelName: z.string(),
  roundId: id.nullable(),
  /** What they said when they came in. */
  words: z.string(),
  canRead: z.boolean(),
  hadMinutes: z.number(),
  minutes: z.number(),
  money: z.number(),
  /** What the customer would spend at most, in all. */
  budget: z.number(),
  currency: z.string(),
  over: z.boolean(),
  /** The advice was uncovered before it was decided. */
  helped: z.boolean(),
  docketId: z.string().nullable(),
  wheels: z.array(z.object({ wheelEnd: WheelEnd, words: z.string() })),
  steps: z.array(z.object({ words: z.string(), came: z.string(), minutes: z.number(), money: z.number() })),
  account: Account.nullable(),
});
export type VisitView = z.infer<typeof VisitView>;

export const RoundView = z.object({
  id,
  name: z.string(),
  level: Level,
  customers: z.number().int(),
  at: z.string(),
});
export type RoundView = z.infer<typeof RoundView>;

export const PracticeHome = z.object({
  learners: z.array(z.object({ id, name: z.string() })),
  levels: z.array(z.object({ level: Level, name: z.string(), minutes: z.number() })),
  rounds: z.array(RoundView),
});
export type PracticeHome = z.infer<typeof PracticeHome>;

/** How able somebody is at one thing. */
export const SkillView = z.object({
  skill: Skill,
  answers: z.number().int(),
  right: z.number().int(),
  /** Chance of a right answer to a question of middling difficulty, with its 90 % interval. */
  chance: z.number(),
  low: z.number(),
  high: z.number(),
  /** Kinds of question that were missed and are due again. */
  due: z.number().int(),
  /** By week, oldest first: the same chance then. */
  weeks: z.array(z.object({ week: z.string(), chance: z.number(), low: z.number(), high: z.number() })),
});
export type SkillView = z.infer<typeof SkillView>;

export const LearnerView = z.object({
  id,
  name: z.string(),
  skills: z.array(SkillView),
  /** The skill that lags most, with enough answers to say so. */
  weakest: Skill.nullable(),
  /** Skills with answers enough and an interval high enough to be certified, and what is asked for. */
  certified: z.array(Skill),
  certifiesFrom: z.number(),
  certifiesAt: z.number(),
  visits: z.array(
    z.object({
      id,
      level: Level,
      roundId: id.nullable(),
      at: z.string(),
      over: z.boolean(),
      regret: z.number().nullable(),
      luck: z.number().nullable(),
      helped: z.boolean(),
      unsafe: z.boolean(),
    }),
  ),
});
export type LearnerView = z.infer<typeof LearnerView>;

/** Scores of a round set for all, and whether they can be told apart. */
export const RoundScores = z.object({
  round: RoundView,
  scores: z.array(
    z.object({
      learnerId: id,
      name: z.string(),
      done: z.number().int(),
      /** Mean regret a customer, with half of its 90 % interval. */
      regret: z.number(),
      give: z.number().nullable(),
      unsafe: z.number().int(),
    }),
  ),
  /** Neighbours in the order of the scores: told apart, or how many customers it would take. */
  apart: z.array(
    z.object({
      one: z.string(),
      other: z.string(),
      difference: z.number(),
      give: z.number().nullable(),
      isSure: z.boolean(),
      needed: z.number().int().nullable(),
    }),
  ),
});
export type RoundScores = z.infer<typeof RoundScores>;

export const TeamView = z.object({
  learners: z.array(LearnerView),
  rounds: z.array(RoundScores),
  currency: z.string(),
});
export type TeamView = z.infer<typeof TeamView>;

export const Answered = z.object({
  right: z.boolean(),
  /** The right answer in words. */
  answer: z.string(),
  why: z.string(),
  chance: z.number(),
});
export type Answered = z.infer<typeof Answered>;

import { z } from 'zod';
import {
  Answered,
  LearnerName,
  LearnerView,
  PracticeHome,
  RoundView,
  TeamView,
  VisitView,
} from './practiceViews.ts';
import { ExerciseView, Level, PracticeDeed, SentWith, Skill } from '../vocabulary/practice.ts';

const nothing = z.strictObject({});
/** A name its maker gives: what is sent twice is made once. */
const made = z.uuid();

/** Ways in of practice: all of them are about the practice database, whatever counter a page stands at. */
export const PRACTICE_API = {
  /** Practice: people, levels, rounds that were set. */
  'GET /practice': { answer: PracticeHome },
  'POST /practice/learners': {
    body: z.strictObject({ name: LearnerName }),
    answer: z.object({ id: made, name: z.string() }),
  },
  'GET /practice/learners/:id': { answer: LearnerView },
  'GET /practice/team': { answer: TeamView },
  /** A customer walks in: of a level, or the next of a round that was set. */
  'POST /practice/visits': {
    body: z.strictObject({ id: made.nullish(), learnerId: made, level: Level, roundId: made.nullish() }),
    answer: VisitView,
  },
  'GET /practice/visits/:id': { answer: VisitView },
  /** Says which docket of the practice counter is this customer's. */
  'POST /practice/visits/:id/docket': {
    body: z.strictObject({ docketId: z.string().min(1).max(80) }),
    answer: VisitView,
  },
  /** Does something; `after`: how much was done before, so that one sent twice is done once. */
  'POST /practice/visits/:id/deeds': {
    body: z.strictObject({
      after: z.number().int().min(0).max(200),
      deed: PracticeDeed,
      /** What the customer leaves with, where they leave with it. */
      sent: SentWith.nullish(),
    }),
    answer: VisitView,
  },
  /** Uncovers the advice; the account says so. */
  'POST /practice/visits/:id/uncover': { body: nothing, answer: VisitView },
  /** The same customer again, with so many of the same deeds done. */
  'POST /practice/visits/:id/replay': {
    body: z.strictObject({ keep: z.number().int().min(0).max(200) }),
    answer: VisitView,
  },
  /** A round set for all: the same customers for everybody. */
  'POST /practice/rounds': {
    body: z.strictObject({
      name: LearnerName,
      level: Level,
      customers: z.number().int().min(1).max(20),
    }),
    answer: RoundView,
  },
  'POST /practice/exercises': {
    body: z.strictObject({ learnerId: made, skill: Skill.nullish() }),
    answer: ExerciseView,
  },
  'POST /practice/answers': {
    body: z.strictObject({
      learnerId: made,
      skill: Skill,
      variant: z.string().min(1).max(60),
      seed: z
        .number()
        .int()
        .min(0)
        .max(2 ** 31 - 1),
      answer: z.string().max(60),
      ms: z.number().int().min(0).max(3_600_000),
    }),
    answer: Answered,
  },
} as const;

import type { Answered, LearnerView, SkillView } from '@hardy/core/contract';
import type { Account, ExerciseView, Skill } from '@hardy/core/words';
import { SKILLS } from '@hardy/core/practice';
import {
  aboutRight,
  afterAnswer,
  askedFirst,
  chanceOf,
  isRight,
  NEWCOMER,
  variantsOf,
  type Rating,
} from '@hardy/practice';
import { assumptionsWith, BadInput } from '@hardy/core';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import { randomInt } from 'node:crypto';
import { createEmptyCard, fsrs, Rating as Grade, type Card } from 'ts-fsrs';
import type { WorkerPool } from '../advising/workerPool.ts';
import { notFound } from '../problem.ts';
import { shopSettings } from '../store/shopStore.ts';
import {
  LearnerRow,
  PracticeAnswerRow,
  PracticeCardRow,
  PracticeQuestionRow,
  PracticeVisitRow,
} from '../store/entities.ts';

const MOST_SEED = 2 ** 31 - 1;

const schedule = fsrs({ enable_fuzz: false });
const revived = (text: string): Card => {
  const card = JSON.parse(text) as Card & { due: string; last_review?: string };
  return {
    ...card,
    due: new Date(card.due),
    ...(card.last_review ? { last_review: new Date(card.last_review) } : {}),
  };
};

/** Monday of the week of a moment, YYYY-MM-DD. */
const weekOf = (at: Date): string => {
  const day = new Date(Date.UTC(at.getFullYear(), at.getMonth(), at.getDate()));
  day.setUTCDate(day.getUTCDate() - ((day.getUTCDay() + 6) % 7));
  return day.toISOString().slice(0, 10);
};
/** What was thought of a learner once an answer was given. */
const ratingOf = ({ ability, variance }: { ability: unknown; variance: unknown }): Rating => ({
  at: Number(ability),
  variance: Number(variance),
});
/** Exercises: which comes next, what an answer teaches about the learner and about the question. */
export class Skills {
  constructor(
    private readonly em: EntityManager,
    private readonly pool: WorkerPool,
  ) {}

  /** The shop's numbers. */
  async #numbers() {
    return assumptionsWith((await shopSettings(this.em)).overrides);
  }
  async #ability(em: EntityManager, learnerId: string, skill: Skill): Promise<Rating> {
    const [last] = await em.find(
      PracticeAnswerRow,
      { learnerId, skill },
      { orderBy: { id: 'desc' }, limit: 1 },
    );
    return last ? ratingOf(last) : NEWCOMER;
  }
  async #hardness(em: EntityManager, skill: Skill): Promise<Map<string, Rating>> {
    const known = await em.find(PracticeQuestionRow, { skill });
    return new Map(
      Object.entries(variantsOf(skill)).map(([variant, at]) => {
        const row = known.find((each) => each.variant === variant);
        return [variant, row ? { at: Number(row.hardness), variance: Number(row.variance) } : askedFirst(at)];
      }),
    );
  }

  /** The next question: one that was missed and is due, or one about as hard as is good. Without a skill, the one that lags. */
  async next(learnerId: string, wanted: Skill | null, now: Date = new Date()): Promise<ExerciseView> {
    if (!(await this.em.findOne(LearnerRow, { id: learnerId }))) throw notFound(`learner ${learnerId}`);
    const [due] = await this.em.find(
      PracticeCardRow,
      { learnerId, due: { $lte: now }, ...(wanted ? { skill: wanted } : {}) },
      { orderBy: { due: 'asc' }, limit: 1 },
    );
    const skill = (wanted ?? due?.skill ?? (await this.#lagging(learnerId))) as Skill;
    const isDue = due !== undefined && Object.hasOwn(variantsOf(skill), due.variant);
    const hardness = await this.#hardness(this.em, skill);
    const variant = isDue
      ? due.variant
      : aboutRight(
          (await this.#ability(this.em, learnerId, skill)).at,
          [...hardness].map(([name, { at }]) => ({ variant: name, at })),
          randomInt(1_000_000) / 1_000_000,
          (await this.#numbers()).get('practice.success'),
        );
    const seed = randomInt(MOST_SEED);
    const { prompt, shows, choices, unit } = await this.pool.run('exerciseTask', { skill, variant, seed });
    return {
      skill,
      variant,
      seed,
      prompt,
      shows,
      choices: choices.map((each) => ({ ...each })),
      unit,
      because: isDue ? 'due' : 'level',
    };
  }

  async #lagging(learnerId: string): Promise<Skill> {
    const all = await Promise.all(
      SKILLS.map(async (skill) => ({ skill, ...(await this.#ability(this.em, learnerId, skill)) })),
    );
    // Least able, or least known.
    const [first] = all.sort((x, y) => x.at - Math.sqrt(x.variance) - (y.at - Math.sqrt(y.variance)));
    return first?.skill ?? 'corner';
  }

  /** Takes an answer: what is thought of the learner and of the question moves, and a missed one comes again. */
  async answer(
    given: { learnerId: string; skill: Skill; variant: string; seed: number; answer: string; ms: number },
    now: Date = new Date(),
  ): Promise<Answered> {
    const { learnerId, skill, variant, seed, ms } = given;
    if (!(await this.em.findOne(LearnerRow, { id: learnerId }))) throw notFound(`learner ${learnerId}`);
    if (!Object.hasOwn(variantsOf(skill), variant))
      throw new BadInput(
        'variant',
        `is "${variant}"; of this skill there are ${Object.keys(variantsOf(skill)).join(', ')}`,
      );
    const exercise = await this.pool.run('exerciseTask', { skill, variant, seed });
    const right = isRight(exercise, given.answer);
    const answer =
      exercise.choices.find(({ key }) => key === exercise.answer)?.words ??
      `${exercise.answer}${exercise.unit ? ` ${exercise.unit}` : ''}`;
    const slow = (await this.#numbers()).get('practice.slow-seconds');
    // What was thought before is read where it is written: two answers at once are one after the other.
    const thought = await this.em.transactional(async (tx) => {
      const before = await this.#ability(tx, learnerId, skill);
      // The same question answered again, once its answer is known, teaches nothing.
      if (await tx.findOne(PracticeAnswerRow, { learnerId, skill, variant, seed })) return before;
      const question = (await this.#hardness(tx, skill)).get(variant) ?? askedFirst(0);
      const { person, question: asked } = afterAnswer(before, question, right);
      await tx.insert(PracticeAnswerRow, {
        learnerId,
        skill,
        variant,
        seed,
        right,
        ms,
        ability: person.at,
        variance: person.variance,
        at: now,
      });
      await tx.upsert(PracticeQuestionRow, { skill, variant, hardness: asked.at, variance: asked.variance });
      const kept = await tx.findOne(PracticeCardRow, { learnerId, skill, variant });
      // What was never missed needs no reminder.
      if (!kept && right) return person;
      const card = kept ? revived(kept.card) : createEmptyCard(now);
      const grade = right ? (ms > slow * 1000 ? Grade.Hard : Grade.Good) : Grade.Again;
      const { card: next } = schedule.next(card, now, grade);
      await tx.upsert(PracticeCardRow, {
        learnerId,
        skill,
        variant,
        card: JSON.stringify(next),
        due: next.due,
      });
      return person;
    });
    return { right, answer, why: exercise.why, chance: chanceOf(thought).chance };
  }

  /** Somebody's skills over time, and the customers they had. */
  async learner(id: string, now: Date = new Date()): Promise<LearnerView> {
    const row = await this.em.findOne(LearnerRow, { id });
    if (!row) throw notFound(`learner ${id}`);
    const answers = await this.em.find(PracticeAnswerRow, { learnerId: id }, { orderBy: { id: 'asc' } });
    const due = await this.em.find(PracticeCardRow, { learnerId: id, due: { $lte: now } });
    const skills = SKILLS.map((skill): SkillView => {
      const own = answers.filter((each) => each.skill === skill);
      const last = own.at(-1);
      const weeks = new Map<string, Rating>();
      for (const each of own) weeks.set(weekOf(each.at), ratingOf(each));
      return {
        skill,
        answers: own.length,
        right: own.filter(({ right }) => right).length,
        ...chanceOf(last ? ratingOf(last) : NEWCOMER),
        due: due.filter((each) => each.skill === skill).length,
        weeks: [...weeks].map(([week, rating]) => ({ week, ...chanceOf(rating) })),
      };
    });
    const visits = await this.em.find(PracticeVisitRow, { learnerId: id }, { orderBy: { at: 'asc' } });
    const a = await this.#numbers();
    const told = skills.filter((each) => each.answers >= a.get('practice.says-from'));
    const [certifiesFrom, certifiesAt] = [a.get('practice.certifies-from'), a.get('practice.certifies-at')];
    return {
      id,
      name: row.name,
      skills,
      weakest: [...told].sort((x, y) => x.chance - y.chance)[0]?.skill ?? null,
      certified: skills
        .filter(({ answers: given, low }) => given >= certifiesFrom && low >= certifiesAt)
        .map(({ skill }) => skill),
      certifiesFrom,
      certifiesAt,
      visits: visits.map((visit) => {
        const account = visit.account ? (JSON.parse(visit.account) as Account) : null;
        return {
          id: visit.id,
          level: visit.level,
          roundId: visit.roundId ?? null,
          at: visit.at.toISOString(),
          over: visit.over,
          helped: visit.helped,
          regret: account?.regret ?? null,
          luck: account?.luck ?? null,
          unsafe: account?.lapses.some(({ what }) => what === 'safety') ?? false,
        };
      }),
    };
  }
}

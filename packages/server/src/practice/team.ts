import type { PracticeHome, RoundScores, RoundView, TeamView } from '@hardy/core/contract';
import { LEVEL_RULES, meanWithin, tellApart } from '@hardy/practice';
import { assumptionsWith } from '@hardy/core';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import { randomInt, randomUUID } from 'node:crypto';
import { problem } from '../problem.ts';
import { LearnerRow, PracticeRoundRow } from '../store/entities.ts';
import { shopSettings } from '../store/shopStore.ts';
import { Skills } from './skills.ts';
import type { WorkerPool } from '../advising/workerPool.ts';

const MOST_LEARNERS = 200;
const MOST_ROUNDS = 50;
const MOST_SEED = 1_000_000_000;

/** Who practises, the rounds set for all, and what they came to. */
export class Team {
  constructor(
    private readonly em: EntityManager,
    private readonly pool: WorkerPool,
  ) {}

  async #rounds(): Promise<RoundView[]> {
    const rows = await this.em.find(PracticeRoundRow, {}, { orderBy: { at: 'desc' }, limit: MOST_ROUNDS });
    return rows.map(({ id, name, level, customers, at }) => ({
      id,
      name,
      level,
      customers,
      at: at.toISOString(),
    }));
  }
  #learners() {
    return this.em.find(LearnerRow, {}, { orderBy: { name: 'asc' }, limit: MOST_LEARNERS });
  }

  async home(): Promise<PracticeHome> {
    const a = assumptionsWith((await shopSettings(this.em)).overrides);
    return {
      learners: (await this.#learners()).map(({ id, name }) => ({ id, name })),
      levels: Object.entries(LEVEL_RULES).map(([level, { name }]) => ({
        level: Number(level),
        name,
        minutes: a.get(`practice.minutes.level-${level}`),
      })),
      rounds: await this.#rounds(),
    };
  }

  /** Somebody new; one whose name is known is returned as they are, also when both come at once. */
  add(name: string): Promise<{ id: string; name: string }> {
    return this.em.transactional(async (tx) => {
      const known = await tx.findOne(LearnerRow, { name });
      if (known) return { id: known.id, name: known.name };
      if ((await tx.count(LearnerRow)) >= MOST_LEARNERS)
        throw problem(409, 'Too many', `more than ${MOST_LEARNERS} people practise here already`);
      const id = randomUUID();
      await tx.insert(LearnerRow, { id, name, at: new Date() });
      return { id, name };
    });
  }

  /** A round for all: the same customers for everybody. */
  async setRound(name: string, level: number, customers: number): Promise<RoundView> {
    const at = new Date();
    const id = randomUUID();
    await this.em.insert(PracticeRoundRow, { id, name, level, customers, seed: randomInt(MOST_SEED), at });
    return { id, name, level, customers, at: at.toISOString() };
  }

  /** Everybody's skills, and the rounds with their scores: by what was known at each moment, not by luck. */
  async view(): Promise<TeamView> {
    const skills = new Skills(this.em, this.pool);
    const learners = await Promise.all((await this.#learners()).map(({ id }) => skills.learner(id)));
    const rounds = (await this.#rounds()).map((round): RoundScores => {
      const by = learners.flatMap(({ id, name, visits }) => {
        const own = visits.filter((visit) => visit.roundId === round.id && visit.regret !== null);
        return own.length > 0
          ? [
              {
                learnerId: id,
                name,
                regrets: own.map(({ regret }) => regret ?? 0),
                unsafe: own.filter(({ unsafe }) => unsafe).length,
              },
            ]
          : [];
      });
      const scores = by
        .map(({ learnerId, name, regrets, unsafe }) => {
          const { mean: regret, give } = meanWithin(regrets);
          return { learnerId, name, done: regrets.length, regret, give, unsafe };
        })
        .sort((x, y) => x.regret - y.regret);
      const regretsOf = (id: string) => by.find(({ learnerId }) => learnerId === id)?.regrets ?? [];
      return {
        round,
        scores,
        apart: scores.slice(1).map((other, i) => {
          const one = scores[i] as (typeof scores)[number];
          const told = tellApart(regretsOf(other.learnerId), regretsOf(one.learnerId));
          return {
            one: one.name,
            other: other.name,
            ...told,
          };
        }),
      };
    });
    return { learners, rounds, currency: (await shopSettings(this.em)).currency };
  }
}

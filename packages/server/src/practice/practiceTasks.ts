import type { Docket, Knowledge } from '@hardy/core';
import {
  accountOf,
  customerAt,
  drawCustomer,
  drawExercise,
  orderOf,
  playVisit,
  wheelsOf,
  type Customer,
  type CustomerGiven,
  type Exercise,
  type Sale,
  type Visit,
} from '@hardy/practice';
import { assumptionsFor } from '@hardy/core/trial';
import type { Account, PracticeDeed, Skill } from '@hardy/core/words';

/* What practice reckons in a thread: lives that are lived, jobs that are played from their deeds. */

/** What identifies a job: its customer, the life that was found, what was done. */
export interface JobGiven {
  readonly given: CustomerGiven;
  readonly life: number;
  readonly deeds: readonly PracticeDeed[];
  readonly knowledge: Knowledge;
}

/** Looks for a customer that fits the level and can be found out. */
export const findCustomerTask = ({ given }: { given: CustomerGiven }): { life: number; words: string } => {
  const { lifeSeed, told } = drawCustomer(orderOf(given));
  return { life: lifeSeed, words: told.words };
};

/** A job as far as it went, as a page may know it: nothing of the truth. */
export interface JobSeen {
  readonly steps: Visit['steps'];
  readonly docket: Docket;
  readonly first: Docket;
  readonly minutes: number;
  readonly cost: number;
  readonly over: boolean;
  readonly budget: number;
  readonly hadMinutes: number;
  readonly canRead: boolean;
  readonly ends: readonly string[];
}

const played = ({ given, life, deeds, knowledge }: JobGiven): { customer: Customer; visit: Visit } => {
  const customer = customerAt(orderOf(given), life);
  const visit = playVisit(customer, deeds, {
    prices: assumptionsFor(customer.first, knowledge),
    today: given.today,
    slice: knowledge.slice,
  });
  return { customer, visit };
};

export const playJobTask = (job: JobGiven): JobSeen => {
  const { customer, visit } = played(job);
  const { steps, docket, minutes, cost, over } = visit;
  return {
    steps,
    docket,
    first: customer.first,
    minutes,
    cost,
    over,
    budget: customer.budget,
    hadMinutes: customer.rules.minutes,
    canRead: customer.rules.codes !== 'no reader',
    ends: wheelsOf(customer),
  };
};

export const accountTask = ({ sale, ...job }: JobGiven & { sale: Sale }): Account => {
  const { customer, visit } = played(job);
  return accountOf(customer, visit, job.knowledge, sale);
};

export const exerciseTask = ({
  skill,
  variant,
  seed,
}: {
  skill: Skill;
  variant: string;
  seed: number;
}): Exercise => drawExercise(skill, variant, seed);

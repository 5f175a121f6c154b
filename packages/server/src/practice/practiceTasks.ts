import type { Docket, Knowledge } from '@hardy/core';
import {
  accountOf,
  customerAt,
  drawCustomer,
  drawExercise,
  orderOf,
  playVisit,
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

/** Looks for a customer that fits the level and can be found out; null where this vehicle has none. */
export const findCustomerTask = ({
  given,
}: {
  given: CustomerGiven;
}): { life: number; words: string } | null => {
  const customer = drawCustomer(orderOf(given));
  return customer && { life: customer.lifeSeed, words: customer.told.words };
};

/** A job as far as it went, as a page may know it: nothing of the truth. */
export interface JobSeen extends Pick<Visit, 'steps' | 'minutes' | 'cost' | 'over'> {
  readonly docket: Docket;
  readonly budget: number;
  readonly hadMinutes: number;
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
  return { steps, docket, minutes, cost, over, budget: customer.budget, hadMinutes: customer.minutes };
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

import type { IntakeContext } from '@hardy/core';
import type { MikroORM } from '@mikro-orm/better-sqlite';
import { intakeContext, today } from './store/catalogueStore.ts';

/** Names, fleet and dictionaries for reading the counter line, kept in memory: it is read at every keystroke. */
export interface IntakeCache {
  get(): Promise<IntakeContext>;
  /** Counts up whenever what is known changed, so that a page knows whether it holds the same. */
  epoch(): number;
  /** To be called when the catalogue, the fleet or the shop's settings change. */
  forget(): void;
}

export const intakeCache = (orm: MikroORM): IntakeCache => {
  let kept: Promise<IntakeContext> | null = null;
  let epoch = 0;
  return {
    async get() {
      kept ??= intakeContext(orm.em.fork());
      return { ...(await kept), today: today() };
    },
    epoch: () => epoch,
    forget() {
      kept = null;
      epoch++;
    },
  };
};

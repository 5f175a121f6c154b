import type { IntakeContext } from '@hardy/core';
import type { MikroORM } from '@mikro-orm/better-sqlite';
import { intakeContext, today } from './store/catalogueStore.ts';

/** Names, fleet and dictionaries for reading the counter line, kept in memory: it is read at every keystroke. */
export interface IntakeCache {
  get(): Promise<IntakeContext>;
  /** To be called when the catalogue, the fleet or the shop's settings change. */
  forget(): void;
}

export const intakeCache = (orm: MikroORM): IntakeCache => {
  let kept: Promise<IntakeContext> | null = null;
  return {
    async get() {
      kept ??= intakeContext(orm.em.fork());
      return { ...(await kept), today: today() };
    },
    forget() {
      kept = null;
    },
  };
};

import type { EntityManager } from '@mikro-orm/better-sqlite';
import type { Advising } from '../advising/advising.ts';
import { DocketStore } from '../store/docketStore.ts';

/** The dockets, with what is reckoned for them done by the threads. */
export const docketsOf = (em: EntityManager, advising: Advising): DocketStore =>
  new DocketStore(
    em,
    (within, docket) => advising.advise(within, docket),
    () => advising.moved(),
    (given) => advising.count(given),
  );

import { today } from '../store/catalogueStore.ts';
import { recounted } from '../advising/recount.ts';
import { relearnAll } from '../store/ledgerStore.ts';
import { openStore } from '../store/openStore.ts';

/**
 * Learns anew from every closed docket of a database that no server has open.
 * @throws CannotOpen while one has, or where there is no database of ours
 */
export const relearnDatabase = async (database: string): Promise<{ jobs: number }> => {
  const store = await openStore(database);
  try {
    return await relearnAll(store.orm.em.fork(), today(), (...given) => Promise.resolve(recounted(...given)));
  } finally {
    await store.close();
  }
};

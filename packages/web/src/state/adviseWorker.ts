import { advise, parseDocket, type Knowledge } from '@hardy/core/advising';
import type { Advice, Docket } from '@hardy/core/words';
import { expose } from 'comlink';

const api = {
  /** The whole flow in a thread of its own, plan included: the page stays free. */
  advise: (docket: Docket, knowledge: Knowledge): Advice => advise(parseDocket(docket), knowledge),
};

export type AdviseWorkerApi = typeof api;
expose(api);

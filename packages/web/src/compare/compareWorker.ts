import {
  compareBench,
  DIAL_RULES,
  parseDocket,
  type CompareBench,
  type Knowledge,
  type Turned,
} from '@hardy/core/advising';
import type { Comparison, Dial, Docket, Sensitivity } from '@hardy/core/words';
import { expose } from 'comlink';

let bench: CompareBench | null = null;

const api = {
  /** Lays a docket on the bench: it is diagnosed once, then compared as often as a dial moves. */
  lay(docket: Docket, knowledge: Knowledge): void {
    bench = compareBench(parseDocket(docket), knowledge);
  },
  compare: (turned: Turned, withSchools: boolean): Comparison | null =>
    bench?.compare(turned, withSchools) ?? null,
  sensitivities: (turned: Turned): Sensitivity[] => bench?.sensitivities(turned) ?? [],
  /** The docket with the dials set on it. */
  setOn: (docket: Docket, turned: Turned): Docket =>
    (Object.entries(turned) as Array<[Dial, number]>).reduce(
      (now, [dial, value]) => DIAL_RULES[dial].set(now, value),
      docket,
    ),
};

export type CompareWorkerApi = typeof api;
expose(api);

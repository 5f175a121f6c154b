import {
  advise,
  assumptionsWith,
  compareBench,
  entryOf,
  readIntake,
  type Advice,
  type Comparison,
  type Docket,
  type IntakeContext,
  type IntakeReading,
  type Knowledge,
  type LedgerEntry,
} from '@hardy/core';
import { deserialize } from 'node:v8';
import type { ToCount } from '../store/ledgerStore.ts';
import { recounted, type Recounted } from './recount.ts';
import type { IntakeKnowledge } from '../store/catalogueStore.ts';

/** What is read with, written once and shared by all threads; `epoch` tells whether a thread has read it already. */
export interface SharedContext {
  readonly epoch: number;
  readonly bytes: SharedArrayBuffer;
}

/** What is read with, from what is known. */
export const contextFrom = ({ overrides, ...rest }: IntakeKnowledge): IntakeContext => ({
  ...rest,
  assumptions: assumptionsWith(overrides),
});

let known: { readonly epoch: number; readonly context: IntakeContext } | null = null;

const contextOf = ({ epoch, bytes }: SharedContext): IntakeContext => {
  if (known?.epoch !== epoch)
    known = { epoch, context: contextFrom(deserialize(Buffer.from(bytes)) as IntakeKnowledge) };
  return known.context;
};

/** What takes long, in a thread of its own: everybody else is served meanwhile. */
export const adviseTask = ({ docket, knowledge }: { docket: Docket; knowledge: Knowledge }): Advice =>
  advise(docket, knowledge);

export const compareTask = ({
  docket,
  knowledge,
  seed,
}: {
  docket: Docket;
  knowledge: Knowledge;
  seed: number | undefined;
}): Comparison | null => compareBench(docket, knowledge, seed).compare();

export const readTask = ({
  text,
  shared,
  own,
}: {
  text: string;
  shared: SharedContext;
  own: Partial<IntakeContext>;
}): IntakeReading => readIntake(text, { ...contextOf(shared), ...own });

/** A closed docket as the ledger counts it. */
export const countTask = ({ docket, facts, knowledge }: ToCount): LedgerEntry =>
  entryOf(docket, docket.outcome as NonNullable<Docket['outcome']>, facts, knowledge);

export const relearnTask = ({
  entries,
  overrides,
  month,
}: {
  entries: LedgerEntry[];
  overrides: Readonly<Record<string, number>>;
  month: string;
}): Array<Recounted | null> => recounted(entries, overrides, month);

export { accountTask, exerciseTask, findCustomerTask, playJobTask } from '../practice/practiceTasks.ts';

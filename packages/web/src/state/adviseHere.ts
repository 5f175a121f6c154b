import type { Advice, Docket } from '@hardy/core/plain';
import type { Knowledge } from '@hardy/core/reasoning';
import { wrap, type Remote } from 'comlink';
import { call } from '../api/client.ts';
import type { AdviseWorkerApi } from './adviseWorker.ts';

let worker: Remote<AdviseWorkerApi> | null = null;
let known: { readonly id: string; readonly knowledge: Promise<Knowledge> } | null = null;

/** Fetches what advising on a docket needs, so that the next change can be answered here. */
export const learn = (id: string): void => {
  const knowledge = call<Knowledge>(`/dockets/${id}/knowledge`);
  // Without it the server's own answer comes a moment later: nothing is lost.
  knowledge.catch(() => undefined);
  known = { id, knowledge };
};

/**
 * Advice on a changed docket, worked out in a thread of this page while the server still writes. Null where it cannot
 * be: another vehicle was chosen, or the knowledge has not come.
 */
export const adviseHere = async (id: string, docket: Docket): Promise<Advice | null> => {
  if (known?.id !== id || typeof Worker === 'undefined') return null;
  try {
    const knowledge = await known.knowledge;
    if ((docket.vehicle?.catalogueId ?? null) !== (knowledge.slice.vehicle?.id ?? null)) return null;
    worker ??= wrap<AdviseWorkerApi>(
      new Worker(new URL('./adviseWorker.ts', import.meta.url), { type: 'module' }),
    );
    return await worker.advise(docket, knowledge);
  } catch {
    return null;
  }
};

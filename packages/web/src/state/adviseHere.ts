import type { Advice, Docket } from '@hardy/core/words';
import type { Knowledge } from '@hardy/core/advising';
import { call } from '../api/client.ts';
import { latestAdvice } from './latestAdvice.ts';

let known: { readonly id: string; readonly knowledge: Promise<Knowledge> } | null = null;

/** Fetches what advising on a docket needs, so that the next change can be answered here. */
export const learn = (id: string): void => {
  const knowledge = call('GET /dockets/:id/knowledge', { params: { id } });
  // Without it the server's own answer comes a moment later: nothing is lost.
  knowledge.catch(() => undefined);
  known = { id, knowledge };
};

/**
 * Advice on a changed docket, worked out in a thread of this page while the server still writes. Null where it cannot
 * be: another vehicle was chosen, the knowledge has not come, or a newer question took its turn.
 */
export const adviseHere = async (id: string, docket: Docket): Promise<Advice | null> => {
  if (known?.id !== id) return null;
  try {
    const knowledge = await known.knowledge;
    if ((docket.vehicle?.catalogueId ?? null) !== (knowledge.slice.vehicle?.id ?? null)) return null;
    return await latestAdvice(docket, knowledge);
  } catch {
    return null;
  }
};

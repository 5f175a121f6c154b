import type { Body, VisitView } from '@hardy/core/contract';
import { useQuery } from '@tanstack/react-query';
import { create } from 'zustand';
import { call } from '../api/client.ts';
import { docketKey, queryClient, shownKey } from '../state/queryClient.ts';

const NOW = 'hardy.practice.visit';
const WHO = 'hardy.practice.learner';

const read = (key: string): string | null => {
  try {
    return sessionStorage.getItem(key);
  } catch {
    return null;
  }
};
const keep = (key: string, value: string | null): void => {
  try {
    if (value === null) sessionStorage.removeItem(key);
    else sessionStorage.setItem(key, value);
  } catch {
    // A browser that keeps nothing: it stays as long as the page is open.
  }
};

interface AtCounter {
  /** The customer at the practice counter of this desk. */
  readonly visitId: string | null;
  /** Who practises here. */
  readonly learnerId: string | null;
  readonly stands: (visitId: string | null) => void;
  readonly learns: (learnerId: string | null) => void;
}

/** Who stands at this desk's practice counter, on both sides of it; kept over a reload. */
export const useAtCounter = create<AtCounter>((set) => ({
  visitId: read(NOW),
  learnerId: read(WHO),
  stands: (visitId) => {
    keep(NOW, visitId);
    set({ visitId });
  },
  learns: (learnerId) => {
    keep(WHO, learnerId);
    set({ learnerId });
  },
}));

const keyOf = (id: string | null) => ['visit', id ?? ''];

/** The customer who stands at the counter. */
export const useVisit = () => {
  const visitId = useAtCounter((state) => state.visitId);
  return useQuery({
    queryKey: keyOf(visitId),
    queryFn: ({ signal }) => call('GET /practice/visits/:id', { params: { id: visitId ?? '' }, signal }),
    enabled: visitId !== null,
  });
};

/** Takes what the server said of a customer; their docket may have grown. */
export const took = async (visit: VisitView): Promise<VisitView> => {
  queryClient.setQueryData(keyOf(visit.id), visit);
  if (visit.docketId) {
    await queryClient.invalidateQueries({ queryKey: docketKey(visit.docketId) });
    await queryClient.invalidateQueries({ queryKey: shownKey(visit.docketId) });
  }
  return visit;
};

/** A customer walks in, and stands at this desk's counter. */
export const walkIn = async ({
  learnerId,
  level,
  roundId,
}: Pick<VisitView, 'learnerId' | 'level' | 'roundId'>): Promise<VisitView> => {
  const visit = await took(
    await call('POST /practice/visits', { body: { id: crypto.randomUUID(), learnerId, level, roundId } }),
  );
  useAtCounter.getState().stands(visit.id);
  return visit;
};

type Deed = Body<'POST /practice/visits/:id/deeds'>;

/** Does something with the customer's vehicle. */
export const act = async (
  visit: VisitView,
  deed: Deed['deed'],
  sent: Deed['sent'] = null,
): Promise<VisitView> =>
  took(
    await call('POST /practice/visits/:id/deeds', {
      params: { id: visit.id },
      body: { after: visit.steps.length, deed, sent },
    }),
  );

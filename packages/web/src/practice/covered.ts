import type { Advice, Docket } from '@hardy/core/words';
import { useAtCounter, useVisit } from './useVisit.ts';
import { isPractice } from '../space.ts';

/**
 * Whether the advice is to be kept from the learner: until the customer has left, or it was uncovered. Of a docket, or of words
 * that are yet to be one (null).
 */
export const useCovered = (docketId: string | null): boolean => {
  const stands = useAtCounter((state) => state.visitId);
  const { data: visit } = useVisit();
  // Until it is known whose docket this is, nothing is given away.
  if (!isPractice || !stands) return false;
  if (!visit) return true;
  const isTheirs = docketId === null || visit.docketId === null || visit.docketId === docketId;
  return isTheirs && !visit.over && !visit.helped;
};

/** An advice with nothing in it that tells what to do: what was learned stays, what follows from it is left to the learner. */
export const covered = (advice: Advice, docket: Docket): Advice => ({
  ...advice,
  wheelEnd: docket.wheelEnd ?? null,
  corners: advice.corners.map((corner) => ({ ...corner, probability: 0 })),
  causes: [],
  cautions: [],
  questions: [],
  conflicts: [],
  fromLedger: [],
  facts: advice.facts.map((fact) => ({ ...fact, effects: [], said: '' })),
  offers: [...advice.offers]
    .sort((x, y) => x.part.localeCompare(y.part) || x.wheelEnd.localeCompare(y.wheelEnd))
    .map((offer) => ({ ...offer, because: [], folded: false })),
});

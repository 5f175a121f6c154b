import { mendDocket, type Advice, type Docket } from '@hardy/core';
import type { DocketState } from '@hardy/core/contract';

const stateOf = (docket: Docket): DocketState =>
  docket.outcome ? 'closed' : docket.chosen ? 'ordered' : 'open';

/** What of a line in the list follows from the advice. */
export const linesOf = (advice: Advice) => ({
  wheelEnd: advice.wheelEnd,
  vehicleName: advice.vehicle.name,
  action: advice.verdict.action,
  headline: advice.verdict.sentence,
});

/** The columns of a docket beside its number and its times. */
export const columnsOf = (docket: Docket, advice: Advice) => ({
  ...linesOf(advice),
  state: stateOf(docket),
  fleetNumber: docket.vehicle?.fleetNumber ?? null,
  customerName: docket.customer?.name ?? null,
  outcome: docket.outcome?.result ?? null,
  document: JSON.stringify(docket),
});

/** A document as it was stored, by whatever version: what is refused today is kept in its words. */
export const storedDocket = (document: string): Docket => mendDocket(JSON.parse(document));

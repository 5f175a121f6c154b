import type { Advice, Docket } from '@hardy/core';
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

/** The columns of a docket beside its number, its times and its document. */
export const columnsOf = (docket: Docket, advice: Advice) => ({
  ...linesOf(advice),
  state: stateOf(docket),
  fleetNumber: docket.vehicle?.fleetNumber ?? null,
  customerName: docket.customer?.name ?? null,
  phone: docket.customer?.phone ?? null,
  firm: docket.customer?.firm ?? null,
  plate: docket.vehicle?.plate ?? null,
  parts: (docket.chosen?.lines ?? []).flatMap(({ partNumber }) => partNumber ?? []).join(' ') || null,
  outcome: docket.outcome?.result ?? null,
});

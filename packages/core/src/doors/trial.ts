/* What it takes to try the advice on a vehicle that knows nothing of it. */
export { NORMAL_HALF } from '../chance/intervals.ts';
export { assumptionsWith, type Assumptions } from '../assumptions/assumptions.ts';
export type { Architecture } from '../diagnosis/architecture.ts';
export { assumptionsFor, bareKnowledge, type Knowledge } from '../advice/knowledge.ts';
export { optionsAt, type Option, type Options } from '../practice/optionsAt.ts';
export { judge, type Judged } from '../advice/judge.ts';
export { chooseDeed, WAYS_TO_WORK, type WayToWork } from '../practice/chooseDeed.ts';
export type { Deed } from '../practice/benchCard.ts';
export { cornerCode } from '../practice/cornerCode.ts';
export { partsAt, WORK_IN_WORDS } from '../offers/fixes.ts';
export { outlayOf } from '../offers/outlay.ts';
export { ratesFor } from '../offers/rates.ts';
export { jobCost, together } from '../offers/together.ts';
export { minutesOf, withBuild } from '../practice/jobSteps.ts';
export { emptySlice } from '../vocabulary/catalogue.ts';
export { RENEWED } from '../partKinds/partData.ts';
export type { DocketCode, HistoryEvent } from '../vocabulary/docket.ts';

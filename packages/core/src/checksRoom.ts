/* What a page needs to do a check's arithmetic as it is typed: the checks room without validators. */
export { tellCheck } from './checks/tellCheck.ts';
export { doubtUnit } from './checks/doubtUnit.ts';
export type { CheckSetting } from './checks/computedCheck.ts';
export { explainRatio, type RatioContext, type RatioExplanation } from './checks/explainRatio.ts';
export { parseTyreSize, readsAgainst } from './vocabulary/tyreSize.ts';
export * from './checks/wheelArithmetic.ts';
export { assumptionsWith, type Assumptions } from './assumptions/assumptions.ts';

/* What a page needs to do a check's arithmetic while its numbers are typed, without validators. */
export { assumptionsWith, type Assumptions } from '../assumptions/assumptions.ts';
export type { CheckSetting } from '../checks/computedCheck.ts';
export { doubtUnit } from '../checks/doubtUnit.ts';
export { explainRatio } from '../checks/explainRatio.ts';
export { tellCheck } from '../checks/tellCheck.ts';
export {
  frequencyAt,
  gapFactor,
  lowestReadSpeed,
  rollingCircumference,
  speedAt,
} from '../checks/wheelArithmetic.ts';
export { parseTyreSize } from '../vocabulary/tyreSize.ts';

export { causeOfAilment } from './bench/causeOf.ts';
export { checkOn, liveChecks } from './bench/checkOn.ts';
export { docketOf, vehicleKnown } from './bench/docketOf.ts';
export { searchLifeOf } from './bench/lifeOfOrder.ts';
export { playVehicle, type FirstWords, type Played } from './job/playVehicle.ts';
export { beginVisit, playVisit, deedKey, type Shop, type Visit, type VisitStep } from './job/visit.ts';
export { customerAt, wheelsOf, type Customer, type CustomerOrder } from './customer/customer.ts';
export { drawCustomer } from './fair/drawCustomer.ts';
export { LEVEL_RULES } from './customer/levels.ts';
export { fullDocket, isTrue, truthOf } from './fair/fullVisit.ts';
export { accountOf, canReadAt, timesAmong, judgeSteps } from './account/accountOf.ts';
export { orderOf, type CustomerGiven } from './customer/givenCustomer.ts';
export { applied } from './job/applied.ts';
export type { Sale } from './account/lapsesOf.ts';
export { drawExercise, EXERCISES, variantsOf } from './exercises/exercises.ts';
export { isRight, type Exercise } from './exercises/exercise.ts';
export {
  aboutRight,
  afterAnswer,
  askedFirst,
  chanceOf,
  meanWithin,
  NEWCOMER,
  tellApart,
  type Rating,
} from './rating/rating.ts';

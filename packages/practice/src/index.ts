export { causeOfAilment } from './causeOf.ts';
export { playVehicle, type FirstWords, type Played } from './playVehicle.ts';
export { checkOn, liveChecks } from './checkOn.ts';
export { docketOf } from './docketOf.ts';

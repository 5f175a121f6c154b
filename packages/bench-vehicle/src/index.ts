export { drawLife, type Life, type PastEvent } from './life/drawLife.ts';
export { copyOf } from './vehicle/copyOf.ts';
export type { BenchVehicle } from './vehicle/benchVehicle.ts';
export { across, axleOf, endsOf, sensingAt, type Build, type End, type Sensing } from './vehicle/build.ts';
export { keyOn, type Driven } from './controller/drive.ts';
export { complains, testDrive, useForWeeks } from './controller/use.ts';
export type { Failure, Trouble } from './controller/memory.ts';
export {
  countTeeth,
  lookAlongLoom,
  lookAtJoint,
  lookAtRing,
  lookAtTip,
  rockWheel,
  spinWheel,
  wiggleLead,
} from './people/look.ts';
export { meterAc, meterBattery, meterSensor, meterSupply } from './people/meter.ts';
export { watchSpeeds, type Pattern } from './people/watchSpeeds.ts';
export {
  clearCodes,
  doWork,
  fitPart,
  putAllRight,
  swapSensors,
  type Fitted,
  type Work,
} from './repair/repair.ts';
export { tyreText } from './laws/tyreCircle.ts';

export {
  drawLife,
  searchLife,
  type Life,
  type PastEvent,
  type Told,
  type Upbringing,
} from './life/drawLife.ts';
export { copyOf } from './vehicle/copyOf.ts';
export type { BenchVehicle } from './vehicle/benchVehicle.ts';
export type { Corner } from './vehicle/parts.ts';
export { across, axleOf, endsOf, sensingAt, type Build, type End, type Sensing } from './vehicle/build.ts';
export { driveWith, keyOn, type Driven } from './controller/drive.ts';
export { complains, testDrive, useForWeeks } from './controller/use.ts';
export { CYCLES, driveOf, STEP_S, type Cycle, type Drive } from './motion/drive.ts';
export { emptyMemory, record, type Memory } from './controller/memory.ts';
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
export { meterAc, meterBattery, meterLoom, meterSensor, meterSupply } from './people/meter.ts';
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
export { tyreText, type TyreSize } from './laws/tyreCircle.ts';
export { soundVehicle } from './vehicle/soundVehicle.ts';

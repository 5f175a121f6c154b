export { DeviceTrouble, type TroubleKind } from './wire/deviceTrouble.ts';
export {
  openReader,
  readAll,
  USUAL_PATIENCE,
  type Controller,
  type Patience,
  type ReadAll,
  type ReadCode,
  type Reader,
  type Where,
} from './reader/reader.ts';
export {
  judgeReadings,
  numberOf,
  openMeter,
  OVERLOAD,
  QUERIES,
  TEMPERATURE_QUERY,
  type Meter,
  type Quantity,
  type Reading,
} from './meter/meter.ts';
export { encodeFrame, encodeMessage, frameCutter, messageOf, TYPE, type Frame } from './doip/frames.ts';
export { codeBytes, codeText } from './uds/codes.ts';
export * as uds from './uds/services.ts';
export { busCodeText, troubleOnBus, framesOfCodes, type BusCode } from './j1939/activeCodes.ts';
export { readFrameLog, writeFrameLog, type BusFrame } from './j1939/frameLog.ts';
export { benchAt, type Bench } from './bench/benchClient.ts';
export { supplierAt, type SupplierService } from './supplier/supplierClient.ts';
export {
  SupplierAnswer,
  SupplierCatalogue,
  SupplierStock,
  SupplierWireOrder,
} from './supplier/supplierMessages.ts';

export { BenchStation, NotNow } from './benchStation.ts';
export { benchControl } from './benchControl.ts';
export { ADDRESS, readerStand, type Mischief } from './readerStand.ts';
export { meterStand } from './meterStand.ts';
export { supplierStand, SUPPLIER_FAULTS, type StandPart, type SupplierFault } from './supplierStand.ts';
export { listenHere } from './here.ts';

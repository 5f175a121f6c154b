export { BenchStation, type Probes } from './benchStation.ts';
export { ADDRESS, readerStand, type Mischief } from './readerStand.ts';
export { meterStand } from './meterStand.ts';

/* What is said to the bench that stands in for a vehicle: for whoever asks it, and whoever is it. */
export {
  BENCH_DRIVES,
  BenchBus,
  BenchCheck,
  BenchDrive,
  BenchFound,
  BenchProbes,
  BenchState,
  BenchVehicleOrder,
  BenchWork,
  type BenchEnd,
} from '../vocabulary/bench.ts';

import type { BenchVehicle } from './benchVehicle.ts';
import { endsOf, type End } from './build.ts';
import type { Corner } from './parts.ts';

const cornerOf = ({ tyre, target, sensor, seat, bearing, joint, loom }: Corner): Corner => ({
  tyre: { ...tyre },
  target: { ...target },
  sensor: { ...sensor },
  seat: { ...seat },
  bearing: { ...bearing },
  joint: { ...joint },
  loom: { ...loom },
});

/** A vehicle of its own in the same state: to try something on it. */
export const copyOf = (vehicle: BenchVehicle): BenchVehicle => ({
  ...vehicle,
  corners: Object.fromEntries(
    endsOf(vehicle.build).map((end) => [end, cornerOf(vehicle.corners[end])]),
  ) as Record<End, Corner>,
  shared: { ...vehicle.shared },
  memory: { ...vehicle.memory, troubles: vehicle.memory.troubles.map((trouble) => ({ ...trouble })) },
});

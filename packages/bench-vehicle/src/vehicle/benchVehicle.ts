import type { Build, End } from './build.ts';
import type { Corner, Shared } from './parts.ts';
import type { Memory } from '../controller/memory.ts';

/** A simulated vehicle: how it was built, what its parts are like now, what its controller remembers. */
export interface BenchVehicle {
  readonly build: Build;
  readonly ageYears: number;
  readonly distanceKm: number;
  /** Salt on its roads. */
  readonly salt: 'none' | 'some' | 'high';
  readonly corners: Record<End, Corner>;
  readonly shared: Shared;
  readonly memory: Memory;
}

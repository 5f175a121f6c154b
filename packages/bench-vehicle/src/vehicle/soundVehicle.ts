import { emptyMemory } from '../controller/memory.ts';
import type { BenchVehicle } from './benchVehicle.ts';
import { endsOf, type Build, type End, type Sensing } from './build.ts';
import { soundCorner, type Corner } from './parts.ts';

/** A sound vehicle of two axles, both built alike. */
export const soundVehicle = (more: Partial<Sensing> & Pick<Sensing, 'sensor'>): BenchVehicle => {
  const passive = more.sensor === 'passive';
  const sensing: Sensing = {
    mounting: 'separate',
    target: passive ? 'ring-on-hub' : 'encoder-in-bearing',
    ringSoldAlone: passive,
    count: 48,
    gapMm: passive ? 0.8 : 1,
    ohms: passive ? 1200 : 4e6,
    ...more,
  };
  const tyre = { width: 205, aspect: 60, rim: 15 };
  const build: Build = {
    axles: 2,
    trackM: 1.5,
    wheelbaseM: 2.6,
    driven: 'fwd',
    knuckle: 'iron',
    tyre,
    sensing: [sensing, sensing],
    detailedCodes: true,
  };
  return {
    build,
    ageYears: 8,
    distanceKm: 100_000,
    salt: 'some',
    corners: Object.fromEntries(
      endsOf(build).map((end): [End, Corner] => [end, soundCorner(tyre, sensing.count, sensing.ohms)]),
    ) as Record<End, Corner>,
    shared: { batteryVolts: 12.6, controllerFailed: false },
    memory: emptyMemory(),
  };
};

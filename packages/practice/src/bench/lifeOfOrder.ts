import { searchLife, type Build, type Life, type Sensing } from '@hardy/bench-vehicle';
import { randomFrom, type Random } from '@hardy/core/chance';
import type { BenchVehicleOrder } from '@hardy/core/bench';

type KnownSensing = BenchVehicleOrder['sensing'][number];

/** What nobody said of how an axle senses is drawn, as far as it goes together with what was said. */
const sensingOf = (known: KnownSensing, random: Random): Sensing => {
  const sensor = known.sensor ?? (random.chance(0.5) ? 'passive' : 'active');
  const target =
    known.target ??
    (sensor === 'active' && known.ringSoldAlone !== true ? 'encoder-in-bearing' : 'ring-on-hub');
  return {
    sensor,
    target,
    mounting: known.mounting ?? 'separate',
    ringSoldAlone: target !== 'encoder-in-bearing' && (known.ringSoldAlone ?? true),
    count: known.count ?? random.pick([43, 44, 46, 48]),
    gapMm: sensor === 'passive' ? random.between(0.5, 0.9) : random.between(0.7, 1.1),
    ohms: sensor === 'passive' ? random.between(1000, 1900) : 4_000_000,
  };
};

/** Looks for a life for a vehicle that is put on the bench: as it is known, with a fault that fits what was told of it. */
export const searchLifeOf = (order: BenchVehicleOrder): Generator<void, Life, void> => {
  const random = randomFrom(order.seed);
  const sensing = Array.from({ length: order.axles }, (_, i) =>
    sensingOf(order.sensing[i] ?? (order.sensing.at(-1) as KnownSensing), random),
  );
  const build: Build = {
    axles: order.axles,
    trackM: 1.6,
    wheelbaseM: order.axles === 3 ? 4.2 : 3,
    driven: order.driven ?? 'fwd',
    knuckle: order.knuckle ?? 'iron',
    tyre: order.tyre ?? { width: 205, aspect: 60, rim: 16 },
    sensing,
    detailedCodes: order.detailedCodes,
  };
  return searchLife(
    order.seed,
    {
      build,
      ageYears: order.ageYears ?? 9,
      salt: order.salt ?? 'some',
      distanceKm: order.distanceKm,
    },
    { codes: order.codes, wheel: order.wheel },
  );
};

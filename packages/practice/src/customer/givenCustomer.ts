import type { Life } from '@hardy/bench-vehicle';
import type { BenchVehicleOrder } from '@hardy/core/bench';
import type { Docket } from '@hardy/core/words';
import { assumptionsWith } from '@hardy/core/trial';
import { searchLifeOf } from '../bench/lifeOfOrder.ts';
import type { CustomerOrder } from './customer.ts';

/** A customer of a shop's own vehicle, as plain data: what can be kept, and handed to a thread. */
export interface CustomerGiven {
  readonly seed: number;
  readonly level: number;
  /** The vehicle as the bench takes it. */
  readonly bench: BenchVehicleOrder;
  /** What the counter knows of it once it is named. */
  readonly vehicle: NonNullable<Docket['vehicle']>;
  readonly vehicleWords: string;
  readonly today: string;
  /** The shop's numbers as they stood when the customer walked in. */
  readonly overrides: Readonly<Record<string, number>>;
}

/** The first life a seed finds for a vehicle. */
const lifeOf = (bench: BenchVehicleOrder, seed: number): Life => {
  const search = searchLifeOf({ ...bench, seed });
  for (;;) {
    const step = search.next();
    if (step.done) return step.value;
  }
};

export const orderOf = ({
  seed,
  level,
  bench,
  vehicle,
  vehicleWords,
  today,
  overrides,
}: CustomerGiven): CustomerOrder => ({
  seed,
  level,
  today,
  vehicleWords,
  prices: assumptionsWith(overrides),
  vehicleOf: () => vehicle,
  lives: (life) => lifeOf(bench, life),
});

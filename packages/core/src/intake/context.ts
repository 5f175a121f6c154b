import type { Assumptions } from '../assumptions/assumptions.ts';
import type { CatalogueVehicle, DictionaryEntry, FleetVehicle } from '../vocabulary/catalogue.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import type { Side } from '../vocabulary/words.ts';

/** What intake may know before it reads: the customer's vehicle so far, and the lists names are looked up in. */
export interface IntakeContext {
  readonly steeringSide: Side | null;
  readonly trafficSide: Side | null;
  readonly axles: number | null;
  readonly vehicles: readonly CatalogueVehicle[];
  readonly fleet: readonly FleetVehicle[];
  readonly dictionary: readonly DictionaryEntry[];
  /** Today as YYYY-MM-DD, for "at Easter" and "3 weeks ago". */
  readonly today: string;
  /** The shop's judgement numbers; the defaults where absent. */
  readonly assumptions?: Assumptions;
  /** Chips a person moved to another wheel, by the chip's key; null takes its wheel away. */
  readonly moves?: Readonly<Record<string, WheelEnd | null>>;
}

export const bareIntake = (today: string): IntakeContext => ({
  steeringSide: null,
  trafficSide: null,
  axles: null,
  vehicles: [],
  fleet: [],
  dictionary: [],
  today,
});

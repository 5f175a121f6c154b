import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Architecture } from '../diagnosis/architecture.ts';
import type { CatalogueSlice } from '../vocabulary/catalogue.ts';
import type { Docket } from '../vocabulary/docket.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';

/** A job at one wheel end: what it costs depends on where it is, how it is built, and for whom. */
export interface WheelJob {
  readonly wheelEnd: WheelEnd;
  readonly architecture: Architecture;
  readonly docket: Docket;
  readonly slice: CatalogueSlice;
  /** YYYY-MM-DD. */
  readonly today: string;
  readonly a: Assumptions;
}

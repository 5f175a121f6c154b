/** One judgement number as the server tells it. */
export interface AssumptionLine {
  readonly key: string;
  readonly value: number;
  readonly unit: string;
  readonly min: number;
  readonly max: number;
  readonly reason: string;
}

/** What a change of settings did to the dockets on the counter. */
export interface Effect {
  readonly turned: ReadonlyArray<{ id: string; number: number; before: string; after: string }>;
  readonly looked: number;
}

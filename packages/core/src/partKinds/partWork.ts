/** A step that only some ways of building need. */
export interface ConditionalStep {
  readonly text: string;
  readonly only: 'separate-sensor' | 'encoder';
}

/** How the work goes where the catalogue has no note for the vehicle. Reference only: the maker's data come first. */
export interface PartWork {
  readonly access: readonly string[];
  readonly tools: readonly string[];
  readonly steps: ReadonlyArray<string | ConditionalStep>;
  readonly torques: ReadonlyArray<{ what: string; figure: string; singleUse: boolean }>;
}

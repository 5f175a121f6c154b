/** When a line of work applies: how the wheel end is built, and how the old sensor is. */
export type WorkWhen =
  | 'separate-sensor'
  | 'encoder'
  | 'ring-on-hub'
  | 'ring-on-shaft'
  /** The old sensor is still in its bore, whole; or it is out already. */
  | 'sensor-in'
  | 'sensor-out';

/** A step that only some jobs need. All that are named must hold; what is not known holds: better one line too many. */
export interface ConditionalStep {
  readonly text: string;
  readonly only: WorkWhen | readonly WorkWhen[];
}
export type WorkLine = string | ConditionalStep;

/** How the work goes where the catalogue has no note for the vehicle. Reference only: the maker's data come first. */
export interface PartWork {
  readonly access: readonly string[];
  /** What people take off and need not. */
  readonly stays: readonly string[];
  readonly tools: readonly string[];
  readonly steps: readonly WorkLine[];
  readonly torques: ReadonlyArray<{ what: string; figure: string; singleUse: boolean }>;
  /** A caliper or a drum is off for it: the pedal is pumped before the vehicle moves. */
  readonly opensBrake?: true;
  /** The wheel is off for it. */
  readonly wheelOff?: true;
}

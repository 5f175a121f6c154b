import type { ReadPosition } from '../vocabulary/intakeReading.ts';

/** A position phrase with its place in the text, in characters and in tokens. */
export interface LocatedPosition extends ReadPosition {
  readonly start: number;
  readonly end: number;
  readonly from: number;
  readonly to: number;
  /** Taken back by the speaker: nothing stands there. */
  readonly struck?: boolean;
  /** Only named to say where another wheel is. */
  readonly reference?: boolean;
  /** One of these wheels, and nobody said which. */
  readonly oneOf?: boolean;
  /** The axle, where its side is not said. */
  readonly axle?: number;
  /** All wheels of the text but those it names. */
  readonly all?: boolean;
}

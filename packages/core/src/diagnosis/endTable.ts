import type { Fault } from '../faultKinds/faultData.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import type { State } from './states.ts';

/** What may be wrong with what all wheels share. */
export const SHARED_STATES: ReadonlyArray<readonly Fault[]> = [
  [],
  ['module'],
  ['supply'],
  ['module', 'supply'],
];

/** What a wheel end weighs with nothing wrong, and with something wrong. */
export interface EndSum {
  readonly sound: number;
  readonly faulty: number;
}

/** Weights of every state of one wheel end built one way, given the facts that speak of it. */
export interface EndTable {
  readonly end: WheelEnd;
  readonly states: readonly State[];
  /** [shared][here as the corner complained of: 0 | 1][state] */
  readonly weights: readonly (readonly Float64Array[])[];
  /** [symptom subset][state]: chance that no complaint of the subset comes from this state. */
  readonly silent: readonly Float64Array[];
  /** Prior odds that something is wrong here. */
  readonly odds: number;
  /** [shared][here][subset]: weight of nothing wrong here, and of all states where something is. */
  readonly sums: readonly (readonly (readonly EndSum[])[])[];
}

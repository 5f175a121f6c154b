import type { CountedEnd } from '../chance/countedProducts.ts';
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

/** What is reckoned apart: each set of shared causes with each subset of the complaints, `shared x subsets + subset`. */
export const rowsFor = (complaints: number): number => SHARED_STATES.length << complaints;

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
  /** For every row: weight of nothing wrong here, and of all states where something is. */
  readonly sums: CountedEnd;
}

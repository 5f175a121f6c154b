import type { Advice, Docket, WheelEnd } from '@hardy/core/words';

/** Stores a change of the docket under a name for the history. */
export type Change = (label: string, edit: (docket: Docket) => Docket) => void;

/** What every list of facts needs. */
export interface FactListProps {
  docket: Docket;
  advice: Advice;
  change: Change;
  /** What the fact at a path did to the answer, if anything worth saying. */
  said: (path: string) => string | undefined;
}

/** A list without one entry. */
export const without = <T>(list: readonly T[] | null | undefined, at: number): T[] =>
  (list ?? []).filter((_, i) => i !== at);

/** A list with one entry changed. */
export const changed = <T>(list: readonly T[] | null | undefined, at: number, edit: (entry: T) => T): T[] =>
  (list ?? []).map((entry, i) => (i === at ? edit(entry) : entry));

/** The wheel ends of the vehicle as choices. */
export const wheelChoices = (advice: Advice): Array<{ value: WheelEnd; label: string }> =>
  advice.corners.map(({ wheelEnd, words }) => ({ value: wheelEnd, label: words }));

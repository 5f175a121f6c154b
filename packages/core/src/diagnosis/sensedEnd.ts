import { axleOf, isCentre, wheelEndAt } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';

declare const SENSED: unique symbol;

/**
 * A place on this vehicle that has a speed signal of its own: a wheel, or the sender at the centre of an axle. Only
 * `architectureGroups` makes one, from the vehicle's axles and senders; the reasoning takes nothing else, so a fact of
 * a place that is not there cannot slip in unseen.
 */
export type SensedEnd = WheelEnd & { readonly [SENSED]: true };

/** The places of a vehicle that have a signal, and how a wheel end named by anyone becomes one of them. */
export interface SensedEnds {
  readonly all: readonly SensedEnd[];
  /** The place whose signal speaks of `end`: itself, or the sender of an axle that has only that. Null: none does. */
  at(end: WheelEnd | null | undefined): SensedEnd | null;
  /** Why no signal speaks of `end`, in words. */
  why(end: WheelEnd): string;
}

/** What marks a wheel end as sensed. For `architectureGroups` alone. */
export const asSensed = (end: WheelEnd): SensedEnd => end as SensedEnd;

export const sensedEnds = (
  groups: ReadonlyArray<{ readonly ends: readonly SensedEnd[] }>,
  axles: number,
): SensedEnds => {
  const all = groups.flatMap(({ ends }) => ends);
  const find = (end: WheelEnd): SensedEnd | null => all.find((each) => each === end) ?? null;
  return {
    all,
    at: (end) => (end ? (find(end) ?? find(wheelEndAt(axleOf(end), 'centre'))) : null),
    why: (end) =>
      axleOf(end) > axles
        ? `counts for nothing: this vehicle has ${axles} axles, and this is on axle ${axleOf(end)}`
        : isCentre(end)
          ? `counts for nothing: axle ${axleOf(end)} has a sensor at each wheel, not one at its centre`
          : 'counts for nothing: no speed signal comes from there',
  };
};

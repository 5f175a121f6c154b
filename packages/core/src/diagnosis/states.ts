import { causeOf, faultsWhere, type Fault } from '../faultKinds/faultData.ts';
import type { FaultNeed } from '../faultKinds/faultKind.ts';
import { isCentre } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { hasRing, type Architecture } from './architecture.ts';

/** What may be wrong at one wheel end: nothing, one fault, or two at once. */
export type State = readonly Fault[];

/** Faults that exist at a wheel end built this way. */
export const faultsAt = (wheelEnd: WheelEnd, a: Architecture): Fault[] => {
  const centre = isCentre(wheelEnd);
  const holds: Readonly<Record<FaultNeed, boolean>> = {
    wheel: !centre,
    centre,
    ring: hasRing(a),
    encoder: !hasRing(a),
    'held-sensor': a.mounting !== 'in-hub',
  };
  return faultsWhere((need) => holds[need]);
};

/** Listed once for each way of building: at a wheel, and at the centre of an axle. */
const listed = new WeakMap<Architecture, Map<boolean, readonly State[]>>();

/**
 * Every state of a wheel end built this way, nothing wrong first. A past event goes with nothing else: it means nothing
 * is wrong now. Two faults of one cause (joint and loom) are one story and make no pair.
 */
export const statesAt = (wheelEnd: WheelEnd, a: Architecture): readonly State[] => {
  const byCentre = listed.get(a) ?? new Map<boolean, readonly State[]>();
  listed.set(a, byCentre);
  const known = byCentre.get(isCentre(wheelEnd));
  if (known) return known;
  const faults = faultsAt(wheelEnd, a);
  const states: readonly State[] = [
    [],
    ...faults.map((fault) => [fault] as const),
    ['none-present'],
    ...faults.flatMap((one, i) =>
      faults
        .slice(i + 1)
        .filter((other) => causeOf(other) !== causeOf(one))
        .map((other) => [one, other] as const),
    ),
  ];
  byCentre.set(isCentre(wheelEnd), states);
  return states;
};

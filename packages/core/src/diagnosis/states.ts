import { causeOf, faultsWhere, type Fault } from '../faultKinds/faultData.ts';
import type { FaultNeed } from '../faultKinds/faultKind.ts';
import { isCentre } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { hasRing, type Sensing } from './architecture.ts';
import { memo } from './memo.ts';

/** What may be wrong at one wheel end: nothing, one fault, or two at once. */
export type State = readonly Fault[];

/** Faults that exist at a wheel end built this way. */
export const faultsAt = (wheelEnd: WheelEnd, a: Sensing): Fault[] => {
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

/** Listed once for each set of faults that can be: wheel ends where the same can fail share one list. */
const listed = new Map<string, readonly State[]>();

const singles = new WeakMap<readonly State[], readonly State[]>();

/** Nothing wrong, and every fault alone. */
export const singlesOf = (states: readonly State[]): readonly State[] =>
  memo(singles, states, () => states.filter(({ length }) => length < 2));

const besides = new WeakMap<readonly State[], Map<readonly Fault[], readonly State[]>>();

/** Every state with the same other faults beside it; always the same list for the same two. */
export const statesBeside = (states: readonly State[], also: readonly Fault[]): readonly State[] => {
  if (also.length === 0) return states;
  const known = memo(besides, states, () => new Map<readonly Fault[], readonly State[]>());
  return memo(known, also, () => states.map((state) => [...state, ...also]));
};

/**
 * Every state of a wheel end built this way, nothing wrong first. A past event goes with nothing else: it means nothing
 * is wrong now. Two faults of one cause (joint and loom) are one story and make no pair.
 */
export const statesAt = (wheelEnd: WheelEnd, a: Sensing): readonly State[] => {
  const key = `${isCentre(wheelEnd)} ${hasRing(a)} ${a.mounting === 'in-hub'}`;
  const known = listed.get(key);
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
  listed.set(key, states);
  return states;
};

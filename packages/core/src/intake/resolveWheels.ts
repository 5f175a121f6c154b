import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { has } from './frames/clause.ts';
import type { PlaceGroup, Unit } from './unit.ts';

/** The wheels something is of, and how that is known. */
export interface Placed {
  readonly wheelEnds: readonly WheelEnd[];
  /** The clause itself does not say the wheel: it was carried over from another one. */
  readonly carried: boolean;
  /** Several wheels are possible, or the place lacks a half: it is asked, not guessed. */
  readonly asked: boolean;
  readonly group: PlaceGroup | null;
}

const NOWHERE: Placed = { wheelEnds: [], carried: false, asked: false, group: null };

const endsOf = (group: PlaceGroup): WheelEnd[] => [
  ...new Set(group.places.flatMap((place) => place.wheelEnds)),
];

const of = (group: PlaceGroup, carried: boolean): Placed => {
  const unplaced =
    group.choice || group.places.some((place) => place.needs !== null || place.wheelEnds.length === 0);
  return {
    wheelEnds: unplaced ? [] : endsOf(group),
    carried: carried || group.places.some((place) => place.carried === true),
    asked: unplaced,
    group,
  };
};

const sameWheels = (groups: readonly PlaceGroup[]): boolean =>
  new Set(groups.map((group) => endsOf(group).sort().join())).size === 1;

/**
 * Gives every fact the wheel of its own clause, else carries one over, by these rules in this order:
 *
 * 1. the place of its own clause;
 * 2. a label (`front left:`) heads what follows until the next label or a sentence with a place of its own;
 * 3. the place said before it in its sentence, and for work done only where that clause says nothing else;
 * 4. the place said after it in its sentence, where only one place is said there;
 * 5. for findings, the only wheel of the whole text.
 *
 * "The others" are the wheels a sentence has not named, and only for findings; what follows "all but the rear left" is of the
 * wheel taken out. Where a place before and a bare place after both might be meant, the fact stays without a wheel and is
 * asked about.
 */
export const wheelResolver = (
  units: readonly Unit[],
  hasFact: (unit: Unit) => boolean,
  hasHeard: (unit: Unit) => boolean = hasFact,
  wheels: readonly WheelEnd[] = [],
): ((unit: Unit, kind: 'finding' | 'work' | 'sound') => Placed) => {
  const bySentence = new Map<number, Unit[]>();
  for (const unit of units) {
    const list = bySentence.get(unit.sentence);
    if (list) list.push(unit);
    else bySentence.set(unit.sentence, [unit]);
  }
  const labelOf = new Map<number, PlaceGroup | null>();
  let label: PlaceGroup | null = null;
  for (const unit of units) {
    if (unit.label) label = unit.group;
    else if (unit.group && unit.opener === 'start') label = null;
    labelOf.set(unit.index, unit.label ? null : label);
  }
  const groups = units.flatMap(({ group }) => (group ? [group] : []));
  const corners = groups.filter((group) => group.places.every((place) => !place.role));
  const only =
    groups.length > 0 &&
    corners.length === groups.length &&
    sameWheels(groups) &&
    endsOf(groups[0] as PlaceGroup).length === 1
      ? (groups[0] as PlaceGroup)
      : null;

  return (unit, kind) => {
    if (unit.group) return of(unit.group, false);
    if (has(unit, 'rest')) {
      // "the other two": what the sentence has not named. That something is well elsewhere is said of no one wheel.
      const named = new Set(
        (bySentence.get(unit.sentence) ?? []).flatMap((u) => (u.group ? endsOf(u.group) : [])),
      );
      const rest = named.size > 0 && kind === 'finding' ? wheels.filter((end) => !named.has(end)) : [];
      return { ...NOWHERE, wheelEnds: rest, carried: rest.length > 0 };
    }
    const heading = labelOf.get(unit.index);
    if (heading) return of(heading, true);
    const sentence = bySentence.get(unit.sentence) ?? [];
    const at = sentence.indexOf(unit);
    // "all but the rear left match, that one reads nothing": the one taken out.
    const last = sentence[at - 1];
    if (last?.group?.except && kind !== 'work')
      return of({ ...last.group, places: [last.group.except], choice: false }, true);
    const before = sentence
      .slice(0, at)
      .filter((other) => other.group)
      .at(-1);
    const after = sentence.slice(at + 1).filter((other) => other.group);
    const next = after[0];
    const nextIsBare = next !== undefined && !hasFact(next) && next === sentence[at + 1];
    if (before?.group && (kind !== 'work' || !hasHeard(before))) {
      if (nextIsBare && next?.group && hasFact(before) && !sameWheels([before.group, next.group]))
        return { ...NOWHERE, asked: true };
      return of(before.group, true);
    }
    if (
      next?.group &&
      after.length > 0 &&
      sameWheels(after.flatMap((u) => (u.group ? [u.group] : []))) &&
      (kind !== 'work' || nextIsBare)
    )
      return of(next.group, true);
    if (nextIsBare && next?.group && !before) return of(next.group, true);
    if (after.length > 0 && kind === 'finding') return { ...NOWHERE, asked: true };
    if (only && kind !== 'work') return of(only, true);
    return NOWHERE;
  };
};

import type { Assumptions } from '../assumptions/assumptions.ts';
import type { LocatedPosition } from '../positions/locatedPosition.ts';
import { has } from './frames/clause.ts';
import { isReference } from './isReference.ts';
import { isSound, type PlacedFact } from './placeFacts.ts';
import type { Unit } from './unit.ts';

/** Whether all that follows under a label, up to the next place, is that it is well: `FL - ok`. */
const onlySound = (units: readonly Unit[], label: number): boolean => {
  let said = 0;
  for (let i = label + 1; i < units.length; i++) {
    const unit = units[i];
    if (!unit || unit.group) break;
    if (!has(unit, 'sound') || unit.items.length > 1) return false;
    said++;
  }
  return said > 0;
};

/** Whether a fact says that its wheel is the one in trouble, or that trouble there was not cured. */
const goesOn = ({ heard }: PlacedFact): boolean =>
  heard.event?.cured === 'no' || heard.event?.cured === 'for-a-while';

/**
 * What the facts at a place make of it. A place of which only good is said, or whose reading another one is held against,
 * is not the corner while another is complained of; what was done at a place and cured nothing leaves it the corner; places with findings of their own are several corners, not a disagreement; a place whose trouble went is past.
 */
export const rolesFromFacts = (
  positions: readonly LocatedPosition[],
  units: readonly Unit[],
  placed: readonly PlacedFact[],
  compared: ReadonlySet<number>,
  tyres: ReadonlySet<number>,
  limits: Assumptions,
): LocatedPosition[] => {
  const unitAt = new Map(
    units.flatMap((unit) => (unit.group?.places ?? []).map((place) => [place.start, unit] as const)),
  );
  const factsAt = new Map<number, PlacedFact[]>();
  for (const fact of placed)
    for (const { start } of fact.place.group?.places ?? []) {
      const list = factsAt.get(start);
      if (list) list.push(fact);
      else factsAt.set(start, [fact]);
    }
  const told = positions.map((position) => {
    const unit = unitAt.get(position.start);
    const facts = factsAt.get(position.start) ?? [];
    const checks = facts.filter(({ heard }) => heard.check !== undefined);
    const next = unit ? units[unit.index + 1] : undefined;
    const went =
      next !== undefined &&
      next.sentence === unit?.sentence &&
      has(next, 'gone') &&
      !next.group &&
      next.items.every((item) => item.meaning.is === 'gone');
    const well =
      checks.length > 0
        ? checks.every(({ heard }) => isSound(heard) || isReference(heard, placed, limits))
        : (unit !== undefined && unit.label && onlySound(units, unit.index)) ||
          (unit !== undefined &&
            has(unit, 'sound') &&
            facts.length === 0 &&
            unit.items.every((item) => ['sound', 'thing'].includes(item.meaning.is)));
    // What is wanted there was not done there: "thinking of a new hub front left".
    const wanted = unit !== undefined && has(unit, 'wanted') && !facts.some(({ heard }) => heard.event);
    return {
      position,
      well,
      went,
      wanted,
      uncured: facts.some(goesOn),
      found: checks.length > 0 || compared.has(position.start),
    };
  });
  const complained = told.some(
    ({ position, well, went }) => !position.role && !well && !went && position.wheelEnds.length > 0,
  );
  let before = false;
  // An axle said of a tyre is both its wheels: there is no side to ask for.
  const asked = told.filter(({ position }) => !(position.needs === 'side' && tyres.has(position.start)));
  return asked.map(({ position, well, went, found, wanted, uncured }): LocatedPosition => {
    // What was done there cured nothing: the complaint is still of that wheel, where no other is named.
    if (position.role === 'past' && (wanted || (uncured && !complained))) {
      const { role: _past, ...corner } = position;
      return corner;
    }
    if (position.role) return position;
    if (went) return { ...position, role: 'past' };
    if (well && complained) return { ...position, role: 'denied' };
    const several = before && found && !position.joinedBy;
    before ||= found;
    return several ? { ...position, joinedBy: 'and' } : position;
  });
};

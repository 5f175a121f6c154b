import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Architecture } from '../diagnosis/architecture.ts';
import type { Fault } from '../faultKinds/faultData.ts';
import { cureChance, partsAt } from '../offers/fixes.ts';
import type { PartClass } from '../vocabulary/words.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { takesAway, type Fix } from './fixesAt.ts';

/** What every fix does to one fault in a vehicle built one way. */
interface Taken {
  /** Ways of building in which every fix does the same to the fault have the same number. */
  readonly alike: number;
  /** Chance that each fix takes the fault away, in the order of the fixes. */
  readonly chances: readonly number[];
}

/**
 * What the fixes of a wheel end take away, worked out once for each fault and way of building. A vehicle that may be
 * built ten ways has ten times the truths, but few of them are another decision: those that are alike are told apart by
 * no check and no fix, and are one state of the problem. Exact: no plan changes by it.
 */
export const takenAway = (fixes: readonly Fix[], end: WheelEnd, a: Assumptions) => {
  const parts = [
    ...new Set(fixes.flatMap((fix) => (fix.kind === 'part' ? fix.outlays.map(({ part }) => part) : []))),
  ];
  const known = new Map<
    Architecture,
    { readonly exist: readonly PartClass[]; readonly taken: Map<Fault, Taken> }
  >();
  const numbers = new Map<string, number>();
  return (fault: Fault, architecture: Architecture): Taken => {
    let here = known.get(architecture);
    if (!here) {
      here = { exist: partsAt(end, architecture), taken: new Map<Fault, Taken>() };
      known.set(architecture, here);
    }
    const { exist } = here;
    const hit = here.taken.get(fault);
    if (hit) return hit;
    const chances = fixes.map((fix) => takesAway(fix, fault, exist, architecture, a));
    const key = [fault, ...chances, ...parts.map((part) => cureChance(part, fault, architecture, a))].join(
      ' ',
    );
    const alike = numbers.get(key) ?? numbers.size;
    numbers.set(key, alike);
    const taken = { alike, chances };
    here.taken.set(fault, taken);
    return taken;
  };
};

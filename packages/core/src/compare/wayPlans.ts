import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Architecture } from '../diagnosis/architecture.ts';
import { WORK_IN_WORDS } from '../offers/fixes.ts';
import { fittingAt, outlayOf, type Outlay } from '../offers/outlay.ts';
import type { BuiltPlan } from '../plan/buildPlan.ts';
import type { CataloguePart, CatalogueSlice } from '../vocabulary/catalogue.ts';
import type { Docket } from '../vocabulary/docket.ts';
import { PART_IN_WORDS } from '../vocabulary/inWords.ts';
import { acrossFrom } from '../vocabulary/wheelEndWords.ts';
import type { PartClass } from '../vocabulary/words.ts';

/** A way before it is priced: which fixes of the plan it does at once, with which very parts. */
export interface WayPlan {
  readonly id: string;
  readonly label: string;
  /** Indices of the plan's fixes, in the order they are done. */
  readonly fixes: readonly number[];
  readonly outlays: readonly Outlay[];
  /** The same part on the other side of the axle, fitted in the same visit. */
  readonly otherSide: Outlay | null;
}

/** All that pricing ways needs to know of the job. */
export interface WaySetting {
  readonly docket: Docket;
  readonly plan: BuiltPlan;
  readonly architecture: Architecture;
  readonly slice: CatalogueSlice;
  readonly today: string;
  readonly a: Assumptions;
  /** Only the shop's preferred part of each class: what the docket offers side by side. */
  readonly preferredOnly?: boolean;
}

/** Which parts are sold together at one wheel end, when both can be had: what is bad together, or breaks together. */
const PAIRS: ReadonlyArray<readonly [PartClass, PartClass]> = [
  ['tone-ring', 'sensor'],
  ['sensor', 'connector-kit'],
];
/** Fitted on both sides at once by those who do not want to come again. */
const BOTH_SIDES: readonly PartClass[] = ['sensor', 'tone-ring', 'hub-assembly'];

/** The cheapest of each tier, what is on the shelf first. */
const byTier = (parts: readonly CataloguePart[]): CataloguePart[] => {
  const sorted = [...parts].sort(
    (x, y) => Number(y.stock > 0) - Number(x.stock > 0) || x.priceCents - y.priceCents,
  );
  return sorted.filter((part, i) => sorted.findIndex(({ tier }) => tier === part.tier) === i);
};

const TIER_IN_WORDS = { dealer: 'dealer part', good: 'good aftermarket', budget: 'cheapest' } as const;

/** Every way of fixing the job that its architecture and the catalogue allow, the plan's own fixes first. */
export const wayPlans = (s: WaySetting): WayPlan[] => {
  const { plan, docket, slice } = s;
  const end = plan.wheelEnd;
  const indexOf = (part: PartClass) =>
    plan.corner.fixes.findIndex((fix) => fix.kind === 'part' && fix.part === part);
  const outlayAt = (part: PartClass) => {
    const fix = plan.corner.fixes[indexOf(part)];
    return fix?.kind === 'part' ? fix.outlay : null;
  };
  const idOf = (outlay: Outlay) =>
    `${outlay.part}@${outlay.wheelEnd}:${outlay.chosen?.number ?? 'price-book'}`;
  const singles = plan.corner.fixes.flatMap((fix, f): WayPlan[] => {
    if (fix.kind !== 'part') return [];
    const candidates = s.preferredOnly ? [] : byTier(fittingAt(fix.part, end, docket, slice));
    const named = (outlay: Outlay): WayPlan => ({
      id: idOf(outlay),
      label:
        candidates.length > 1 && outlay.chosen
          ? `${PART_IN_WORDS[fix.part]}, ${TIER_IN_WORDS[outlay.chosen.tier]}`
          : PART_IN_WORDS[fix.part],
      fixes: [f],
      outlays: [outlay],
      otherSide: null,
    });
    const others = candidates.filter((part) => part.tier !== fix.outlay.chosen?.tier);
    return [
      named(fix.outlay),
      ...others.map((part) =>
        named(outlayOf(fix.part, end, s.architecture, docket, slice, s.today, s.a, part)),
      ),
    ];
  });
  const pairs = PAIRS.flatMap(([one, other]): WayPlan[] => {
    const first = outlayAt(one);
    const second = outlayAt(other);
    return first && second
      ? [
          {
            id: `${idOf(first)}+${idOf(second)}`,
            label: `${PART_IN_WORDS[one]} and ${PART_IN_WORDS[other]}`,
            fixes: [indexOf(one), indexOf(other)],
            outlays: [first, second],
            otherSide: null,
          },
        ]
      : [];
  });
  if (s.preferredOnly) return singles;
  const across = acrossFrom(end);
  const both = BOTH_SIDES.flatMap((part): WayPlan[] => {
    const here = outlayAt(part);
    if (!here || !across) return [];
    const there = outlayOf(part, across, s.architecture, docket, slice, s.today, s.a);
    return [
      {
        id: `${idOf(here)}+${idOf(there)}`,
        label: `${PART_IN_WORDS[part]}, both sides`,
        fixes: [indexOf(part)],
        outlays: [here],
        otherSide: there,
      },
    ];
  });
  const works = plan.outcomes.flatMap(({ fix, cures }, f): WayPlan[] =>
    fix.kind === 'work' && cures >= s.a.get('compare.work-from')
      ? [{ id: `work:${fix.work}`, label: WORK_IN_WORDS[fix.work], fixes: [f], outlays: [], otherSide: null }]
      : [],
  );
  return [...singles, ...pairs, ...both, ...works];
};

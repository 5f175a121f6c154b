import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Architecture } from '../diagnosis/architecture.ts';
import { WORK_AS_DEED, WORK_IN_WORDS } from '../offers/fixes.ts';
import { fittingAt, outlayOf, type Outlay } from '../offers/outlay.ts';
import type { BuiltPlan } from '../plan/buildPlan.ts';
import { isAlone } from '../plan/fixesAt.ts';
import { partsInWords } from '../plan/planTree.ts';
import type { CataloguePart, CatalogueSlice } from '../vocabulary/catalogue.ts';
import type { Docket } from '../vocabulary/docket.ts';
import { PART_IN_WORDS, partsThat } from '../partKinds/partData.ts';
import { acrossFrom } from '../vocabulary/wheelEndWords.ts';
import type { PartClass } from '../vocabulary/words.ts';

/** A way before it is priced: which fixes of the plan it does at once, with which very parts. */
export interface WayPlan {
  readonly id: string;
  readonly label: string;
  /** Index of the plan's fix that it is. */
  readonly fix: number;
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
  /** Only the shop's preferred part of each class, and the pair the plan would sell: what the docket offers side by side. */
  readonly preferredOnly?: boolean;
}

/** Fitted on both sides at once by those who do not want to come again. */
const BOTH_SIDES = [...partsThat('bothSides')];

/** The cheapest of each tier, and of what is not new, what is on the shelf first. */
const byTier = (parts: readonly CataloguePart[]): CataloguePart[] => {
  const sorted = [...parts].sort(
    (x, y) => Number(y.stock > 0) - Number(x.stock > 0) || x.priceCents - y.priceCents,
  );
  const kindOf = ({ tier, state }: CataloguePart) => (state === 'new' ? tier : state);
  return sorted.filter((part, i) => sorted.findIndex((other) => kindOf(other) === kindOf(part)) === i);
};
const wordsFor = ({ tier, state }: CataloguePart): string =>
  state === 'new' ? TIER_IN_WORDS[tier] : STATE_IN_WORDS[state];

const STATE_IN_WORDS = { exchange: 'renewed in exchange', used: 'used' } as const;
const TIER_IN_WORDS = { dealer: 'dealer part', good: 'good aftermarket', budget: 'cheapest' } as const;

/** Every way of fixing the job that its architecture and the catalogue allow, the plan's own fixes first. */
export const wayPlans = (s: WaySetting): WayPlan[] => {
  const { plan, docket, slice } = s;
  const end = plan.wheelEnd;
  const outlayAt = (part: PartClass) => {
    const fix = plan.corner.fixes.find((each) => isAlone(each) && each.part === part);
    return fix?.kind === 'part' ? (fix.outlays[0] ?? null) : null;
  };
  const idOf = (outlay: Outlay) =>
    `${outlay.part}@${outlay.wheelEnd}:${outlay.chosen?.number ?? 'price-book'}`;
  const singles = plan.corner.fixes.flatMap((fix, f): WayPlan[] => {
    const own = isAlone(fix) ? fix.outlays[0] : null;
    if (!isAlone(fix) || !own) return [];
    const candidates = s.preferredOnly ? [] : byTier(fittingAt(fix.part, end, docket, slice));
    const named = (outlay: Outlay): WayPlan => ({
      id: idOf(outlay),
      label:
        candidates.length > 1 && outlay.chosen
          ? `${PART_IN_WORDS[fix.part]}, ${wordsFor(outlay.chosen)}`
          : PART_IN_WORDS[fix.part],
      fix: f,
      outlays: [outlay],
      otherSide: null,
    });
    const others = candidates.filter(
      (part) => part.state !== 'new' || own.chosen?.state !== 'new' || part.tier !== own.chosen?.tier,
    );
    return [named(own), ...others.map((part) => named(outlayOf(fix.part, { ...s, wheelEnd: end }, part)))];
  });
  const pairs = plan.corner.fixes.flatMap((fix, f): WayPlan[] =>
    fix.kind === 'part' &&
    (fix.with.length > 0 || fix.work !== null) &&
    (!s.preferredOnly || fix === plan.bestFix.fix)
      ? [
          {
            id: [...fix.outlays.map(idOf), ...(fix.work ? [`work:${fix.work}`] : [])].join('+'),
            label: partsInWords(fix.part, fix.with) + (fix.work ? ` with ${WORK_AS_DEED[fix.work]}` : ''),
            fix: f,
            outlays: fix.outlays,
            otherSide: null,
          },
        ]
      : [],
  );
  if (s.preferredOnly) return [...singles, ...pairs];
  const across = acrossFrom(end);
  const both = BOTH_SIDES.flatMap((part): WayPlan[] => {
    const here = outlayAt(part);
    if (!here || !across) return [];
    const there = outlayOf(part, { ...s, wheelEnd: across });
    return [
      {
        id: `${idOf(here)}+${idOf(there)}`,
        label: `${PART_IN_WORDS[part]}, both sides`,
        fix: plan.corner.fixes.findIndex((fix) => isAlone(fix) && fix.part === part),
        outlays: [here],
        otherSide: there,
      },
    ];
  });
  const works = plan.outcomes.flatMap(({ fix, cures }, f): WayPlan[] =>
    fix.kind === 'work' && cures >= s.a.get('compare.work-from')
      ? [{ id: `work:${fix.work}`, label: WORK_IN_WORDS[fix.work], fix: f, outlays: [], otherSide: null }]
      : [],
  );
  return [...singles, ...pairs, ...both, ...works];
};

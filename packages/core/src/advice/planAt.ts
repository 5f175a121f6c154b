import type { Assumptions } from '../assumptions/assumptions.ts';
import { groupAt, type Architecture, type ArchitectureGroup } from '../diagnosis/architecture.ts';
import { buildChances } from '../diagnosis/endMarginals.ts';
import type { EndPosterior } from '../diagnosis/posterior.ts';
import { partsAt } from '../offers/fixes.ts';
import { outlayOf } from '../offers/outlay.ts';
import { buildPlan, type BuiltPlan } from '../plan/buildPlan.ts';
import type { Docket, School } from '../vocabulary/docket.ts';
import { PART_CLASSES } from '../vocabulary/wordLists.ts';
import type { PartClass } from '../vocabulary/words.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import type { Diagnosed } from './diagnose.ts';
import type { Knowledge } from './knowledge.ts';

type Weights = ReadonlyMap<Architecture, number>;

/** The likeliest way the wheel end is built. */
const likelyArchitecture = (weights: Weights, group: ArchitectureGroup): Architecture =>
  group.options
    .map(({ architecture }) => ({ architecture, p: weights.get(architecture) ?? 0 }))
    .reduce((best, option) => (option.p > best.p ? option : best)).architecture;

const partsOffered = (weights: Weights, end: WheelEnd, least: number): PartClass[] => {
  const ways = [...weights].map(([architecture, p]) => ({ parts: partsAt(end, architecture), p }));
  return PART_CLASSES.filter(
    (part) => ways.reduce((sum, { parts, p }) => (parts.includes(part) ? sum + p : sum), 0) >= least,
  );
};

/** The decision at one wheel end: how it is built, and the plan under any school. */
export interface PlannedEnd {
  readonly end: EndPosterior;
  readonly group: ArchitectureGroup;
  readonly architecture: Architecture;
  readonly plan: BuiltPlan;
  /** Only its hub is offered: an unsafe wheel beyond the worst ones. */
  readonly isHubAlone: boolean;
  planUnder(school: School): BuiltPlan;
}

/** Wheel ends that offers are made for: the one it is, others that may well be, and unsafe ones in any case. */
export const endsOffered = (d: Diagnosed, a: Assumptions): EndPosterior[] => {
  const isUnsafe = (end: EndPosterior) => d.dangers.wheels.some(({ wheelEnd }) => wheelEnd === end.wheelEnd);
  const others = d.byOdds.filter(
    (end) =>
      d.wheelEnd !== null && (end.wheelEnd === d.wheelEnd || end.odd >= a.get('offer.corner-at-least')),
  );
  const shown = new Set(
    [...others]
      .sort((x, y) => Number(y.wheelEnd === d.wheelEnd) - Number(x.wheelEnd === d.wheelEnd))
      .slice(0, a.get('offer.most-ends')),
  );
  return d.byOdds.filter((end) => isUnsafe(end) || shown.has(end));
};

/**
 * The wheel ends whose plan is looked through as far as the shop looks ahead: the one it is, and the likeliest. What people
 * wait for stays bounded, however many wheels a docket names.
 */
export const plannedDeeply = (
  offered: readonly EndPosterior[],
  d: Diagnosed,
  a: Assumptions,
): ReadonlySet<EndPosterior> => {
  const main = d.loose ?? d.wheelEnd;
  return new Set(
    [...offered]
      .sort((x, y) => Number(y.wheelEnd === main) - Number(x.wheelEnd === main) || y.odd - x.odd)
      .slice(0, a.get('plan.deep-ends')),
  );
};

/** Unsafe wheels beyond the worst ones: each is offered its hub and nothing else, however many wheels a docket calls loose. */
export const hubAlone = (d: Diagnosed, a: Assumptions): ReadonlySet<WheelEnd | null> =>
  new Set(d.dangers.wheels.slice(a.get('offer.most-ends')).map(({ wheelEnd }) => wheelEnd));

/** How the wheel ends of a group are built, as far as is known. */
export const groupOf = (d: Diagnosed, end: WheelEnd): ArchitectureGroup =>
  groupAt(d.groups, end) as ArchitectureGroup;

/** How a wheel end is planned where it is not as the shop plans. */
export interface PlannedSo {
  /** Steps looked ahead; none: no check is thought of. */
  readonly steps?: number;
  /** Only its hub is offered. */
  readonly isHubAlone?: boolean;
}

/** Prices the parts of one wheel end and plans there. `docket` may set other options than the one that was diagnosed. */
export const planAt = (
  d: Diagnosed,
  end: EndPosterior,
  docket: Docket,
  school: School,
  knowledge: Knowledge,
  a: Assumptions,
  { steps, isHubAlone = false }: PlannedSo = {},
): PlannedEnd => {
  const group = groupOf(d, end.wheelEnd);
  const weights = buildChances(end.beliefs);
  const architecture = likelyArchitecture(weights, group);
  const offered = partsOffered(weights, end.wheelEnd, a.get('offer.exists-at-least'));
  const parts = isHubAlone ? offered.filter((part) => part === 'hub-assembly') : offered;
  const outlays = parts.map((part) =>
    outlayOf(part, {
      wheelEnd: end.wheelEnd,
      architecture,
      docket,
      slice: knowledge.slice,
      today: knowledge.today,
      a,
    }),
  );
  // A wheel that may come off is offered its hub, however likely that cures the lamp.
  const keep = new Set<PartClass>(
    d.dangers.wheels.some(({ wheelEnd }) => wheelEnd === end.wheelEnd) ? ['hub-assembly'] : [],
  );
  const planUnder = (which: School) =>
    buildPlan(docket, end, outlays, which, d.evidence.findings, a, keep, steps);
  return { end, group, architecture, isHubAlone, plan: planUnder(school), planUnder };
};

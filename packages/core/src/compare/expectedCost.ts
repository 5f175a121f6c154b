import type { CostPart } from '../vocabulary/advice.ts';
import { snapCost } from '../offers/together.ts';
import type { CompareModel, Way } from './model.ts';

/** Chance that a way cures, over all groups. */
export const cureOf = (way: Way, model: CompareModel): number =>
  Math.min(
    1,
    model.groups.reduce((sum, p, g) => sum + p * (way.cures[g] ?? 0), 0),
  );

/** Ways by their exact means, cheapest first: all that is needed where nothing is shown. */
export const rankedWays = (model: CompareModel) =>
  model.ways
    .map((way) => ({
      ...way,
      parts: [...way.parts],
      cures: cureOf(way, model),
      mean: expectedCost(way, model),
    }))
    .sort((x, y) => x.mean - y.mean);

/** The expected cost by its kinds, each weighted by its chance. What is spared later counts below zero. */
export const costParts = (way: Way, model: CompareModel, hoursInWords: string): CostPart[] => {
  const parts: CostPart[] = [
    { kind: 'parts', label: way.kind === 'refer' ? 'workshop, all in' : 'parts', amount: way.price },
    { kind: 'companions', label: 'bolts, clips, seals, grease', amount: way.companions },
    { kind: 'core', label: 'deposit lost, by its chance', amount: way.core },
    { kind: 'labour', label: `labour ${hoursInWords}`, amount: way.labour },
    { kind: 'supplies', label: 'shop supplies and fee', amount: way.supplies + way.fee },
    { kind: 'tax', label: 'tax', amount: way.tax },
    {
      kind: 'seizure',
      label: 'seized sensor, by its chance',
      amount: way.snags.reduce((sum, snag) => sum + snag.chance * snapCost(snag), 0),
    },
    { kind: 'waiting', label: 'waiting for the part', amount: way.waitDays * way.perDay },
    {
      kind: 'comeback',
      label: 'not cured, by its chance',
      amount: (1 - cureOf(way, model)) * way.failure,
    },
    {
      kind: 'later',
      label: 'worn out again within the horizon, by its chance',
      amount: way.later.reduce((sum, { chance, cost }) => sum + chance * cost, 0),
    },
    {
      kind: 'bearing',
      label: 'old bearing due within the horizon, by its chance',
      amount: way.keepsBearing ? model.bearing.chance * model.bearing.cost : 0,
    },
    {
      kind: 'spared',
      label: 'other side spared later, by its chance',
      amount: way.spared ? -way.spared.chance * way.spared.cost : 0,
    },
  ];
  return parts.filter(({ amount }) => Math.abs(amount) > 1e-9);
};

/** Exact expected cost of a way. */
export const expectedCost = (way: Way, model: CompareModel): number =>
  costParts(way, model, '').reduce((sum, { amount }) => sum + amount, 0);

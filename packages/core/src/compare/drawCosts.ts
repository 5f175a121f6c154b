import { sureCost } from './expectedCost.ts';
import type { Luck } from './luck.ts';
import type { CompareModel, Snag, Way } from './model.ts';
import { spreadOver } from './spread.ts';

/** Which group of truths each draw fell into. */
const truthsOf = ({ groups }: CompareModel, dice: Float64Array): Uint16Array => {
  const out = new Uint16Array(dice.length);
  for (let i = 0; i < dice.length; i++) {
    let left = dice[i] as number;
    let g = 0;
    while (g < groups.length - 1 && left >= (groups[g] as number)) left -= groups[g++] as number;
    out[i] = g;
  }
  return out;
};

const addSnag = (into: Float64Array, snag: Snag, snap: Float64Array, how: Float64Array): void => {
  const { chance, snaps } = snag;
  if (chance <= 0) return;
  for (let i = 0; i < into.length; i++) {
    if ((snap[i] as number) >= chance) continue;
    let left = how[i] as number;
    let way = 0;
    while (way < snaps.length - 1 && left >= (snaps[way]?.chance ?? 0)) left -= snaps[way++]?.chance ?? 0;
    into[i] = (into[i] as number) + (snaps[way]?.cost ?? 0);
  }
};

const addRisk = (into: Float64Array, chance: number, cost: number, dice: Float64Array): void => {
  if (chance <= 0 || cost === 0) return;
  for (let i = 0; i < into.length; i++)
    if ((dice[i] as number) < chance) into[i] = (into[i] as number) + cost;
};

/**
 * Cost of every way on every draw: `costs[w][i]`. Column by column, so that each cost is one straight run over the
 * draws; what a way does not have costs nothing to draw.
 */
export const drawCosts = (model: CompareModel, luck: Luck): Float64Array[] => {
  const truths = truthsOf(model, luck.truth);
  const days = spreadOver(luck.labour, model.labour);
  const after = spreadOver(luck.after, model.continuation);
  const waits = spreadOver(luck.wait, model.wait);
  return model.ways.map((way: Way) => {
    const costs = new Float64Array(luck.draws);
    const { labour, failure, cures } = way;
    const fixed = sureCost(way) - labour;
    const waiting = way.waitDays * way.perDay;
    for (let i = 0; i < costs.length; i++) {
      const failed = (luck.cured[i] as number) >= (cures[truths[i] as number] as number);
      costs[i] =
        fixed +
        labour * (days[i] as number) +
        waiting * (waits[i] as number) +
        (failed ? failure * (after[i] as number) : 0);
    }
    way.snags.forEach((snag, k) => {
      addSnag(costs, snag, luck.snap[k as 0 | 1], luck.snapWay[k as 0 | 1]);
    });
    way.later.forEach(({ chance, cost }, k) => {
      addRisk(costs, chance, cost, luck.life[k as 0 | 1]);
    });
    if (way.keepsBearing) addRisk(costs, model.bearing.chance, model.bearing.cost, luck.bearing);
    if (way.spared) addRisk(costs, way.spared.chance, -way.spared.cost, luck.spared);
    return costs;
  });
};

import { sureCost, type Snag } from '../offers/together.ts';
import type { Die, Luck } from './luck.ts';
import type { CompareModel, Way } from './model.ts';
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

/** What each draw pays for a seized sensor: nothing, or the cost of the way it was got out. */
const snagOver = ({ chance, snaps }: Snag, snap: Float64Array, how: Float64Array): Float64Array => {
  const out = new Float64Array(snap.length);
  for (let i = 0; i < out.length; i++) {
    if ((snap[i] as number) >= chance) continue;
    let left = how[i] as number;
    let way = 0;
    while (way < snaps.length - 1 && left >= (snaps[way]?.chance ?? 0)) left -= snaps[way++]?.chance ?? 0;
    out[i] = snaps[way]?.cost ?? 0;
  }
  return out;
};

const riskOver = (chance: number, cost: number, dice: Float64Array): Float64Array => {
  const out = new Float64Array(dice.length);
  for (let i = 0; i < out.length; i++) out[i] = +((dice[i] as number) < chance) * cost;
  return out;
};

/**
 * Cost of every way on every draw: `costs[w][i]`. Column by column, so that each cost is one straight run over the
 * draws without a branch (`+` makes a condition a number); a column that several ways share (the same bolt, the same bearing) is drawn once.
 */
export const drawCosts = (model: CompareModel, luck: Luck): Float64Array[] => {
  const truths = truthsOf(model, luck.of('truth'));
  const days = luck.over('labour', model.labour);
  const after = luck.over('after', model.continuation);
  const cured = luck.of('cured');
  const none = new Float64Array(luck.draws);
  const columns = new Map<string, Float64Array>();
  const column = (key: string, draw: () => Float64Array): Float64Array => {
    const known = columns.get(key) ?? draw();
    columns.set(key, known);
    return known;
  };
  const risk = (chance: number, cost: number, die: Die) =>
    column(`${die} ${chance} ${cost}`, () => riskOver(chance, cost, luck.of(die)));

  return model.ways.map((way: Way) => {
    const more: Float64Array[] = [];
    way.snags.forEach((snag, k) => {
      if (snag.chance <= 0) return;
      const [snap, how]: [Die, Die] = k === 0 ? ['snap', 'snapWay'] : ['snapOther', 'snapWayOther'];
      more.push(column(`${snap} ${JSON.stringify(snag)}`, () => snagOver(snag, luck.of(snap), luck.of(how))));
    });
    way.later.forEach(({ chance, cost }, k) => {
      if (chance > 0) more.push(risk(chance, cost, k === 0 ? 'life' : 'lifeOther'));
    });
    if (way.keepsBearing && model.bearing.chance > 0)
      more.push(risk(model.bearing.chance, model.bearing.cost, 'bearing'));
    if (way.spared && way.spared.chance > 0) more.push(risk(way.spared.chance, -way.spared.cost, 'spared'));
    const waiting = way.waitDays * way.perDay;
    if (waiting > 0)
      more.push(column(`wait ${waiting}`, () => spreadOver(luck.of('wait'), model.wait, waiting)));

    const costs = new Float64Array(luck.draws);
    const { labour, failure } = way;
    const fixed = sureCost(way) - labour;
    const cures = Float64Array.from(way.cures);
    // The first columns ride along in the same run; no way has often more.
    const [first = none, second = none, third = none, ...rest] = more;
    for (let i = 0; i < costs.length; i++)
      costs[i] =
        fixed +
        labour * (days[i] as number) +
        +((cured[i] as number) >= (cures[truths[i] as number] as number)) * failure * (after[i] as number) +
        (first[i] as number) +
        (second[i] as number) +
        (third[i] as number);
    for (const each of rest)
      for (let i = 0; i < costs.length; i++) costs[i] = (costs[i] as number) + (each[i] as number);
    return costs;
  });
};

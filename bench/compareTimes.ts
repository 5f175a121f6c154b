import { compareWays } from '../packages/core/src/compare/compareWays.ts';
import { sureCost } from '../packages/core/src/offers/together.ts';
import type { CompareModel, Way } from '../packages/core/src/compare/model.ts';
import { randomFrom } from '../packages/core/src/chance/random.ts';
import { measure, type Timing } from './measure.ts';
import { sized } from './size.ts';

const DRAWS = sized(200_000, 2000);

const way = (id: string, more: Partial<Way>): Way => ({
  id,
  label: id,
  work: null,
  kind: 'parts',
  parts: [],
  price: 40,
  listPrice: 40,
  costPrice: null,
  deposit: 0,
  core: 0,
  companions: 3,
  labourHours: 0.8,
  labour: 62,
  supplies: 2,
  tax: 0,
  fee: 0,
  snags: [],
  seizure: null,
  waitDays: 0,
  perDay: 35,
  from: 'shelf',
  cures: [0.95, 0.05, 0.1, 0],
  failure: 420,
  later: [{ chance: 0.08, cost: 105 }],
  keepsBearing: true,
  spared: null,
  lines: [],
  because: [],
  ...more,
});
const snag = {
  chance: 0.33,
  snaps: [
    { chance: 0.55, cost: 55 },
    { chance: 0.3, cost: 130 },
    { chance: 0.15, cost: 295 },
  ],
};

/** Six ways as a docket has them: three brands of sensor, a ring with a sensor, a hub, a connector kit. */
const model: CompareModel = {
  wheelEnd: 'A1L',
  currency: 'EUR',
  groups: [0.6, 0.2, 0.15, 0.05],
  bearing: { chance: 0.2, cost: 330 },
  labour: { low: 0.75, high: 1.8 },
  continuation: { low: 0.45, high: 2.2 },
  wait: { low: 0.6, high: 2.2 },
  ways: [
    way('sensor good', { snags: [snag], seizure: 0.33 }),
    way('sensor dealer', { price: 72, snags: [snag], seizure: 0.33, waitDays: 3 }),
    way('sensor cheapest', { price: 24, snags: [snag], seizure: 0.33, cures: [0.9, 0.05, 0.1, 0] }),
    way('ring and sensor', {
      price: 65,
      labour: 180,
      snags: [snag],
      seizure: 0.33,
      cures: [0.95, 0.94, 0.1, 0],
    }),
    way('hub', { price: 165, labour: 150, keepsBearing: false, cures: [0.1, 0.9, 0.97, 0], waitDays: 1 }),
    way('connector kit', { price: 19, cures: [0.03, 0, 0, 0.8] }),
  ],
};

/** The same as one would write it down: a draw at a time, a way at a time, sorted for the quantiles. */
const straightforward = (seed: number): number[] => {
  const random = randomFrom(seed);
  const costs: number[][] = model.ways.map(() => []);
  const spread = (u: number, { low, high }: { low: number; high: number }) =>
    (u < 0.5 ? low + (1 - low) * 2 * u : 1 + (high - 1) * (2 * u - 1)) / ((low + 2 + high) / 4);
  for (let i = 0; i < DRAWS; i++) {
    let left = random.next();
    const group = Math.max(
      0,
      model.groups.findIndex((p) => (left -= p) < 0),
    );
    const dice = Array.from({ length: 8 }, () => random.next());
    const die = (k: number) => dice[k] as number;
    model.ways.forEach((each, w) => {
      let cost = sureCost(each) - each.labour + each.labour * spread(die(0), model.labour);
      cost += each.waitDays * each.perDay * spread(die(1), model.wait);
      for (const { chance, snaps } of each.snags)
        if (die(2) < chance) {
          let rest = die(3);
          cost += (snaps.find((snap) => (rest -= snap.chance) < 0) ?? snaps[0])?.cost ?? 0;
        }
      if (die(4) >= (each.cures[group] ?? 0)) cost += each.failure * spread(die(5), model.continuation);
      for (const { chance, cost: again } of each.later) if (die(6) < chance) cost += again;
      if (each.keepsBearing && die(7) < model.bearing.chance) cost += model.bearing.cost;
      costs[w]?.push(cost);
    });
  }
  for (const a of costs)
    for (const b of costs) if (a !== b) a.reduce((wins, cost, i) => wins + (cost < (b[i] ?? 0) ? 1 : 0), 0);
  return costs.map((list) => [...list].sort((x, y) => x - y)[Math.floor(0.9 * DRAWS)] ?? 0);
};

/** Times comparing six ways over 200,000 draws, dice thrown anew each time, and the straightforward loop beside it. */
export const compareTimes = (): { ours: Timing; straight: Timing } => {
  let seed = 1;
  return {
    ours: measure(() => compareWays(model, seed++, DRAWS).beats(), 9, 2),
    straight: measure(() => straightforward(seed++), 5, 1),
  };
};

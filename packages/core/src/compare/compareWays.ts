import quickselect from 'quickselect';
import type { ComparedWay } from '../vocabulary/comparison.ts';
import { drawCosts } from './drawCosts.ts';
import { costParts, cureOf, sureCost } from './expectedCost.ts';
import { luckFor } from './luck.ts';
import type { CompareModel } from './model.ts';

/** Draws that every screen uses: enough for a standard error near one percent, few enough to answer at once. */
export const USUAL_DRAWS = 20000;
/** Any seed would do; it is fixed so that the same docket shows the same figures everywhere. */
export const USUAL_SEED = 1;

/**
 * The values below which 10, 50 and 90 of 100 draws lie: the order statistic number floor(q n). Selection, not
 * sorting; it rearranges `work`.
 */
const quantiles = (work: Float64Array): [number, number, number] => {
  const n = work.length;
  const at = [0.1, 0.5, 0.9].map((q) => Math.min(n - 1, Math.floor(q * n)));
  // After a selection everything left of it is smaller: the next looks only to its right.
  const out: number[] = [];
  let from = 0;
  for (const k of at) {
    quickselect(work as unknown as number[], k, from, n - 1);
    out.push(work[k] as number);
    from = k;
  }
  return out as [number, number, number];
};

const meanAndError = (costs: Float64Array): { mean: number; error: number } => {
  let sum = 0;
  for (let i = 0; i < costs.length; i++) sum += costs[i] as number;
  const mean = sum / costs.length;
  let squares = 0;
  for (let i = 0; i < costs.length; i++) squares += ((costs[i] as number) - mean) ** 2;
  return { mean, error: Math.sqrt(squares / Math.max(1, costs.length - 1) / costs.length) };
};

/** The ways compared on the same luck: exact means, quantiles and standard errors of the draws, chances to be cheaper. */
export interface ComparedWays {
  /** Cheapest on average first. */
  readonly ways: readonly ComparedWay[];
  readonly beats: readonly (readonly number[])[];
  /** Means of the draws, in the order of `ways`: they agree with the exact ones within their standard error. */
  readonly drawnMeans: readonly number[];
}

const hoursInWords = (hours: number): string => `${Math.round(hours * 10) / 10} h`;

/** Compares the ways of a model by `draws` seeded draws with common random numbers. */
export const compareWays = (model: CompareModel, seed = USUAL_SEED, draws = USUAL_DRAWS): ComparedWays => {
  const costs = drawCosts(model, luckFor(seed, draws));
  const compared = model.ways.map((way, w) => {
    const drawn = costs[w] as Float64Array;
    const { mean: drawnMean, error } = meanAndError(drawn);
    const [p10, p50, p90] = quantiles(drawn.slice());
    const parts = costParts(way, model, hoursInWords(way.labourHours));
    const mean = parts.reduce((sum, { amount }) => sum + amount, 0);
    const cures = cureOf(way, model);
    const { id, label, kind, listPrice, costPrice, deposit, labourHours, waitDays, from, seizure } = way;
    const said: ComparedWay = {
      id,
      label,
      kind,
      parts: [...way.parts],
      cures,
      price: way.price + way.companions,
      listPrice: listPrice + way.companions,
      costPrice,
      deposit,
      labourHours,
      waitDays,
      from,
      seizure,
      sure: sureCost(way),
      allIn: { mean, p10, p50, p90 },
      standardError: error,
      costs: parts,
      lines: [...way.lines],
      because: [`cures it in ${Math.round(cures * 100)} of 100 such cases`, ...way.because],
    };
    return { said, drawn, drawnMean };
  });
  compared.sort((x, y) => x.said.allIn.mean - y.said.allIn.mean);
  const beats = compared.map(({ drawn: one }, i) =>
    compared.map(({ drawn: other }, j) => {
      if (i === j) return 0;
      let wins = 0;
      for (let k = 0; k < one.length; k++) if ((one[k] as number) < (other[k] as number)) wins++;
      return wins / one.length;
    }),
  );
  return {
    ways: compared.map(({ said }) => said),
    beats,
    drawnMeans: compared.map(({ drawnMean }) => drawnMean),
  };
};

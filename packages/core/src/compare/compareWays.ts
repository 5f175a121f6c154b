import { summaryOf } from '../chance/summaryOf.ts';
import type { ComparedWay } from '../vocabulary/comparison.ts';
import { drawCosts } from './drawCosts.ts';
import { sureCost } from '../offers/together.ts';
import { costParts, cureOf } from './expectedCost.ts';
import { luckFor } from './luck.ts';
import type { CompareModel } from './model.ts';

/** Draws that every screen uses: enough for a standard error near one percent, few enough to answer at once. */
export const USUAL_DRAWS = 20000;
/** Any seed would do; it is fixed so that the same docket shows the same figures everywhere. */
export const USUAL_SEED = 1;

/** In how many draws one costs less than the other. Added up without a branch: a coin toss cannot be foretold. */
const winsOf = (one: Float64Array, other: Float64Array): number => {
  let wins = 0;
  for (let i = 0; i < one.length; i++) wins += +((one[i] as number) < (other[i] as number));
  return wins;
};

/** The ways compared on the same luck: exact means, quantiles and standard errors of the draws, chances to be cheaper. */
export interface ComparedWays {
  /** Cheapest on average first. */
  readonly ways: readonly ComparedWay[];
  readonly beats: () => readonly (readonly number[])[];
  /** Means of the draws, in the order of `ways`: they agree with the exact ones within their standard error. */
  readonly drawnMeans: readonly number[];
}

const hoursInWords = (hours: number): string => `${Math.round(hours * 10) / 10} h`;

/** Compares the ways of a model by `draws` seeded draws with common random numbers. */
export const compareWays = (model: CompareModel, seed = USUAL_SEED, draws = USUAL_DRAWS): ComparedWays => {
  const costs = drawCosts(model, luckFor(seed, draws));
  const compared = model.ways.map((way, w) => {
    const drawn = costs[w] as Float64Array;
    const { mean: drawnMean, error, quantiles } = summaryOf(drawn, [0.1, 0.5, 0.9]);
    const [p10 = 0, p50 = 0, p90 = 0] = quantiles;
    const parts = costParts(way, model, hoursInWords(way.labourHours));
    const mean = parts.reduce((sum, { amount }) => sum + amount, 0);
    const cures = cureOf(way, model);
    const { id, label, kind, listPrice, costPrice, deposit, labourHours, waitDays, from, seizure } = way;
    const said: ComparedWay = {
      id,
      label,
      kind,
      work: way.work,
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
  const beats = (): number[][] => {
    const shares = compared.map(() => compared.map(() => 0));
    for (let i = 0; i < compared.length; i++)
      for (let j = i + 1; j < compared.length; j++) {
        const [one, other] = [compared[i]?.drawn, compared[j]?.drawn] as [Float64Array, Float64Array];
        const wins = winsOf(one, other);
        (shares[i] as number[])[j] = wins / draws;
        // Costs are fractions of chance: that two are the same to the last figure does not happen.
        (shares[j] as number[])[i] = 1 - wins / draws;
      }
    return shares;
  };
  return {
    ways: compared.map(({ said }) => said),
    beats,
    drawnMeans: compared.map(({ drawnMean }) => drawnMean),
  };
};

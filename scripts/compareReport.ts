import { buildModel } from '../packages/core/src/compare/buildModel.ts';
import { drawCosts } from '../packages/core/src/compare/drawCosts.ts';
import { expectedCost } from '../packages/core/src/compare/expectedCost.ts';
import { luckFor } from '../packages/core/src/compare/luck.ts';
import { assumptionsWith } from '../packages/core/src/assumptions/assumptions.ts';
import { randomFrom } from '../packages/core/src/chance/random.ts';
import { buildPlan } from '../packages/core/src/plan/buildPlan.ts';
import { drawCase } from '../packages/core/src/practice/drawCase.ts';
import { emptySlice } from '../packages/core/src/vocabulary/catalogue.ts';
import { writeSection } from './writeSection.ts';

/**
 * Measures the comparison of ways on drawn jobs: the means of the draws against the exact expectations, and what common
 * random numbers do for the variance of a difference. Writes what it finds into docs/reasoning.md.
 */
const JOBS = 200;
const DRAWS = 20000;
const TODAY = '2026-11-25';
const a = assumptionsWith();
const random = randomFrom(77);

const moments = (of: (i: number) => number): { mean: number; variance: number } => {
  let mean = 0;
  for (let i = 0; i < DRAWS; i++) mean += of(i) / DRAWS;
  let squares = 0;
  for (let i = 0; i < DRAWS; i++) squares += (of(i) - mean) ** 2;
  return { mean, variance: squares / (DRAWS - 1) };
};
const median = (values: number[]): number =>
  values.sort((x, y) => x - y)[Math.floor(values.length / 2)] ?? NaN;

let within = 0;
let worst = 0;
let compared = 0;
const cuts: number[] = [];
for (let job = 0; job < JOBS; job++) {
  const drawn = drawCase(random, a, TODAY);
  const plan = buildPlan(drawn.docket, drawn.end, drawn.outlays, 'test-first', drawn.findings, a);
  const model = buildModel(
    { docket: drawn.docket, plan, architecture: drawn.architecture, slice: emptySlice(), today: TODAY, a },
    'EUR',
  );
  const costs = drawCosts(model, luckFor(job * 2 + 1, DRAWS));
  const apart = drawCosts(model, luckFor(job * 2 + 2, DRAWS));
  const means = model.ways.map((way) => expectedCost(way, model));
  const best = means.indexOf(Math.min(...means));
  model.ways.forEach((way, w) => {
    const own = costs[w] as Float64Array;
    const { mean, variance } = moments((i) => own[i] as number);
    const off = Math.abs(mean - (means[w] ?? 0)) / Math.sqrt(variance / DRAWS);
    compared++;
    if (off < 1.96) within++;
    worst = Math.max(worst, off);
    if (w === best || way.kind === 'refer') return;
    const first = costs[best] as Float64Array;
    const other = apart[w] as Float64Array;
    const common = moments((i) => (own[i] as number) - (first[i] as number)).variance;
    const independent = moments((i) => (other[i] as number) - (first[i] as number)).variance;
    cuts.push(independent / common);
  });
}
const sorted = [...cuts].sort((x, y) => x - y);
const at = (q: number) => (sorted[Math.floor(q * sorted.length)] ?? NaN).toFixed(1);
const lines = [
  `${JOBS} drawn jobs, ${compared} ways, ${DRAWS.toLocaleString('en-GB')} draws each. The mean of the draws lies within 1.96 standard errors of the exact expectation for ${((100 * within) / compared).toFixed(1)} % of the ways (95 % would by chance); the furthest is ${worst.toFixed(1)} standard errors off. Common random numbers cut the variance of the difference to the cheapest way ${median(cuts).toFixed(1)} times (median; from ${at(0.1)} to ${at(0.9)} times for the middle eight in ten): as good as that many times more draws. Made by \`npm run compare-report\`.`,
];
writeSection('reasoning.md', 'ways', lines.join('\n'));
process.stdout.write(`${lines.join('\n')}\n`);

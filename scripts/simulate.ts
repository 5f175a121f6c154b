import { assumptionsWith } from '../packages/core/src/assumptions/assumptions.ts';
import { randomFrom } from '../packages/core/src/chance/random.ts';
import { drawCase } from '../packages/core/src/practice/drawCase.ts';
import { playPolicy, POLICIES, type Played, type Policy } from '../packages/core/src/practice/playPolicy.ts';
import { writeSection } from './writeSection.ts';

/*
 * Plays made-up jobs of known truth under four ways to work and writes what each costs into docs/reasoning.md.
 * Use: npm run simulate [jobs]
 */
const jobs = Number(process.argv[2] ?? 5000);
const a = assumptionsWith();
const TODAY = '2026-11-25';

const WORDS: Readonly<Record<Policy, string>> = {
  planner: 'the planner',
  'what-the-code-names': 'sell what the code names, then the hub',
  'always-hub': 'always the hub',
  'test-everything': 'every check first, then the best part',
};

/** A factor of two up or down for each thing, fixed by its name and a seed: the tables are wrong, but steadily so. */
const slanted = (seed: number) => {
  const known = new Map<string, number>();
  const random = randomFrom(seed);
  return (key: string): number => {
    let factor = known.get(key);
    if (factor === undefined) known.set(key, (factor = random.chance(0.5) ? 2 : 0.5));
    return factor;
  };
};

const play = (wrongTables: boolean): Map<Policy, Played[]> => {
  const slant = wrongTables ? slanted(4242) : () => 1;
  const results = new Map<Policy, Played[]>(POLICIES.map((policy) => [policy, []]));
  for (let i = 0; i < jobs; i++) {
    const drawn = drawCase(randomFrom(1000 + i), a, TODAY, slant);
    // Each policy meets the same luck: the same seed for what the truth answers.
    for (const policy of POLICIES)
      results
        .get(policy)
        ?.push(
          playPolicy(policy, drawn, a, randomFrom(900_000 + i), (check, result, cause) =>
            slant(`${check} ${result} ${cause}`),
          ),
        );
  }
  return results;
};

const mean = (values: readonly number[]): number => values.reduce((sum, v) => sum + v, 0) / values.length;
const half = (values: readonly number[]): number => {
  const m = mean(values);
  const spread = Math.sqrt(values.reduce((sum, v) => sum + (v - m) ** 2, 0) / (values.length - 1));
  return (1.96 * spread) / Math.sqrt(values.length);
};
const figure = (values: readonly number[], digits: number, times = 1): string =>
  `${(mean(values) * times).toFixed(digits)} \u00B1 ${(half(values) * times).toFixed(digits)}`;

const table = (results: Map<Policy, Played[]>): string[] => {
  const planner = results.get('planner') ?? [];
  return [
    '| way to work | mean cost of a job | wrong parts per 100 jobs | visits per job | dearer than the planner by |',
    '| --- | --- | --- | --- | --- |',
    ...POLICIES.map((policy) => {
      const played = results.get(policy) ?? [];
      const more = played.map((p, i) => p.cost - (planner[i]?.cost ?? 0));
      return `| ${WORDS[policy]} | ${figure(
        played.map((p) => p.cost),
        0,
      )} | ${figure(
        played.map((p) => p.wrongParts),
        1,
        100,
      )} | ${figure(
        played.map((p) => p.visits),
        2,
      )} | ${policy === 'planner' ? '' : figure(more, 0)} |`;
    }),
  ];
};

const right = play(false);
const wrong = play(true);
const cost = (results: Map<Policy, Played[]>, policy: Policy) =>
  mean((results.get(policy) ?? []).map((p) => p.cost));
const cheapest = (results: Map<Policy, Played[]>) =>
  POLICIES.reduce((best, policy) => (cost(results, policy) < cost(results, best) ? policy : best));
const lines = [
  `${jobs} hidden truths drawn from the model: one to sixteen years old, three kinds of road, iron and aluminium, every architecture by its odds, a third of them only partly known; one active code and the lamp. Each way to work meets the same truths with the same luck. Costs are in the shop's currency from the default price book; intervals are 95 %. Made by \`npm run simulate\`.`,
  '',
  'The tables are right:',
  '',
  ...table(right),
  '',
  'The truth differs from the tables: every chance of a cause, a code and a result of a check is doubled or halved at random, steadily over all jobs, and the planner does not know:',
  '',
  ...table(wrong),
  '',
  `Cheapest: ${WORDS[cheapest(right)]} with right tables, ${WORDS[cheapest(wrong)]} with wrong ones. With wrong tables a job costs the planner ${(cost(wrong, 'planner') - cost(right, 'planner')).toFixed(0)} ${cost(wrong, 'planner') >= cost(right, 'planner') ? 'more' : 'less'} than with right ones, on other truths; against the best of the simple ways it is ${(Math.min(...POLICIES.slice(1).map((p) => cost(wrong, p))) - cost(wrong, 'planner')).toFixed(0)} cheaper there and ${(Math.min(...POLICIES.slice(1).map((p) => cost(right, p))) - cost(right, 'planner')).toFixed(0)} with right tables.`,
];
writeSection('reasoning.md', 'simulation', lines.join('\n'));
process.stdout.write(`${lines.join('\n')}\n`);

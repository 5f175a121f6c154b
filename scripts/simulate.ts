import {
  assumptionsWith,
  DEFAULT_ASSUMPTIONS,
  type Assumptions,
} from '../packages/core/src/assumptions/assumptions.ts';
import { randomFrom } from '../packages/core/src/chance/random.ts';
import { drawJob } from '../packages/core/src/practice/drawJob.ts';
import { WAYS_TO_WORK, type WayToWork } from '../packages/core/src/practice/chooseDeed.ts';
import { playJob, type PlayedJob } from '../packages/core/src/practice/playJob.ts';
import { secondJudge } from '../packages/core/src/practice/secondJudge.ts';
import { figure } from './figures.ts';
import { writeSection } from './writeSection.ts';

/*
 * Plays whole jobs of known truth, from the customer's words to the cure, under five ways to work, on three truths: the
 * tables as they are (not damped), another judge's, and the tables with every chance off by a log-normal factor.
 * Use: npm run simulate [jobs]
 */
const jobs = Number(process.argv[2] ?? 1000);
const TODAY = '2026-11-25';
const prices = assumptionsWith();

const WORDS: Readonly<Record<WayToWork, string>> = {
  ours: 'ours',
  'bench-card': 'the bench card: fixed rules of a good mechanic, first find acted on',
  'what-the-code-names': 'sell what the code names, then the hub',
  'always-hub': 'always the hub',
  'test-everything': 'every check first, then the best part',
};

/** Every chance of a fault, a code and a result off by a log-normal factor of two, steadily over all jobs. */
const slanted = (): Assumptions => {
  const random = randomFrom(4242);
  const normal = () => Math.sqrt(-2 * Math.log(1 - random.next())) * Math.cos(2 * Math.PI * random.next());
  const overrides: Record<string, number> = {};
  for (const [key, { value, min, max }] of Object.entries(DEFAULT_ASSUMPTIONS))
    if (/^(prior\.[a-z-]+$|code\.|check\.(?!minutes|setup|draws)|silent\.)/.test(key) && value > 0)
      overrides[key] = Math.min(max, Math.max(min, value * Math.exp(Math.LN2 * normal())));
  return assumptionsWith(overrides);
};

const TRUTHS: ReadonlyArray<readonly [string, Assumptions]> = [
  ['The tables are right (results not damped)', assumptionsWith()],
  ['Another judge\u2019s tables, written by themselves', secondJudge()],
  ['The tables, every chance off by a log-normal factor of two', slanted()],
];

const lines: string[] = [
  `${jobs} vehicles of known truth for each truth: one to sixteen years old, three kinds of road, iron and aluminium, every architecture by its odds, a third of them only partly known. Codes may be missing or stale, one in five has no reader that reaches the brake controller, corners named by the customer are mirrored now and then, a second corner is bad now and then. Every way to work meets the same vehicles, is asked for whole jobs (checks, parts, comebacks, another workshop in the end) and pays the same prices. Intervals are 95 %. The rivals and the truths were fixed before the first run. Made by \`npm run simulate\`.`,
  '',
];
for (const [title, truth] of TRUTHS) {
  const results = new Map<WayToWork, PlayedJob[]>(WAYS_TO_WORK.map((way) => [way, []]));
  for (let i = 0; i < jobs; i++) {
    const job = drawJob(randomFrom(1000 + i), truth, TODAY);
    for (const way of WAYS_TO_WORK)
      results.get(way)?.push(playJob(way, job, truth, prices, TODAY, randomFrom(900_000 + i)));
  }
  const ours = results.get('ours') ?? [];
  lines.push(
    `${title}:`,
    '',
    '| way to work | mean cost of a job | dearer than ours by | wrong parts per 100 jobs | visits | minutes of checks |',
    '| --- | --- | --- | --- | --- | --- |',
    ...WAYS_TO_WORK.map((way) => {
      const played = results.get(way) ?? [];
      const more = played.map((p, i) => p.cost - (ours[i]?.cost ?? 0));
      return `| ${WORDS[way]} | ${figure(
        played.map((p) => p.cost),
        0,
      )} | ${way === 'ours' ? '' : figure(more, 0)} | ${figure(
        played.map((p) => p.wrongParts),
        1,
        100,
      )} | ${figure(
        played.map((p) => p.visits),
        2,
      )} | ${figure(
        played.map((p) => p.minutes),
        0,
      )} |`;
    }),
    '',
  );
  console.log(lines.slice(-9).join('\n'));
}
if (!process.argv.includes('--dry')) writeSection('reasoning.md', 'simulation', lines.join('\n'));

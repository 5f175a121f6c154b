import { judge } from '../packages/core/src/advice/judge.ts';
import { bareKnowledge } from '../packages/core/src/advice/knowledge.ts';
import { assumptionsWith, DEFAULT_ASSUMPTIONS } from '../packages/core/src/assumptions/assumptions.ts';
import { randomFrom } from '../packages/core/src/chance/random.ts';
import { drawJob } from '../packages/core/src/practice/drawJob.ts';
import { playJob } from '../packages/core/src/practice/playJob.ts';
import type { Docket } from '../packages/core/src/vocabulary/docket.ts';
import { writeSection } from './writeSection.ts';

/*
 * Which judgement numbers carry the verdict: each is set half as large again and to two thirds, over a set of dockets,
 * and the verdicts it turns are counted. Use: npm run tornado [dockets]
 */
const count = Number(process.argv[2] ?? 200);
const TODAY = '2026-11-25';
const knowledge = bareKnowledge(TODAY);
const a = assumptionsWith();

/** First words and, for every second vehicle, a docket some checks later. */
const dockets: Docket[] = Array.from({ length: count }, (_, i) => {
  const job = drawJob(randomFrom(7000 + i), a, TODAY);
  if (i % 2 === 0) return job.docket;
  const seen: Docket[] = [];
  playJob('ours', job, a, a, TODAY, randomFrom(9000 + i), (docket) => seen.push(docket));
  return seen[Math.min(seen.length - 1, 1 + (i % 3))] ?? job.docket;
});

const said = (docket: Docket, overrides: Record<string, number>): string => {
  const { verdict } = judge({ ...docket, options: { ...docket.options, assumptions: overrides } }, knowledge);
  return [
    verdict.action,
    verdict.part,
    verdict.with.join('+'),
    verdict.check,
    verdict.wheelEnd,
    verdict.cause,
  ].join(' ');
};
const base = dockets.map((docket) => said(docket, {}));

/** Numbers read by other screens only, or words and limits that no verdict is made from. */
const BESIDE =
  /^(measure|match|spread\.|compare\.|dial\.|tier\.life|life\.|diy\.|trade\.|core\.|caution\.|gap\.|tyre\.rolling|ac\.threshold)/;

/** How many of `which` dockets a number turns, half as large again and at two thirds. */
const turnsOf = (key: string, which: readonly number[]): [number, number] => {
  const { value, min, max } = DEFAULT_ASSUMPTIONS[key] as (typeof DEFAULT_ASSUMPTIONS)[string];
  const at = (x: number): number => {
    const held = Math.min(max, Math.max(min, x));
    if (held === value) return 0;
    return which.filter((i) => said(dockets[i] as Docket, { [key]: held }) !== base[i]).length;
  };
  return [at(value * 1.5), at(value / 1.5)];
};
const all = dockets.map((_, i) => i);
/** Every number is tried on a sample of its own first; the ones that turn most there, on all. */
const SAMPLE = 4;
const FULL = 15;

const tried = Object.keys(DEFAULT_ASSUMPTIONS)
  .filter((key) => !BESIDE.test(key))
  .map((key, k) => {
    const flips = turnsOf(
      key,
      all.filter((i) => (i + 7 * k) % Math.ceil(count / SAMPLE) === 0),
    );
    return { key, value: DEFAULT_ASSUMPTIONS[key]?.value ?? 0, flips, most: Math.max(...flips) };
  })
  .sort((x, y) => y.most - x.most);
const turned = [
  ...tried
    .slice(0, FULL)
    .map((each) => ({ ...each, flips: turnsOf(each.key, all) }))
    .map((each) => ({ ...each, most: Math.max(...each.flips) }))
    .sort((x, y) => y.most - x.most),
  ...tried.slice(FULL),
];

const still = turned.filter(({ most }) => most === 0);
const lines = [
  `${count} dockets (first words, and some checks later), numbers set to 1.5 times and to two thirds of themselves: how many verdicts (what to do, which part, which check, which wheel, which cause) each turns. Each of ${turned.length} numbers was tried on a sample of ${SAMPLE}, the ${FULL} that turned most there on all ${count}; ${still.length} turned none of their sample. Made by \`npm run tornado\`.`,
  '',
  '| number | is | x 1.5 turns | / 1.5 turns |',
  '| --- | --- | --- | --- |',
  ...turned
    .slice(0, 25)
    .map(({ key, value, flips }) => `| \`${key}\` | ${value} | ${flips[0]} | ${flips[1]} |`),
];
console.log(lines.join('\n'));
console.log(`\nturn none: ${still.map(({ key }) => key).join(' ')}`);
writeSection('reasoning.md', 'tornado', lines.join('\n'));

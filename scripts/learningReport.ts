import {
  assumptionsWith,
  DEFAULT_ASSUMPTIONS,
  type Assumptions,
} from '../packages/core/src/assumptions/assumptions.ts';
import { randomFrom } from '../packages/core/src/chance/random.ts';
import { countsOf } from '../packages/core/src/ledger/counts.ts';
import { learn, learnedName, type LearnedNumber } from '../packages/core/src/ledger/learn.ts';
import { relearn } from '../packages/core/src/ledger/relearn.ts';
import { tallyOf, type MonthCount } from '../packages/core/src/ledger/tally.ts';
import { buildOf, drawEntry, drawShop, type DrawnShop } from '../packages/core/src/practice/drawShop.ts';
import type { LedgerEntry } from '../packages/core/src/vocabulary/ledgerEntry.ts';
import { writeSection } from './writeSection.ts';

/*
 * Shops of known truth: how near what is learned comes to it, against judgement alone and against plain counts, and how
 * often the intervals hold it. Use: npm run learning-report [shops]
 */
const shops = Number(process.argv[2] ?? 50);
const JOBS = [300, 1000, 3000] as const;
const judged = assumptionsWith();
const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);
const MONTH = '2026-11';

const KINDS: ReadonlyArray<readonly [name: string, of: RegExp]> = [
  ['causes, everyone', /^prior\./],
  ['causes, by build', /^build\./],
  ['causes, by line and axle', /^line\./],
  ['what checks show', /^check\./],
  ['cures', /^cures\./],
  ['bad from the box, by tier', /^tier\./],
  ['seizure', /^seizure\./],
  ['hours', /^pace\./],
];

const CHANCES = /^(check|cures|tier)\./;

const RATIO = /^(prior|build|line)\./;
const groupOf = ({ key, line }: LearnedNumber): string => line ?? key.split('.').slice(0, -1).join('.');

/**
 * Truth as far as it can be told at all: only the product of what everyone, a build and a line have shows, so that each level
 * is centred on the one above.
 */
const centred = (shop: DrawnShop) => {
  const cells = [...shop.lines].flatMap(([line, own], i) =>
    (['front', 'rear'] as const).map((place) => ({ line, place, own, build: buildOf(i, place) })),
  );
  const total = ({ own, place, build }: (typeof cells)[number], fault: string): number =>
    Math.log(shop.truth.find(`build.${build}.${fault}`, 1) * (own[`line.${place}.${fault}`] ?? 1));
  const over = (of: typeof cells, fault: string): number => mean(of.map((cell) => total(cell, fault)));
  return ({ key, line, prior }: LearnedNumber): number | null => {
    const fault = key.split('.').at(-1) ?? '';
    const everyone = over(cells, fault);
    if (key.startsWith('prior.')) return shop.truth.find(key, prior) * Math.exp(everyone);
    const build = /^build\.(\w+)\./.exec(key)?.[1];
    const built = (name: string) =>
      over(
        cells.filter((cell) => cell.build === name),
        fault,
      ) - everyone;
    if (build) return Math.exp(built(build));
    const place = /^line\.(\w+)\./.exec(key)?.[1];
    const cell = cells.find((each) => each.line === line && each.place === place);
    return cell ? Math.exp(total(cell, fault) - everyone - built(cell.build)) : null;
  };
};
const truthOf = (shop: DrawnShop, number: LearnedNumber): number => {
  const { key } = number;
  if (/^(prior|build|line)\./.test(key)) return centred(shop)(number) ?? 1;
  if (key.startsWith('check.')) {
    const row = key.slice(0, key.lastIndexOf('.'));
    const sum = (a: Assumptions) =>
      Object.keys(judgedKeys(row)).reduce((total, each) => total + a.get(each), 0);
    return (shop.truth.get(key) / sum(shop.truth)) * sum(judged);
  }
  return shop.truth.get(key);
};
const rows = new Map<string, Record<string, number>>();
const judgedKeys = (row: string): Record<string, number> => {
  let known = rows.get(row);
  if (!known) {
    known = {};
    for (const key of ALL_KEYS) if (key.startsWith(`${row}.`)) known[key] = 1;
    rows.set(row, known);
  }
  return known;
};
const ALL_KEYS = Object.keys(DEFAULT_ASSUMPTIONS);

interface Score {
  prior: number[];
  learned: number[];
  counts: number[];
  held: number[];
}
const scores = new Map<string, Score>();
const scoreOf = (name: string): Score => {
  const known = scores.get(name) ?? { prior: [], learned: [], counts: [], held: [] };
  scores.set(name, known);
  return known;
};

/** The same sums with judgement worth next to nothing. */
const plain = assumptionsWith(
  Object.fromEntries(ALL_KEYS.filter((key) => key.startsWith('learning.weight.')).map((key) => [key, 1])),
);

const score = (shop: DrawnShop, entries: readonly LedgerEntry[], way: string) => {
  const counts: MonthCount[] = entries.flatMap((entry) =>
    countsOf(entry, judged).map((count) => ({ ...count, month: MONTH })),
  );
  const tally = tallyOf(counts, MONTH, 36);
  const numbers = learn(tally, judged);
  const counted = new Map(learn(tally, plain).map((number) => [learnedName(number), number.learned]));
  for (const [name, of] of KINDS) {
    const own = numbers.filter(({ key }) => of.test(key) && !key.endsWith('bearing'));
    const to = scoreOf(`${name}|${entries.length}|${way}`);
    // All rates of a level together tell nothing: a job has some cause, so only their ratios show.
    const shiftOf = (value: (number: LearnedNumber) => number) => {
      const by = new Map<string, number[]>();
      for (const number of own) {
        const group = groupOf(number);
        by.set(group, [...(by.get(group) ?? []), Math.log(truthOf(shop, number) / value(number))]);
      }
      return (number: LearnedNumber) => (RATIO.test(number.key) ? mean(by.get(groupOf(number)) ?? []) : 0);
    };
    const shiftLearned = shiftOf(({ learned }) => learned);
    const shiftPrior = shiftOf(({ prior }) => prior);
    // Factors are told by their logarithm, chances as they are.
    const log = CHANCES.test(own[0]?.key ?? '')
      ? (value: number) => value
      : (value: number) => Math.log(Math.max(1e-6, value));
    for (const number of own) {
      const truth = log(truthOf(shop, number));
      const shift = shiftLearned(number);
      to.prior.push((truth - log(number.prior) - shiftPrior(number)) ** 2);
      to.learned.push((truth - log(number.learned) - shift) ** 2);
      to.counts.push((truth - log(counted.get(learnedName(number)) ?? number.prior) - shift) ** 2);
      to.held.push(truth - shift >= log(number.low) && truth - shift <= log(number.high) ? 1 : 0);
    }
  }
};

for (let s = 0; s < shops; s++) {
  const shop = drawShop(randomFrom(31_000 + s), 1);
  const random = randomFrom(530_000 + s);
  const entries = Array.from({ length: Math.max(...JOBS) }, (_, i) =>
    drawEntry(random, shop, judged, { docket: i + 1, day: '2026-11-01' }),
  );
  for (const jobs of JOBS) {
    score(shop, entries.slice(0, jobs), 'as it comes');
    score(shop, relearn(entries.slice(0, jobs), judged, MONTH), 'relearned');
  }
}

const lines = [
  `| number | jobs | error of judgement | as it comes | relearned | plain counts | intervals hold (as it comes, relearned) |`,
  `| --- | --- | --- | --- | --- | --- | --- |`,
];
for (const [name] of KINDS)
  for (const jobs of JOBS) {
    const came = scoreOf(`${name}|${jobs}|as it comes`);
    const again = scoreOf(`${name}|${jobs}|relearned`);
    const rms = (values: readonly number[]) => Math.sqrt(mean(values)).toFixed(3);
    lines.push(
      `| ${name} | ${jobs} | ${rms(came.prior)} | ${rms(came.learned)} | ${rms(again.learned)} | ${rms(came.counts)} | ${(mean(came.held) * 100).toFixed(0)} %, ${(mean(again.held) * 100).toFixed(0)} % |`,
    );
  }
console.log(lines.join('\n'));
if (!process.argv.includes('--dry'))
  writeSection(
    'reasoning.md',
    'learning',
    [
      `${shops} made-up shops of known truth, every number of judgement off by a log-normal slip (causes 0.7, builds 0.25, lines and axles 0.35, checks 0.4, cures half a log step of odds, parts 0.5, seizure 0.35, hours 0.25). Errors are root mean squares, of logarithms for factors and rates, of chances for checks, cures and parts; "plain counts" gives judgement the weight of one job. Made by \`npm run learning-report\`.`,
      '',
      ...lines,
    ].join('\n'),
  );

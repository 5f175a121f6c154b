import { judge } from '../packages/core/src/advice/judge.ts';
import { bareKnowledge, type Knowledge } from '../packages/core/src/advice/knowledge.ts';
import {
  assumptionsWith,
  DEFAULT_ASSUMPTIONS,
  type Assumptions,
} from '../packages/core/src/assumptions/assumptions.ts';
import { randomFrom, type Random } from '../packages/core/src/chance/random.ts';
import { checkChance, resultsOf } from '../packages/core/src/diagnosis/checkTable.ts';
import { causeOf, type Fault } from '../packages/core/src/faultKinds/faultData.ts';
import { countsOf } from '../packages/core/src/ledger/counts.ts';
import { knownTruth } from '../packages/core/src/ledger/knownTruth.ts';
import { learn, overridesFor } from '../packages/core/src/ledger/learn.ts';
import { placeOf, sharesOf } from '../packages/core/src/ledger/places.ts';
import { relearn } from '../packages/core/src/ledger/relearn.ts';
import { tallyOf } from '../packages/core/src/ledger/tally.ts';
import { cureChance } from '../packages/core/src/offers/fixes.ts';
import { drawWeighted } from '../packages/core/src/practice/drawCase.ts';
import { drawJob, type DrawnJob } from '../packages/core/src/practice/drawJob.ts';
import { playJob } from '../packages/core/src/practice/playJob.ts';
import type { Check } from '../packages/core/src/vocabulary/check.ts';
import type { LedgerEntry } from '../packages/core/src/vocabulary/ledgerEntry.ts';
import { writeSection } from './writeSection.ts';

/*
 * Learning in money: shops whose judgement is right, and shops whose judgement is wrong by two, work on after a thousand closed
 * jobs with what those taught, on the same vehicles. Use: npm run learning-money [shops] [jobs learned from] [jobs played]
 */
const SHOPS = Number(process.argv[2] ?? 5);
const LEARNED = Number(process.argv[3] ?? 1000);
const PLAYED = Number(process.argv[4] ?? 150);
const TODAY = '2026-11-26';
const MONTH = TODAY.slice(0, 7);
const judged = assumptionsWith();

/** Rates of causes off by a log-normal factor, as the judgement sees them. */
const wrongBy = (factor: number, seed: number): Assumptions => {
  const random = randomFrom(seed);
  return assumptionsWith(
    Object.fromEntries(
      Object.entries(DEFAULT_ASSUMPTIONS)
        .filter(([key]) => /^prior\.[a-z-]+$/.test(key) && key !== 'prior.most' && key !== 'prior.second-end')
        .map(([key, { value, min, max }]) => [
          key,
          Math.min(max, Math.max(min, value * Math.exp(Math.log(factor) * random.normal()))),
        ]),
    ),
  );
};

const LOOKS = ['visual.ring', 'visual.connector', 'bearing.play'] as const;

/** One closed job as the ledger counts it: looked at, one part fitted, heard of. */
const closed = (
  job: DrawnJob,
  truth: Assumptions,
  knowledge: Knowledge,
  random: Random,
): LedgerEntry | null => {
  const first = judge(job.docket, knowledge);
  const at = first.d.wheelEnd ?? [...job.truth.keys()][0] ?? null;
  if (at === null) return null;
  const faults: readonly Fault[] = [...(job.truth.get(at) ?? []), ...job.shared];
  const [fault] = faults;
  const checks = LOOKS.filter(() => random.chance(0.5)).map((check) => ({
    check,
    wheelEnd: at,
    result: drawWeighted(
      random,
      resultsOf(check).map((each) => [each, checkChance(check, each, fault ?? null, truth)] as const),
    ),
  })) as Check[];
  const { causes, verdict, d } = judge({ ...job.docket, checks }, knowledge);
  const part = verdict.part ?? 'sensor';
  const architecture = job.architectureOf(at);
  const cured =
    fault !== undefined &&
    random.chance(
      Math.max(cureChance(part, fault, architecture, truth), judged.get('learning.elsewhere-cured')),
    );
  const said = sharesOf(causes);
  const knownBy = random.pick(['seen', 'metered', 'cured'] as const);
  const told = fault && random.chance(0.6) && random.chance(judged.get(`learning.sure.${knownBy}`));
  const outcome = {
    result: cured ? ('cured' as const) : ('not-cured' as const),
    trueCause: told ? causeOf(fault) : null,
    knownBy: told ? knownBy : null,
  };
  const bare = judge(
    { format: 'hardy-spoke/docket', version: 1, vehicle: job.docket.vehicle ?? null },
    knowledge,
  );
  return {
    docket: 1,
    soldOn: TODAY,
    closedOn: TODAY,
    line: null,
    lineName: null,
    builds: {
      front: job.architectureOf('A1L').sensor,
      rear: job.architectureOf('A2L').sensor,
    },
    wheelEnd: at,
    parts: [part],
    partNumber: null,
    tier: null,
    supplier: null,
    batch: null,
    desk: null,
    said: { action: 'sell', part, causes: said, cures: 0.5, hours: null, money: null },
    followed: true,
    expected: sharesOf(bare.causes),
    truth: knownTruth(said, outcome, { parts: [part], place: placeOf(at) }, d.a),
    weight: 1,
    checks: [],
    result: outcome.result,
    firstTime: cured,
    cause: outcome.trueCause,
    told: outcome.trueCause ? knownBy : null,
    at: null,
    comeback: false,
    returned: 0,
    badFromBox: 0,
    sold: 0,
    seizure: null,
    hours: null,
    spentCents: null,
    marginCents: null,
    minutes: null,
  };
};

const mean = (values: readonly number[]): number => values.reduce((sum, v) => sum + v, 0) / values.length;
const half = (values: readonly number[]): number => {
  const m = mean(values);
  return (
    (1.96 * Math.sqrt(values.reduce((sum, v) => sum + (v - m) ** 2, 0) / (values.length - 1))) /
    Math.sqrt(values.length)
  );
};
const figure = (values: readonly number[]): string =>
  `${mean(values).toFixed(1)} \u00B1 ${half(values).toFixed(1)}`;

const lines = [
  '| judgement | shop | mean cost by judgement | learned: dearer by | with the truth: dearer by |',
  '| --- | --- | --- | --- | --- |',
];
for (const [name, truthOf] of [
  ['right', () => judged],
  ['wrong by two', (shop: number) => wrongBy(2, 8800 + shop)],
] as const) {
  const all = { learned: [] as number[], best: [] as number[] };
  for (let shop = 0; shop < SHOPS; shop++) {
    const truth = truthOf(shop);
    const plain = bareKnowledge(TODAY);
    const quick: Knowledge = { ...plain, overrides: { 'plan.depth': 1 } };
    const entries = Array.from({ length: LEARNED }, (_, i) => {
      const seed = 40_000 * (shop + 1) + i;
      return closed(drawJob(randomFrom(seed), truth, TODAY), truth, quick, randomFrom(seed + 7_000_000));
    }).filter((entry): entry is LedgerEntry => entry !== null);
    const counts = relearn(entries, judged, MONTH).flatMap((entry) =>
      countsOf(entry, judged).map((count) => ({ ...count, month: MONTH })),
    );
    const overrides = overridesFor(learn(tallyOf(counts, MONTH, 36), judged), null, {});
    const learned: Knowledge = { ...plain, learned: { ...plain.learned, overrides, jobs: entries.length } };
    const best: Knowledge = { ...plain, overrides: truth.overrides };
    const costs = [plain, learned, best].map((knowledge) =>
      Array.from({ length: PLAYED }, (_, i) => {
        const seed = 5_000_000 + 10_000 * shop + i;
        const job = drawJob(randomFrom(seed), truth, TODAY);
        return playJob(
          'ours',
          job,
          truth,
          judged,
          TODAY,
          randomFrom(seed + 900_000),
          () => undefined,
          knowledge,
        ).cost;
      }),
    );
    const more = (at: 1 | 2) => (costs[at] ?? []).map((cost, i) => cost - (costs[0]?.[i] ?? 0));
    all.learned.push(...more(1));
    all.best.push(...more(2));
    lines.push(
      `| ${name} | ${shop + 1} | ${figure(costs[0] ?? [])} | ${figure(more(1))} | ${figure(more(2))} |`,
    );
    console.log(lines.at(-1));
  }
  lines.push(`| ${name} | all | | ${figure(all.learned)} | ${figure(all.best)} |`);
  console.log(lines.at(-1));
}
if (!process.argv.includes('--dry'))
  writeSection(
    'reasoning.md',
    'learning in money',
    [
      `${SHOPS} made-up shops each, learned anew from ${LEARNED} closed jobs, then ${PLAYED} other jobs played to the end by what was learned, by judgement alone and by the tables that are true; the same vehicles and the same luck for all three. Below nought is cheaper than judgement. Intervals are 95 %. Made by \`npm run learning-money\`.`,
      '',
      ...lines,
    ].join('\n'),
  );

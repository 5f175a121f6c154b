import { advise } from '../packages/core/src/advice/advise.ts';
import { bareKnowledge } from '../packages/core/src/advice/knowledge.ts';
import { assumptionsWith } from '../packages/core/src/assumptions/assumptions.ts';
import { randomFrom } from '../packages/core/src/chance/random.ts';
import { cureChance, partsAt } from '../packages/core/src/offers/fixes.ts';
import { seizureChance } from '../packages/core/src/offers/seizure.ts';
import { drawJob } from '../packages/core/src/practice/drawJob.ts';
import { playJob } from '../packages/core/src/practice/playJob.ts';
import { secondJudge } from '../packages/core/src/practice/secondJudge.ts';
import { causeOf } from '../packages/core/src/faultKinds/faultData.ts';
import { writeSection } from './writeSection.ts';

/*
 * When it said so much in 100, how often was it so? Every chance that an advice states, against truths drawn from another
 * judge's tables. Use: npm run calibration [jobs]
 */
const jobs = Number(process.argv[2] ?? 600);
const TODAY = '2026-11-25';
const truth = secondJudge();
const own = assumptionsWith();

const BINS = [0, 0.02, 0.05, 0.1, 0.2, 0.4, 0.6, 0.8, 0.9, 0.97, 1.0001] as const;
interface Kind {
  readonly name: string;
  readonly said: Array<readonly [said: number, was: number]>;
}
const causes: Kind = { name: 'a cause at a wheel', said: [] };
const cures: Kind = { name: 'a part cures it', said: [] };
const snaps: Kind = { name: 'the old sensor snaps', said: [] };
let inside = 0;
let below = 0;
let bands = 0;

for (let i = 0; i < jobs; i++) {
  const job = drawJob(randomFrom(1000 + i), truth, TODAY);
  const advice = advise(job.docket, bareKnowledge(TODAY));
  const random = randomFrom(5000 + i);
  for (const { cause, wheelEnd, probability } of advice.causes) {
    if (wheelEnd === null) continue;
    const was = (job.truth.get(wheelEnd) ?? []).some((fault) => causeOf(fault) === cause);
    causes.said.push([probability, was ? 1 : 0]);
  }
  for (const offer of advice.offers) {
    if (offer.with.length > 0) continue;
    const architecture = job.architectureOf(offer.wheelEnd);
    const here = job.truth.get(offer.wheelEnd) ?? [];
    const elsewhere = [...job.truth].some(([end, state]) => end !== offer.wheelEnd && state.length > 0);
    const exists = partsAt(offer.wheelEnd, architecture).includes(offer.part);
    const chance =
      elsewhere || job.shared.length > 0 || here.length === 0 || !exists
        ? 0
        : here.reduce((p, fault) => p * cureChance(offer.part, fault, architecture, truth), 1);
    cures.said.push([offer.cures, chance]);
    if (offer.seizure !== null && exists)
      snaps.said.push([
        offer.seizure,
        seizureChance(offer.part, {
          wheelEnd: offer.wheelEnd,
          architecture,
          docket: job.docket,
          today: TODAY,
          a: truth,
        }),
      ]);
  }
  // The band of the offer it sells, against what the whole job comes to when played on.
  const { verdict } = advice;
  const sold = advice.offers.find(
    (o) =>
      o.part === verdict.part && o.wheelEnd === verdict.wheelEnd && o.with.join() === verdict.with.join(),
  );
  if (verdict.action === 'sell' && sold) {
    const { cost } = playJob('ours', job, truth, own, TODAY, random);
    bands++;
    if (cost < sold.allIn.p10) below++;
    else if (cost <= sold.allIn.p90) inside++;
  }
}

const percent = (p: number): string => (100 * p).toFixed(p < 0.1 ? 1 : 0);
const table = ({ name, said }: Kind): string[] => [
  `| ${name}: said, in 100 | times said | mean said | was so |`,
  '| --- | --- | --- | --- |',
  ...BINS.slice(0, -1).flatMap((from, b) => {
    const to = BINS[b + 1] as number;
    const mine = said.filter(([p]) => p >= from && p < to);
    if (mine.length < 5) return [];
    const mean = (k: 0 | 1) => mine.reduce((sum, each) => sum + each[k], 0) / mine.length;
    return [
      `| ${percent(from)} to ${percent(Math.min(1, to))} | ${mine.length} | ${percent(mean(0))} | ${percent(mean(1))} |`,
    ];
  }),
  '',
];
const lines = [
  `First advices on ${jobs} vehicles drawn from another judge's tables (codes missing or stale, no reader in one of five, second faults). Made by \`npm run calibration\`.`,
  '',
  ...table(causes),
  ...table(cures),
  ...table(snaps),
  `Of ${bands} jobs that began with a sale, what the whole job came to lay within the sold offer's band of 8 in 10 in ${percent(inside / Math.max(1, bands))} of 100, below it in ${percent(below / Math.max(1, bands))} (a job played out has no wear and no bearing of the coming years in it).`,
];
console.log(lines.join('\n'));
writeSection('reasoning.md', 'calibration', lines.join('\n'));

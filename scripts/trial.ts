import { assumptionsWith, WAYS_TO_WORK, type WayToWork } from '../packages/core/src/doors/trial.ts';
import { CAUSES } from '../packages/core/src/vocabulary/wordLists.ts';
import { causeOfAilment, playVehicle, type FirstWords, type Played } from '../packages/practice/src/index.ts';
import { figure, mean } from './figures.ts';
import { inParts } from './inParts.ts';
import { writeSection } from './writeSection.ts';

/*
 * The advice on vehicles whose faults follow from physics, not from its tables: four ways to work and a card on the wall deal
 * with the same vehicles through what a person could learn. Seeds of the open half are for finding errors; the sealed half
 * is run when everything else is done, and stands whatever it says.
 * Use: npm run trial -- [vehicles] [--sealed] [--dry]
 */
const vehicles = Number(process.argv.find((each) => /^\d+$/.test(each)) ?? 1000);
const sealed = process.argv.includes('--sealed');
const FIRST = sealed ? 7_000_001 : 1;
const TODAY = '2026-11-25';
const prices = assumptionsWith();

const WORDS: Readonly<Record<WayToWork, string>> = {
  ours: 'ours',
  'bench-card': 'the bench card: fixed rules of a good mechanic',
  'what-the-code-names': 'sell what the code names, then the hub',
  'always-hub': 'always the hub',
  'test-everything': 'every check first, then the best part',
};

/** Chances said before the first deed, and what was so: by cause, and of the likeliest alone. */
type Said = readonly [key: string, said: number, so: boolean];
interface Chunk {
  readonly played: Readonly<Record<WayToWork, Played[]>>;
  readonly said: readonly Said[];
}

/** Every way deals with the vehicles of so many seeds. */
const playChunk = (from: number, count: number, told: () => void): Chunk => {
  const said: Said[] = [];
  const hear = ({ judged, befell }: FirstWords) => {
    const truth = new Set(befell.map(([name, end]) => `${causeOfAilment(name)} ${end}`));
    const listed = judged.causes;
    for (const cause of CAUSES) {
      // Everywhere together: how many of this cause were foretold, and how many there were.
      const chance = listed
        .filter((each) => each.cause === cause)
        .reduce((sum, each) => sum + each.probability, 0);
      said.push([cause, Math.min(1, chance), [...truth].some((each) => each.startsWith(`${cause} `))]);
    }
    const first = listed[0];
    if (first) said.push(['likeliest', first.probability, truth.has(`${first.cause} ${first.wheelEnd}`)]);
  };
  const played = Object.fromEntries(WAYS_TO_WORK.map((way) => [way, []])) as unknown as Chunk['played'];
  for (let i = 0; i < count; i++) {
    for (const way of WAYS_TO_WORK)
      played[way].push(playVehicle(way, from + i, prices, TODAY, way === 'ours' ? hear : undefined));
    told();
  }
  return { played, said };
};

const chunks = await inParts(import.meta.filename, FIRST, vehicles, playChunk);
const played = new Map(WAYS_TO_WORK.map((way) => [way, chunks.flatMap((chunk) => chunk.played[way])]));
const said = new Map<string, Array<readonly [said: number, so: boolean]>>();
for (const [key, chance, so] of chunks.flatMap((chunk) => chunk.said))
  said.set(key, [...(said.get(key) ?? []), [chance, so]]);

const ours = played.get('ours') ?? [];
const lines = [
  `${vehicles} vehicles of the ${sealed ? 'sealed' : 'open'} half. Intervals are 95 %. Made by \`npm run trial\`.`,
  '',
  '| way to work | mean cost of a job | dearer than ours by | wrong parts per 100 jobs | visits | minutes of checks | handed on, of 100 | let go unsafe | danger overlooked | needless stops |',
  '| --- | --- | --- | --- | --- | --- | --- | --- | --- | --- |',
  ...WAYS_TO_WORK.map((way) => {
    const jobs = played.get(way) ?? [];
    const of = (pick: (p: Played) => number | boolean) => jobs.map((p) => Number(pick(p)));
    const count = (pick: (p: Played) => boolean) => jobs.filter(pick).length;
    return `| ${WORDS[way]} | ${figure(
      of((p) => p.cost),
      0,
    )} | ${
      way === 'ours'
        ? ''
        : figure(
            jobs.map((p, i) => p.cost - (ours[i]?.cost ?? 0)),
            0,
          )
    } | ${figure(
      of((p) => p.wrongParts),
      0,
      100,
    )} | ${figure(
      of((p) => p.visits),
      2,
    )} | ${figure(
      of((p) => p.minutes),
      0,
    )} | ${figure(
      of((p) => p.referred),
      0,
      100,
    )} | ${count((p) => p.unsafe)} | ${count((p) => p.overlooked)} | ${count((p) => p.needlessStop)} |`;
  }),
  '',
  'What was said of the first docket, and what was so:',
  '',
  '| cause | said, of 100 vehicles | was so, of 100 |',
  '| --- | --- | --- |',
  ...CAUSES.flatMap((cause) => {
    const pairs = said.get(cause) ?? [];
    if (pairs.length === 0) return [];
    return [
      `| ${cause} | ${(mean(pairs.map(([p]) => p)) * 100).toFixed(1)} | ${figure(
        pairs.map(([, so]) => Number(so)),
        1,
        100,
      )} |`,
    ];
  }),
  '',
  '| the likeliest was said to be | jobs | mean said | was so |',
  '| --- | --- | --- | --- |',
  ...[
    [0, 0.3],
    [0.3, 0.5],
    [0.5, 0.7],
    [0.7, 0.9],
    [0.9, 1.01],
  ].flatMap(([low, high]) => {
    const bin = (said.get('likeliest') ?? []).filter(([p]) => p >= (low as number) && p < (high as number));
    return bin.length < 2
      ? []
      : [
          `| ${(low as number) * 100} to ${Math.min(100, (high as number) * 100)} of 100 | ${bin.length} | ${(mean(bin.map(([p]) => p)) * 100).toFixed(0)} | ${figure(
            bin.map(([, so]) => Number(so)),
            0,
            100,
          )} |`,
        ];
  }),
];
console.log(lines.join('\n'));
if (!process.argv.includes('--dry'))
  writeSection('reasoning.md', sealed ? 'trial sealed' : 'trial', lines.join('\n'));

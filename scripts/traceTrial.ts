import {
  clearCodes,
  copyOf,
  drawLife,
  driveOf,
  driveWith,
  endsOf,
  watchSpeeds,
  type Cycle,
} from '../packages/bench-vehicle/src/index.ts';
import { randomFrom } from '../packages/core/src/chance/random.ts';
import { readTrace } from '../packages/core/src/signal/readTrace.ts';
import { writeSection } from './writeSection.ts';

/*
 * The log study on vehicles whose signals follow from physics: what it says for sure of a wheel, against what befell that
 * wheel and what an eye sees of it. Open seeds are for finding errors; the sealed ones are looked at once.
 * Use: npm run trace-trial -- [vehicles] [--sealed] [--dry]
 */
const vehicles = Number(process.argv.find((each) => /^\d+$/.test(each)) ?? 150);
const sealed = process.argv.includes('--sealed');
const FIRST = sealed ? 8_000_001 : 1001;
/** From here on a finding is said as sure. */
const SURE = 0.8;
const RATE_HZ = 50;

const DRIVES: ReadonlyArray<readonly [name: string, cycles: readonly Cycle[], hz: number]> = [
  ['a yard alone', ['yard'], RATE_HZ],
  ['yard and town', ['yard', 'town'], RATE_HZ],
  ['yard and town, 20 samples a second', ['yard', 'town'], 20],
  ['town and road', ['town', 'road'], RATE_HZ],
];

interface Count {
  sound: number;
  blamed: number;
  off: number;
  named: number;
  seen: number;
}

const rows = DRIVES.map(([name, cycles, hz]) => {
  const count: Count = { sound: 0, blamed: 0, off: 0, named: 0, seen: 0 };
  for (let i = 0; i < vehicles; i++) {
    const { vehicle, befell } = drawLife(FIRST + i);
    const driven = copyOf(vehicle);
    clearCodes(driven);
    const random = randomFrom(FIRST + i);
    const drive = driveOf(cycles, random);
    const told = driveWith(driven, drive, random);
    const every = RATE_HZ / hz;
    const samples = Math.floor(drive.steps / every);
    const ends = endsOf(driven.build);
    const { findings } = readTrace(
      {
        time: Float64Array.from({ length: samples }, (_, s) => s / hz),
        wheels: ends.map((wheelEnd) => ({
          wheelEnd,
          kmh: Float32Array.from(
            { length: samples },
            (_, s) => told.signals.get(wheelEnd)?.kmh[Math.floor(s * every)] ?? NaN,
          ),
        })),
        vehicle: null,
        notes: [],
      },
      1 / hz,
    ).reading;
    const struck = new Set(befell.map(([, end]) => end));
    for (const { wheelEnd, pattern, confidence } of findings) {
      const end = wheelEnd as (typeof ends)[number];
      const eye = watchSpeeds(driven, told, drive, end).pattern;
      const says = pattern !== 'normal';
      if (eye !== 'normal') {
        count.off++;
        if (says) count.seen++;
        if (pattern === eye) count.named++;
      } else if (!struck.has(end) && !struck.has(null)) {
        count.sound++;
        if (says && confidence >= SURE) count.blamed++;
      }
    }
  }
  return { name, ...count };
});

const text = [
  `${vehicles} vehicles of the ${sealed ? 'sealed' : 'open'} seeds, four wheels each. Made by \`npm run trace-trial\`.`,
  '',
  '| drive | sound wheels | of them blamed for sure | wheels off to the eye | of them seen | of them named alike |',
  '| --- | --- | --- | --- | --- | --- |',
  ...rows.map(
    ({ name, sound, blamed, off, seen, named }) =>
      `| ${name} | ${sound} | ${blamed} | ${off} | ${seen} | ${named} |`,
  ),
].join('\n');
console.log(text);
if (!process.argv.includes('--dry'))
  writeSection('reasoning.md', sealed ? 'trace trial sealed' : 'trace trial', text);

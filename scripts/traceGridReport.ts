import { readTrace } from '../packages/core/src/signal/readTrace.ts';
import type { LivePattern } from '../packages/core/src/vocabulary/check.ts';
import { CHECK_RESULTS } from '../packages/core/src/checkKinds/checkData.ts';
import { generateLog } from '../packages/core/src/signal/generate/generateLog.ts';
import { WINDING_DRIVES } from '../packages/core/src/signal/generate/driveProfile.ts';
import { gridLog, windingLog } from './traceGrid.ts';
import { writeSection } from './writeSection.ts';

/*
 * Plays the study of wheel-speed logs over a grid of generated ones and writes what it got right and wrong into
 * docs/reasoning.md. `--fit` prints the figures of signal/confidence.ts that fit best. Use: npm run trace-grid [logs] [--fit]
 */
const count = Number(process.argv.slice(2).find((arg) => /^\d+$/.test(arg)) ?? 1000);
const fitting = process.argv.includes('--fit');

interface Said {
  readonly pattern: LivePattern;
  readonly margin: number;
  readonly confidence: number;
  readonly right: boolean;
}

const patterns: readonly LivePattern[] = CHECK_RESULTS.live;
const confusion = new Map<string, Map<string, number>>();
const said: Said[] = [];
const ratioErrors: number[] = [];
const missedByRate = new Map<number, { all: number; wrong: number }>();
let soundLogs = 0;
let falseLogs = 0;
let soundWheels = 0;
let falseWheels = 0;

for (const sound of [true, false])
  for (let i = 0; i < count; i++) {
    const grid = gridLog(i, sound);
    const study = readTrace(generateLog(grid.recipe), 1 / grid.recipe.rateHz);
    const { findings } = study.reading;
    const pair = findings.length === 2;
    const ratioTruth = grid.pattern === 'reads-high' || grid.pattern === 'reads-low';
    let alarms = 0;
    findings.forEach((finding, w) => {
      const truth = finding.wheelEnd === grid.wheelEnd ? grid.pattern : 'normal';
      // Of two wheels a log cannot say which one is off: either answer is as right.
      const eitherWay = pair && ratioTruth;
      if (!eitherWay)
        said.push({
          pattern: finding.pattern,
          margin: study.margins[w] as number,
          confidence: finding.confidence,
          right: finding.pattern === truth,
        });
      if (truth === 'normal') {
        soundWheels += sound ? 1 : 0;
        if (sound && finding.pattern !== 'normal') alarms++;
      } else if (!eitherWay) {
        const row = confusion.get(truth) ?? new Map<string, number>();
        confusion.set(truth, row);
        row.set(finding.pattern, (row.get(finding.pattern) ?? 0) + 1);
        const rate = missedByRate.get(grid.recipe.rateHz) ?? { all: 0, wrong: 0 };
        missedByRate.set(grid.recipe.rateHz, rate);
        rate.all++;
        if (finding.pattern !== truth) rate.wrong++;
      }
    });
    if (sound) {
      soundLogs++;
      falseWheels += alarms;
      if (alarms > 0) falseLogs++;
    }
  }

for (let i = 0; i < Math.min(200, count); i++) {
  const grid = gridLog(i * 7 + 2, false);
  const percent = ((i % 17) - 8) * 0.75;
  const recipe = {
    ...grid.recipe,
    wear: 0,
    wheelEnds: ['A1L', 'A1R', 'A2L', 'A2R'],
    faults: [{ wheelEnd: 'A2R', pattern: 'reads-high' as const, severity: 0, percent }],
  };
  const study = readTrace(generateLog(recipe), 1 / recipe.rateHz);
  const ratio = study.ratios[3] as number;
  if (Number.isFinite(ratio)) ratioErrors.push(Math.abs((ratio - 1) * 100 - percent));
}

const percent = (part: number, all: number) => `${((100 * part) / Math.max(1, all)).toFixed(1)} %`;
const quantile = (values: number[], q: number) =>
  values.sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(q * values.length))] as number;

/** One stratum of drives that hardly go straight: what was said of sound ones, and of one wheel off by a constant share. */
const winding = (drive: (typeof WINDING_DRIVES)[number], steering: boolean): string => {
  let alarms = 0;
  let right = 0;
  let open = 0;
  let elsewhere = 0;
  let sure = 0;
  let sureRight = 0;
  const heed = ({ pattern, confidence }: { pattern: string; confidence: number }) =>
    pattern !== 'normal' && confidence > 0.6;
  for (let i = 0; i < count; i++)
    for (const sound of [true, false]) {
      const grid = windingLog(i, drive, sound, steering);
      const { findings } = readTrace(generateLog(grid.recipe), 1 / grid.recipe.rateHz).reading;
      for (const finding of findings)
        if (finding.confidence > 0.6) {
          sure++;
          if (finding.pattern === (finding.wheelEnd === grid.wheelEnd ? grid.pattern : 'normal')) sureRight++;
        }
      if (sound) {
        if (findings.some(heed)) alarms++;
        continue;
      }
      const mine = findings.find(({ wheelEnd }) => wheelEnd === grid.wheelEnd);
      if (findings.some((finding) => finding.wheelEnd !== grid.wheelEnd && heed(finding))) elsewhere++;
      else if (mine?.pattern === grid.pattern && mine.confidence > 0.6) right++;
      else if (findings.some(({ confidence }) => confidence <= 0.6)) open++;
    }
  return `| ${drive}${steering ? ', steering logged' : ''} | ${percent(alarms, count)} | ${percent(right, count)} | ${percent(open, count)} | ${percent(elsewhere, count)} | ${percent(sureRight, sure)} of ${sure} |`;
};

const lines: string[] = [
  `${count} sound and ${count} faulty logs: 5 to 100 Hz, 90 to 300 s, yard, town, road and mixed drives, 2, 4 or 6 wheels, noise 0.02 to 0.15 km/h, steps of 0.01 to 0.1 km/h, severity anywhere from hardly there to gross. Made by \`npm run trace-grid\`.`,
  '',
  `False alarms: ${falseLogs} of ${soundLogs} sound logs (${percent(falseLogs, soundLogs)}), ${falseWheels} of ${soundWheels} sound wheels (${percent(falseWheels, soundWheels)}).`,
  '',
  `| true | ${patterns.join(' | ')} | right |`,
  `| --- | ${patterns.map(() => '---').join(' | ')} | --- |`,
  ...patterns
    .filter((p) => p !== 'normal')
    .map((truth) => {
      const row = confusion.get(truth) ?? new Map<string, number>();
      const all = [...row.values()].reduce((a, b) => a + b, 0);
      return `| ${truth} | ${patterns.map((p) => row.get(p) ?? '').join(' | ')} | ${percent(row.get(truth) ?? 0, all)} |`;
    }),
  '',
  `Wrong by sampling: ${[...missedByRate]
    .sort(([a], [b]) => a - b)
    .map(([rate, { all, wrong }]) => `${rate} Hz ${percent(wrong, all)}`)
    .join(', ')}.`,
  '',
  `Ratio of a wheel off by -6 to +6 %, against the truth, four wheels: median error ${quantile(ratioErrors, 0.5).toFixed(2)} %, nine in ten within ${quantile(ratioErrors, 0.9).toFixed(2)} %, ${percent(ratioErrors.filter((e) => e <= 0.3).length, ratioErrors.length)} within 0.3 %.`,
  '',
  `Drives with hardly a straight stretch (${count} sound and ${count} with one wheel 2.5 to 5 % off, for each row). "Left open" says both readings and is never above 60 % sure:`,
  '',
  '| drive | sound ones called off | right wheel | left open | another wheel blamed | right where above 60 % sure |',
  '| --- | --- | --- | --- | --- | --- |',
  ...WINDING_DRIVES.flatMap((drive) => [winding(drive, false), winding(drive, true)]),
  '',
  '| said to be sure | findings | were so |',
  '| --- | --- | --- |',
  ...[
    [0, 0.6],
    [0.6, 0.8],
    [0.8, 0.9],
    [0.9, 0.97],
    [0.97, 0.99],
    [0.99, 1.01],
  ].map(([from, to]) => {
    const inside = said.filter(
      ({ confidence }) => confidence >= (from as number) && confidence < (to as number),
    );
    return `| ${from} to ${Math.min(1, to as number)} | ${inside.length} | ${percent(inside.filter(({ right }) => right).length, inside.length)} |`;
  }),
];
writeSection('reasoning.md', 'trace grid', lines.join('\n'));
process.stdout.write(`${lines.join('\n')}\n`);

/** Logistic regression of right on margin, with a pull towards a slope of one that few samples need. */
const fit = (samples: readonly Said[]): [number, number] => {
  let a = 1;
  let b = 1;
  for (let round = 0; round < 60; round++) {
    let ga = -(a - 1) * 0.3;
    let gb = -(b - 1) * 3;
    let haa = 0.3;
    let hab = 0;
    let hbb = 3;
    for (const { margin, right } of samples) {
      const p = 1 / (1 + Math.exp(-(a + b * margin)));
      const w = p * (1 - p);
      ga += (right ? 1 : 0) - p;
      gb += ((right ? 1 : 0) - p) * margin;
      haa += w;
      hab += w * margin;
      hbb += w * margin * margin;
    }
    const det = haa * hbb - hab * hab;
    const da = (hbb * ga - hab * gb) / det;
    const db = (haa * gb - hab * ga) / det;
    a += Math.max(-1, Math.min(1, da));
    b = Math.max(0, b + Math.max(-1, Math.min(1, db)));
  }
  return [a, b];
};
if (fitting)
  for (const pattern of patterns) {
    const mine = said.filter((s) => s.pattern === pattern);
    const [a, b] = fit(mine);
    process.stdout.write(`${pattern}: [${a.toFixed(2)}, ${b.toFixed(2)}] from ${mine.length}\n`);
  }

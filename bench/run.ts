import { advise, bareIntake, bareKnowledge, compareBench, readIntake, type Docket } from '@hardy/core';
import { keystrokes } from './keystroke.ts';
import { firstLoadBytes } from './firstLoad.ts';
import { compareTimes } from './compareTimes.ts';
import { fullDocket } from './fullDocket.ts';
import { measure, measureBeside, reference, type Timing } from './measure.ts';
import { posteriorTimes } from './posteriorTimes.ts';
import { scanReport } from './scanReport.ts';
import { traceTimes } from './traceLog.ts';
import { traceMemory } from './traceMemory.ts';
import { catalogueTimes } from './catalogueTimes.ts';
import { shopOfYears } from './shopOfYears.ts';
import { deskLoad } from './deskLoad.ts';
import { allLoose, nineAxles } from './nineAxles.ts';
import { fullLists } from './fullLists.ts';
import { trainingBeside } from './trainingBeside.ts';
import { vehicleTimes } from './vehicleTimes.ts';
import { backupBeside } from './backupBeside.ts';
import { learningTimes } from './learningTimes.ts';
import { liveFrames } from './liveFrames.ts';
import { sized } from './size.ts';

/** Prints medians, p95 and the ratio of each median to the reference loop of the same run. */
const loop = reference();
const say = (name: string, timing: Timing, target: string) =>
  process.stdout.write(
    `${name.padEnd(44)} median ${timing.median.toFixed(2).padStart(8)} ms  p95 ${timing.p95.toFixed(2).padStart(8)} ms  ${(timing.median / loop.median).toFixed(2).padStart(6)} x reference  (${target})\n`,
  );

say('reference: 10 million square roots', loop, 'the measure');
const knowledge = bareKnowledge('2026-11-25');
const shallow = { ...fullDocket, options: { assumptions: { 'plan.depth': 1 } } };
say(
  'advise, full docket, no plan (depth 1)',
  measure(() => advise(shallow, knowledge), 60),
  'target p95 under 30 ms',
);
say(
  'advise, full docket, plan of depth 3',
  measure(() => advise(fullDocket, knowledge), 60),
  'target p95 under 150 ms',
);
const crowded = {
  ...fullDocket,
  codes: Array.from({ length: 500 }, (_, i) => ({
    code: `C00${(0x31 + (i % 12)).toString(16).toUpperCase()}-${['13', '37', '64', '1F'][i % 4]}`,
    module: 'ABS',
    text: `wheel speed sensor ${i}`,
  })),
};
const heavy: Readonly<Record<string, Docket>> = {
  'the same with 500 codes': crowded,
  'nine axles, 440 codes on all wheels': nineAxles,
  'the same with eighteen loose wheels': allLoose,
  ...Object.fromEntries(Object.entries(fullLists).map(([name, docket]) => [`nine axles, ${name}`, docket])),
};
for (const [name, docket] of Object.entries(heavy)) {
  const timing = measureBeside(
    () => advise(docket, knowledge),
    () => advise(fullDocket, knowledge),
    20,
  );
  say(`advise, ${name}`, timing, `${timing.times.toFixed(1)} x the full docket, target within 5`);
}
say('a bench vehicle lived and driven', vehicleTimes(), 'target within 2 x the full docket');
const inference = posteriorTimes();
say('posterior, full docket', inference.exact, 'target p95 under 10 ms');
process.stdout.write(
  `plain enumeration of the same ${(inference.combinations / 1e6).toFixed(1)} million combinations: ${inference.plain.toFixed(0)} ms, ${(inference.plain / inference.exact.median).toFixed(0)} x the posterior\n`,
);
const taught = learningTimes();
process.stdout.write(
  `learn anew from 50,000 closed dockets: ${(taught.relearnMs / 1000).toFixed(1)} s, ${(taught.relearnMs / loop.median).toFixed(0)} x reference (target 10 s on a free core); all numbers from the counts: ${taught.learnMs.toFixed(0)} ms; one outcome counted: ${taught.oneMs.toFixed(2)} ms (target 20)\n`,
);
const context = { ...bareIntake('2026-11-25'), steeringSide: 'left' as const, axles: 2 };
say(
  'intake, one counter line',
  measure(() => readIntake('minibus, abs light, C0A31-13 front left, new sensor 3 weeks ago', context), 200),
  'keystroke target under 50 ms',
);
const report = scanReport(sized(1_000_000, 20_000));
say(
  'intake, scan report of 1 MB',
  measure(() => readIntake(report, context), 7, 1),
  'target under 300 ms',
);
const trace = traceTimes(sized(1_000_000, 5000));
process.stdout.write(
  `wheel-speed log, 1 million samples, 4 wheels (${trace.megabytes.toFixed(0)} MB): parsing ${trace.parse.toFixed(0)} ms, reading into a log ${trace.read.toFixed(0)} ms, study ${trace.study.toFixed(0)} ms = ${(trace.study / trace.parse).toFixed(2)} x parsing (target below 1); peak memory of a process that reads and studies it: ${traceMemory().toFixed(0)} MB (target below 500)\n`,
);
const catalogue = await catalogueTimes(sized(1_000_000, 2000));
const figures = (t: { median: number; p95: number }) =>
  `median ${t.median.toFixed(2)} ms, p95 ${t.p95.toFixed(2)} ms`;
process.stdout.write(
  `catalogue of 1,000,000 application rows: imported ${catalogue.rowsPerSecond} rows/s in ${catalogue.seconds.toFixed(0)} s; lookup ${figures(catalogue.lookup)} (target p95 under 5 ms) = ${(catalogue.lookup.median / catalogue.sql.median).toFixed(2)} x hand-written SQL (${figures(catalogue.sql)}; target below 3); search as one types ${figures(catalogue.search)} (target p95 under 30 ms)\n`,
);
process.stdout.write(
  `a shop of 200,000 dockets (target of each: median under 50 ms): ${Object.entries(
    await shopOfYears(sized(200_000, 400)),
  )
    .map(([name, ms]) => `${name} ${ms.toFixed(1)} ms`)
    .join(', ')}\n`,
);
const load = await deskLoad(sized(100, 1), sized(40, 3));
process.stdout.write(
  `eight desks while 100 MB of parts (${load.rows} rows) come in (${load.ended} in ${load.took.toFixed(0)} s), p95 and ratio to the same desks alone: ${(
    ['key', 'create', 'change', 'read'] as const
  )
    .map(
      (what) =>
        `${what} ${load.busy[what].toFixed(0)} ms = ${(load.busy[what] / load.idle[what]).toFixed(2)} x`,
    )
    .join(
      ', ',
    )} (targets: 50, 250, 100 ms, or 1.5 x); longest wait ${load.longest.toFixed(0)} ms (target 500); memory ${load.idleMemory.toFixed(0)} MB, at most ${load.most.toFixed(0)} MB\n`,
);
const kept = await backupBeside(sized(300, 5));
process.stdout.write(
  `a backup of 300 MB: ${kept.alone.toFixed(1)} s alone, ${kept.beside.toFixed(1)} s beside eight desks with ${kept.changes} changes = ${(kept.beside / kept.alone).toFixed(1)} x (target 3); a change p95 ${kept.changeAlone.toFixed(0)} ms without it, ${kept.changeBeside.toFixed(0)} ms beside it\n`,
);
const beside = await trainingBeside();
process.stdout.write(
  `a change at a desk: median ${beside.alone.toFixed(0)} ms alone, ${(beside.training / beside.alone).toFixed(1)} x beside three training customers walking in, ${(beside.compared / beside.alone).toFixed(1)} x beside comparisons (no target but less than 2)\n`,
);
const compared = compareTimes();
say('six ways over 200,000 draws', compared.ours, 'target under 200 ms');
process.stdout.write(
  `the same as a straightforward loop, a draw and a way at a time: ${compared.straight.median.toFixed(0)} ms, ${(compared.straight.median / compared.ours.median).toFixed(1)} x ours\n`,
);
const bench = compareBench(fullDocket, knowledge);
say(
  'a dial turned: plan, ways and 20,000 draws',
  measure(() => bench.compare({ 'labour-rate': 80 }, false), 25),
  'target under 100 ms',
);
const bytes = firstLoadBytes();
process.stdout.write(
  bytes === null
    ? 'first load: build the pages first (npm run demo)\n'
    : `first load of the Counter: ${(bytes / 1000).toFixed(0)} kB of compressed script (target under 300 kB)\n`,
);
if (bytes !== null) {
  const keys = await keystrokes();
  say('a keystroke in the counter line, in the browser', keys.reading, 'target median under 50 ms');
  say(
    'the answer before Enter, from the last key',
    keys.answer,
    `target: advise + 50 ms = ${(keys.advise.median + 50).toFixed(0)} ms`,
  );
  say('of which advise, in the worker', keys.advise, 'the measure of the line above');
  say('a keystroke with 1,000 words in the line', keys.thousandWords, 'target median under 50 ms');
}
const live = await liveFrames();
process.stdout.write(
  `live speeds at 50 Hz, ${live.frames} frames: longest ${live.longest.toFixed(0)} ms (an empty page: ${live.idle.toFixed(0)} ms), ${live.late} over 100 ms (target none), ${live.hz.toFixed(0)} samples a second came\n`,
);

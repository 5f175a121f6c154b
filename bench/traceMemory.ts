import { spawnSync } from 'node:child_process';
import { createReadStream, createWriteStream, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { LogReader, readTrace } from '@hardy/core';
import { generateLog } from '../packages/core/src/signal/generate/generateLog.ts';
import { logToCsv } from '../packages/core/src/signal/logToCsv.ts';
import { sized } from './size.ts';

const SAMPLES = sized(1_000_000, 5000);
const RATE = 100;

/** Reads a log from a file piece by piece and studies it: what the screen and the command line do. */
const study = async (file: string): Promise<void> => {
  const reader = new LogReader();
  for await (const piece of createReadStream(file, { encoding: 'utf8', highWaterMark: 1 << 20 }))
    reader.push(piece as string);
  const { log, interval } = reader.finish();
  readTrace(log, interval);
};

/** Peak memory in MB of a process that reads and studies a log of a million samples and does nothing else. */
export const traceMemory = (): number => {
  const folder = mkdtempSync(join(tmpdir(), 'log-'));
  const run = (step: string) =>
    spawnSync(
      process.execPath,
      [
        ...process.execArgv,
        fileURLToPath(import.meta.url),
        step,
        join(folder, 'log.csv'),
        ...process.argv.slice(2),
      ],
      {
        encoding: 'utf8',
      },
    ).stdout;
  run('write');
  const peak = Number(run('study'));
  rmSync(folder, { recursive: true, force: true });
  return peak;
};

const [, , step, file] = process.argv;
if (step === 'write' && file) {
  const log = generateLog({
    seed: 5,
    drive: 'mixed',
    seconds: SAMPLES / RATE,
    rateHz: RATE,
    faults: [{ wheelEnd: 'A1R', pattern: 'once-per-turn', severity: 0.5 }],
  });
  createWriteStream(file).end(logToCsv(log));
}
if (step === 'study' && file)
  void study(file).then(() => process.stdout.write(String(process.resourceUsage().maxRSS / 1000)));

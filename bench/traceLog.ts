import { LogReader, readTrace } from '@hardy/core';
import { generateLog } from '../packages/core/src/signal/generate/generateLog.ts';
import { logToCsv } from '../packages/core/src/signal/logToCsv.ts';
import Papa from 'papaparse';

/** One million samples, four wheels: time to parse the CSV, to read it into a log, and to study it. */
export const traceTimes = (samples = 1_000_000) => {
  const rateHz = 100;
  const log = generateLog({
    seed: 5,
    drive: 'mixed',
    seconds: samples / rateHz,
    rateHz,
    faults: [{ wheelEnd: 'A1R', pattern: 'once-per-turn', severity: 0.5 }],
  });
  const csv = logToCsv(log);
  const timed = (act: () => unknown): number => {
    const began = performance.now();
    act();
    return performance.now() - began;
  };
  const parse: number[] = [];
  const read: number[] = [];
  const study: number[] = [];
  let kept: ReturnType<LogReader['finish']> | null = null;
  for (let round = 0; round < 3; round++) {
    // The parser alone, in pieces as a stream would give them, and nothing kept.
    parse.push(
      timed(() => {
        for (let at = 0; at < csv.length; at += 1 << 20)
          Papa.parse(csv.slice(at, at + (1 << 20)), { delimiter: ',' });
      }),
    );
    read.push(
      timed(() => {
        const reader = new LogReader();
        for (let at = 0; at < csv.length; at += 1 << 20) reader.push(csv.slice(at, at + (1 << 20)));
        kept = reader.finish();
      }),
    );
    const { log: whole, interval } = kept as unknown as ReturnType<LogReader['finish']>;
    study.push(timed(() => readTrace(whole, interval)));
  }
  const middle = (values: number[]) => values.sort((a, b) => a - b)[1] as number;
  return {
    megabytes: csv.length / 1e6,
    parse: middle(parse),
    read: middle(read),
    study: middle(study),
  };
};

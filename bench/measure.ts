import { sized } from './size.ts';

/** What repeated runs of one thing took, in milliseconds. */
export interface Timing {
  readonly median: number;
  readonly p95: number;
  readonly runs: number;
}

const at = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;

/** Times `act` over `runs` runs after a few that are not counted. */
export const measure = (act: () => void, wanted: number, warmRuns = Math.min(20, wanted)): Timing => {
  const [runs, warmup] = [sized(wanted, 1), sized(warmRuns, 0)];
  for (let i = 0; i < warmup; i++) act();
  const times: number[] = [];
  for (let i = 0; i < runs; i++) {
    const began = performance.now();
    act();
    times.push(performance.now() - began);
  }
  times.sort((a, b) => a - b);
  return { median: at(times, 0.5), p95: at(times, 0.95), runs };
};

/** Times two things in turn, as warm as each other, and how many times as long the first one takes. */
export const measureBeside = (
  act: () => void,
  other: () => void,
  wanted: number,
): Timing & { times: number } => {
  const runs = sized(wanted, 1);
  const timed: Timing[] = [];
  const times: [number[], number[]] = [[], []];
  const warmup = sized(Math.min(20, runs), 0);
  for (let i = 0; i < warmup + runs; i++)
    [act, other].forEach((each, which) => {
      const began = performance.now();
      each();
      if (i >= warmup) times[which]?.push(performance.now() - began);
    });
  for (const list of times) {
    list.sort((a, b) => a - b);
    timed.push({ median: at(list, 0.5), p95: at(list, 0.95), runs });
  }
  const [mine, its] = timed as [Timing, Timing];
  return { ...mine, times: mine.median / its.median };
};

/** The reference every figure is set against: a fixed loop of ten million additions and square roots. */
export const reference = (): Timing => {
  let sink = 0;
  const timing = measure(
    () => {
      for (let i = 0; i < 1e7; i++) sink += Math.sqrt(i);
    },
    15,
    3,
  );
  if (sink < 0) throw new Error('the loop was not run');
  return timing;
};

/** The median time of something that is waited for, in milliseconds. */
export const medianTime = async (act: () => Promise<unknown>, wanted: number): Promise<number> => {
  const runs = sized(wanted, 1);
  await act();
  const times: number[] = [];
  for (let i = 0; i < runs; i++) {
    const began = performance.now();
    await act();
    times.push(performance.now() - began);
  }
  times.sort((a, b) => a - b);
  return at(times, 0.5);
};

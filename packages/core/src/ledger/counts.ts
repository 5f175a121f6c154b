import type { Assumptions } from '../assumptions/assumptions.ts';
import { FAULTS, causeOf, type Fault } from '../faultKinds/faultData.ts';
import type { LedgerEntry } from '../vocabulary/ledgerEntry.ts';
import { curedBy } from './knownTruth.ts';

/**
 * One thing that was counted. `n` is what was seen, `e` what it is seen among: the expected count of a cause by judgement,
 * trials of a cure, pieces sold. `x` is a third sum where a kind needs one. All of them add.
 */
export interface Count {
  readonly key: string;
  readonly n: number;
  readonly e: number;
  readonly x: number;
  /** Jobs behind it. */
  readonly jobs: number;
}

const SEP = '|';
export const keyOf = (...parts: ReadonlyArray<string | number>): string => parts.join(SEP);
export const partsOfKey = (key: string): string[] => key.split(SEP);

/** Ages in the bore that are counted together, in years. */
const AGE_BINS = [5, 10, 15] as const;
const ageBin = (years: number): number => AGE_BINS.filter((edge) => years >= edge).length;

/** Faults of a cause: what is told as one word is learned as one. */
export const faultsOf = (cause: string): Fault[] => FAULTS.filter((fault) => causeOf(fault) === cause);

/** Cells that a cause at a place counts in: everyone, how it is built, its line and axle. */
export const cellsOf = (
  entry: Pick<LedgerEntry, 'builds' | 'line'>,
  cause: string,
  place: string,
): string[] => {
  if (place !== 'front' && place !== 'rear') return [keyOf('cause', cause)];
  const build = entry.builds[place];
  return [
    keyOf('cause', cause),
    ...(build ? [keyOf('build', build, cause)] : []),
    ...(entry.line ? [keyOf('line', entry.line, place, build ?? 'unknown', cause)] : []),
  ];
};
/** What a job counts towards what fails how often. */
export const causeWeight = (entry: LedgerEntry, a: Assumptions): number =>
  entry.weight * (entry.told ? 1 : a.get('learning.untold'));

/** What an entry adds to the counts of causes alone. */
const causeCounts = (entry: LedgerEntry, a: Assumptions): Count[] => {
  const weight = causeWeight(entry, a);
  const sums = new Map<string, { n: number; e: number; x: number }>();
  const add = (key: string, n: number, e: number, x: number) => {
    const sum = sums.get(key) ?? { n: 0, e: 0, x: 0 };
    sums.set(key, { n: sum.n + n, e: sum.e + e, x: sum.x + x });
  };
  for (const { cause, place, p } of entry.expected)
    for (const key of cellsOf(entry, cause, place)) add(key, 0, p * weight, 0);
  for (const { cause, place, p } of entry.truth)
    for (const key of cellsOf(entry, cause, place)) add(key, p * weight, 0, p * p * weight);
  return [...sums].map(([key, sum]) => ({ key, ...sum, jobs: weight }));
};

/** How much of the truth is a fault, of the faults one word stands for. */
const faultShares = (entry: LedgerEntry, a: Assumptions): Array<readonly [fault: Fault, p: number]> => {
  const by = new Map<Fault, number>();
  for (const { cause, p } of entry.truth) {
    const faults = faultsOf(cause);
    const total = faults.reduce((sum, fault) => sum + a.find(`prior.${fault}`, 0), 0);
    for (const fault of faults)
      by.set(
        fault,
        (by.get(fault) ?? 0) + (total > 0 ? (p * a.find(`prior.${fault}`, 0)) / total : p / faults.length),
      );
  }
  return [...by];
};

/** Ways of knowing a cause that do not lean on the cure. */
const SURELY: ReadonlySet<string> = new Set(['seen', 'metered', 'swapped']);

const cureCounts = (entry: LedgerEntry, a: Assumptions): Count[] => {
  const [part] = entry.parts;
  // Of several parts fitted in one go nobody knows which one it was.
  // What is only known by the cure would teach that everything cures.
  if (!part || entry.parts.length > 1 || curedBy(entry) === null || !entry.told || !SURELY.has(entry.told))
    return [];
  return faultShares(entry, a).flatMap(([fault, p]) =>
    a.find(`cures.${part}.${fault}`, 0) >= a.get('learning.cures-from')
      ? [
          {
            key: keyOf('cure', part, fault),
            n: entry.result === 'cured' ? p : 0,
            e: p,
            x: p * p,
            jobs: 1,
          },
        ]
      : [],
  );
};

/** What a check shows is learned where the cause was told: what is only believed was believed because of the check. */
const checkCounts = (entry: LedgerEntry, a: Assumptions): Count[] =>
  (entry.told && SURELY.has(entry.told) ? entry.checks : []).flatMap(({ table, result }) =>
    faultShares(entry, a).flatMap(([fault, p]) =>
      a.find(`check.${table}.${fault}.${result}`, 0) > 0 && p > 0.01
        ? [{ key: keyOf('check', table, fault, result), n: p * entry.weight, e: 0, x: 0, jobs: entry.weight }]
        : [],
    ),
  );

/** Counts are whole multiples of this: sums of them are exact in any order, and what is taken away is gone without a trace. */
const GRAIN = 2 ** -20;
const exact = ({ key, n, e, x, jobs }: Count): Count => {
  const whole = (value: number) => Math.round(value / GRAIN) * GRAIN;
  return { key, n: whole(n), e: whole(e), x: whole(x), jobs: whole(jobs) };
};

/** What an entry adds to the counts; taken away again it leaves them as they were. */
export const countsOf = (entry: LedgerEntry, a: Assumptions): Count[] => {
  const { seizure, tier, partNumber, batch, sold, badFromBox, hours, said, parts } = entry;
  const [part] = parts;
  const counts: Count[] = [
    ...causeCounts(entry, a),
    ...cureCounts(entry, a),
    ...checkCounts(entry, a),
    ...(partNumber && sold > 0
      ? [
          {
            key: keyOf('box', tier ?? 'unknown', partNumber),
            n: badFromBox,
            e: Math.max(sold, badFromBox),
            x: 0,
            jobs: 1,
          },
        ]
      : []),
    ...(partNumber && batch && badFromBox > 0
      ? [{ key: keyOf('batch', partNumber, batch.replaceAll(SEP, ' ')), n: badFromBox, e: 0, x: 0, jobs: 1 }]
      : []),
    ...(seizure
      ? [
          {
            key: keyOf(
              'seize',
              seizure.knuckle ?? 'unknown',
              seizure.salt ?? 'unknown',
              ageBin(seizure.years),
            ),
            n: seizure.snapped ? 1 : 0,
            e: seizure.judged,
            x: (seizure.years - a.get('age.typical')) / 10,
            jobs: 1,
          },
        ]
      : []),
    ...(part && hours && said?.hours
      ? [
          {
            key: keyOf('pace', part),
            n: Math.log(hours / said.hours),
            e: 1,
            x: Math.log(hours / said.hours) ** 2,
            jobs: 1,
          },
        ]
      : []),
  ];
  return counts.map(exact);
};

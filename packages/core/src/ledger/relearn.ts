import type { Assumptions } from '../assumptions/assumptions.ts';
import type { CauseShare, LedgerEntry } from '../vocabulary/ledgerEntry.ts';
import { causeCounts, faultsOf } from './counts.ts';
import { learnCauses, type LearnedNumber } from './learn.ts';
import { toOne } from './places.ts';
import { tallyOf, type MonthCount } from './tally.ts';

/** Rounds of expectation and maximisation at most, and the change of a share below which it has come to rest. */
const MOST_ROUNDS = 15;
const AT_REST = 0.01;

/** By how much what is learned moves a cause at a place of a line, against judgement. */
const movesOf = (numbers: readonly LearnedNumber[]) => {
  const by = new Map(
    numbers.map(({ key, line, learned, prior }) => [`${line ?? ''} ${key}`, learned / prior]),
  );
  return ({ cause, place }: CauseShare, { line, builds }: LedgerEntry): number => {
    const build = place === 'front' || place === 'rear' ? builds[place] : null;
    const [fault = cause] = faultsOf(cause);
    return (
      (by.get(` prior.${fault}`) ?? 1) *
      (build ? (by.get(` build.${build}.${fault}`) ?? 1) : 1) *
      (line ? (by.get(`${line} line.${place}.${fault}`) ?? 1) : 1)
    );
  };
};

/**
 * Learns anew from the first job on: what each job was most likely, under what all jobs together teach, until nothing moves
 * (expectation-maximisation; Dempster, Laird, Rubin 1977). What was told of a job weighs as before; only what was believed
 * by judgement is believed by what was learned.
 *
 * @param month the month it is, YYYY-MM
 * @returns the entries with their shares of the truth as they are believed now
 */
export const relearn = (
  entries: readonly LedgerEntry[],
  judged: Assumptions,
  month: string,
): LedgerEntry[] => {
  const half = judged.get('learning.half-life');
  const numbersFrom = (all: readonly LedgerEntry[]): LearnedNumber[] => {
    const counts: MonthCount[] = all.flatMap((entry) =>
      causeCounts(entry, judged).map((count) => ({ ...count, month: entry.closedOn.slice(0, 7) })),
    );
    return learnCauses(tallyOf(counts, month, half), judged);
  };
  let believed = [...entries];
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const moved = movesOf(numbersFrom(believed));
    let most = 0;
    believed = entries.map((entry, i) => {
      const truth = toOne(
        entry.truth.map((share) => ({
          ...share,
          p: (share.p * moved(share, entry)) / (share.moved ?? 1),
        })),
      );
      truth.forEach(({ p }, k) => {
        most = Math.max(most, Math.abs(p - (believed[i]?.truth[k]?.p ?? 0)));
      });
      return { ...entry, truth };
    });
    if (most < AT_REST) break;
  }
  return believed;
};

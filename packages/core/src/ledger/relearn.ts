import type { Assumptions } from '../assumptions/assumptions.ts';
import type { LedgerEntry } from '../vocabulary/ledgerEntry.ts';
import { causeWeight, cellsOf, type Count } from './counts.ts';
import { learnCauses } from './learn.ts';
import { movedByLearning, numberOfCell } from './moves.ts';
import { weightOf } from './tally.ts';

/** Rounds of expectation and maximisation at most, and the change of a share below which it has come to rest. */
const MOST_ROUNDS = 15;
const AT_REST = 0.01;
/** A share that moved by less is the same. */
const SAME = 0.005;

/** A share of an entry with the cells it counts in, as numbers: the rounds run over fifty thousand of them. */
interface Cell {
  readonly key: string;
  n: number;
  e: number;
  x: number;
  readonly number: ReturnType<typeof numberOfCell>;
  /** By how much what is learned moves it against judgement. */
  moved: number;
}

/**
 * Learns anew from the first job on: what each job was most likely, under what all jobs together teach, until nothing moves
 * (expectation-maximisation; Dempster, Laird, Rubin 1977). What was told of a job weighs as before; only what was believed
 * by judgement is believed by what was learned.
 *
 * @param month the month it is, YYYY-MM
 * @returns the entries with their shares of the truth as they are believed now; the very same where nothing moved
 */
export const relearn = (
  entries: readonly LedgerEntry[],
  judged: Assumptions,
  month: string,
): LedgerEntry[] => {
  const half = judged.get('learning.half-life');
  const cells: Cell[] = [];
  const numbers = new Map<string, number>();
  const idOf = (key: string): number => {
    const known = numbers.get(key);
    if (known !== undefined) return known;
    numbers.set(key, cells.length);
    cells.push({ key, number: numberOfCell(key), n: 0, e: 0, x: 0, moved: 1 });
    return cells.length - 1;
  };
  const jobs = entries.map((entry) => {
    const weight = causeWeight(entry, judged) * weightOf(entry.closedOn.slice(0, 7), month, half);
    for (const { cause, place, p } of entry.expected)
      for (const key of cellsOf(entry, cause, place)) {
        const cell = cells[idOf(key)];
        if (cell) cell.e += p * weight;
      }
    return {
      weight,
      ids: entry.truth.map(({ cause, place }) => cellsOf(entry, cause, place).map(idOf)),
      base: entry.truth.map(({ p, moved }) => p / (moved ?? 1)),
      now: entry.truth.map(({ p }) => p),
    };
  });
  for (let round = 0; round < MOST_ROUNDS; round++) {
    for (const cell of cells) {
      cell.n = 0;
      cell.x = 0;
    }
    for (const { weight, ids, now } of jobs)
      ids.forEach((own, k) => {
        const p = now[k] ?? 0;
        for (const id of own) {
          const cell = cells[id];
          if (!cell) continue;
          cell.n += p * weight;
          cell.x += p * p * weight;
        }
      });
    const tally = new Map<string, Omit<Count, 'key'>>(
      cells.map(({ key, n, e, x }) => [key, { n, e, x, jobs: e }]),
    );
    const moved = movedByLearning(learnCauses(tally, judged));
    for (const cell of cells) cell.moved = moved(cell.number);
    let most = 0;
    for (const { ids, base, now } of jobs) {
      let total = 0;
      const next = base.map((p, k) => {
        let share = p;
        for (const id of ids[k] ?? []) share *= cells[id]?.moved ?? 1;
        total += share;
        return share;
      });
      next.forEach((p, k) => {
        const share = total > 0 ? p / total : 0;
        most = Math.max(most, Math.abs(share - (now[k] ?? 0)));
        now[k] = share;
      });
    }
    if (most < AT_REST) break;
  }
  return entries.map((entry, i) => {
    const job = jobs[i];
    // What was told of a job moves by next to nothing: it stays as it was written.
    if (!job || entry.truth.every(({ p }, k) => Math.abs(p - (job.now[k] ?? p)) < SAME)) return entry;
    return {
      ...entry,
      truth: entry.truth.map((share, k) => ({
        ...share,
        p: job.now[k] ?? share.p,
        // What it was moved by in the end: a later run starts from judgement again.
        moved: (job.ids[k] ?? []).reduce((product, id) => product * (cells[id]?.moved ?? 1), 1),
      })),
    };
  });
};

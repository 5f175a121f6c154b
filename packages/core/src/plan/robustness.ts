import type { Assumptions } from '../assumptions/assumptions.ts';
import { randomFrom, type Random } from '../chance/random.ts';
import type { CornerProblem } from './buildProblem.ts';
import type { Choice, Solver } from './solve.ts';

/** A normal deviate by Box and Muller. */
const normal = (random: Random): number =>
  Math.sqrt(-2 * Math.log(1 - random.next())) * Math.cos(2 * Math.PI * random.next());

/** Draws of the dice for a seed, kept: every docket is tried by the same wrong tables. */
const decks = new Map<number, number[]>();
const deck = (seed: number, size: number): readonly number[] => {
  const known = decks.get(seed);
  if (known && known.length >= size) return known;
  const random = randomFrom(seed);
  const dice = Array.from({ length: Math.max(size, 512) }, () => normal(random));
  decks.set(seed, dice);
  return dice;
};

/**
 * In what share of wrong tables the first step of the plan is still worth more than the best fix without it. Neither is
 * planned anew: both are carried out as the tables in force planned them, while every chance of a fault and of a check's
 * result is off by a log-normal factor, steadily for each fault. Fixed seeds, so that an answer does not flicker.
 */
export const shareThatHolds = (
  corner: CornerProblem,
  solve: Solver,
  step: Choice,
  instead: Choice,
  depth: number,
  a: Assumptions,
): number => {
  const tables = a.get('plan.robust.tables');
  const spread = Math.log(a.get('plan.robust.factor'));
  const { checks, belief } = corner.problem;
  const kinds = [...new Set(corner.states.map((b) => b.state[0] ?? b.shared[0] ?? 'nothing'))].sort();
  const kindOf = corner.states.map((b) => kinds.indexOf(b.state[0] ?? b.shared[0] ?? 'nothing'));
  let holds = 0;
  for (let seed = 1; seed <= tables; seed++) {
    const offsets: number[] = [];
    let size = kinds.length;
    for (const check of checks) {
      offsets.push(size);
      size += check.results.length * kinds.length;
    }
    const dice = deck(seed, size);
    const factor = (i: number) => Math.exp(spread * (dice[i] as number));
    const wrong = belief.map((p, s) => p * factor(kindOf[s] as number));
    const total = wrong.reduce((sum, p) => sum + p, 0);
    const told = new Map<number, number[][]>();
    const chances = (check: number, result: number): readonly number[] => {
      let rows = told.get(check);
      if (!rows) {
        const raw = (checks[check]?.results ?? []).map(({ chance }, r) =>
          chance.map(
            (p, s) => p * factor((offsets[check] as number) + r * kinds.length + (kindOf[s] as number)),
          ),
        );
        const sums = belief.map((_, s) => raw.reduce((sum, row) => sum + (row[s] ?? 0), 0));
        rows = raw.map((row) => row.map((p, s) => p / (sums[s] || 1)));
        told.set(check, rows);
      }
      return rows[result] ?? [];
    };
    const mean = (choice: Choice): number =>
      solve
        .costs(solve.start, choice, depth, chances)
        .reduce((sum, cost, s) => sum + cost * ((wrong[s] ?? 0) / total), 0);
    if (mean(step) < mean(instead)) holds++;
  }
  return tables > 0 ? holds / tables : 1;
};

import type { Assumptions } from '../assumptions/assumptions.ts';
import { NORMAL_RESULT } from '../checks/readCheck.ts';
import { checkChance, resultsOf } from '../diagnosis/checkTable.ts';
import { onceEach, type Finding } from '../diagnosis/finding.ts';
import { mechanismOf } from '../diagnosis/mechanism.ts';
import { likelihood } from '../diagnosis/likelihood.ts';
import type { Architecture } from '../diagnosis/architecture.ts';
import type { Belief, EndPosterior } from '../diagnosis/posterior.ts';
import { cureChance, partsAt, WORKS, type Work } from '../offers/fixes.ts';
import type { Outlay } from '../offers/outlay.ts';
import { ratesFor, workHours, type Rates } from '../offers/rates.ts';
import type { Docket, School } from '../vocabulary/docket.ts';
import type { Cause, PartClass } from '../vocabulary/words.ts';
import { availableChecks, type AvailableCheck } from './availableChecks.ts';
import type { Problem, SolveCheck, SolveFix } from './solve.ts';

export type Fix =
  { kind: 'part'; part: PartClass; outlay: Outlay } | { kind: 'work'; work: Work; cost: number };

/** The decision at one wheel end as the solver takes it, with what its numbers stand for. */
export interface CornerProblem {
  readonly problem: Problem;
  readonly fixes: readonly Fix[];
  readonly checks: readonly AvailableCheck[];
  readonly states: readonly Belief[];
}

const keyOf = (b: Pick<Belief, 'architecture' | 'state' | 'shared'>): string =>
  `${JSON.stringify(b.architecture)}|${[...b.state].sort().join('+')}|${b.shared.join('+')}`;

/** Chance that doing `fix` takes `cause` away, in a vehicle built so. */
const takesAway = (
  fix: Fix,
  cause: Cause,
  end: string,
  architecture: Architecture,
  a: Assumptions,
): number => {
  if (fix.kind === 'part')
    return partsAt(end, architecture).includes(fix.part) ? cureChance(fix.part, cause, architecture, a) : 0;
  if (cause === 'none-present') return a.get('cures.no-part.none-present');
  return cause === fix.work ? a.get(`cures.no-part.${cause}`) : 0;
};

const worksCost = (work: Work, rates: Rates, a: Assumptions): number =>
  workHours(work, rates, a) * rates.labour + a.get(`work.extra.${work}`);

/** Every outcome of trying to take each cause away, as what remains with its chance. */
const remains = (
  causes: readonly Cause[],
  chance: (cause: Cause) => number,
): Array<{ left: Cause[]; p: number }> =>
  causes.reduce<Array<{ left: Cause[]; p: number }>>(
    (sofar, cause) => {
      const cured = chance(cause);
      return sofar.flatMap(({ left, p }) => [
        ...(cured > 0 ? [{ left, p: p * cured }] : []),
        ...(cured < 1 ? [{ left: [...left, cause], p: p * (1 - cured) }] : []),
      ]);
    },
    [{ left: [], p: 1 }],
  );

/**
 * A check as the solver takes it. A result that only repeats what is known (a dead signal after a code of an open
 * circuit) tells little: its chances are raised to the same small power the posterior will give it, and each state's
 * results brought to a sum of one again.
 */
const checkOf = (
  entry: AvailableCheck,
  states: readonly Belief[],
  costFactor: number,
  known: ReadonlySet<string>,
  a: Assumptions,
): SolveCheck => {
  const normal = NORMAL_RESULT[entry.table];
  const results = resultsOf(entry.table);
  const chance = (result: string) => {
    const finding: Finding = {
      path: '',
      label: '',
      wheelEnd: null,
      mechanism: entry.table,
      kind: 'check',
      seen: onceEach((cause) => checkChance(entry.table, result, cause, a)),
      normal: onceEach((cause) => checkChance(entry.table, normal ?? result, cause, a)),
      isNormal: result === normal,
    };
    const power = known.has(mechanismOf(entry.check, result)) ? a.get('correlation.repeat') : 1;
    return states.map((b) => likelihood(finding, [...b.state, ...b.shared], b.architecture) ** power);
  };
  const chances = results.map(chance);
  const totals = states.map((_, s) => chances.reduce((sum, row) => sum + (row[s] ?? 0), 0));
  return {
    id: entry.check,
    cost: (a.get(`check.minutes.${entry.check}`) / 60) * a.get('labour.rate') * costFactor,
    results: results.map((id, r) => ({
      id,
      chance: (chances[r] ?? []).map((p, s) => p / (totals[s] ?? 1)),
    })),
  };
};

/**
 * The decision at one wheel end: what may be wrong (rare states left out), the checks that can be made, the parts and
 * the work that may cure it. Something wrong at another wheel end is a state no fix here takes away.
 */
export const buildProblem = (
  docket: Docket,
  end: EndPosterior,
  outlays: readonly Outlay[],
  school: School,
  findings: readonly Finding[],
  a: Assumptions,
): CornerProblem => {
  const rates = ratesFor(docket, a);
  const least = a.get('plan.ignore-below');
  const states: Belief[] = [];
  const index = new Map<string, number>();
  const indexOf = (b: Belief): number => {
    const key = keyOf(b);
    const known = index.get(key);
    if (known !== undefined) return known;
    index.set(key, states.length);
    states.push({ ...b, p: 0 });
    return states.length - 1;
  };
  const kept = end.beliefs.filter((b) => b.p >= least);
  const total = kept.reduce((sum, b) => sum + b.p, 0);
  for (const b of kept) {
    const i = indexOf(b);
    states[i] = { ...b, p: (states[i]?.p ?? 0) + b.p / total };
  }

  const fixes: Fix[] = [
    ...outlays.map((outlay): Fix => ({ kind: 'part', part: outlay.part, outlay })),
    ...WORKS.map((work): Fix => ({ kind: 'work', work, cost: worksCost(work, rates, a) })),
  ];
  const moves: SolveFix['moves'][] = fixes.map(() => []);
  for (let s = 0; s < states.length; s++) {
    const b = states[s] as Belief;
    fixes.forEach((fix, f) => {
      const outcomes = remains([...b.state, ...b.shared], (cause) =>
        takesAway(fix, cause, end.wheelEnd, b.architecture, a),
      );
      const elsewhere = b.state.length + b.shared.length === 0;
      (moves[f] as Array<Array<{ to: number; chance: number }>>)[s] = outcomes.map(({ left, p }) => ({
        chance: p,
        to: elsewhere
          ? s
          : left.length === 0
            ? -1
            : indexOf({
                architecture: b.architecture,
                state: b.state.filter((c) => left.includes(c)),
                shared: b.shared.filter((c) => left.includes(c)),
                p: 0,
              }),
      }));
    });
  }
  const known = new Set(
    findings.filter(({ wheelEnd }) => wheelEnd === end.wheelEnd).map(({ mechanism }) => mechanism),
  );
  const checks = availableChecks(docket, end.wheelEnd, end.beliefs, a);
  return {
    fixes,
    checks,
    states,
    problem: {
      belief: states.map((b) => b.p),
      fixes: fixes.map((fix, f) => ({
        id: fix.kind === 'part' ? fix.part : `work:${fix.work}`,
        outlay: fix.kind === 'part' ? fix.outlay.mean : fix.cost,
        moves: moves[f] ?? [],
      })),
      checks: checks.map((entry) => checkOf(entry, states, a.get(`school.${school}.check`), known, a)),
      refer: a.get('refer.cost'),
      comeback: a.get('comeback.cost') * a.get(`school.${school}.comeback`) + rates.fee,
      firstCheck: a.get(`school.${school}.check-trip`),
    },
  };
};

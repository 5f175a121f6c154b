import { judge, type Judged } from '../advice/judge.ts';
import type { Knowledge } from '../advice/knowledge.ts';
import { planAt, type PlannedEnd } from '../advice/planAt.ts';
import { rockFirst, brakesFirst, unsafeWheel, whichWheel } from '../advice/verdict/dangerRules.ts';
import { SOUND_RESULT } from '../checkKinds/checkData.ts';
import { ratesFor } from '../offers/rates.ts';
import { knownBuild } from '../plan/askWorth.ts';
import { solver, type Problem } from '../plan/solve.ts';
import type { CheckName } from '../vocabulary/check.ts';
import type { Docket } from '../vocabulary/docket.ts';
import { minutesOf } from './jobSteps.ts';
import type { Deed } from './benchCard.ts';

/** What one may do now, and what the job is expected to cost then, with the best that is known after it. */
export interface Option {
  readonly deed: Deed | { readonly kind: 'read' };
  /** Expected cost of the whole rest of the job, money. */
  readonly cost: number;
}

/** How options are asked for. */
export interface Asked {
  /** Steps ahead, 1 to 4. */
  readonly depth: number;
  /** Whether codes can be read that nobody has read. */
  readonly canRead: boolean;
  /** How often a deed was done already on this job: work leaves no trace on the docket. */
  readonly timesDone: (deed: Deed) => number;
}

/** Everything one may do as a job stands, by what is known at that moment. */
export interface Options {
  readonly options: readonly Option[];
  /** The least of their costs: what the rest of the job is worth. */
  readonly value: number;
  /** What is done first whatever it costs: a wheel may be loose, brakes may be poor. Null: money decides. */
  readonly first: Deed | null;
  readonly judged: Judged;
}

/** An option with what it costs at most: itself, and how likely the job is where it was after it. */
interface Reckoned extends Option {
  readonly never: { readonly now: number; readonly then: number; readonly comeback: number } | null;
}

/** Wheel ends that may well be it, and how many of them are looked at. */
const MOST_ENDS = 4;
/** Rules of the verdict that go before money. */
const SAFETY: ReadonlySet<string> = new Set(
  [brakesFirst, whichWheel, unsafeWheel, rockFirst].map(({ name }) => name),
);

const given = (problem: Problem, keep: (state: number) => boolean): Problem | null => {
  const left = problem.belief.map((p, s) => (keep(s) ? p : 0));
  const total = left.reduce((sum, p) => sum + p, 0);
  return total > 0 ? { ...problem, belief: left.map((p) => p / total) } : null;
};

/** The chance that something is wrong at this wheel end, and what knowing that saves against handing the job on. */
const onceKnown = ({ plan, end }: PlannedEnd, depth: number): { odd: number; saves: number } => {
  const { corner } = plan;
  const known = given(corner.problem, (s) => (corner.states[s]?.state.length ?? 0) > 0);
  if (!known) return { odd: 0, saves: 0 };
  const solve = solver(known);
  const saves = solve.cost(solve.start, { kind: 'refer' }, depth) - solve.best(solve.start, depth).value;
  return { odd: Math.min(1, end.odd), saves };
};

/** The chance that a look at every wheel shows something at this one, if something is wrong here. */
const shows = ({ plan }: PlannedEnd, check: CheckName): number => {
  const { corner } = plan;
  const at = corner.checks.findIndex((each) => each.check === check);
  const entry = corner.checks[at];
  if (!entry) return 0;
  const sound = corner.problem.checks[at]?.results.find(({ id }) => id === SOUND_RESULT[entry.table]);
  const wrong = given(corner.problem, (s) => (corner.states[s]?.state.length ?? 0) > 0);
  if (!wrong || !sound) return 0;
  return 1 - wrong.belief.reduce((sum, p, s) => sum + p * (sound.chance[s] ?? 0), 0);
};

/**
 * What every next step is worth as a job stands: each fix and check at each wheel end that may be it, handing the job on,
 * and, while the wheel is not known, looking for it (the live speeds, codes nobody has read).
 *
 * A step at a wheel end costs what the solver of that wheel end says, failing and what comes after included; something
 * wrong elsewhere is a state that no fix here takes away. Wheel ends are compared by what each step saves against handing the
 * job on, which is the same job whatever wheel one thinks of. A look for the wheel finds it or does not: it costs its
 * minutes, and then what the job costs with the wheel known, or what it costs now.
 */
export const optionsAt = (
  docket: Docket,
  knowledge: Knowledge,
  { depth, canRead, timesDone }: Asked,
): Options => {
  const judged = judge(docket, knowledge);
  const { d, verdict, rule, main } = judged;
  const school = docket.options?.school ?? knowledge.school;
  const likely = [...d.whole.ends].sort((x, y) => y.odd - x.odd).slice(0, MOST_ENDS);
  const planned = likely.map((end) => planAt(d, end, d.docket, school, knowledge, d.a, { steps: depth }));
  const rates = ratesFor(d.docket, d.a);
  const perMinute = (rates.labour * rates.slower) / 60;
  const options: Reckoned[] = [];
  const handedOn = ({ plan: { corner, solve } }: PlannedEnd): number =>
    solve.cost(solve.start, { kind: 'refer' }, depth) + corner.bearing.chance * corner.bearing.cost;
  const base = planned[0] ? handedOn(planned[0]) : 0;
  for (const each of planned) {
    const { plan, end } = each;
    const at = end.wheelEnd;
    const { corner, solve } = plan;
    const shift = corner.bearing.chance * corner.bearing.cost + base - handedOn(each);
    for (const { fix, cost, cures, index } of plan.outcomes) {
      const deed: Deed =
        fix.kind === 'part'
          ? { kind: 'parts', parts: [fix.part, ...fix.with], at }
          : { kind: 'work', work: fix.work, at };
      // What was done in vain is spent: work at once, a part once it was exchanged too.
      if (timesDone(deed) >= (fix.kind === 'part' ? d.a.get('practice.same-part') : 1)) continue;
      options.push({
        // At a wheel that is hardly it failing tells little: then the job is where it was, and a comeback dearer.
        never:
          end.odd < d.a.get('practice.hardly-it')
            ? {
                now: corner.problem.fixes[index]?.outlay ?? 0,
                then: 1 - cures,
                comeback: corner.problem.comeback,
              }
            : null,
        deed,
        // An outcome has the old bearing in it already.
        cost: cost + base - handedOn(each),
      });
    }
    corner.checks.forEach(({ check }, c) => {
      // After what it needs: a plug is looked into before it is metered.
      if ((corner.problem.checks[c]?.needs ?? 0) !== 0) return;
      options.push({
        never: { now: solve.price(solve.start, c), then: 1, comeback: 0 },
        deed: { kind: 'check', check, at },
        cost: solve.cost(solve.start, { kind: 'check', check: c }, Math.max(2, depth)) + shift,
      });
    });
  }
  options.push({ deed: { kind: 'refer' }, cost: base, never: null });
  const least = () => options.reduce((min, { cost }) => Math.min(min, cost), Infinity);
  const without = least();
  // Looking for the wheel, while it is not known.
  const ends = planned.map((each) => ({ each, ...onceKnown(each, depth) }));
  const located = (chance: (each: PlannedEnd) => number): number => {
    let missed = 1;
    let sum = 0;
    const all = ends.reduce((total, { odd }) => total + odd, 0);
    if (all === 0) return without;
    for (const { each, odd, saves } of ends) {
      const p =
        (odd / all) * Math.max(d.a.get('practice.comes-for-something'), Math.min(1, all)) * chance(each);
      sum += p * Math.min(base - saves, without);
      missed -= p;
    }
    return sum + Math.max(0, missed) * without;
  };
  const done = new Set((docket.checks ?? []).map(({ check }) => check));
  const reads = docket.reader !== 'none' && docket.reader !== 'engine';
  if (reads && !done.has('live'))
    options.push({
      never: null,
      deed: { kind: 'check', check: 'live', at: null },
      cost:
        minutesOf('live', d.ends.all, new Set(), d.a) * perMinute + located((each) => shows(each, 'live')),
    });
  if (canRead)
    options.push({
      never: null,
      deed: { kind: 'read' },
      cost:
        (d.a.get('check.setup.reader') + d.a.get('read.minutes')) * perMinute +
        located(() => d.a.get('read.tells')),
    });
  // How it is built, where that decides what to sell.
  if (main)
    options.push({
      never: null,
      deed: { kind: 'ask', at: main.end.wheelEnd },
      cost: without + d.a.get('ask.minutes') * perMinute - knownBuild(main.plan).saves,
    });
  const safest: Deed | null = !SAFETY.has(rule)
    ? null
    : verdict.action === 'check' && verdict.check
      ? { kind: 'check', check: verdict.check, at: verdict.wheelEnd }
      : verdict.part && verdict.wheelEnd
        ? { kind: 'parts', parts: [verdict.part, ...verdict.with], at: verdict.wheelEnd }
        : null;
  // A docket keeps that a wheel was felt loose; once its hub was fitted on this job that was of the old bearing, and once
  // it was rocked again and stood firm nobody need ask what was done in between.
  const isOver =
    safest?.kind === 'parts'
      ? timesDone(safest) > 0
      : d.dangers.wheels.some(({ wheelEnd, soundSince }) => wheelEnd === safest?.at && soundSince);
  const first = isOver ? null : safest;
  // Whatever was looked at in vain, the best step is still open: no look costs more than itself and that.
  const value = least();
  return {
    options: options.map(({ deed, cost, never }) => ({
      deed,
      cost: never ? Math.min(cost, never.now + never.then * (never.comeback + value)) : cost,
    })),
    value,
    first,
    judged,
  };
};

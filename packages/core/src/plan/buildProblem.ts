import type { Assumptions } from '../assumptions/assumptions.ts';
import { NORMAL_RESULT } from '../checks/readCheck.ts';
import type { Architecture } from '../diagnosis/architecture.ts';
import { checkChance, jointChance, resultsOf } from '../diagnosis/checkTable.ts';
import { onceEach, type Finding } from '../diagnosis/finding.ts';
import { likelihood, soundChance } from '../diagnosis/likelihood.ts';
import { mechanismOf } from '../diagnosis/mechanism.ts';
import type { Belief, EndPosterior } from '../diagnosis/posterior.ts';
import { cureChance, PAIRS, partsAt, WITH_WORK, workCures, WORKS, type Work } from '../offers/fixes.ts';
import type { Outlay, Risk } from '../offers/outlay.ts';
import { soundFromStart } from '../offers/partLife.ts';
import { ratesFor, workHours, type Rates } from '../offers/rates.ts';
import { jobCost, together, withWork, type JobOutlay } from '../offers/together.ts';
import type { Docket, School } from '../vocabulary/docket.ts';
import type { Fault } from '../vocabulary/faults.ts';
import type { PartClass } from '../vocabulary/words.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { availableChecks, SETUPS, setupsStanding, type AvailableCheck } from './availableChecks.ts';
import type { Problem, SolveCheck, SolveFix } from './solve.ts';

/** Parts fitted in one job, the main one first. */
export interface PartFix {
  readonly kind: 'part';
  readonly part: PartClass;
  readonly with: readonly PartClass[];
  /** Work without a part done in the same visit. */
  readonly work: Work | null;
  readonly outlays: readonly Outlay[];
  readonly job: JobOutlay;
  /** Expected cost of doing it; a hub has the bearing it spares taken off. */
  readonly mean: number;
}
/** Whether a fix is one part and nothing else. */
export const isAlone = (fix: Fix): fix is PartFix =>
  fix.kind === 'part' && fix.with.length === 0 && fix.work === null;
export type Fix = PartFix | { kind: 'work'; work: Work; cost: number };

/** The decision at one wheel end as the solver takes it, with what its numbers stand for. */
export interface CornerProblem {
  readonly problem: Problem;
  readonly fixes: readonly Fix[];
  readonly checks: readonly AvailableCheck[];
  readonly states: readonly Belief[];
  /**
   * What the old bearing is expected to cost within the horizon where it stays. The solver books it to the credit of a
   * hub; every figure that is shown has it added, so that plan, offers and comparison speak of the same money.
   */
  readonly bearing: Risk;
}

const keyOf = (b: Pick<Belief, 'architecture' | 'state' | 'shared'>): string =>
  `${JSON.stringify(b.architecture)}|${[...b.state].sort().join('+')}|${b.shared.join('+')}`;

/** Chance that doing `fix` takes `fault` away, in a vehicle built so; a part bad from the box takes nothing away. */
const takesAway = (
  fix: Fix,
  fault: Fault,
  end: WheelEnd,
  architecture: Architecture,
  a: Assumptions,
): number => {
  if (fix.kind === 'work') return workCures(fix.work, fault, a);
  const exist = partsAt(end, architecture);
  const left = fix.outlays.reduce(
    (stays, { part, chosen }) =>
      exist.includes(part)
        ? stays *
          (1 -
            Math.min(1, cureChance(part, fault, architecture, a) * soundFromStart(chosen?.tier ?? null, a)))
        : stays,
    fix.work ? 1 - workCures(fix.work, fault, a) : 1,
  );
  return 1 - left;
};

const worksCost = (work: Work, docket: Docket, rates: Rates, a: Assumptions): number => {
  // Cleared already, and it stayed away: nothing is left to do.
  const cleared =
    work === 'none-present' &&
    (docket.checks ?? []).some((check) => check.check === 'clear-and-drive' && check.result === 'stays-away');
  return cleared ? 0 : workHours(work, rates, a) * rates.labour + a.get(`work.extra.${work}`);
};

/** Every outcome of trying to take each fault away, as what remains with its chance. */
const remains = (
  faults: readonly Fault[],
  chance: (fault: Fault) => number,
): Array<{ left: Fault[]; p: number }> =>
  faults.reduce<Array<{ left: Fault[]; p: number }>>(
    (sofar, fault) => {
      const cured = chance(fault);
      return sofar.flatMap(({ left, p }) => [
        ...(cured > 0 ? [{ left, p: p * cured }] : []),
        ...(cured < 1 ? [{ left: [...left, fault], p: p * (1 - cured) }] : []),
      ]);
    },
    [{ left: [], p: 1 }],
  );

/**
 * A check as the solver takes it. A result that repeats what is known (a dead signal after a code of an open circuit)
 * could be foretold to be abnormal: its chance to be so is damped as the posterior will damp it, and each state's
 * results are brought to a sum of one again.
 */
const checkOf = (
  entry: AvailableCheck,
  states: readonly Belief[],
  cost: number,
  known: ReadonlySet<string>,
  a: Assumptions,
): Omit<SolveCheck, 'needs'> => {
  const normal = NORMAL_RESULT[entry.table];
  const results = resultsOf(entry.table);
  const sound = onceEach((fault) => checkChance(entry.table, normal ?? '', fault, a));
  const power = a.get('correlation.repeat') - 1;
  const chances = results.map((result) => {
    const finding: Finding = {
      path: '',
      label: '',
      wheelEnd: null,
      mechanism: entry.table,
      kind: 'check',
      seen: onceEach((fault) => checkChance(entry.table, result, fault, a)),
      normal: sound,
      isNormal: result === normal,
      jointly: (faults, which) =>
        jointChance(entry.table, which === 'seen' ? result : (normal ?? result), faults, a),
    };
    const repeats = result !== normal && known.has(mechanismOf(entry.check, result));
    return states.map((b) => {
      const faults = [...b.state, ...b.shared];
      const chance = likelihood(finding, faults, b.architecture);
      return repeats
        ? chance * Math.max(1e-9, 1 - soundChance(finding, faults, b.architecture)) ** power
        : chance;
    });
  });
  const totals = states.map((_, s) => chances.reduce((sum, row) => sum + (row[s] ?? 0), 0));
  return {
    id: entry.check,
    cost,
    setup: entry.setup === null ? null : SETUPS.indexOf(entry.setup),
    results: results.map((id, r) => ({
      id,
      chance: (chances[r] ?? []).map((p, s) => p / (totals[s] ?? 1)),
    })),
  };
};

const partFixes = (outlays: readonly Outlay[], rates: Rates, a: Assumptions): PartFix[] => {
  const overlap = a.get('overlap.same-wheel');
  const fixOf = (parts: readonly Outlay[], work: Work | null = null): PartFix => {
    const fitted = together(parts, overlap, rates);
    const job = work
      ? withWork(fitted, workHours(work, rates, a), a.get(`work.extra.${work}`), overlap, rates)
      : fitted;
    const [main] = parts as [Outlay];
    return {
      kind: 'part',
      part: main.part,
      with: parts.slice(1).map(({ part }) => part),
      work,
      outlays: parts,
      job,
      mean: jobCost(job) - parts.reduce((sum, { spared }) => sum + spared.chance * spared.cost, 0),
    };
  };
  const outlayOf = (part: PartClass) => outlays.find((outlay) => outlay.part === part);
  return [
    ...outlays.map((outlay) => fixOf([outlay])),
    ...PAIRS.flatMap(([one, other]) => {
      const [first, second] = [outlayOf(one), outlayOf(other)];
      return first && second ? [fixOf([first, second])] : [];
    }),
    ...WITH_WORK.flatMap(([part, work]) => {
      const outlay = outlayOf(part);
      return outlay ? [fixOf([outlay], work)] : [];
    }),
  ];
};

/**
 * What handing it to another workshop costs in each state: its diagnosis (less of it the more is known), then the same
 * repair at its rate and tier, by its chance of curing, and the days it stands. Where the customer is the workshop there
 * is no other: it is more diagnosis on the own lift, and no dearer repair.
 */
const referCosts = (
  docket: Docket,
  states: readonly Belief[],
  fixes: readonly Fix[],
  moves: readonly SolveFix['moves'][],
  rates: Rates,
  a: Assumptions,
): number[] => {
  const own = docket.customer?.kind === 'garage';
  const byFault = new Map<string, number>();
  for (const b of states) {
    const key = [...b.state, ...b.shared].sort().join('+');
    byFault.set(key, (byFault.get(key) ?? 0) + b.p);
  }
  const known = Math.max(0, ...byFault.values());
  const hours = known * a.get('refer.hours-known') + (1 - known) * a.get('refer.hours-unknown');
  const diagnosis = hours * rates.workshop * (1 + rates.tax);
  const dearer = own ? 1 : a.get('refer.tier');
  const idle = own ? 0 : a.get('refer.wait-days') * rates.idleDay;
  const elsewhere = a.get('refer.elsewhere');
  return states.map((b, s) => {
    const repair = fixes.reduce((least, fix, f) => {
      const cures = (moves[f]?.[s] ?? []).reduce((sum, { to, chance }) => (to < 0 ? sum + chance : sum), 0);
      const cost = fix.kind === 'part' ? fix.mean : fix.cost;
      return cures >= 0.3 ? Math.min(least, (cost * dearer) / cures) : least;
    }, Infinity);
    const module = b.shared.includes('module') ? a.get('refer.module') : 0;
    return diagnosis + idle + module + (Number.isFinite(repair) ? repair : module > 0 ? 0 : elsewhere);
  });
};

/**
 * The decision at one wheel end: what may be wrong (rare states left out), the checks that can be made, the parts and
 * the work that may cure it. Something wrong at another wheel end is a state no fix here takes away. A fix that hardly
 * ever cures is none, unless `keep` says that safety calls for it.
 */
export const buildProblem = (
  docket: Docket,
  end: EndPosterior,
  outlays: readonly Outlay[],
  school: School,
  findings: readonly Finding[],
  a: Assumptions,
  keep: ReadonlySet<PartClass> = new Set(),
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

  const possible: Fix[] = [
    ...partFixes(outlays, rates, a),
    ...WORKS.map((work): Fix => ({ kind: 'work', work, cost: worksCost(work, docket, rates, a) })),
  ];
  /** Chance that a fix cures all of it now, and of any one fault there is. */
  const curesOf = (fix: Fix, any: boolean): number =>
    states.reduce((sum, b) => {
      const faults = [...b.state, ...b.shared];
      if (faults.length === 0) return sum;
      const each = faults.map((fault) => takesAway(fix, fault, end.wheelEnd, b.architecture, a));
      return sum + b.p * (any ? Math.max(...each) : each.reduce((p, c) => p * c, 1));
    }, 0);
  /** Chance that each of the parts takes something away that no other of them would. */
  const bothNeeded = (fix: PartFix): number =>
    states.reduce((sum, b) => {
      const byPart = fix.outlays.map((outlay) =>
        b.state.findIndex(
          (fault) => cureChance(outlay.part, fault, b.architecture, a) >= a.get('offer.pair-cures'),
        ),
      );
      if (fix.work !== null) {
        const work = fix.work;
        byPart.push(b.state.findIndex((fault) => workCures(work, fault, a) >= a.get('offer.pair-cures')));
      }
      return byPart.every((at) => at >= 0) && new Set(byPart).size === byPart.length ? sum + b.p : sum;
    }, 0);
  const leastCure = a.get('offer.least-cure');
  const alone = new Map(
    possible.flatMap((fix) => (isAlone(fix) ? [[fix.part, curesOf(fix, false)] as const] : [])),
  );
  const fixes = possible.filter((fix) => {
    if (fix.kind === 'work') return curesOf(fix, true) >= leastCure;
    if (fix.with.length === 0 && fix.work === null)
      return keep.has(fix.part) || curesOf(fix, true) >= leastCure;
    // Two parts are a way of their own only where both may well be bad: not to cover a guess.
    const best = Math.max(...[fix.part, ...fix.with].map((part) => alone.get(part) ?? 0));
    return curesOf(fix, false) >= best + leastCure && bothNeeded(fix) >= a.get('offer.pair-from');
  });

  const moves: SolveFix['moves'][] = fixes.map(() => []);
  for (let s = 0; s < states.length; s++) {
    const b = states[s] as Belief;
    const elsewhere = b.state.length + b.shared.length === 0;
    fixes.forEach((fix, f) => {
      const outcomes = remains([...b.state, ...b.shared], (fault) =>
        takesAway(fix, fault, end.wheelEnd, b.architecture, a),
      );
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
  const perMinute = ((rates.labour * rates.slower) / 60) * a.get(`school.${school}.check`);
  const seizure = outlays.find(({ part }) => part === 'sensor')?.seizureCost ?? 0;
  const standing = setupsStanding(docket, end.wheelEnd);
  const hub = outlays.find(({ part }) => part === 'hub-assembly')?.spared ?? { chance: 0, cost: 0 };
  const needsOf = (entry: AvailableCheck): number =>
    checks.reduce((bits, other, c) => (entry.after.includes(other.check) ? bits | (1 << c) : bits), 0);
  return {
    fixes,
    checks,
    states,
    bearing: hub,
    problem: {
      belief: states.map((b) => b.p),
      fixes: fixes.map((fix, f) => ({
        id:
          fix.kind === 'part'
            ? [fix.part, ...fix.with, ...(fix.work ? [`work:${fix.work}`] : [])].join('+')
            : `work:${fix.work}`,
        outlay: fix.kind === 'part' ? fix.mean : fix.cost,
        moves: moves[f] ?? [],
      })),
      checks: checks.map((entry) => ({
        ...checkOf(
          entry,
          states,
          a.get(`check.minutes.${entry.check}`) * perMinute +
            a.find(`check.draws.${entry.check}`, 0) * seizure,
          known,
          a,
        ),
        needs: needsOf(entry),
      })),
      // What the hand that looks has set up, the fix that follows mostly needs as well: only a share of it is lost.
      setups: SETUPS.map((setup) =>
        standing.has(setup) ? 0 : a.get(`check.setup.${setup}`) * perMinute * a.get('check.setup-lost'),
      ),
      refer: referCosts(docket, states, fixes, moves, rates, a),
      comeback: a.get('comeback.cost') * a.get(`school.${school}.comeback`) + rates.fee,
      firstCheck: a.get(`school.${school}.check-trip`),
    },
  };
};

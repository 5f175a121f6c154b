import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Finding } from '../diagnosis/finding.ts';
import type { Belief } from '../diagnosis/endMarginals.ts';
import type { EndPosterior } from '../diagnosis/posterior.ts';
import { cureChance, workCures } from '../offers/fixes.ts';
import type { Outlay, Risk } from '../offers/outlay.ts';
import { ratesFor } from '../offers/rates.ts';
import type { Docket, School } from '../vocabulary/docket.ts';
import type { Fault } from '../faultKinds/faultData.ts';
import type { PartClass } from '../vocabulary/words.ts';
import { availableChecks, SETUPS, setupsStanding, type AvailableCheck } from './availableChecks.ts';
import { checkAsSolved } from './checkAsSolved.ts';
import { fixesAt, isAlone, type Fix, type PartFix } from './fixesAt.ts';
import { referCosts } from './referCosts.ts';
import type { Problem, SolveFix } from './solve.ts';
import { takenAway } from './takenAway.ts';

/** The decision at one wheel end as the solver takes it, with what its numbers stand for. */
export interface CornerProblem {
  readonly problem: Problem;
  readonly fixes: readonly Fix[];
  readonly checks: readonly AvailableCheck[];
  /** One for each state of the problem; ways of building that are the same decision are one, named by any of them. */
  readonly states: readonly Belief[];
  /** Every truth that was looked at, with the state of the problem it belongs to. */
  readonly truths: ReadonlyArray<Belief & { readonly at: number }>;
  /**
   * What the old bearing is expected to cost within the horizon where it stays. The solver books it to the credit of a
   * hub; every figure that is shown has it added, so that plan, offers and comparison speak of the same money.
   */
  readonly bearing: Risk;
}

/** More than there are faults, each told apart by every way of building: four such numbers fit in one. */
const MOST_ALIKE = 4096;

/** Every outcome of trying to take each fault away, `chance` by its place, as what remains with its chance. */
const remains = (
  faults: readonly Fault[],
  chance: (at: number) => number,
): Array<{ left: Fault[]; p: number }> => {
  let sofar: Array<{ left: Fault[]; p: number }> = [{ left: [], p: 1 }];
  faults.forEach((fault, i) => {
    const cured = chance(i);
    if (cured >= 1) return;
    const stays = sofar.map(({ left, p }) => ({ left: [...left, fault], p: p * (1 - cured) }));
    sofar = cured > 0 ? [...sofar.map(({ left, p }) => ({ left, p: p * cured })), ...stays] : stays;
  });
  return sofar;
};

/**
 * The decision at one wheel end: what may be wrong (rare states left out), the checks that can be made, the parts and
 * the work that may cure it. Something wrong at another wheel end is a state no fix here takes away. A fix that hardly
 * ever cures is none, unless `keep` says that safety calls for it. Who looks no step ahead makes no check.
 */
export const buildProblem = (
  docket: Docket,
  end: EndPosterior,
  outlays: readonly Outlay[],
  school: School,
  findings: readonly Finding[],
  a: Assumptions,
  keep: ReadonlySet<PartClass> = new Set(),
  mayCheck = true,
): CornerProblem => {
  const rates = ratesFor(docket, a);
  const least = a.get('plan.ignore-below');
  const possible = fixesAt(docket, outlays, rates, a);
  const taken = takenAway(possible, end.wheelEnd, a);
  const faultsOf = ({ state, shared }: Pick<Belief, 'state' | 'shared'>): Fault[] => [...state, ...shared];
  const states: Array<Belief & { p: number }> = [];
  const index = new Map<number, number>();
  /** The state of the problem a truth belongs to. */
  const indexOf = (b: Omit<Belief, 'p'>): number => {
    // Four faults at most: their numbers in order are one number.
    const alike = faultsOf(b).map((fault) => taken(fault, b.architecture).alike + 1);
    if (alike.length === 2 && (alike[0] as number) > (alike[1] as number)) alike.reverse();
    else if (alike.length > 2) alike.sort((x, y) => x - y);
    const key = alike.reduce((sofar, number) => sofar * MOST_ALIKE + number, 0);
    const known = index.get(key);
    if (known !== undefined) return known;
    index.set(key, states.length);
    states.push({ ...b, p: 0 });
    return states.length - 1;
  };
  const kept = end.beliefs.filter((b) => b.p >= least);
  const total = kept.reduce((sum, b) => sum + b.p, 0);
  const truths = kept.map((b) => ({ ...b, p: b.p / total, at: indexOf(b) }));
  for (const { at, p } of truths) (states[at] as { p: number }).p += p;

  /** Chance that each fix takes each fault of a state away, by [state][fault][fix]. */
  const rows = states.map((b) => faultsOf(b).map((fault) => taken(fault, b.architecture).chances));
  /** Chance that a fix cures all of it now, and of any one fault there is. */
  const curesOf = (fix: Fix, any: boolean): number => {
    const f = possible.indexOf(fix);
    return states.reduce((sum, b, s) => {
      const each = (rows[s] ?? []).map((row) => row[f] as number);
      if (each.length === 0) return sum;
      return sum + b.p * (any ? Math.max(...each) : each.reduce((p, c) => p * c, 1));
    }, 0);
  };
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
  const places = fixes.map((fix) => possible.indexOf(fix));
  for (let s = 0; s < states.length; s++) {
    const b = states[s] as Belief;
    const elsewhere = b.state.length + b.shared.length === 0;
    const faults = faultsOf(b);
    const chances = faults.map((fault) => taken(fault, b.architecture).chances);
    const stays = [{ to: s, chance: 1 }];
    fixes.forEach((_, f) => {
      const into = moves[f] as Array<Array<{ to: number; chance: number }>>;
      const at = places[f] as number;
      // Most fixes take nothing of a state away.
      if (elsewhere || chances.every((each) => each[at] === 0)) {
        into[s] = stays;
        return;
      }
      const outcomes = remains(faults, (i) => chances[i]?.[at] as number);
      into[s] = outcomes.map(({ left, p }) => ({
        chance: p,
        to:
          left.length === 0
            ? -1
            : indexOf({
                architecture: b.architecture,
                state: b.state.filter((c) => left.includes(c)),
                shared: b.shared.filter((c) => left.includes(c)),
              }),
      }));
    });
  }
  const known = new Set(
    findings.filter(({ wheelEnd }) => wheelEnd === end.wheelEnd).map(({ mechanism }) => mechanism),
  );
  const checks = mayCheck ? availableChecks(docket, end.wheelEnd, end.beliefs, a) : [];
  const lists = states.map(faultsOf);
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
    truths,
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
        ...checkAsSolved(
          entry,
          lists,
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

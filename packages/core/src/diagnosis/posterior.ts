import type { Assumptions } from '../assumptions/assumptions.ts';
import type { DocketVehicle } from '../vocabulary/docket.ts';
import { causeOf, type Fault } from '../faultKinds/faultData.ts';
import type { Cause } from '../vocabulary/words.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import type { SensedEnd } from './sensedEnd.ts';
import type { Architecture, ArchitectureGroup } from './architecture.ts';
import { endTables, SHARED_STATES, type EndTable, type EndTables } from './endTable.ts';
import type { Evidence } from './finding.ts';
import { faultCountWeights, secondEndChance } from './priors.ts';
import type { State } from './states.ts';

/** One possible truth at a wheel end: how it is built, what is wrong there, what is wrong with what all wheels share. */
export interface Belief {
  readonly architecture: Architecture;
  readonly state: State;
  readonly shared: readonly Fault[];
  readonly p: number;
}

export interface EndPosterior {
  readonly wheelEnd: SensedEnd;
  /** Chance that something is wrong here, a past event included. */
  readonly odd: number;
  readonly beliefs: readonly Belief[];
}

export interface Posterior {
  readonly ends: readonly EndPosterior[];
  readonly shared: ReadonlyMap<Cause, number>;
  /** Marginal chance of a cause at a wheel end. */
  chance(cause: Cause, wheelEnd: WheelEnd | null): number;
}

/** Product of two polynomials in the number of faulty wheel ends, by their coefficients. */
const times = (x: readonly number[], y: readonly number[]): number[] => {
  const out = new Array<number>(x.length + y.length - 1).fill(0);
  x.forEach((p, i) => y.forEach((q, j) => (out[i + j] = (out[i + j] as number) + p * q)));
  return out;
};
const plus = (x: readonly number[], y: readonly number[]): number[] =>
  Array.from({ length: Math.max(x.length, y.length) }, (_, i) => (x[i] ?? 0) + (y[i] ?? 0));
/** Sum of the coefficients, each weighed by `weights` from `from` on. */
const weighed = (x: readonly number[], weights: readonly number[], from: number): number =>
  x.reduce((sum, p, i) => sum + p * (weights[i + from] ?? 0), 0);
/** For each place, the product of all the others. */
const productOfOthers = (list: ReadonlyArray<readonly number[]>): number[][] => {
  const before: number[][] = [[1]];
  for (const each of list) before.push(times(before.at(-1) as number[], each));
  const out = new Array<number[]>(list.length);
  let after: number[] = [1];
  for (let i = list.length - 1; i >= 0; i--) {
    out[i] = times(before[i] as number[], after);
    after = times(after, list[i] as readonly number[]);
  }
  return out;
};

/**
 * Exact posterior over what is wrong.
 *
 * Model: a vehicle comes with one complaint. Each number of faulty wheel ends has a weight of its own
 * (`faultCountWeights`); given that number and the shared faults (controller, supply), wheel ends are independent. So
 * every wheel end is a polynomial in the number of faulty ones (sound + faulty z), products of them are exact, and the
 * coefficients are weighed last. Each wheel end has nothing, one fault or two. Findings at a wheel end depend on its state and the shared ones. Facts with no wheel end belong to one
 * unknown corner, summed over. A complaint is brought about by any faulty wheel end or shared cause (noisy-or):
 * its chance is one minus a product over wheel ends, so a set of complaints is a signed sum over subsets, each of
 * which factorises. Unknown architecture is summed over with its odds, alike on both sides of an axle.
 *
 * Cost: groups x options x 4 shared x subsets x about 55 states, no sampling. `memo` keeps the tables of wheel ends
 * whose facts did not change between calls.
 */
export const posterior = (
  groups: readonly ArchitectureGroup[],
  evidence: Evidence,
  vehicle: DocketVehicle,
  today: string,
  a: Assumptions,
  memo: EndTables = endTables(),
): Posterior => {
  const { complaints } = evidence;
  const subsets = 1 << complaints.length;
  const adrift = evidence.findings.filter((finding) => finding.wheelEnd === null);
  const allEnds = groups.flatMap((group) => group.ends);
  const corners: ReadonlyArray<WheelEnd | null> = adrift.length > 0 ? allEnds : [null];

  const tables: EndTable[][][] = groups.map((group) =>
    group.options.map(({ architecture }) =>
      group.ends.map((end) => memo.table(end, architecture, evidence, adrift, vehicle, today, a)),
    ),
  );

  // Prior odds of a fault at each wheel end, over the ways it may be built.
  const odds = groups.flatMap((group, g) =>
    group.ends.map((_, e) =>
      group.options.reduce((sum, { chance }, k) => sum + chance * (tables[g]?.[k]?.[e]?.odds ?? 0), 0),
    ),
  );
  const countWeights = faultCountWeights(odds, secondEndChance(vehicle, today, a));

  const sharedWeights = SHARED_STATES.map((shared) => {
    const set = new Set(shared);
    const prior = (['module', 'supply'] as const).reduce(
      (p, cause) => p * (set.has(cause) ? a.get(`prior.${cause}`) : 1 - a.get(`prior.${cause}`)),
      1,
    );
    return evidence.shared.reduce((p, finding) => p * finding.seen(set), prior);
  });
  const sharedSilent = SHARED_STATES.map((shared) =>
    Array.from({ length: subsets }, (_, subset) =>
      complaints.reduce(
        (product, complaint, g) =>
          subset & (1 << g)
            ? shared.reduce(
                (p, cause) => p * (1 - complaint.brings(cause, null)),
                product * (1 - complaint.leak),
              )
            : product,
        1,
      ),
    ),
  );
  const sign = Array.from({ length: subsets }, (_, subset) => {
    let bits = 0;
    for (let s = subset; s; s &= s - 1) bits++;
    return bits % 2 ? -1 : 1;
  });

  const mass = tables.map((options) =>
    options.map((perEnd) =>
      perEnd.map((table) => SHARED_STATES.map(() => new Float64Array(table.states.length))),
    ),
  );
  const sharedMass = new Float64Array(SHARED_STATES.length);
  let evidenceMass = 0;
  for (let s = 0; s < SHARED_STATES.length; s++)
    for (const corner of corners)
      for (let subset = 0; subset < subsets; subset++) {
        const factor = (sign[subset] ?? 1) * (sharedWeights[s] ?? 0) * (sharedSilent[s]?.[subset] ?? 0);
        if (factor === 0) continue;
        const here = (end: WheelEnd) => (corner === end ? 1 : 0);
        const sumsOf = (table: EndTable): number[] => {
          const sum = table.sums[s]?.[here(table.end)]?.[subset];
          return [sum?.sound ?? 0, sum?.faulty ?? 0];
        };
        const optionPolys = groups.map((group, g) =>
          group.options.map(({ chance }, k) =>
            (tables[g]?.[k] ?? []).reduce((p, table) => times(p, sumsOf(table)), [chance]),
          ),
        );
        const others = productOfOthers(
          optionPolys.map((options) => options.reduce((sum, p) => plus(sum, p), [0])),
        );
        const whole = weighed(
          times(
            others[0] ?? [1],
            (optionPolys[0] ?? []).reduce((sum, p) => plus(sum, p), [0]),
          ),
          countWeights,
          0,
        );
        evidenceMass += factor * whole;
        sharedMass[s] = (sharedMass[s] ?? 0) + factor * whole;
        groups.forEach((group, g) =>
          group.options.forEach(({ chance }, k) => {
            const perEnd = tables[g]?.[k] ?? [];
            const besides = productOfOthers(perEnd.map(sumsOf));
            perEnd.forEach((table, e) => {
              const rest = times(others[g] as number[], besides[e] as number[]);
              const soundScale = factor * chance * weighed(rest, countWeights, 0);
              const faultyScale = factor * chance * weighed(rest, countWeights, 1);
              const weights = table.weights[s]?.[here(table.end)];
              const silent = table.silent[subset];
              const target = mass[g]?.[k]?.[e]?.[s];
              if (!weights || !silent || !target) return;
              for (let t = 0; t < target.length; t++)
                target[t] =
                  (target[t] ?? 0) +
                  (t === 0 ? soundScale : faultyScale) * (weights[t] ?? 0) * (silent[t] ?? 0);
            });
          }),
        );
      }

  const ends: EndPosterior[] = groups.flatMap((group, g) =>
    group.ends.map((wheelEnd, e) => {
      const beliefs: Belief[] = [];
      group.options.forEach(({ architecture }, k) => {
        const table = tables[g]?.[k]?.[e];
        SHARED_STATES.forEach((shared, s) => {
          table?.states.forEach((state, t) => {
            const p = Math.max(0, (mass[g]?.[k]?.[e]?.[s]?.[t] ?? 0) / evidenceMass);
            if (p > 0) beliefs.push({ architecture, state, shared, p });
          });
        });
      });
      return {
        wheelEnd,
        odd: beliefs.reduce((sum, b) => (b.state.length > 0 ? sum + b.p : sum), 0),
        beliefs,
      };
    }),
  );
  const shared = new Map<Cause, number>(
    (['module', 'supply'] as const).map((cause) => [
      cause,
      SHARED_STATES.reduce(
        (sum, set, s) => (set.includes(cause) ? sum + (sharedMass[s] ?? 0) / evidenceMass : sum),
        0,
      ),
    ]),
  );
  return {
    ends,
    shared,
    chance: (cause, wheelEnd) =>
      wheelEnd === null
        ? (shared.get(cause) ?? 0)
        : (ends
            .find((end) => end.wheelEnd === wheelEnd)
            ?.beliefs.reduce(
              (sum, b) => (b.state.some((fault) => causeOf(fault) === cause) ? sum + b.p : sum),
              0,
            ) ?? 0),
  };
};

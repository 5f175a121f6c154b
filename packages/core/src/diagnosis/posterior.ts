import { weighedOthers, wholeSums } from '../chance/countedProducts.ts';
import type { Assumptions } from '../assumptions/assumptions.ts';
import type { DocketVehicle } from '../vocabulary/docket.ts';
import type { Cause } from '../vocabulary/words.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import type { SensedEnd } from './sensedEnd.ts';
import { sensingWays, type ArchitectureGroup } from './architecture.ts';
import { countedGroup, endMarginals, type Belief, type EndMarginals } from './endMarginals.ts';
import { rowsFor, SHARED_STATES, type EndTable } from './endTable.ts';
import { endTables, type EndTables } from './endTables.ts';
import type { Evidence } from './finding.ts';
import { faultCountWeights, secondEndChance } from './priors.ts';

export interface EndPosterior {
  readonly wheelEnd: SensedEnd;
  /** Chance that something is wrong here, a past event included. */
  readonly odd: number;
  readonly beliefs: readonly Belief[];
  /** Chance of every cause here, and of a wrong part which it is. */
  readonly causes: ReadonlyMap<Cause, number>;
  readonly wrongPart: Readonly<Record<'sensor' | 'target', number>>;
}

export interface Posterior {
  readonly ends: readonly EndPosterior[];
  readonly shared: ReadonlyMap<Cause, number>;
  /** Marginal chance of a cause at a wheel end. */
  chance(cause: Cause, wheelEnd: WheelEnd | null): number;
}

/**
 * Exact posterior over what is wrong.
 *
 * Model: a vehicle comes with one complaint. Each number of faulty wheel ends has a weight of its own
 * (`faultCountWeights`); given that number and the shared faults (controller, supply), wheel ends are independent. So
 * every wheel end is a polynomial in the number of faulty ones (sound + faulty z), products of them are exact, and the
 * coefficients are weighed last. Each wheel end has nothing, one fault or two. Findings at a wheel end depend on its state
 * and the shared ones. Facts with no wheel end belong to one unknown corner, summed over by a mark that exactly one wheel
 * end carries. A complaint is brought about by any faulty wheel end or shared cause (noisy-or): its chance is one minus a
 * product over wheel ends, so a set of complaints is a signed sum over subsets, each of which factorises. How a wheel end
 * makes its signal is summed over with its odds where it is unknown, alike on both sides of an axle; what of it is for sale
 * changes nothing of what is wrong and is split off at the end.
 *
 * Cost: groups x ways of sensing x 4 shared x subsets x about 55 states, no sampling. `memo` keeps the tables of wheel ends
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
  const marks = adrift.length > 0;
  const ways = groups.map(sensingWays);
  const tables: EndTable[][][] = groups.map((group, g) =>
    (ways[g] ?? []).map(({ sensing }) =>
      group.ends.map((end) => memo.table(end, sensing, evidence, adrift, vehicle, today, a)),
    ),
  );

  // Prior odds of a fault at each wheel end, over the ways it may be built.
  const odds = groups.flatMap((group, g) =>
    group.ends.map((_, e) =>
      (ways[g] ?? []).reduce((sum, { chance }, k) => sum + chance * (tables[g]?.[k]?.[e]?.odds ?? 0), 0),
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

  const rows = rowsFor(complaints.length);
  const factors = Float64Array.from({ length: rows }, (_, row) => {
    const [s, subset] = [Math.floor(row / subsets), row % subsets];
    return (sign[subset] ?? 1) * (sharedWeights[s] ?? 0) * (sharedSilent[s]?.[subset] ?? 0);
  });
  const counted = groups.map((_, g) => countedGroup(ways[g] ?? [], tables[g] ?? [], rows, marks));
  const others = weighedOthers(counted, countWeights, rows);
  const [first, besides] = [counted[0], others[0]];
  const sums = first && besides ? wholeSums(besides, first, rows) : new Float64Array(rows);
  const sharedMass = new Float64Array(SHARED_STATES.length);
  let evidenceMass = 0;
  sums.forEach((sum, row) => {
    const mass = (factors[row] as number) * sum;
    const s = Math.floor(row / subsets);
    evidenceMass += mass;
    sharedMass[s] = (sharedMass[s] as number) + mass;
  });

  const marginals = new Map<WheelEnd, EndMarginals>();
  const ends: EndPosterior[] = groups.flatMap((group, g) =>
    group.ends.map((wheelEnd, e): EndPosterior => {
      const here = endMarginals(ways[g] ?? [], tables[g] ?? [], g, e, { factors, others, evidenceMass });
      marginals.set(wheelEnd, here);
      return {
        wheelEnd,
        get odd() {
          return here.odd();
        },
        get beliefs() {
          return here.beliefs();
        },
        get causes() {
          return here.causes();
        },
        get wrongPart() {
          return here.wrongPart();
        },
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
      wheelEnd === null ? (shared.get(cause) ?? 0) : (marginals.get(wheelEnd)?.causes().get(cause) ?? 0),
  };
};

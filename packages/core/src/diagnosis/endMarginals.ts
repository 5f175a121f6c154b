import { addCounted, countedNought, leftForOne, productOf, type Counted } from '../chance/countedProducts.ts';
import { addRows } from '../chance/rowSums.ts';
import { causeOf, wrongPartOf, type Fault } from '../faultKinds/faultData.ts';
import type { Cause } from '../vocabulary/words.ts';
import type { Architecture, SensingWay } from './architecture.ts';
import { SHARED_STATES, type EndTable } from './endTable.ts';
import type { State } from './states.ts';

/** One possible truth at a wheel end: how it is built, what is wrong there, what is wrong with what all wheels share. */
export interface Belief {
  readonly architecture: Architecture;
  readonly state: State;
  readonly shared: readonly Fault[];
  readonly p: number;
}

/** How likely each way of building is: few ways, thousands of beliefs. */
export const buildChances = (beliefs: readonly Belief[]): ReadonlyMap<Architecture, number> => {
  const chances = new Map<Architecture, number>();
  for (const { architecture, p } of beliefs) chances.set(architecture, (chances.get(architecture) ?? 0) + p);
  return chances;
};

/** A group of wheel ends that are built alike, over every way they may make their signal. */
export const countedGroup = (
  ways: readonly SensingWay[],
  tables: readonly EndTable[][],
  rows: number,
  marks: boolean,
): Counted => {
  const out = countedNought(rows, tables[0]?.length ?? 0, marks);
  ways.forEach(({ chance }, k) => {
    const ends = (tables[k] ?? []).map(({ sums }) => sums);
    addCounted(out, productOf(ends, rows, marks), chance);
  });
  return out;
};

/** What the whole sum gives each wheel end. */
export interface Whole {
  /** What each row counts: the shared causes and the complaints that come from none of the wheel ends, signed. */
  readonly factors: Float64Array;
  /** For each group what all other groups come to. */
  readonly others: readonly Counted[];
  readonly evidenceMass: number;
}

/** What is believed of one wheel end, worked out when it is first asked for: of a fact left out few ask all. */
export interface EndMarginals {
  odd(): number;
  causes(): ReadonlyMap<Cause, number>;
  /** Of a wrong part: how much of it is the sensor, how much its target. */
  wrongPart(): Readonly<Record<'sensor' | 'target', number>>;
  beliefs(): readonly Belief[];
}

/**
 * What the rest leaves of every state, by [shared]: for each subset of the complaints what all other wheel ends come to if
 * this one is sound (the first state) or faulty, times the chance that none of the subset comes from here.
 */
const leftBy = (
  rest: Float64Array,
  factors: Float64Array,
  chance: number,
  { silent, states }: EndTable,
): Float64Array[] => {
  const subsets = silent.length;
  const faulty = new Float64Array(subsets);
  return SHARED_STATES.map((_, shared) => {
    const out = new Float64Array(states.length);
    let sound = 0;
    for (let subset = 0, row = shared * subsets; subset < subsets; subset++, row++) {
      const scale = (factors[row] as number) * chance;
      faulty[subset] = scale * (rest[2 * row + 1] as number);
      sound += scale * (rest[2 * row] as number) * (silent[subset]?.[0] as number);
    }
    out[0] = sound;
    addRows(out, silent, faulty, 1);
    return out;
  });
};

/** Weight of every state of one wheel end, by [way of sensing][shared]. */
const massAt = (
  ways: readonly SensingWay[],
  tables: readonly EndTable[][],
  g: number,
  e: number,
  { factors, others }: Whole,
): Float64Array[][] => {
  const rest = others[g] as Counted;
  return ways.map(({ chance }, k) => {
    const perEnd = tables[k] as EndTable[];
    const table = perEnd[e] as EndTable;
    const besides = productOf(
      perEnd.filter((_, other) => other !== e).map(({ sums }) => sums),
      factors.length,
      rest.marked !== null,
    );
    const { unmarked, marked } = leftForOne(rest, besides, factors.length);
    // Summed up first, and weighed by the facts of this wheel end once. The corner complained of is elsewhere, or it is this one.
    const leftAsAny = leftBy(marked ?? unmarked, factors, chance, table);
    const leftAsCorner = marked && leftBy(unmarked, factors, chance, table);
    return leftAsAny.map((left, shared) => {
      const [asAny, asCorner] = table.weights[shared] as readonly Float64Array[];
      const corner = leftAsCorner?.[shared];
      return left.map(
        (mass, t) =>
          mass * (asAny?.[t] as number) + (corner ? (corner[t] as number) * (asCorner?.[t] as number) : 0),
      );
    });
  });
};

/** `g` and `e`: which group and which end of it. */
export const endMarginals = (
  ways: readonly SensingWay[],
  tables: readonly EndTable[][],
  g: number,
  e: number,
  whole: Whole,
): EndMarginals => {
  let kept: Float64Array[][] | null = null;
  const mass = () => (kept ??= massAt(ways, tables, g, e, whole));
  // Rounding may leave a hair below nought.
  const chanceOf = (weight: number): number => Math.max(0, weight / whole.evidenceMass);
  const summed = () => {
    const causes = new Map<Cause, number>();
    const wrongPart = { sensor: 0, target: 0 };
    let odd = 0;
    mass().forEach((byShared, k) => {
      const { states } = tables[k]?.[e] as EndTable;
      for (let t = 1; t < states.length; t++) {
        let p = 0;
        for (const weights of byShared) p += chanceOf(weights[t] as number);
        if (p === 0) continue;
        odd += p;
        // Two faults at once are of two causes.
        for (const fault of states[t] as State) {
          const cause = causeOf(fault);
          causes.set(cause, (causes.get(cause) ?? 0) + p);
          const kind = wrongPartOf(fault);
          if (kind) wrongPart[kind] += p;
        }
      }
    });
    return { odd, causes, wrongPart };
  };
  let sums: ReturnType<typeof summed> | null = null;
  const listed = (): Belief[] => {
    const out: Belief[] = [];
    ways.forEach((way, k) => {
      const { states } = tables[k]?.[e] as EndTable;
      for (const { architecture, chance } of way.options)
        SHARED_STATES.forEach((shared, s) => {
          const weights = mass()[k]?.[s] as Float64Array;
          for (let t = 0; t < states.length; t++) {
            const p = (chanceOf(weights[t] as number) * chance) / way.chance;
            if (p > 0) out.push({ architecture, state: states[t] as State, shared, p });
          }
        });
    });
    return out;
  };
  let beliefs: Belief[] | null = null;
  return {
    odd: () => (sums ??= summed()).odd,
    causes: () => (sums ??= summed()).causes,
    wrongPart: () => (sums ??= summed()).wrongPart,
    beliefs: () => (beliefs ??= listed()),
  };
};

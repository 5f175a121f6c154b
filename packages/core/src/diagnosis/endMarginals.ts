import { addCounted, countedNought, leftForOne, productOf, type Counted } from '../chance/countedProducts.ts';
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

/** Adds what the complaints leave of every state to `out`: the first is nothing wrong. */
const addStates = (out: Float64Array, silent: Float64Array, sound: number, faulty: number): void => {
  out[0] = (out[0] as number) + sound * (silent[0] as number);
  for (let t = 1; t < out.length; t++) out[t] = (out[t] as number) + faulty * (silent[t] as number);
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
    const noughts = () => SHARED_STATES.map(() => new Float64Array(table.states.length));
    // What the rest leaves of every state: summed up first, and weighed by the facts of this wheel end once.
    const leftAsAny = noughts();
    const leftAsCorner = marked ? noughts() : null;
    const subsets = table.silent.length;
    for (let row = 0; row < factors.length; row++) {
      const scale = (factors[row] as number) * chance;
      if (scale === 0) continue;
      const shared = Math.floor(row / subsets);
      const silent = table.silent[row % subsets] as Float64Array;
      // The corner complained of is elsewhere, or it is this one.
      const asAny = marked ?? unmarked;
      addStates(
        leftAsAny[shared] as Float64Array,
        silent,
        scale * (asAny[2 * row] as number),
        scale * (asAny[2 * row + 1] as number),
      );
      if (leftAsCorner)
        addStates(
          leftAsCorner[shared] as Float64Array,
          silent,
          scale * (unmarked[2 * row] as number),
          scale * (unmarked[2 * row + 1] as number),
        );
    }
    return leftAsAny.map((left, shared) => {
      const [asAny, asCorner] = table.weights[shared] as readonly Float64Array[];
      const besides = leftAsCorner?.[shared];
      return left.map(
        (mass, t) =>
          mass * (asAny?.[t] as number) + (besides ? (besides[t] as number) * (asCorner?.[t] as number) : 0),
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

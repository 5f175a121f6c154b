import {
  along,
  alongMarked,
  countedOne,
  countIn,
  oneAgain,
  type Counted,
  type CountedEnd,
} from '../chance/countedProducts.ts';
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

/** One term of the sum over shared faults and complaints, with what all other groups come to for each group. */
export interface Term {
  readonly factor: number;
  readonly shared: number;
  readonly subset: number;
  readonly others: readonly Counted[];
}

/** A wheel end as a polynomial in the number of faulty ones; `here`: 1 as the corner complained of. */
const endAs = (table: EndTable, shared: number, here: 0 | 1, subset: number): CountedEnd =>
  table.sums[shared]?.[here]?.[subset] ?? NOWHERE;
const NOWHERE: CountedEnd = { sound: 0, faulty: 0 };

/** Makes `out` the wheel ends of a group built one way, but for the one at place `but`. */
const countEnds = (
  out: Counted,
  tables: readonly EndTable[],
  but: number,
  shared: number,
  subset: number,
): void => {
  oneAgain(out);
  for (let e = 0; e < tables.length; e++) {
    if (e === but) continue;
    const table = tables[e] as EndTable;
    countIn(out, endAs(table, shared, 0, subset), out.marked ? endAs(table, shared, 1, subset) : undefined);
  }
};

/** A group of wheel ends that are built alike, over every way they may make their signal. */
export const countedGroup = (
  ways: readonly SensingWay[],
  tables: readonly EndTable[][],
  shared: number,
  subset: number,
  marks: boolean,
): Counted => {
  const sum = (into: number[], of: readonly number[], chance: number): void => {
    for (let i = 0; i < into.length; i++) into[i] = (into[i] as number) + chance * (of[i] as number);
  };
  const ends = tables[0]?.length ?? 0;
  const out = countedOne(ends, marks);
  out.plain[0] = 0;
  const one = countedOne(ends, marks);
  ways.forEach(({ chance }, k) => {
    countEnds(one, tables[k] ?? [], -1, shared, subset);
    sum(out.plain, one.plain, chance);
    if (out.marked && one.marked) sum(out.marked, one.marked, chance);
  });
  return out;
};

/** What the whole sum gives each wheel end. */
export interface Whole {
  readonly terms: readonly Term[];
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
  { terms }: Whole,
): Float64Array[][] =>
  ways.map(({ chance }, k) => {
    const perEnd = tables[k] as EndTable[];
    const table = perEnd[e] as EndTable;
    const noughts = () => SHARED_STATES.map(() => new Float64Array(table.states.length));
    // What the rest leaves of every state: summed up first, and weighed by the facts of this wheel end once.
    const leftAsAny = noughts();
    const leftAsCorner = terms[0]?.others[g]?.marked ? noughts() : null;
    const besides = countedOne(perEnd.length - 1, leftAsCorner !== null);
    for (const { factor, shared, subset, others } of terms) {
      const rest = others[g] as Counted;
      countEnds(besides, perEnd, e, shared, subset);
      const silent = table.silent[subset] as Float64Array;
      const scale = factor * chance;
      const unmarked = (faulty: 0 | 1) => scale * along(rest.plain, besides.plain, faulty);
      const asAny = leftAsAny[shared] as Float64Array;
      if (!leftAsCorner) {
        addStates(asAny, silent, unmarked(0), unmarked(1));
        continue;
      }
      // The corner complained of is elsewhere, or it is this one.
      const marked = (faulty: 0 | 1) => scale * alongMarked(rest, besides, faulty);
      addStates(asAny, silent, marked(0), marked(1));
      addStates(leftAsCorner[shared] as Float64Array, silent, unmarked(0), unmarked(1));
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

import { productOfOthers, times, weighed } from '../chance/polynomials.ts';
import { causeOf, wrongPartOf, type Fault } from '../faultKinds/faultData.ts';
import type { Cause } from '../vocabulary/words.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import type { Architecture, ArchitectureGroup } from './architecture.ts';
import { SHARED_STATES, type EndTable } from './endTable.ts';
import type { State } from './states.ts';

/** One possible truth at a wheel end: how it is built, what is wrong there, what is wrong with what all wheels share. */
export interface Belief {
  readonly architecture: Architecture;
  readonly state: State;
  readonly shared: readonly Fault[];
  readonly p: number;
}

/** One term of the sum over shared faults, the corner complained of and complaints, with the product of all other groups. */
export interface Term {
  readonly factor: number;
  readonly shared: number;
  readonly corner: WheelEnd | null;
  readonly subset: number;
  /** For each group, the polynomial of all the others. */
  readonly others: ReadonlyArray<readonly number[]>;
}

type Where = Pick<Term, 'shared' | 'corner' | 'subset'>;
const hereAt = (table: EndTable, corner: WheelEnd | null): number => (corner === table.end ? 1 : 0);

/** A wheel end as a polynomial in the number of faulty ones: sound + faulty z. */
export const sumAt = (table: EndTable, { shared, corner, subset }: Where): number[] => {
  const sum = table.sums[shared]?.[hereAt(table, corner)]?.[subset];
  return [sum?.sound ?? 0, sum?.faulty ?? 0];
};

/** What the whole sum gives each wheel end. */
export interface Whole {
  readonly terms: readonly Term[];
  readonly countWeights: readonly number[];
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

/** Weight of every state of one wheel end, by [option][shared]. */
const massAt = (
  group: ArchitectureGroup,
  tables: readonly EndTable[][],
  g: number,
  e: number,
  { terms, countWeights }: Whole,
): Float64Array[][] =>
  group.options.map(({ chance }, k) => {
    const perEnd = tables[k] as EndTable[];
    const table = perEnd[e] as EndTable;
    const out = SHARED_STATES.map(() => new Float64Array(table.states.length));
    for (const term of terms) {
      const besides = productOfOthers(perEnd.map((each) => sumAt(each, term)))[e] as number[];
      const rest = times(term.others[g] as readonly number[], besides);
      const sound = term.factor * chance * weighed(rest, countWeights, 0);
      const faulty = term.factor * chance * weighed(rest, countWeights, 1);
      const weights = table.weights[term.shared]?.[hereAt(table, term.corner)] as Float64Array;
      const silent = table.silent[term.subset] as Float64Array;
      const target = out[term.shared] as Float64Array;
      // The first state is nothing wrong.
      for (let t = 0, scale = sound; t < target.length; t++, scale = faulty)
        target[t] = (target[t] as number) + scale * (weights[t] as number) * (silent[t] as number);
    }
    return out;
  });

/** `g` and `e`: which group and which end of it. */
export const endMarginals = (
  group: ArchitectureGroup,
  tables: readonly EndTable[][],
  g: number,
  e: number,
  whole: Whole,
): EndMarginals => {
  let kept: Float64Array[][] | null = null;
  const mass = () => (kept ??= massAt(group, tables, g, e, whole));
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
    group.options.forEach(({ architecture }, k) => {
      const { states } = tables[k]?.[e] as EndTable;
      SHARED_STATES.forEach((shared, s) => {
        const weights = mass()[k]?.[s] as Float64Array;
        for (let t = 0; t < states.length; t++) {
          const p = chanceOf(weights[t] as number);
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

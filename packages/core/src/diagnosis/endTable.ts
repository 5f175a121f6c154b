import type { Assumptions } from '../assumptions/assumptions.ts';
import type { DocketVehicle } from '../vocabulary/docket.ts';
import type { Cause } from '../vocabulary/words.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import type { Architecture } from './architecture.ts';
import type { Complaint, Evidence, Finding } from './finding.ts';
import { likelihood } from './likelihood.ts';
import { causePrior, statePrior } from './priors.ts';
import { causesAt, statesAt, type State } from './states.ts';

/** What may be wrong with what all wheels share. */
export const SHARED_STATES: ReadonlyArray<readonly Cause[]> = [
  [],
  ['module'],
  ['supply'],
  ['module', 'supply'],
];

/** Weights of every state of one wheel end built one way, given the facts that speak of it. */
export interface EndTable {
  readonly end: WheelEnd;
  readonly states: readonly State[];
  /** [shared][here as the corner complained of: 0 | 1][state] */
  readonly weights: readonly (readonly Float64Array[])[];
  /** [symptom subset][state]: chance that no complaint of the subset comes from this state. */
  readonly silent: readonly Float64Array[];
  /** [shared][here][subset] */
  readonly sums: readonly (readonly (readonly number[])[])[];
}

/** What a table is put together from; each piece is worked out once, however many tables hold it. */
interface Pieces {
  priors(end: WheelEnd, architecture: Architecture, states: readonly State[]): readonly number[];
  /** Chance of one finding in every state, for one set of shared causes. */
  column(finding: Finding, end: WheelEnd, architecture: Architecture, shared: number): Float64Array;
  /** How far a finding can move any cause: the most it can tell. */
  spread(finding: Finding, end: WheelEnd, architecture: Architecture): number;
  silent(complaint: Complaint, end: WheelEnd, architecture: Architecture): Float64Array;
}

/**
 * Powers of correlated findings: of those sharing a mechanism the most telling counts in full, the others with a small
 * power, so that three reports of one open circuit are not three proofs.
 */
const powersOf = (
  findings: readonly Finding[],
  spreadOf: (finding: Finding) => number,
  repeat: number,
): number[] => {
  const spread = findings.map(spreadOf);
  return findings.map((finding, i) => {
    const stronger = findings.some((other, j) => {
      const [mine, its] = [spread[i] ?? 0, spread[j] ?? 0];
      return j !== i && other.mechanism === finding.mechanism && (its > mine || (its === mine && j < i));
    });
    return stronger ? repeat : 1;
  });
};

const build = (
  end: WheelEnd,
  architecture: Architecture,
  own: readonly Finding[],
  adrift: readonly Finding[],
  complaints: readonly Complaint[],
  a: Assumptions,
  pieces: Pieces,
): EndTable => {
  const states = statesAt(end, architecture);
  const repeat = a.get('correlation.repeat');
  const priors = pieces.priors(end, architecture, states);
  const sets = adrift.length > 0 ? [own, [...own, ...adrift]] : [own];
  const powers = sets.map((findings) =>
    powersOf(findings, (finding) => pieces.spread(finding, end, architecture), repeat),
  );
  const weights = SHARED_STATES.map((_, shared) => {
    const columns = (sets.at(-1) ?? []).map((finding) => pieces.column(finding, end, architecture, shared));
    return sets.map((findings, here) => {
      const out = Float64Array.from(priors);
      findings.forEach((_finding, i) => {
        const power = powers[here]?.[i] ?? 1;
        const column = columns[i] as Float64Array;
        for (let t = 0; t < out.length; t++) {
          const chance = column[t] as number;
          out[t] = (out[t] as number) * (power === 1 ? chance : chance ** power);
        }
      });
      return out;
    });
  });
  const quiet = complaints.map((complaint) => pieces.silent(complaint, end, architecture));
  const silent = Array.from({ length: 1 << complaints.length }, (_, subset) => {
    const out = new Float64Array(states.length).fill(1);
    quiet.forEach((column, g) => {
      if (subset & (1 << g))
        for (let t = 0; t < out.length; t++) out[t] = (out[t] as number) * (column[t] as number);
    });
    return out;
  });
  const dot = (x: Float64Array, y: Float64Array): number => {
    let sum = 0;
    for (let i = 0; i < x.length; i++) sum += (x[i] as number) * (y[i] as number);
    return sum;
  };
  return {
    end,
    states,
    weights,
    silent,
    sums: weights.map((byHere) => byHere.map((w) => silent.map((s) => dot(w, s)))),
  };
};

/** Tables already worked out, found again by what they were worked out from. */
export interface EndTables {
  table(
    end: WheelEnd,
    architecture: Architecture,
    evidence: Evidence,
    adrift: readonly Finding[],
    vehicle: DocketVehicle,
    today: string,
    a: Assumptions,
  ): EndTable;
}

export const endTables = (): EndTables => {
  const ids = new WeakMap<object, number>();
  let next = 0;
  const id = (thing: object): number => {
    const known = ids.get(thing);
    if (known !== undefined) return known;
    ids.set(thing, next);
    return next++;
  };
  const made = new Map<string, EndTable>();
  const memo = <T>(kept: Map<string, T>, key: string, make: () => T): T => {
    const known = kept.get(key);
    if (known !== undefined) return known;
    const value = make();
    kept.set(key, value);
    return value;
  };
  const priors = new Map<string, readonly number[]>();
  const columns = new Map<string, Float64Array>();
  const spreads = new Map<string, number>();
  const silents = new Map<string, Float64Array>();
  const piecesFor = (vehicle: DocketVehicle, today: string, a: Assumptions): Pieces => ({
    priors: (end, architecture, states) =>
      memo(priors, `${end} ${id(architecture)} ${id(vehicle)} ${id(a)}`, () => {
        const chanceOf = new Map(
          ([...causesAt(end, architecture), 'none-present'] as Cause[]).map((cause) => [
            cause,
            causePrior(cause, architecture, vehicle, today, a),
          ]),
        );
        const weights = states.map((state) => statePrior(state, (cause) => chanceOf.get(cause) ?? 0, a));
        const total = weights.reduce((sum, p) => sum + p, 0);
        return weights.map((p) => p / total);
      }),
    column: (finding, end, architecture, shared) =>
      memo(columns, `${id(finding)} ${end} ${id(architecture)} ${shared}`, () => {
        const also = SHARED_STATES[shared] ?? [];
        return Float64Array.from(statesAt(end, architecture), (state) =>
          likelihood(finding, also.length > 0 ? [...state, ...also] : state, architecture),
        );
      }),
    spread: (finding, end, architecture) =>
      memo(spreads, `${id(finding)} ${end} ${id(architecture)}`, () => {
        const causes: Cause[] = [...causesAt(end, architecture), 'none-present'];
        const logs = [null, ...causes].map((cause) =>
          Math.log(likelihood(finding, cause === null ? [] : [cause], architecture)),
        );
        return Math.max(...logs) - Math.min(...logs);
      }),
    silent: (complaint, end, architecture) =>
      memo(silents, `${id(complaint)} ${end} ${id(architecture)}`, () =>
        Float64Array.from(statesAt(end, architecture), (state) =>
          state.reduce((p, cause) => p * (1 - complaint.brings(cause, end)), 1),
        ),
      ),
  });
  return {
    table(end, architecture, evidence, adrift, vehicle, today, a) {
      const own = evidence.findings.filter((finding) => finding.wheelEnd === end);
      const key = [
        end,
        id(architecture),
        id(vehicle),
        id(a),
        ...own.map(id),
        '|',
        ...adrift.map(id),
        '|',
        ...evidence.complaints.map(id),
      ].join(' ');
      const known = made.get(key);
      if (known) return known;
      const pieces = piecesFor(vehicle, today, a);
      const table = build(end, architecture, own, adrift, evidence.complaints, a, pieces);
      made.set(key, table);
      return table;
    },
  };
};

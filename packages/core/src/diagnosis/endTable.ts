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

/**
 * Powers of correlated findings: of those sharing a mechanism the most telling counts in full, the others with a small
 * power, so that three reports of one open circuit are not three proofs.
 */
const powersOf = (
  findings: readonly Finding[],
  architecture: Architecture,
  causes: readonly Cause[],
  repeat: number,
): number[] => {
  const spread = findings.map((finding) => {
    const logs = [null, ...causes].map((cause) =>
      Math.log(likelihood(finding, cause === null ? [] : [cause], architecture)),
    );
    return Math.max(...logs) - Math.min(...logs);
  });
  return findings.map((finding, i) => {
    const stronger = findings.some((other, j) => {
      const [mine, its] = [spread[i] ?? 0, spread[j] ?? 0];
      return j !== i && other.mechanism === finding.mechanism && (its > mine || (its === mine && j < i));
    });
    return stronger ? repeat : 1;
  });
};

/** Chance of one finding in every state, for one set of shared causes: worked out once for each finding. */
const column = (
  finding: Finding,
  states: readonly State[],
  shared: readonly Cause[],
  architecture: Architecture,
): Float64Array =>
  Float64Array.from(states, (state) =>
    likelihood(finding, shared.length > 0 ? [...state, ...shared] : state, architecture),
  );

const build = (
  end: WheelEnd,
  architecture: Architecture,
  own: readonly Finding[],
  adrift: readonly Finding[],
  complaints: readonly Complaint[],
  vehicle: DocketVehicle,
  today: string,
  a: Assumptions,
): EndTable => {
  const states = statesAt(end, architecture);
  const causes = causesAt(end, architecture);
  const repeat = a.get('correlation.repeat');
  const chanceOf = new Map(
    ([...causes, 'none-present'] as Cause[]).map((cause) => [
      cause,
      causePrior(cause, architecture, vehicle, today, a),
    ]),
  );
  const priors = states.map((state) => statePrior(state, (cause) => chanceOf.get(cause) ?? 0, a));
  const total = priors.reduce((sum, p) => sum + p, 0);
  const sets = adrift.length > 0 ? [own, [...own, ...adrift]] : [own];
  const powers = sets.map((findings) =>
    powersOf(findings, architecture, [...causes, 'none-present'], repeat),
  );
  const weights = SHARED_STATES.map((shared) => {
    const columns = (sets.at(-1) ?? []).map((finding) => column(finding, states, shared, architecture));
    return sets.map((findings, here) =>
      Float64Array.from(states, (_, t) =>
        findings.reduce(
          (product, __, i) => {
            const power = powers[here]?.[i] ?? 1;
            const chance = columns[i]?.[t] ?? 1;
            return product * (power === 1 ? chance : chance ** power);
          },
          (priors[t] ?? 0) / total,
        ),
      ),
    );
  });
  const silent = Array.from({ length: 1 << complaints.length }, (_, subset) =>
    Float64Array.from(states, (state) =>
      complaints.reduce(
        (product, complaint, g) =>
          subset & (1 << g)
            ? state.reduce((p, cause) => p * (1 - complaint.brings(cause, end)), product)
            : product,
        1,
      ),
    ),
  );
  const dot = (x: Float64Array, y: Float64Array): number => {
    let sum = 0;
    for (let i = 0; i < x.length; i++) sum += (x[i] ?? 0) * (y[i] ?? 0);
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
      const table = build(end, architecture, own, adrift, evidence.complaints, vehicle, today, a);
      made.set(key, table);
      return table;
    },
  };
};

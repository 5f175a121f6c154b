import type { Assumptions } from '../assumptions/assumptions.ts';
import type { DocketVehicle } from '../vocabulary/docket.ts';
import type { Fault } from '../faultKinds/faultData.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { isCentre } from '../vocabulary/wheelEndWords.ts';
import type { Architecture } from './architecture.ts';
import type { Complaint, Evidence, Finding } from './finding.ts';
import { likelihood, showsNothing, soundChance } from './likelihood.ts';
import { ownOf } from './ownFindings.ts';
import { faultPrior, statePrior } from './priors.ts';
import { faultsAt, statesAt, type State } from './states.ts';

/** What may be wrong with what all wheels share. */
export const SHARED_STATES: ReadonlyArray<readonly Fault[]> = [
  [],
  ['module'],
  ['supply'],
  ['module', 'supply'],
];

/** What a wheel end weighs with nothing wrong, and with something wrong. */
export interface EndSum {
  readonly sound: number;
  readonly faulty: number;
}

/** Weights of every state of one wheel end built one way, given the facts that speak of it. */
export interface EndTable {
  readonly end: WheelEnd;
  readonly states: readonly State[];
  /** [shared][here as the corner complained of: 0 | 1][state] */
  readonly weights: readonly (readonly Float64Array[])[];
  /** [symptom subset][state]: chance that no complaint of the subset comes from this state. */
  readonly silent: readonly Float64Array[];
  /** Prior odds that something is wrong here. */
  readonly odds: number;
  /** [shared][here][subset]: weight of nothing wrong here, and of all states where something is. */
  readonly sums: readonly (readonly (readonly EndSum[])[])[];
}

/** What a table is put together from; each piece is worked out once, however many tables hold it. */
interface Pieces {
  priors(end: WheelEnd, architecture: Architecture, states: readonly State[]): Float64Array;
  /** Chance of one finding in every state, for one set of shared causes. */
  column(finding: Finding, end: WheelEnd, architecture: Architecture, shared: number): Float64Array;
  /** A column to a power, worked out once. */
  damped(column: Float64Array, power: number): Float64Array;
  /** Chance that a check shows anything abnormal in every state; one where it says nothing. */
  abnormal(finding: Finding, end: WheelEnd, architecture: Architecture, shared: number): Float64Array;
  /** Whether a finding shows anything of what all wheels share. */
  varies(finding: Finding, end: WheelEnd, architecture: Architecture): boolean;
  /** How far a finding can move any fault: the most it can tell. */
  spread(finding: Finding, end: WheelEnd, architecture: Architecture): number;
  silent(complaint: Complaint, end: WheelEnd, architecture: Architecture): Float64Array;
}

/** How a finding counts beside others that report the same mechanism at the same wheel end. */
interface Weighing {
  /** Power of its whole chance. */
  readonly whole: number;
  /** Power of the chance that a check shows anything abnormal at all; which abnormality it shows counts in full. */
  readonly abnormal: number;
}

/**
 * Of codes that share a mechanism the most telling counts in full, the others with a small power: three reports of one
 * open circuit are not three proofs. A check that repeats what a code says (or another check) could be foretold to be
 * abnormal: only that chance is damped. What it shows, such as a dip once a turn and not a dead signal, counts in full.
 */
const weigh = (
  findings: readonly Finding[],
  spreadOf: (finding: Finding) => number,
  repeat: number,
  mostHeard: number,
): Weighing[] => {
  const spread = findings.map(spreadOf);
  /** The most telling of each mechanism and kind. */
  const best = new Map<string, number>();
  const groupOf = ({ mechanism, kind }: Finding) => `${kind} ${mechanism}`;
  const isStronger = (i: number, j: number): boolean => {
    const [mine, its] = [spread[i] ?? 0, spread[j] ?? 0];
    if (its !== mine) return its > mine;
    // Equally telling: by what they say, so that the order they were written in changes nothing.
    const [my, other] = [findings[i]?.label ?? '', findings[j]?.label ?? ''];
    return other < my || (other === my && j < i);
  };
  const reported = new Set<string>();
  const groups = new Map<string, number[]>();
  findings.forEach((finding, i) => {
    const group = groupOf(finding);
    const sofar = best.get(group);
    if (sofar === undefined || isStronger(sofar, i)) best.set(group, i);
    if (finding.kind === 'present') {
      reported.add(finding.mechanism);
      groups.set(group, [...(groups.get(group) ?? []), i]);
    }
  });
  // Of many reports of one thing the most telling are heard: a reader that writes it forty times proves it no better.
  const unheard = new Set(
    [...groups.values()].flatMap((group) =>
      group.length > mostHeard ? group.sort((i, j) => (isStronger(i, j) ? 1 : -1)).slice(mostHeard) : [],
    ),
  );
  return findings.map((finding, i): Weighing => {
    if (unheard.has(i)) return { whole: 0, abnormal: 0 };
    const repeats = best.get(groupOf(finding)) !== i;
    if (finding.kind !== 'check') return { whole: repeats ? repeat : 1, abnormal: 0 };
    const foretold = !finding.isNormal && (repeats || reported.has(finding.mechanism));
    return { whole: 1, abnormal: foretold ? repeat - 1 : 0 };
  });
};

const multiply = (out: Float64Array, by: Float64Array): void => {
  for (let t = 0; t < out.length; t++) out[t] = (out[t] as number) * (by[t] as number);
};

/** Weights of every state by the facts of the wheel end: [shared][here][state]. */
type Weights = EndTable['weights'];

const weightsBy = (
  end: WheelEnd,
  architecture: Architecture,
  own: readonly Finding[],
  adrift: readonly Finding[],
  a: Assumptions,
  pieces: Pieces,
): Weights => {
  const states = statesAt(end, architecture);
  const repeat = a.get('correlation.repeat');
  const mostHeard = a.get('correlation.most-heard');
  const priors = pieces.priors(end, architecture, states);
  const sets = adrift.length > 0 ? [own, [...own, ...adrift]] : [own];
  const powers = sets.map((findings) =>
    weigh(findings, (finding) => pieces.spread(finding, end, architecture), repeat, mostHeard),
  );
  const byHere = sets.map((findings, here) => {
    const heard = findings.flatMap((finding, i) => {
      const weighing = powers[here]?.[i] as Weighing;
      return weighing.whole === 0 ? [] : [{ finding, ...weighing }];
    });
    const tell = (
      out: Float64Array,
      { finding, whole, abnormal }: (typeof heard)[number],
      shared: number,
    ) => {
      const column = pieces.column(finding, end, architecture, shared);
      multiply(out, whole === 1 ? column : pieces.damped(column, whole));
      if (abnormal === 0) return;
      multiply(out, pieces.damped(pieces.abnormal(finding, end, architecture, shared), abnormal));
    };
    // Most findings show nothing of what all wheels share: they are reckoned once, not once for each of it.
    const common = Float64Array.from(priors);
    const varying = heard.filter((each) => {
      if (pieces.varies(each.finding, end, architecture)) return true;
      tell(common, each, 0);
      return false;
    });
    return SHARED_STATES.map((_, shared) => {
      const out = Float64Array.from(common);
      for (const each of varying) tell(out, each, shared);
      return out;
    });
  });
  return SHARED_STATES.map((_, shared) => byHere.map((each) => each[shared] as Float64Array));
};

/** For every subset of the complaints the chance that none of them comes from here, in every state. */
const silentBy = (quiet: readonly Float64Array[], states: readonly State[]): Float64Array[] => {
  const silent = [new Float64Array(states.length).fill(1)];
  // Each subset is a smaller one and one complaint more.
  for (const column of quiet)
    for (const smaller of [...silent]) {
      const out = Float64Array.from(smaller);
      multiply(out, column);
      silent.push(out);
    }
  return silent;
};

/** The first state is nothing wrong. */
const sumOf = (x: Float64Array, y: Float64Array): EndSum => {
  let faulty = 0;
  for (let i = 1; i < x.length; i++) faulty += (x[i] as number) * (y[i] as number);
  return { sound: (x[0] as number) * (y[0] as number), faulty };
};

/** Chance that a complaint does not come from here, in every state. */
const silentIn = (complaint: Complaint, end: WheelEnd, architecture: Architecture): Float64Array => {
  const quiet = new Map<Fault, number>();
  const quietOf = (fault: Fault): number => {
    const known = quiet.get(fault);
    if (known !== undefined) return known;
    const chance = 1 - complaint.brings(fault, end);
    quiet.set(fault, chance);
    return chance;
  };
  return Float64Array.from(statesAt(end, architecture), (state) =>
    state.reduce((p, fault) => p * quietOf(fault), 1),
  );
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

/** A table with what else it was made from. */
interface Handy {
  readonly vehicle: DocketVehicle;
  readonly a: Assumptions;
  readonly adrift: readonly Finding[];
  readonly complaints: readonly Complaint[];
  readonly table: EndTable;
}
const isSameList = <T>(x: readonly T[], y: readonly T[]): boolean =>
  x === y || (x.length === y.length && x.every((each, i) => each === y[i]));

export const endTables = (): EndTables => {
  const ids = new WeakMap<object, number>();
  let next = 0;
  const id = (thing: object): number => {
    const known = ids.get(thing);
    if (known !== undefined) return known;
    ids.set(thing, next);
    return next++;
  };
  const weightsMade = new Map<string, Weights>();
  const silentMade = new Map<string, readonly Float64Array[]>();
  const sumsMade = new Map<string, EndTable['sums']>();
  const memo = <K, T>(kept: Map<K, T>, key: K, make: () => T): T => {
    const known = kept.get(key);
    if (known !== undefined) return known;
    const value = make();
    kept.set(key, value);
    return value;
  };
  const priors = new Map<string, Float64Array>();
  const alike = new Map<string, Float64Array[]>();
  /** Of columns with the same numbers the first one made: wheel ends that differ in nothing share it, and so their tables. */
  const oneOf = (key: string, column: Float64Array): Float64Array => {
    const sofar = memo(alike, key, (): Float64Array[] => []);
    const known = sofar.find(
      (each) => each.length === column.length && each.every((value, t) => value === column[t]),
    );
    if (!known) sofar.push(column);
    return known ?? column;
  };
  const columns: Map<number, Float64Array>[] = [];
  const abnormals: Map<number, Float64Array>[] = [];
  const spreads: Map<number, number>[] = [];
  const variations: Map<number, boolean>[] = [];
  const silents = new Map<string, Float64Array>();
  const shapes = new Map<string, number>();
  const shapeOf = new WeakMap<Finding, number>();
  /** What decides a finding's chances, as a number: findings that are alike at several wheel ends share their columns. */
  const shape = (finding: Finding): number => {
    const known = shapeOf.get(finding);
    if (known !== undefined) return known;
    const { kind, isNormal, seen, normal, jointly, says } = finding;
    const parts = [seen, normal, jointly, says].map((part) => (part ? id(part) : '-'));
    const number = memo(shapes, `${kind} ${isNormal} ${parts.join(' ')}`, () => shapes.size);
    shapeOf.set(finding, number);
    return number;
  };
  /** Kept by a finding's shape first, then by how the vehicle is built and what all wheels share: both small numbers. */
  const memoOf = <T>(
    kept: Map<number, T>[],
    [finding, end, architecture, shared]: readonly [Finding, WheelEnd, Architecture, number],
    make: () => T,
  ): T =>
    memo(
      (kept[shape(finding)] ??= new Map<number, T>()),
      id(architecture) * 8 + (isCentre(end) ? 4 : 0) + shared,
      make,
    );
  /** What all wheels share, but for what this finding does not show. */
  const shownOf = (finding: Finding, architecture: Architecture, shared: number): readonly Fault[] => {
    const also = SHARED_STATES[shared] ?? [];
    return also.length > 0 && also.every((fault) => showsNothing(finding, fault, architecture)) ? [] : also;
  };
  const powered = new WeakMap<Float64Array, Map<number, Float64Array>>();
  const piecesFor = (vehicle: DocketVehicle, today: string, a: Assumptions): Pieces => {
    const pieces: Pieces = {
      priors: (end, architecture, states) =>
        memo(priors, `${end} ${id(architecture)} ${id(vehicle)} ${id(a)}`, () => {
          const chanceOf = new Map(
            ([...faultsAt(end, architecture), 'none-present'] as Fault[]).map((cause) => [
              cause,
              faultPrior(cause, architecture, vehicle, today, a, end),
            ]),
          );
          const weights = states.map((state) => statePrior(state, (cause) => chanceOf.get(cause) ?? 0, a));
          const total = weights.reduce((sum, p) => sum + p, 0);
          return oneOf(
            `priors ${id(architecture)}`,
            Float64Array.from(weights, (p) => p / total),
          );
        }),
      column: (finding, end, architecture, shared) =>
        memoOf(columns, [finding, end, architecture, shared], () => {
          const also = shownOf(finding, architecture, shared);
          if (also.length === 0 && shared > 0) return pieces.column(finding, end, architecture, 0);
          return Float64Array.from(statesAt(end, architecture), (state) =>
            likelihood(finding, also.length > 0 ? [...state, ...also] : state, architecture),
          );
        }),
      damped: (column, power) => {
        const known = powered.get(column) ?? new Map<number, Float64Array>();
        powered.set(column, known);
        const damped = known.get(power) ?? column.map((chance) => chance ** power);
        known.set(power, damped);
        return damped;
      },
      abnormal: (finding, end, architecture, shared) =>
        memoOf(abnormals, [finding, end, architecture, shared], () => {
          const also = shownOf(finding, architecture, shared);
          if (also.length === 0 && shared > 0) return pieces.abnormal(finding, end, architecture, 0);
          const silent = finding.says && !finding.says(architecture);
          return Float64Array.from(statesAt(end, architecture), (state) =>
            silent
              ? 1
              : 1 - soundChance(finding, also.length > 0 ? [...state, ...also] : state, architecture),
          );
        }),
      varies: (finding, end, architecture) =>
        memoOf(variations, [finding, end, architecture, 0], () =>
          SHARED_STATES.some((_, shared) => shownOf(finding, architecture, shared).length > 0),
        ),
      spread: (finding, end, architecture) =>
        memoOf(spreads, [finding, end, architecture, 0], () => {
          const causes: Fault[] = [...faultsAt(end, architecture), 'none-present'];
          const logs = [null, ...causes].map((cause) =>
            Math.log(likelihood(finding, cause === null ? [] : [cause], architecture)),
          );
          return Math.max(...logs) - Math.min(...logs);
        }),
      silent: (complaint, end, architecture) =>
        memo(silents, `${id(complaint)} ${end} ${id(architecture)}`, () =>
          oneOf(`silent ${id(architecture)}`, silentIn(complaint, end, architecture)),
        ),
    };
    return pieces;
  };
  const likenesses = new WeakMap<readonly Finding[], string>();
  /** What decides how findings weigh together: their shapes, and their order by label, which settles a tie. */
  const likeness = (findings: readonly Finding[]): string => {
    const known = likenesses.get(findings);
    if (known !== undefined) return known;
    const order = findings
      .map((_, i) => i)
      .sort((i, j) => ((findings[i]?.label ?? '') < (findings[j]?.label ?? '') ? -1 : 1));
    const text = `${findings.map((each) => `${shape(each)} ${each.mechanism}`).join(',')}/${order.join(',')}`;
    likenesses.set(findings, text);
    return text;
  };
  /** Tables by the very list of findings they were made from: of a fact left out most wheel ends keep theirs. */
  const handy = new WeakMap<readonly Finding[], Map<WheelEnd, Map<Architecture, Handy>>>();
  return {
    table(end, architecture, evidence, adrift, vehicle, today, a) {
      const own = ownOf(evidence, end);
      let ofOwn = handy.get(own);
      if (!ofOwn) handy.set(own, (ofOwn = new Map<WheelEnd, Map<Architecture, Handy>>()));
      const ofEnd = memo(ofOwn, end, () => new Map<Architecture, Handy>());
      const near = ofEnd.get(architecture);
      if (
        near?.vehicle === vehicle &&
        near.a === a &&
        isSameList(near.adrift, adrift) &&
        isSameList(near.complaints, evidence.complaints)
      )
        return near.table;
      const pieces = piecesFor(vehicle, today, a);
      const quiet = evidence.complaints.map((complaint) => pieces.silent(complaint, end, architecture));
      const states = statesAt(end, architecture);
      const priors = pieces.priors(end, architecture, states);
      const factsKey = [
        id(architecture),
        isCentre(end),
        id(priors),
        id(a),
        // Adrift, they weigh among those of the wheel: then by their order among them.
        likeness(adrift.length > 0 ? [...own, ...adrift] : own),
        adrift.length,
      ].join(' ');
      const weights = memo(weightsMade, factsKey, () => weightsBy(end, architecture, own, adrift, a, pieces));
      const quietKey = `${states.length} ${quiet.map(id).join(' ')}`;
      const silent = memo(silentMade, quietKey, () => silentBy(quiet, states));
      const table = {
        end,
        states,
        weights,
        silent,
        odds: (1 - (priors[0] ?? 1)) / (priors[0] ?? 1),
        sums: memo(sumsMade, `${id(weights)} ${id(silent)}`, () =>
          weights.map((each) => each.map((w) => silent.map((s) => sumOf(w, s)))),
        ),
      };
      ofEnd.set(architecture, { vehicle, a, adrift, complaints: evidence.complaints, table });
      return table;
    },
  };
};

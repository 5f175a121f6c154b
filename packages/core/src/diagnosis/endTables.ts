import type { Assumptions } from '../assumptions/assumptions.ts';
import type { DocketVehicle } from '../vocabulary/docket.ts';
import type { Fault } from '../faultKinds/faultData.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { isCentre } from '../vocabulary/wheelEndWords.ts';
import type { Architecture } from './architecture.ts';
import { SHARED_STATES, type EndTable } from './endTable.ts';
import { silentBy, silentIn, sumOf, weightsBy, type Pieces, type Weights } from './endWeights.ts';
import type { Complaint, Evidence, Finding } from './finding.ts';
import { likelihood, showsNothing, soundChance } from './likelihood.ts';
import { ownOf } from './ownFindings.ts';
import { faultPrior, statePrior } from './priors.ts';
import { faultsAt, statesAt } from './states.ts';

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

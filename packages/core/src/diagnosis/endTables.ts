import type { Assumptions } from '../assumptions/assumptions.ts';
import type { DocketVehicle } from '../vocabulary/docket.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import type { Sensing } from './architecture.ts';
import type { EndTable } from './endTable.ts';
import { chancesIn, silentBy, silentIn, sumsOf, toldBy, weightsOf, type Weights } from './endWeights.ts';
import type { Answering, Complaint, Evidence, Finding } from './finding.ts';
import { findingShapes } from './findingShapes.ts';
import { memo, numberedThings } from './memo.ts';
import { ownOf } from './ownFindings.ts';
import { faultPrior, lineOf, statePrior } from './priors.ts';
import { singlesOf, statesAt, type State } from './states.ts';
import { tellingOf, type Telling } from './telling.ts';

/** Tables already worked out, found again by what they were worked out from. */
export interface EndTables {
  table(
    end: WheelEnd,
    sensing: Sensing,
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
  const id = numberedThings();
  const { shapesOf, likeness } = findingShapes(id);
  const toldMade = new Map<string, Weights>();
  const weightsMade = new Map<string, Weights>();
  const silentMade = new Map<string, readonly Float64Array[]>();
  const sumsMade = new Map<string, EndTable['sums']>();
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
  const silents = new Map<string, Float64Array>();
  const tellings = new Map<string, Telling[]>();
  /** What findings tell of these states, to one kind of sensor: by their shapes. */
  const tellingsFor = (
    states: readonly State[],
    answering: Answering,
  ): ((findings: readonly Finding[]) => readonly Telling[]) => {
    const ofEither = memo(tellings, `${id(states)}`, (): Telling[] => []);
    const ofOne = memo(tellings, `${id(states)} ${answering.sensor}`, (): Telling[] => []);
    return (findings) =>
      shapesOf(findings).map((each, i) => {
        const kept = each.ofEither ? ofEither : ofOne;
        return (kept[each.number] ??= tellingOf(findings[i] as Finding, states, answering));
      });
  };
  const priorsOf = (
    end: WheelEnd,
    sensing: Sensing,
    states: readonly State[],
    [vehicle, today, a]: readonly [DocketVehicle, string, Assumptions],
  ): Float64Array =>
    memo(priors, `${lineOf(end)} ${id(states)} ${id(sensing)} ${id(vehicle)} ${id(a)}`, () => {
      const chanceOf = new Map(
        singlesOf(states).flatMap(([cause]) =>
          cause === undefined ? [] : [[cause, faultPrior(cause, sensing, vehicle, today, a, end)] as const],
        ),
      );
      const weights = chancesIn(states, (state) => statePrior(state, (cause) => chanceOf.get(cause) ?? 0, a));
      const total = weights.reduce((sum, p) => sum + p, 0);
      return oneOf(
        `priors ${id(states)}`,
        weights.map((p) => p / total),
      );
    });
  const silentOf = (complaint: Complaint, end: WheelEnd, states: readonly State[]): Float64Array =>
    memo(silents, `${id(complaint)} ${end} ${id(states)}`, () =>
      oneOf(`silent ${id(states)}`, silentIn(complaint, end, states)),
    );
  const joined = new Map<readonly Finding[], Map<readonly Finding[], readonly Finding[]>>();
  /** The findings of a wheel end; and the same with those adrift, where there are any: adrift, they weigh among its own. */
  const setsOf = (own: readonly Finding[], adrift: readonly Finding[]): ReadonlyArray<readonly Finding[]> => {
    if (adrift.length === 0) return [own];
    let withOwn = joined.get(own);
    if (!withOwn) joined.set(own, (withOwn = new Map<readonly Finding[], readonly Finding[]>()));
    return [own, memo(withOwn, adrift, () => [...own, ...adrift])];
  };
  /** Tables by the very list of findings they were made from: of a fact left out most wheel ends keep theirs. */
  const handy = new Map<readonly Finding[], Map<WheelEnd, Map<Sensing, Handy>>>();
  return {
    table(end, sensing, evidence, adrift, vehicle, today, a) {
      const own = ownOf(evidence, end);
      let ofOwn = handy.get(own);
      if (!ofOwn) handy.set(own, (ofOwn = new Map<WheelEnd, Map<Sensing, Handy>>()));
      const ofEnd = memo(ofOwn, end, () => new Map<Sensing, Handy>());
      const near = ofEnd.get(sensing);
      if (
        near?.vehicle === vehicle &&
        near.a === a &&
        isSameList(near.adrift, adrift) &&
        isSameList(near.complaints, evidence.complaints)
      )
        return near.table;
      const states = statesAt(end, sensing);
      const quiet = evidence.complaints.map((complaint) => silentOf(complaint, end, states));
      const priors = priorsOf(end, sensing, states, [vehicle, today, a]);
      const sets = setsOf(own, adrift);
      const told = memo(
        toldMade,
        `${id(states)} ${sensing.sensor} ${id(a)} ${sets.map(likeness).join(' ')} ${adrift.length}`,
        () => toldBy(states.length, sets, a, tellingsFor(states, sensing)),
      );
      const weights = memo(weightsMade, `${id(priors)} ${id(told)}`, () => weightsOf(priors, told));
      const quietKey = `${states.length} ${quiet.map(id).join(' ')}`;
      const silent = memo(silentMade, quietKey, () => silentBy(quiet, states));
      const table = {
        end,
        states,
        weights,
        silent,
        odds: (1 - (priors[0] ?? 1)) / (priors[0] ?? 1),
        sums: memo(sumsMade, `${id(weights)} ${id(silent)}`, () => sumsOf(weights, silent)),
      };
      ofEnd.set(sensing, { vehicle, a, adrift, complaints: evidence.complaints, table });
      return table;
    },
  };
};

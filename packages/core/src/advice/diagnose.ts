import type { Assumptions } from '../assumptions/assumptions.ts';
import { readCodes, type CodeContext, type UnderstoodCode } from '../codes/readCodes.ts';
import {
  architectureGroups,
  centreAxlesOf,
  groupAt,
  type ArchitectureGroup,
} from '../diagnosis/architecture.ts';
import { endTables, type EndTables } from '../diagnosis/endTables.ts';
import type { EvidenceContext } from '../diagnosis/evidence/context.ts';
import type { Evidence } from '../diagnosis/finding.ts';
import { gatherEvidence } from '../diagnosis/evidence/gatherEvidence.ts';
import { posterior, type EndPosterior, type Posterior } from '../diagnosis/posterior.ts';
import { sensedEnds, type SensedEnds } from '../diagnosis/sensedEnd.ts';
import { ohmRangeAt } from '../fitment/ohmRange.ts';
import { dangersOf, worstWheel, type Dangers } from '../safety/dangers.ts';
import type { PositionContext } from '../positions/placePhrase.ts';
import type { Docket, DocketVehicle } from '../vocabulary/docket.ts';
import { namedWheelEnds, type NamedWheelEnd } from '../vocabulary/namedWheelEnds.ts';
import { axleOf, type WheelNames } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { BETTER_THAN_EVEN, cornerFacts, type CornerFacts } from './corner.ts';
import { fillVehicle } from './fillVehicle.ts';
import { assumptionsFor, type Knowledge } from './knowledge.ts';

/** Axles when nothing says: road cars and vans have two. */
const USUAL_AXLES = 2;
/** Facts that were found at a wheel end, not words or the vehicle's own list of them. */
const OF_A_FACT = /^(codes|checks|history)\[/;
/** The last axle anything on the docket names. */
const namedAxles = (named: readonly NamedWheelEnd[]): number =>
  Math.max(0, ...named.map(({ wheelEnd }) => axleOf(wheelEnd)));

/** What is wrong and where, as far as the facts say: the half of advising that no price can change. */
export interface Diagnosed {
  readonly a: Assumptions;
  /** The docket with what the catalogue knows of the vehicle. */
  readonly docket: Docket;
  readonly vehicle: DocketVehicle;
  readonly axles: number;
  readonly codes: readonly UnderstoodCode[];
  readonly corner: CornerFacts;
  readonly groups: readonly ArchitectureGroup[];
  readonly ends: SensedEnds;
  readonly evidenceContext: EvidenceContext;
  readonly evidence: Evidence;
  readonly whole: Posterior;
  readonly memo: EndTables;
  readonly byOdds: readonly EndPosterior[];
  /** Better than even odds, and no facts that disagree on it; else null. */
  readonly wheelEnd: WheelEnd | null;
  /** What forbids driving, whatever is wrong with the lamp. */
  readonly dangers: Dangers;
  /** The worst of the wheels that are not safe to drive on, where it is named. */
  readonly loose: WheelEnd | null;
  /** How this vehicle's wheel ends are named. */
  readonly names: WheelNames;
}

/** Reads the facts of a docket into a posterior over what is wrong. */
export const diagnose = (docket: Docket, knowledge: Knowledge): Diagnosed => {
  const a = assumptionsFor(docket, knowledge);
  const vehicle = fillVehicle(docket.vehicle ?? {}, knowledge.slice.vehicle);
  const everywhere = namedWheelEnds(docket);
  const axles = vehicle.axles ?? Math.max(USUAL_AXLES, namedAxles(everywhere));
  const context: PositionContext = {
    steeringSide: vehicle.steeringSide ?? null,
    trafficSide: vehicle.trafficSide ?? null,
    axles,
    trailer: vehicle.driveline === 'trailer',
  };
  const said = (docket.positions ?? []).filter((p) => !p.role).flatMap((p) => p.wheelEnds);
  const named = [docket.wheelEnd, ...said].filter((end) => end != null);
  // A fact of a sender tells that there is one; what was said of a place long past or denied does not.
  const centreAxles = centreAxlesOf(vehicle, [
    ...named,
    ...everywhere.filter(({ path }) => OF_A_FACT.test(path)).map(({ wheelEnd }) => wheelEnd),
  ]);
  const groups = architectureGroups(vehicle, axles, centreAxles, a);
  const ends = sensedEnds(groups, axles);
  const codeContext: CodeContext = {
    ...context,
    dictionary: knowledge.slice.vehicle?.dictionary ?? null,
    entries: knowledge.dictionary,
    centreAxles,
    namedCorner: named.length === 1 ? (named[0] ?? null) : null,
  };
  const codes = readCodes(docket.codes ?? [], codeContext);
  const names: WheelNames = { axles, driveline: vehicle.driveline };
  const corner = cornerFacts(docket, codes, context, ends);
  const filled: Docket = {
    ...docket,
    vehicle,
    wheelEnd: corner.named,
    // Said in words what the customer is: prices and hours follow.
    ...(docket.customer?.kind == null && (docket.wants ?? []).includes('self')
      ? { customer: { ...docket.customer, kind: 'self' as const } }
      : {}),
  };

  const evidenceContext: EvidenceContext = {
    axles,
    names,
    ends,
    a,
    sensorAt: (end) => groupAt(groups, end)?.known.sensor ?? null,
    ohmRange: (end) => ohmRangeAt(knowledge.slice, end, vehicle),
  };
  const evidence = gatherEvidence(filled, codes, corner.settled, evidenceContext);
  const memo = endTables();
  const whole = posterior(groups, evidence, vehicle, knowledge.today, a, memo);

  const byOdds = [...whole.ends].sort((x, y) => y.odd - x.odd);
  const first = byOdds[0];
  const wheelEnd: WheelEnd | null =
    first && first.odd > BETTER_THAN_EVEN && corner.conflicts.length === 0 ? first.wheelEnd : null;
  // A loose wheel is offered its hub even while the odds of the lamp's cause are open.
  const dangers = dangersOf(
    filled,
    corner.named,
    (end) => whole.ends.find(({ wheelEnd: each }) => each === end)?.odd ?? 0,
    a.get('safety.bolts-days'),
  );
  const loose = worstWheel(dangers);
  return {
    a,
    // Whatever was agreed for the wait, nobody drives on a loose wheel.
    docket: dangers.stop ? { ...filled, options: { ...filled.options, meanwhile: 'parked' } } : filled,
    vehicle,
    axles,
    codes,
    corner,
    groups,
    ends,
    evidenceContext,
    evidence,
    whole,
    memo,
    byOdds,
    wheelEnd,
    dangers,
    loose,
    names,
  };
};

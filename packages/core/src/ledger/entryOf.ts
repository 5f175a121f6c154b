import type { Assumptions } from '../assumptions/assumptions.ts';
import { assumptionsFor, judgedOnly, type Knowledge } from '../advice/knowledge.ts';
import { diagnose, type Diagnosed } from '../advice/diagnose.ts';
import { rankCauses } from '../advice/rankCauses.ts';
import { CHECK_TABLES } from '../checkKinds/checkData.ts';
import { readCheck } from '../checks/readCheck.ts';
import { seizureChance, drawsSensor } from '../offers/seizure.ts';
import { ageInYears } from '../diagnosis/priors.ts';
import type { Advice } from '../vocabulary/advice.ts';
import { mainLine, partsOf } from '../vocabulary/chosenParts.ts';
import type { Docket, Outcome } from '../vocabulary/docket.ts';
import type { LedgerEntry, SeizureTrial } from '../vocabulary/ledgerEntry.ts';
import { curedBy, knownTruth } from './knownTruth.ts';
import { movedAt } from './moves.ts';
import { placeOf, sharesOf } from './places.ts';

/** What the shop knows of a sale beside the docket. */
export interface SaleFacts {
  readonly docketNumber: number;
  readonly soldOn: string;
  readonly closedOn: string;
  /** Minutes from opening to taking. */
  readonly minutes: number | null;
  /** The advice as it was given; null where it is not known. */
  readonly given: Advice | null;
  /** What learning had put in place of judgement that day. */
  readonly learnedThen: Readonly<Record<string, number>>;
}

const followedBy = (docket: Docket, given: Advice | null): boolean | null => {
  if (!given || !docket.chosen) return null;
  const { action, part, wheelEnd } = given.verdict;
  return action === 'sell' && part === docket.chosen.part && wheelEnd === docket.chosen.wheelEnd;
};

const trialOf = (
  { docket, groups }: Diagnosed,
  outcome: Outcome,
  offered: number | null,
  today: string,
  a: Assumptions,
): SeizureTrial | null => {
  const { chosen } = docket;
  if (!chosen || outcome.snapped == null || docket.options?.seizure?.old) return null;
  const architecture = groups.find(({ ends }) => ends.some((end) => end === chosen.wheelEnd))?.options[0]
    ?.architecture;
  if (!architecture || !drawsSensor(chosen.part, architecture)) return null;
  const judged = seizureChance(chosen.part, {
    wheelEnd: chosen.wheelEnd,
    architecture,
    docket,
    today,
    a,
  });
  return {
    knuckle: docket.vehicle?.knuckle ?? null,
    salt: docket.vehicle?.saltExposure ?? null,
    years: Math.min(100, ageInYears(docket.vehicle?.buildDate, today) ?? a.get('age.typical')),
    said: offered ?? judged,
    judged,
    snapped: outcome.snapped,
  };
};

/**
 * A closed docket as the ledger counts it. The day’s knowledge prices nothing here: only judgement without learning is
 * asked what was to be expected before anything was found.
 */
export const entryOf = (
  docket: Docket,
  outcome: Outcome,
  facts: SaleFacts,
  knowledge: Knowledge,
): LedgerEntry => {
  const judging = judgedOnly({ ...knowledge, today: facts.soldOn });
  const a = assumptionsFor(docket, judging);
  const { chosen } = docket;
  const { given } = facts;
  const bare: Docket = { format: 'hardy-spoke/docket', version: 1, vehicle: docket.vehicle ?? null };
  const whole = diagnose(docket, judging);
  const wheelEnd = chosen?.wheelEnd ?? given?.wheelEnd ?? docket.wheelEnd ?? null;
  const causes = sharesOf(given?.causes ?? rankCauses(whole.whole));
  const parts = chosen ? partsOf(chosen).map(({ part }) => part) : [];
  const fitted = chosen ? { parts, place: placeOf(chosen.wheelEnd) } : null;
  const cured = curedBy(outcome);
  const sensorAt = (holds: (end: string) => boolean) =>
    given?.vehicle.wheelEnds.find((end) => holds(end.wheelEnd) && end.sensor)?.sensor ?? null;
  const build = sensorAt((end) => end === wheelEnd);
  const line = docket.vehicle?.catalogueId ?? null;
  const builds = {
    front: sensorAt((end) => placeOf(end) === 'front'),
    rear: sensorAt((end) => placeOf(end) === 'rear'),
  };
  // What was learned that day was kept for this very line.
  const movedThen = movedAt(({ key }) => (facts.learnedThen[key] ?? a.find(key, 1)) / a.find(key, 1));
  const said = causes.map((share) => {
    const moved = movedThen(share, { builds, line });
    return moved === 1 ? share : { ...share, moved };
  });
  const offer = given?.offers.find(
    ({ part, wheelEnd: at }) => part === chosen?.part && at === chosen?.wheelEnd,
  );
  const main = chosen && mainLine(chosen);
  const back = (docket.returned ?? []).filter(({ partNumber }) => partNumber === main?.partNumber);
  const pieces = (list: typeof back) => list.reduce((sum, { quantity }) => sum + quantity, 0);
  const claimed = (docket.claims ?? []).filter(
    ({ partNumber, fromBox }) => partNumber === main?.partNumber && fromBox,
  );
  const known =
    (docket.vehicle?.catalogueId &&
      knowledge.slice.parts.find(({ number }) => number === main?.partNumber)) ||
    null;
  const cost = known?.costCents ?? null;
  // What was bad from the box was exchanged; what came back otherwise earned nothing.
  const kept =
    outcome.result === 'returned-unused'
      ? 0
      : Math.max(0, (main?.quantity ?? 0) - pieces(back.filter(({ bad }) => bad !== true)));
  return {
    docket: facts.docketNumber,
    soldOn: facts.soldOn,
    closedOn: facts.closedOn,
    line,
    lineName: docket.vehicle?.name ?? given?.vehicle.name ?? null,
    builds,
    wheelEnd,
    parts,
    partNumber: main?.partNumber ?? chosen?.partNumber ?? null,
    tier: main?.tier ?? null,
    supplier: known?.supplier ?? null,
    batch: claimed.find(({ batch }) => batch)?.batch ?? null,
    desk: docket.desk ?? null,
    said: given
      ? {
          action: given.verdict.action,
          part: given.verdict.part,
          causes: said,
          cures: chosen?.cures ?? 0,
          hours: offer?.labourHours ?? null,
          money: offer ? { mean: offer.allIn.mean, low: offer.allIn.p10, high: offer.allIn.p90 } : null,
        }
      : null,
    followed: followedBy(docket, given),
    expected: sharesOf(rankCauses(diagnose(bare, judging).whole)),
    truth: knownTruth(said, outcome, fitted, a).filter(({ p }) => p > 0),
    weight: outcome.result === 'never-heard' ? a.get('learning.never-heard') : 1,
    checks: (docket.checks ?? []).flatMap((check) => {
      if ((check.wheelEnd ?? wheelEnd) !== wheelEnd || check.check === 'swap') return [];
      const reading = readCheck(check, build ?? 'active', a);
      return reading && CHECK_TABLES[reading.table]?.nothing[reading.result] !== undefined
        ? [{ table: reading.table, result: reading.result }]
        : [];
    }),
    result: outcome.result,
    // What came back was not the first time: it counts where it began.
    firstTime: docket.comebackOf != null ? null : (cured ?? (outcome.result === 'partly' ? false : null)),
    cause: outcome.trueCause ?? null,
    truePlace: outcome.trueWheelEnd ? placeOf(outcome.trueWheelEnd) : null,
    told: outcome.trueCause ? (outcome.knownBy ?? 'told') : null,
    at: outcome.place ?? null,
    comeback: outcome.result === 'came-back' || outcome.backOn != null,
    returned: pieces(back),
    badFromBox: Math.max(
      pieces(back.filter(({ bad }) => bad === true)),
      claimed.reduce((sum, { quantity }) => sum + quantity, 0),
    ),
    sold: main?.quantity ?? 0,
    seizure: trialOf(whole, outcome, offer?.seizure ?? null, facts.soldOn, a),
    hours: outcome.hours ?? null,
    spentCents: outcome.spentCents ?? null,
    marginCents: main && cost !== null ? (main.unitCents - cost) * kept : null,
    minutes: facts.minutes,
  };
};

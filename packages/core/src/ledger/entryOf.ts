import type { Assumptions } from '../assumptions/assumptions.ts';
import { assumptionsFor, judgedOnly, type Knowledge } from '../advice/knowledge.ts';
import { diagnose } from '../advice/diagnose.ts';
import { rankCauses } from '../advice/rankCauses.ts';
import { CHECK_TABLES } from '../checkKinds/checkData.ts';
import { readCheck } from '../checks/readCheck.ts';
import { seizureChance, drawsSensor } from '../offers/seizure.ts';
import { ageInYears } from '../diagnosis/priors.ts';
import type { Advice } from '../vocabulary/advice.ts';
import { partsOf } from '../vocabulary/chosenParts.ts';
import type { Docket, Outcome } from '../vocabulary/docket.ts';
import type { CauseShare, LedgerEntry, SeizureTrial } from '../vocabulary/ledgerEntry.ts';
import { curedBy, knownTruth } from './knownTruth.ts';
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

/** By how much learning had moved a cause at a place, against judgement. */
const movedBy = (
  { cause, place }: CauseShare,
  then: Readonly<Record<string, number>>,
  judged: Assumptions,
): number => {
  const fault = cause === 'wiring' ? 'joint' : cause === 'mismatched-part' ? 'wrong-sensor' : cause;
  const prior = then[`prior.${fault}`];
  return (
    (prior === undefined ? 1 : prior / judged.find(`prior.${fault}`, prior)) *
    (then[`line.${place}.${fault}`] ?? 1)
  );
};

const followedBy = (docket: Docket, given: Advice | null): boolean | null => {
  if (!given || !docket.chosen) return null;
  const { action, part, wheelEnd } = given.verdict;
  return action === 'sell' && part === docket.chosen.part && wheelEnd === docket.chosen.wheelEnd;
};

const trialOf = (
  docket: Docket,
  outcome: Outcome,
  offered: number | null,
  knowledge: Knowledge,
  a: Assumptions,
): SeizureTrial | null => {
  const { chosen } = docket;
  if (!chosen || outcome.snapped == null || docket.options?.seizure?.old) return null;
  const d = diagnose(docket, knowledge);
  const architecture = d.groups.find(({ ends }) => ends.some((end) => end === chosen.wheelEnd))?.options[0]
    ?.architecture;
  if (!architecture || !drawsSensor(chosen.part, architecture)) return null;
  const judged = seizureChance(chosen.part, {
    wheelEnd: chosen.wheelEnd,
    architecture,
    docket: d.docket,
    today: knowledge.today,
    a,
  });
  return {
    knuckle: d.docket.vehicle?.knuckle ?? null,
    salt: d.docket.vehicle?.saltExposure ?? null,
    years: Math.min(100, ageInYears(d.docket.vehicle?.buildDate, knowledge.today) ?? a.get('age.typical')),
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
  const d = diagnose(bare, judging);
  const full = given ? null : diagnose(docket, judging);
  const wheelEnd = chosen?.wheelEnd ?? given?.wheelEnd ?? docket.wheelEnd ?? null;
  const causes = sharesOf(given?.causes ?? (full ? rankCauses(full.whole) : []));
  const said = causes.map((share) => {
    const moved = movedBy(share, facts.learnedThen, a);
    return moved === 1 ? share : { ...share, moved };
  });
  const parts = chosen ? partsOf(chosen).map(({ part }) => part) : [];
  const fitted = chosen ? { parts, place: placeOf(chosen.wheelEnd) } : null;
  const cured = curedBy(outcome);
  const sensorAt = (holds: (end: string) => boolean) =>
    given?.vehicle.wheelEnds.find((end) => holds(end.wheelEnd) && end.sensor)?.sensor ?? null;
  const build = sensorAt((end) => end === wheelEnd);
  const offer = given?.offers.find(
    ({ part, wheelEnd: at }) => part === chosen?.part && at === chosen?.wheelEnd,
  );
  const main = chosen?.lines?.find(({ companion }) => companion !== true) ?? null;
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
  return {
    docket: facts.docketNumber,
    soldOn: facts.soldOn,
    closedOn: facts.closedOn,
    line: docket.vehicle?.catalogueId ?? null,
    lineName: docket.vehicle?.name ?? given?.vehicle.name ?? null,
    builds: {
      front: sensorAt((end) => placeOf(end) === 'front'),
      rear: sensorAt((end) => placeOf(end) === 'rear'),
    },
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
    expected: sharesOf(rankCauses(d.whole)),
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
    firstTime:
      cured === null ? (outcome.result === 'partly' ? false : null) : cured && docket.comebackOf == null,
    cause: outcome.trueCause ?? null,
    told: outcome.trueCause ? (outcome.knownBy ?? 'told') : null,
    at: outcome.place ?? null,
    comeback: outcome.result === 'came-back' || outcome.backOn != null,
    returned: pieces(back),
    badFromBox: Math.max(
      pieces(back.filter(({ bad }) => bad === true)),
      claimed.reduce((sum, { quantity }) => sum + quantity, 0),
    ),
    sold: main?.quantity ?? 0,
    seizure: trialOf(docket, outcome, offer?.seizure ?? null, judging, a),
    hours: outcome.hours ?? null,
    spentCents: outcome.spentCents ?? null,
    marginCents:
      main && cost !== null && (outcome.result === 'returned-unused' || pieces(back) >= main.quantity)
        ? 0
        : main && cost !== null
          ? (main.unitCents - cost) * main.quantity
          : null,
    minutes: facts.minutes,
  };
};

import type { Assumptions } from '../assumptions/assumptions.ts';
import { readCodes, type CodeContext, type UnderstoodCode } from '../codes/readCodes.ts';
import {
  architectureGroups,
  centreAxlesOf,
  hasRing,
  type Architecture,
  type ArchitectureGroup,
} from '../diagnosis/architecture.ts';
import { evidenceWithout, explainFacts, uses, type Removable } from '../diagnosis/explain.ts';
import { endTables } from '../diagnosis/endTable.ts';
import { gatherEvidence } from '../diagnosis/gatherEvidence.ts';
import { posterior, type EndPosterior, type Posterior } from '../diagnosis/posterior.ts';
import { cautionsFor, looseWheelEnd } from '../handover/cautionsFor.ts';
import { handOverFor } from '../handover/handOver.ts';
import { ohmRangeAt } from '../fitment/ohmRange.ts';
import { partsAt } from '../offers/fixes.ts';
import { outlayOf } from '../offers/outlay.ts';
import { buildPlan, type BuiltPlan } from '../plan/buildPlan.ts';
import type { PositionContext } from '../positions/placePhrase.ts';
import type { Advice, Offer, RankedCause } from '../vocabulary/advice.ts';
import { PART_CLASSES } from '../vocabulary/wordLists.ts';
import type { Cause, PartClass } from '../vocabulary/words.ts';
import type { Docket, School, DocketVehicle } from '../vocabulary/docket.ts';
import { wheelEndInWords } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { BETTER_THAN_EVEN, cornerFacts, type CornerFacts } from './corner.ts';
import { fillVehicle } from './fillVehicle.ts';
import { assumptionsFor, type Knowledge } from './knowledge.ts';
import { questionsFor } from './questions.ts';
import { fitQuestions } from './fitQuestions.ts';
import { readingQuestions } from './readingQuestions.ts';
import { decide } from './verdict.ts';

/** Axles when nothing says: road cars and vans have two. */
const USUAL_AXLES = 2;
/** Causes rarer than this are left out of the list. */
const WORTH_LISTING = 0.0005;
/** Causes rarer than this are not named when a fact's effect is told. */
const WORTH_EXPLAINING = 0.04;

const namedAxles = (docket: Docket): number =>
  Math.max(
    0,
    ...(JSON.stringify([docket.codes, docket.checks, docket.history, docket.wheelEnd, docket.positions])
      .match(/(?<="A)[1-9](?=[LRC]")/g)
      ?.map(Number) ?? []),
  );

const rank = (whole: Posterior): RankedCause[] => {
  const out: RankedCause[] = [];
  for (const end of whole.ends) {
    const causes = new Map<Cause, number>();
    for (const belief of end.beliefs)
      for (const cause of belief.state) causes.set(cause, (causes.get(cause) ?? 0) + belief.p);
    for (const [cause, probability] of causes)
      out.push({ cause, wheelEnd: end.wheelEnd, probability: Math.min(1, probability) });
  }
  for (const [cause, probability] of whole.shared)
    out.push({ cause, wheelEnd: null, probability: Math.min(1, probability) });
  return out.sort((x, y) => y.probability - x.probability);
};

/** The likeliest way the wheel end is built. */
const likelyArchitecture = (end: EndPosterior, group: ArchitectureGroup): Architecture => {
  const weight = (architecture: Architecture) =>
    end.beliefs.reduce((sum, b) => (b.architecture === architecture ? sum + b.p : sum), 0);
  const options = group.options.map(({ architecture }) => ({ architecture, p: weight(architecture) }));
  return options.reduce((best, option) => (option.p > best.p ? option : best)).architecture;
};

const partsOffered = (end: EndPosterior, least: number): PartClass[] =>
  PART_CLASSES.filter(
    (part) =>
      end.beliefs.reduce(
        (sum, b) => (partsAt(end.wheelEnd, b.architecture).includes(part) ? sum + b.p : sum),
        0,
      ) >= least,
  );

const removables = (
  docket: Docket,
  vehicle: DocketVehicle,
  corner: CornerFacts,
  codes: readonly UnderstoodCode[],
  recompute: (path: string, vehicle: DocketVehicle) => Posterior | null,
): Removable[] => {
  const facts: Array<Omit<Removable, 'without'> & { vehicle?: DocketVehicle }> = [];
  if (vehicle.saltExposure)
    facts.push({
      path: 'vehicle.saltExposure',
      label: `road salt: ${vehicle.saltExposure}`,
      wheelEnd: null,
      vehicle: { ...vehicle, saltExposure: null },
    });
  if (vehicle.buildDate)
    facts.push({
      path: 'vehicle.buildDate',
      label: `built ${vehicle.buildDate}`,
      wheelEnd: null,
      vehicle: { ...vehicle, buildDate: null },
    });
  (docket.symptoms ?? []).forEach((_, i) =>
    facts.push({ path: `symptoms[${i}]`, label: '', wheelEnd: null }),
  );
  codes.forEach((code, i) =>
    facts.push({ path: `codes[${i}]`, label: code.code, wheelEnd: code.wheelEnds[0] ?? null }),
  );
  (docket.history ?? []).forEach((event, i) =>
    facts.push({ path: `history[${i}]`, label: event.event, wheelEnd: event.wheelEnd ?? null }),
  );
  (docket.checks ?? []).forEach((check, i) =>
    facts.push({ path: `checks[${i}]`, label: check.check, wheelEnd: check.wheelEnd ?? null }),
  );
  if (corner.named) facts.push({ path: 'wheelEnd', label: 'corner named', wheelEnd: corner.named });
  if (Object.keys(vehicle.tyres ?? {}).length > 0)
    facts.push({ path: 'vehicle.tyres', label: 'tyre sizes', wheelEnd: null });
  return facts.map((fact) => ({
    path: fact.path,
    label: fact.label,
    wheelEnd: fact.wheelEnd,
    without: () => recompute(fact.path, fact.vehicle ?? vehicle),
  }));
};

const sensingInWords = (group: ArchitectureGroup): string => {
  const { known } = group;
  const parts = [
    known.sensor ? `${known.sensor} sensor` : null,
    known.mounting === 'in-hub' ? 'built into the hub' : known.mounting,
    known.target?.replace(/-/g, ' '),
    known.target && known.target !== 'encoder-in-bearing' && known.ringSoldAlone != null
      ? known.ringSoldAlone
        ? 'ring sold alone'
        : 'ring not sold alone'
      : null,
  ].filter(Boolean);
  return parts.length > 0 ? parts.join(', ') : 'not known';
};

const offersAt = (end: EndPosterior, group: ArchitectureGroup, plan: BuiltPlan, axles: number): Offer[] =>
  plan.priced.map(({ outlay, cures, allIn, comeback }) => {
    const because = [
      `cures it in ${Math.round(cures * 100)} of 100 such cases`,
      ...(outlay.seizure !== null && outlay.seizure >= 0.05
        ? [`the old sensor snaps in ${Math.round(outlay.seizure * 100)} of 100`]
        : []),
      ...(outlay.waitDays > 0
        ? [`not on the shelf: ${outlay.waitDays} ${outlay.waitDays === 1 ? 'day' : 'days'}`]
        : []),
      ...(outlay.chosen
        ? []
        : ['priced from the price book: no part of the catalogue is tied to this vehicle']),
      ...(group.options.length > 1 &&
      !group.options.every(({ architecture }) => partsAt(end.wheelEnd, architecture).includes(outlay.part))
        ? [`only if this vehicle has it: ${wheelEndInWords(end.wheelEnd, axles)} is not known for certain`]
        : []),
    ];
    return {
      part: outlay.part,
      wheelEnd: end.wheelEnd,
      cures,
      price: outlay.price,
      labourHours: outlay.labourHours,
      allIn,
      costs: [
        { kind: 'parts' as const, label: 'part', amount: outlay.price },
        { kind: 'companions' as const, label: 'bolts, clips, seals, grease', amount: outlay.companions },
        { kind: 'labour' as const, label: `labour ${outlay.labourHours} h`, amount: outlay.labour },
        { kind: 'seizure' as const, label: 'seized sensor, by its chance', amount: outlay.seizureCost },
        { kind: 'waiting' as const, label: 'waiting for the part', amount: outlay.waiting },
        { kind: 'comeback' as const, label: 'not cured, by its chance', amount: comeback },
      ].filter(({ amount }) => amount > 0),
      seizure: outlay.seizure,
      lines: [...outlay.lines],
      because,
    };
  });

/** The school a plan is set against: looking first against selling first. */
const OTHER_SCHOOL: Readonly<Record<School, School>> = {
  'test-first': 'sell-likely',
  'lift-at-hand': 'sell-likely',
  'sell-likely': 'test-first',
  'far-away': 'test-first',
};

/**
 * The whole flow as one pure function: facts to causes to parts that fit to priced offers to a plan and a hand-over.
 * The screen, the API and the command line all show what this returns.
 */
export const advise = (docket: Docket, knowledge: Knowledge): Advice => {
  const a: Assumptions = assumptionsFor(docket, knowledge);
  const vehicle = fillVehicle(docket.vehicle ?? {}, knowledge.slice.vehicle);
  const axles = vehicle.axles ?? Math.max(USUAL_AXLES, namedAxles(docket));
  const context: PositionContext = {
    steeringSide: vehicle.steeringSide ?? null,
    trafficSide: vehicle.trafficSide ?? null,
    axles,
    trailer: vehicle.driveline === 'trailer',
  };
  const named = [
    docket.wheelEnd,
    ...(docket.positions ?? []).filter((p) => !p.role).flatMap((p) => p.wheelEnds),
  ].filter((end) => end != null);
  const centreAxles = centreAxlesOf(vehicle, named);
  const codeContext: CodeContext = {
    ...context,
    dictionary: knowledge.slice.vehicle?.dictionary ?? null,
    entries: knowledge.dictionary,
    centreAxles,
    namedCorner: named.length === 1 ? (named[0] ?? null) : null,
  };
  const codes = readCodes(docket.codes ?? [], codeContext);
  const corner = cornerFacts(docket, codes, context);
  const filled: Docket = { ...docket, vehicle, wheelEnd: corner.named };

  const groups = architectureGroups(vehicle, axles, centreAxles, a);
  const ends = groups.flatMap((group) => group.ends);
  const evidence = gatherEvidence(filled, codes, corner.settled, {
    axles,
    ends,
    a,
    ohmRange: (end) => ohmRangeAt(knowledge.slice, end, vehicle),
  });
  const memo = endTables();
  const whole = posterior(groups, evidence, vehicle, knowledge.today, a, memo);
  const causes = rank(whole);

  const byOdds = [...whole.ends].sort((x, y) => y.odd - x.odd);
  const first = byOdds[0];
  const wheelEnd: WheelEnd | null =
    first && first.odd > BETTER_THAN_EVEN && corner.conflicts.length === 0 ? first.wheelEnd : null;
  // A loose wheel is offered its hub even while the odds of the lamp's cause are open.
  const loose = looseWheelEnd(filled);
  const offeredEnds = byOdds.filter(
    (end) =>
      end.wheelEnd === loose ||
      (wheelEnd !== null && (end.wheelEnd === wheelEnd || end.odd >= a.get('offer.corner-at-least'))),
  );
  const groupOf = (end: WheelEnd): ArchitectureGroup =>
    groups.find((group) => group.ends.includes(end)) as ArchitectureGroup;
  const school = docket.options?.school ?? knowledge.school;
  const plans = offeredEnds.map((end) => {
    const group = groupOf(end.wheelEnd);
    const architecture = likelyArchitecture(end, group);
    const outlays = partsOffered(end, a.get('offer.exists-at-least')).map((part) =>
      outlayOf(part, end.wheelEnd, architecture, filled, knowledge.slice, knowledge.today, a),
    );
    const planUnder = (which: School) => buildPlan(filled, end, outlays, which, evidence.findings, a);
    return { end, group, architecture, plan: planUnder(school), planUnder };
  });
  const offers = plans
    .flatMap(({ end, group, plan }) => offersAt(end, group, plan, axles))
    .sort((x, y) => x.allIn.mean - y.allIn.mean);
  const main = plans.find(({ end }) => end.wheelEnd === (wheelEnd ?? loose)) ?? null;

  const echoesOnly =
    codes.some((code) => code.role === 'knock-on') && !codes.some((code) => code.role === 'root');
  const shared = { module: whole.chance('module', null), supply: whole.chance('supply', null) };
  const { verdict, plan } = decide({
    docket: filled,
    wheelEnd,
    axles,
    causes,
    shared,
    plan: main?.plan ?? null,
    other: main && wheelEnd ? main.planUnder(OTHER_SCHOOL[school]) : null,
    school,
    conflicts: corner.conflicts,
    echoesOnly,
    ends,
    codes,
    currency: knowledge.currency,
    a,
  });
  const encoder = main !== null && !hasRing(main.architecture);
  const cautions = cautionsFor(filled, codes, offers, verdict, encoder, a);
  const leading = causes
    .filter(
      (c, i) =>
        i === 0 ||
        (c.probability >= WORTH_EXPLAINING &&
          (wheelEnd === null || c.wheelEnd === null || c.wheelEnd === wheelEnd)),
    )
    .slice(0, 6);
  const facts = explainFacts(
    removables(filled, vehicle, corner, codes, (path, v) =>
      v === vehicle && !uses(evidence, path)
        ? null
        : posterior(groups, evidenceWithout(evidence, path), v, knowledge.today, a, memo),
    ),
    whole,
    leading,
    axles,
    wheelEnd,
  ).map((fact) => ({
    ...fact,
    label:
      (
        evidence.findings.find((f) => f.path === fact.path && !f.isNormal) ??
        evidence.findings.find((f) => f.path === fact.path)
      )?.label ??
      evidence.complaints.find((c) => c.paths.includes(fact.path))?.label ??
      evidence.shared.find((s) => s.path === fact.path)?.label ??
      fact.label,
  }));
  const handed =
    docket.chosen ??
    (verdict.part && verdict.wheelEnd ? { part: verdict.part, wheelEnd: verdict.wheelEnd } : null);
  const tyreChance = wheelEnd ? whole.chance('tyre', wheelEnd) : 0;

  return {
    format: 'hardy-spoke/advice',
    version: 1,
    currency: knowledge.currency,
    wheelEnd,
    corners: whole.ends.map((end) => ({
      wheelEnd: end.wheelEnd,
      probability: Math.min(1, end.odd),
      words: wheelEndInWords(end.wheelEnd, axles),
    })),
    codes: codes.map(
      ({ signal: _signal, voltage: _voltage, grammar: _grammar, readings: _readings, ...code }) => code,
    ),
    causes: causes.filter(({ probability }) => probability >= WORTH_LISTING),
    verdict,
    plan,
    offers,
    cautions,
    questions: [
      ...readingQuestions(docket.checks ?? [], a),
      ...fitQuestions(knowledge.slice, handed ?? offers[0] ?? null, vehicle),
      ...questionsFor(
        vehicle,
        axles,
        wheelEnd,
        corner,
        main?.end ?? null,
        main?.group ?? null,
        ends,
        echoesOnly,
        tyreChance,
        codes.find((code) => code.readings.length > 0) ?? null,
        a.get('question.open-from'),
      ),
    ],
    facts,
    conflicts: corner.conflicts,
    vehicle: {
      name: vehicle.name ?? null,
      axles,
      steeringSide: vehicle.steeringSide ?? null,
      driveline: vehicle.driveline ?? null,
      wheelEnds: ends.map((end) => ({
        wheelEnd: end,
        sensing: sensingInWords(groupOf(end)),
        sensor: groupOf(end).known.sensor ?? null,
        ohms: ohmRangeAt(knowledge.slice, end, vehicle),
      })),
      tyre: Object.values(vehicle.tyres ?? {})[0] ?? knowledge.slice.vehicle?.tyre ?? null,
    },
    handOver: handed
      ? handOverFor(
          handed.part,
          handed.wheelEnd,
          plans.find(({ end }) => end.wheelEnd === handed.wheelEnd)?.architecture ?? null,
          knowledge.slice,
          cautions,
        )
      : null,
  };
};

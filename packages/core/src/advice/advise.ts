import { hasRing, type ArchitectureGroup } from '../diagnosis/architecture.ts';
import { explainFacts, factLabels } from '../diagnosis/explain.ts';
import { buildModel } from '../compare/buildModel.ts';
import { compareWays, USUAL_DRAWS, USUAL_SEED } from '../compare/compareWays.ts';
import { ohmRangeAt } from '../fitment/ohmRange.ts';
import { cautionsFor } from '../handover/cautionsFor.ts';
import { sheetsFor } from '../handover/sheetsFor.ts';
import { partsAt } from '../offers/fixes.ts';
import { seizureChance } from '../offers/seizure.ts';
import { ratesFor } from '../offers/rates.ts';
import { askWorth } from '../plan/askWorth.ts';
import { partsOf } from '../vocabulary/chosenParts.ts';
import { moneyInWords } from '../vocabulary/money.ts';
import type { Advice, Offer } from '../vocabulary/advice.ts';
import type { PartClass } from '../vocabulary/words.ts';
import type { Docket } from '../vocabulary/docket.ts';
import { wheelEndInWords } from '../vocabulary/wheelEndWords.ts';
import type { Diagnosed } from './diagnose.ts';
import { fromLedger } from './fromLedger.ts';
import { judge } from './judge.ts';
import { assumptionsFor, judgedOnly, type Knowledge } from './knowledge.ts';
import { groupOf, type PlannedEnd } from './planAt.ts';
import { removableFacts } from './removableFacts.ts';
import { questionsFor } from './questions/questions.ts';
import { fitQuestions } from './fitQuestions.ts';
import { doubtQuestions } from './doubtQuestions.ts';
import { readingQuestions } from './readingQuestions.ts';

/** Causes rarer than this are left out of the list. */
const WORTH_LISTING = 0.0005;
/** Where a hub is all that is offered there is nothing to compare it with: its spread alone needs no more draws than this. */
const DRAWS_FOR_ONE_WAY = 2000;
/** Causes rarer than this are not named when a fact's effect is told. */
const WORTH_EXPLAINING = 0.04;

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

/** The parts of a wheel end, each in the brand the shop prefers, as the comparison prices them. */
const offersAt = (planned: PlannedEnd, d: Diagnosed, knowledge: Knowledge): Offer[] => {
  const { end, group, plan } = planned;
  const { names } = d;
  const model = buildModel(
    {
      docket: d.docket,
      plan,
      architecture: planned.architecture,
      slice: knowledge.slice,
      today: knowledge.today,
      a: d.a,
      preferredOnly: true,
    },
    knowledge.currency,
  );
  const unsafe = d.dangers.wheels.some(({ wheelEnd }) => wheelEnd === end.wheelEnd);
  const draws = planned.isHubAlone ? DRAWS_FOR_ONE_WAY : USUAL_DRAWS;
  return compareWays(model, USUAL_SEED, draws).ways.map((way): Offer => {
    const [part, ...also] = way.parts.map((each) => each.part) as [PartClass, ...PartClass[]];
    const uncertain =
      group.options.length > 1 &&
      !group.options.every(({ architecture }) => partsAt(end.wheelEnd, architecture).includes(part));
    return {
      part,
      wheelEnd: end.wheelEnd,
      with: also,
      work: way.work,
      cures: way.cures,
      folded: way.cures < d.a.get('offer.folded-below') && !(unsafe && part === 'hub-assembly'),
      // Of several parts, or with work beside them, all that is bought; of one the price of that.
      price:
        also.length > 0 || way.work
          ? (way.costs.find(({ kind }) => kind === 'parts')?.amount ?? way.price)
          : (way.lines[0]?.unitPrice ?? way.price),
      labourHours: way.labourHours,
      allIn: way.allIn,
      costs: way.costs,
      seizure: way.seizure,
      lines: way.lines,
      because: [
        ...way.because,
        ...(uncertain
          ? [`only if this vehicle has it: ${wheelEndInWords(end.wheelEnd, names)} is not known for certain`]
          : []),
      ],
    };
  });
};

/**
 * The whole flow as one pure function: facts to causes to parts that fit to priced offers to a plan and a hand-over.
 * The screen, the API and the command line all show what this returns.
 */
export const advise = (docket: Docket, knowledge: Knowledge): Advice => {
  const { d, causes, plans, main, echoesOnly, shared, verdict, plan } = judge(docket, knowledge);
  const { a, docket: filled, vehicle, axles, names, codes, corner, ends, evidence, whole, wheelEnd } = d;
  const offers = plans
    .flatMap((planned) => offersAt(planned, d, knowledge))
    .sort((x, y) => x.allIn.mean - y.allIn.mean);
  const encoder = main !== null && !hasRing(main.architecture);
  // A shop sees too few snapped sensors to be told that none will snap: a caution stands by judgement too.
  const careful = knowledge.learned.jobs > 0 ? assumptionsFor(docket, judgedOnly(knowledge)) : a;
  const mayStick = plans.some(({ end, architecture }) =>
    offers.some(
      ({ part, wheelEnd: at, seizure }) =>
        seizure !== null &&
        at === end.wheelEnd &&
        seizureChance(part, {
          wheelEnd: at,
          architecture,
          docket: filled,
          today: knowledge.today,
          a: careful,
        }) > careful.get('caution.seizure-above'),
    ),
  );
  const cautions = cautionsFor({
    mayStick,
    docket: filled,
    dangers: d.dangers,
    codes,
    offers,
    verdict,
    encoder,
    a,
  });
  const leading = causes
    .filter(
      (c, i) =>
        i === 0 ||
        (c.probability >= WORTH_EXPLAINING &&
          (wheelEnd === null || c.wheelEnd === null || c.wheelEnd === wheelEnd)),
    )
    .slice(0, 6);
  const facts = explainFacts(removableFacts(docket, d, knowledge), whole, leading, names, wheelEnd).map(
    (fact) => ({
      ...fact,
      said: evidence.setAside.get(fact.path) ?? fact.said,
      label: factLabels(evidence).get(fact.path) ?? fact.label,
    }),
  );
  const handed =
    docket.chosen ??
    (verdict.part && verdict.wheelEnd ? { part: verdict.part, wheelEnd: verdict.wheelEnd } : null);
  const handedParts = docket.chosen
    ? partsOf(docket.chosen)
    : handed
      ? [handed.part, ...verdict.with].map((part) => ({ part, wheelEnd: handed.wheelEnd }))
      : [];
  const tyreChance = wheelEnd ? whole.chance('tyre', wheelEnd) : 0;

  return {
    format: 'hardy-spoke/advice',
    version: 1,
    currency: knowledge.currency,
    wheelEnd,
    corners: whole.ends.map((end) => ({
      wheelEnd: end.wheelEnd,
      probability: Math.min(1, end.odd),
      words: wheelEndInWords(end.wheelEnd, names),
    })),
    codes: codes.map(
      ({
        signal: _signal,
        voltage: _voltage,
        grammar: _grammar,
        self: _self,
        readings: _readings,
        ...code
      }) => code,
    ),
    causes: causes.filter(({ probability }) => probability >= WORTH_LISTING),
    verdict,
    plan,
    offers,
    cautions,
    questions: [
      ...doubtQuestions(docket.doubts ?? []),
      ...readingQuestions(docket.checks ?? [], a),
      ...fitQuestions(knowledge.slice, handed ?? offers[0] ?? null, vehicle),
      ...questionsFor({
        docket: filled,
        vehicle,
        axles,
        names,
        corner: wheelEnd,
        unsafeUnnamed: d.dangers.wheels.some((wheel) => wheel.wheelEnd === null),
        facts: corner,
        end: main?.end ?? null,
        group: main?.group ?? null,
        ends: ends.all,
        echoesOnly,
        tyreChance,
        supplyChance: shared.supply,
        twoReadings: codes.find((code) => code.readings.length > 0) ?? null,
        worthOf: (field) => (main ? askWorth(main.plan, field, ratesFor(filled, a).labour / 60, a) : 0),
        money: (amount) => moneyInWords(amount, knowledge.currency),
        a,
      }),
    ],
    facts,
    conflicts: corner.conflicts,
    vehicle: {
      name: vehicle.name ?? null,
      axles,
      steeringSide: vehicle.steeringSide ?? null,
      driveline: vehicle.driveline ?? null,
      wheelEnds: ends.all.map((end) => ({
        wheelEnd: end,
        sensing: sensingInWords(groupOf(d, end)),
        mounting: groupOf(d, end).known.mounting ?? null,
        sensor: groupOf(d, end).known.sensor ?? null,
        ohms: ohmRangeAt(knowledge.slice, end, vehicle),
      })),
      tyre: Object.values(vehicle.tyres ?? {})[0] ?? knowledge.slice.vehicle?.tyre ?? null,
    },
    fromLedger: fromLedger(docket, knowledge, verdict, offers, names, wheelEnd),
    sheets: sheetsFor({
      docket: filled,
      slice: knowledge.slice,
      ways: knowledge.ways,
      axles,
      a,
      verdict,
      dangers: d.dangers,
      cautions,
      minutes: plan.next?.minutes ?? null,
      handed: handedParts.map(({ part, wheelEnd: end }) => ({
        part,
        wheelEnd: end,
        architecture: plans.find((planned) => planned.end.wheelEnd === end)?.architecture ?? null,
      })),
    }),
  };
};

import { BETTER_THAN_EVEN } from './corner.ts';
import type { Assumptions } from '../assumptions/assumptions.ts';
import type { UnderstoodCode } from '../codes/readCodes.ts';
import { looseWheelEnd, mustStopDriving } from '../handover/cautionsFor.ts';
import { WORK_IN_WORDS } from '../offers/fixes.ts';
import type { BuiltPlan } from '../plan/buildPlan.ts';
import type { Fix } from '../plan/buildProblem.ts';
import { guideFor } from '../plan/planTree.ts';
import { CHECK_GUIDES } from '../plan/checkGuide.ts';
import type { Plan, PlanNode, RankedCause, Verdict } from '../vocabulary/advice.ts';
import type { CheckName } from '../vocabulary/check.ts';
import type { Docket, School } from '../vocabulary/docket.ts';
import { CAUSE_IN_WORDS, CHECK_IN_WORDS, PART_IN_WORDS, chanceInWords } from '../vocabulary/inWords.ts';
import { moneyInWords } from '../vocabulary/money.ts';
import { wheelEndInWords } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import type { PartClass } from '../vocabulary/words.ts';

interface Situation {
  readonly docket: Docket;
  readonly wheelEnd: WheelEnd | null;
  readonly axles: number;
  readonly causes: readonly RankedCause[];
  readonly shared: { readonly module: number; readonly supply: number };
  readonly plan: BuiltPlan | null;
  /** The same corner under the other school. */
  readonly other: BuiltPlan | null;
  readonly school: School;
  readonly conflicts: ReadonlyArray<{ because: string }>;
  readonly echoesOnly: boolean;
  readonly ends: readonly WheelEnd[];
  readonly codes: readonly UnderstoodCode[];
  readonly currency: string;
  readonly a: Assumptions;
}

/** A fix as one would say it. */
const fixInWords = (fix: Fix): string =>
  fix.kind === 'part' ? `sell the ${PART_IN_WORDS[fix.part]}` : WORK_IN_WORDS[fix.work];

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

const wordedCauses = (causes: readonly RankedCause[], axles: number): string =>
  causes
    .slice(0, 2)
    .filter(({ probability }) => probability >= 0.05)
    .map(
      ({ cause, wheelEnd, probability }) =>
        `${CAUSE_IN_WORDS[cause]}${wheelEnd ? ` ${wheelEndInWords(wheelEnd, axles)}` : ''}: ${chanceInWords(probability)}`,
    )
    .join('; ');

const stepFor = (check: CheckName, wheelEnd: WheelEnd | null): PlanNode => ({
  do: 'check',
  check,
  wheelEnd,
  label: CHECK_IN_WORDS[check],
  chance: 1,
  expectedCost: 0,
  then: Object.entries(CHECK_GUIDES[check].means).map(([when]) => ({
    when: when.replace(/-/g, ' '),
    chance: 0,
    next: null,
  })),
});

/** Turns the solved plan into the one sentence to say aloud. Safety outranks cost. */
export const decide = (s: Situation): { verdict: Verdict; plan: Plan } => {
  const { docket, wheelEnd, axles, causes, plan, a } = s;
  const top = causes[0] ?? null;
  const place = wheelEnd ? wheelEndInWords(wheelEnd, axles) : '';
  const { school } = s;
  const money = (amount: number) => moneyInWords(amount, s.currency);
  const minutes = (check: CheckName) => a.get(`check.minutes.${check}`);
  const asPlan = (step: PlanNode | null, check: CheckName | null, worth = 0): Plan => ({
    worth,
    school,
    step,
    flips: (plan?.flips() ?? []).map((flip) => ({
      when: `${CHECK_IN_WORDS[flip.check]}: ${flip.result.replace(/-/g, ' ')}`,
      chance: flip.chance,
      then: flip.fix ? fixInWords(flip.fix) : 'refer it to a workshop',
    })),
    other: s.other
      ? {
          school: s.other.school,
          label: s.other.step.label,
          same: s.other.step.label === plan?.step.label,
          expectedCost: s.other.step.expectedCost,
        }
      : null,
    next: check ? guideFor(check, minutes(check)) : null,
  });
  const base = { part: null, wheelEnd, check: null, cause: top?.cause ?? null };
  const odds = wordedCauses(causes, axles);

  if (mustStopDriving(docket)) {
    const offered = plan?.outcomes.find(({ fix }) => fix.kind === 'part' && fix.part === 'hub-assembly');
    const loose = looseWheelEnd(docket) ?? wheelEnd;
    if (loose) {
      const where = wheelEndInWords(loose, axles);
      return {
        verdict: {
          ...base,
          action: 'sell',
          part: 'hub-assembly',
          wheelEnd: loose,
          cause: top?.cause ?? 'bearing',
          sentence: `Do not drive it. ${capital(where)}: the hub assembly comes first, whatever else is wrong.`,
          because: [
            'bearing play can cost a wheel: safety outranks price',
            ...(offered ? [`the hub cures it in ${Math.round(offered.cures * 100)} of 100 such cases`] : []),
            odds,
          ].filter(Boolean),
        },
        plan: asPlan(
          {
            do: 'sell',
            part: 'hub-assembly',
            wheelEnd: loose,
            label: 'sell the hub assembly, fitted by a workshop now',
            chance: 1,
            expectedCost: offered?.cost ?? a.get('refer.cost'),
            then: [],
          },
          null,
        ),
      };
    }
  }

  if (s.shared.supply > BETTER_THAN_EVEN)
    return {
      verdict: {
        ...base,
        action: 'no-part',
        cause: 'supply',
        sentence: 'No part yet: charge or renew the battery, clear every code, drive and read again.',
        because: [
          `the supply explains the list of codes: ${chanceInWords(s.shared.supply)}`,
          'codes from low voltage mean nothing until they come back',
        ],
      },
      plan: asPlan(
        {
          do: 'no-part',
          label: WORK_IN_WORDS.supply,
          chance: 1,
          expectedCost: a.get('work.supply') * a.get('labour.rate') + a.get('work.extra.supply'),
          then: [],
        },
        null,
      ),
    };

  if (wheelEnd === null || plan === null) {
    const done = new Set((docket.checks ?? []).map((check) => check.check));
    const check: CheckName = !done.has('live')
      ? 'live'
      : !done.has('clear-and-drive')
        ? 'clear-and-drive'
        : 'visual.connector';
    const conflict = s.conflicts[0];
    const sentence = conflict
      ? `Settle the corner first: ${conflict.because}.`
      : s.echoesOnly
        ? 'These codes are echoes. Read the brake controller itself before selling anything.'
        : 'Find the corner first: compare the live wheel speeds, or read the brake controller.';
    return {
      verdict: {
        ...base,
        action: 'check',
        check,
        cause: null,
        sentence,
        because: conflict
          ? [conflict.because]
          : [
              'every part is for one corner, and nothing so far tells which',
              ...(s.echoesOnly ? ['other modules only repeat that the brake controller has a fault'] : []),
            ],
      },
      plan: asPlan(stepFor(check, null), check),
    };
  }

  const choice = plan.choice;
  if (choice.kind === 'check') {
    const check = plan.corner.checks[choice.check]?.check ?? 'live';
    const fix = plan.bestFix.fix;
    const likely: PartClass | null =
      fix?.kind === 'part'
        ? fix.part
        : plan.outcomes.reduce<{ part: PartClass | null; cures: number }>(
            (best, { fix: each, cures }) =>
              each.kind === 'part' && cures > best.cures ? { part: each.part, cures } : best,
            { part: null, cures: 0 },
          ).part;
    return {
      verdict: {
        ...base,
        action: 'check',
        check,
        part: likely,
        sentence: `${capital(place)}: before selling, ${CHECK_IN_WORDS[check]}. It takes ${minutes(check)} minutes and saves about ${money(plan.worth)} on this job.`,
        because: [odds, `worth ${money(plan.worth)} more than it costs: its result changes what to sell`],
      },
      plan: asPlan(plan.step, check, plan.worth),
    };
  }
  if (choice.kind === 'fix') {
    const fix = plan.corner.fixes[choice.fix];
    if (fix?.kind === 'part') {
      const outcome = plan.outcomes.find((each) => each.fix === fix);
      return {
        verdict: {
          ...base,
          action: 'sell',
          part: fix.part,
          sentence: `${capital(place)}: sell the ${PART_IN_WORDS[fix.part]}. It cures this in ${Math.round((outcome?.cures ?? 0) * 100)} of 100 such cases.`,
          because: [odds, 'no check here is worth its time: none would change what to sell'],
        },
        plan: asPlan(plan.step, null),
      };
    }
    if (fix)
      return {
        verdict: {
          ...base,
          action: 'no-part',
          sentence: `${capital(place)}: no part from the shelf. ${capital(WORK_IN_WORDS[fix.work])}.`,
          because: [odds, `that is the cheapest way to cure it: about ${money(fix.cost)}`],
        },
        plan: asPlan(plan.step, null),
      };
  }
  return {
    verdict: {
      ...base,
      action: 'no-part',
      sentence: `${capital(place)}: no part from the shelf is a good bet. Refer it to a workshop for full diagnosis.`,
      because: [odds, 'every part here is likelier to come back than to cure'],
    },
    plan: asPlan(plan.step, null),
  };
};

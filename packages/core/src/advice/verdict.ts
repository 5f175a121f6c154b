import type { Assumptions } from '../assumptions/assumptions.ts';
import type { UnderstoodCode } from '../codes/readCodes.ts';
import { checksDone, DRIVEN } from '../plan/availableChecks.ts';
import type { BuiltPlan, FixOutcome } from '../plan/buildPlan.ts';
import { isAlone, type Fix, type PartFix } from '../plan/buildProblem.ts';
import { CHECK_GUIDES } from '../plan/checkGuide.ts';
import { fixInWords, guideFor, partsInWords } from '../plan/planTree.ts';
import { WORK_IN_WORDS } from '../offers/fixes.ts';
import { dangerInWords, worstWheel, type Dangers } from '../safety/dangers.ts';
import type { Plan, PlanNode, RankedCause, Verdict } from '../vocabulary/advice.ts';
import type { CheckName } from '../vocabulary/check.ts';
import { complaintsNow } from '../vocabulary/complaints.ts';
import type { Docket, School } from '../vocabulary/docket.ts';
import { CAUSE_IN_WORDS, CHECK_IN_WORDS, chanceInWords } from '../vocabulary/inWords.ts';
import { moneyInWords } from '../vocabulary/money.ts';
import { wheelEndInWords, type WheelNames } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import type { PartClass } from '../vocabulary/words.ts';
import { BETTER_THAN_EVEN } from './corner.ts';

/** All that a verdict is made from. */
export interface Situation {
  readonly docket: Docket;
  readonly wheelEnd: WheelEnd | null;
  readonly names: WheelNames;
  readonly causes: readonly RankedCause[];
  readonly shared: { readonly module: number; readonly supply: number };
  readonly dangers: Dangers;
  /** The plan at the wheel that matters most: an unsafe one, else the corner. */
  readonly plan: BuiltPlan | null;
  /** The same corner under the other school. */
  readonly other: BuiltPlan | null;
  readonly school: School;
  readonly conflicts: ReadonlyArray<{ because: string }>;
  readonly echoesOnly: boolean;
  readonly codes: readonly UnderstoodCode[];
  readonly currency: string;
  readonly a: Assumptions;
}

/** What a rule says, and the step the plan begins with. */
interface Said {
  readonly verdict: Verdict;
  readonly step: PlanNode | null;
  readonly worth?: number;
}
interface Rule {
  readonly name: string;
  /** What it says, or null where it does not apply. */
  readonly says: (s: Situation) => Said | null;
}

/** From these odds on a cause needs no lamp to be explained first. */
const PROVEN = 0.8;

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
const tens = (amount: number): number => Math.max(10, Math.round(amount / 10) * 10);

const wordedCauses = ({ causes, names }: Situation, at: WheelEnd | null): string =>
  causes
    .filter(({ wheelEnd }) => at === null || wheelEnd === null || wheelEnd === at)
    .slice(0, 2)
    .filter(({ probability }) => probability >= 0.05)
    .map(
      ({ cause, wheelEnd, probability }) =>
        `${CAUSE_IN_WORDS[cause]}${wheelEnd ? ` ${wheelEndInWords(wheelEnd, names)}` : ''}: ${chanceInWords(probability)}`,
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

const verdict = (s: Situation, over: Partial<Verdict> & Pick<Verdict, 'action' | 'sentence'>): Verdict => ({
  part: null,
  with: [],
  wheelEnd: s.wheelEnd,
  check: null,
  cause: s.causes[0]?.cause ?? null,
  because: [],
  also: [],
  ...over,
});

const place = (s: Situation, end: WheelEnd | null): string => (end ? wheelEndInWords(end, s.names) : '');
const curesInWords = ({ cures }: FixOutcome): string => `${Math.round(cures * 100)} of 100 such cases`;
const isHub = ({ fix }: FixOutcome): boolean => isAlone(fix) && fix.part === 'hub-assembly';

/** A soft pedal, fluid low or leaking: nothing else matters until the brakes hold. */
const brakesFirst: Rule = {
  name: 'the brakes themselves',
  says: (s) => {
    const { brakes } = s.dangers;
    if (!brakes) return null;
    const then =
      brakes.fluid === 'leaking' || brakes.fluid === 'low'
        ? 'Find where the fluid went: look at every wheel, the pipes and the pads.'
        : 'Look at the brake fluid and along the pipes.';
    return {
      verdict: verdict(s, {
        action: 'check',
        check: 'brake.fluid',
        sentence: `Do not drive it: ${brakes.because}. ${then}`,
        because: ['brakes that fail outrank any lamp', ...loose(s)],
      }),
      step: stepFor('brake.fluid', null),
    };
  },
};

/** Every unsafe wheel in words, the worst first. */
const loose = (s: Situation): string[] =>
  s.dangers.wheels.map(
    (wheel) =>
      `${wheel.wheelEnd ? wheelEndInWords(wheel.wheelEnd, s.names) : 'a wheel, not said which'}: ${dangerInWords(wheel)}`,
  );

/** A loose or growling wheel nobody named. It is asked and felt for, never found by driving. */
const whichWheel: Rule = {
  name: 'an unsafe wheel nobody named',
  says: (s) => {
    const [worst] = s.dangers.wheels;
    if (!worst || worst.wheelEnd !== null) return null;
    return {
      verdict: verdict(s, {
        action: 'check',
        check: 'bearing.play',
        wheelEnd: null,
        cause: 'bearing',
        sentence: 'Do not drive it. Which wheel? Rock and spin each one, lifted, before anything else.',
        because: [...loose(s), 'a wheel that is loose can come off: it is not looked for by driving'],
      }),
      step: stepFor('bearing.play', null),
    };
  },
};

/** A wheel that may come off: its hub, or its bolts where the wheel was off lately. */
const unsafeWheel: Rule = {
  name: 'an unsafe wheel',
  says: (s) => {
    const end = worstWheel(s.dangers);
    const worst = s.dangers.wheels.find(({ wheelEnd }) => wheelEnd === end);
    if (!end || !worst) return null;
    const where = capital(place(s, end));
    const others = s.dangers.wheels.filter((wheel) => wheel !== worst);
    const unsafe = others.map(
      (wheel) =>
        `also not safe: ${place(s, wheel.wheelEnd) || 'a wheel, not said which'}, ${dangerInWords(wheel)}`,
    );
    const why = `${place(s, end)}: ${dangerInWords(worst)}`;
    if (worst.boltsFirst && !worst.growl)
      return {
        verdict: verdict(s, {
          action: 'check',
          check: 'bearing.play',
          wheelEnd: end,
          cause: 'bearing',
          sentence: `Do not drive it. ${where}: the wheel was off lately. Tighten its bolts by torque wrench, then rock it again.`,
          because: [why, 'bolts that worked loose feel like a worn bearing', ...unsafe],
        }),
        step: stepFor('bearing.play', end),
      };
    const hub = s.plan?.wheelEnd === end ? s.plan.outcomes.find(isHub) : undefined;
    return {
      verdict: verdict(s, {
        action: 'sell',
        part: 'hub-assembly',
        wheelEnd: end,
        cause: s.causes.find(({ wheelEnd }) => wheelEnd === end)?.cause ?? 'bearing',
        sentence: `Do not drive it. ${where}: the hub assembly comes first, whatever else is wrong.`,
        because: [
          `${why}: it can cost a wheel, and safety outranks price`,
          ...unsafe,
          ...(hub ? [`the hub cures the complaint in ${curesInWords(hub)}`] : []),
          wordedCauses(s, end),
        ].filter(Boolean),
      }),
      step: {
        do: 'sell',
        part: 'hub-assembly',
        wheelEnd: end,
        label: 'sell the hub assembly, fitted by a workshop now',
        chance: 1,
        expectedCost: hub?.cost ?? 0,
        then: [],
      },
    };
  },
};

const supplyFirst: Rule = {
  name: 'the supply',
  says: (s) => {
    const { a } = s;
    if (s.shared.supply <= BETTER_THAN_EVEN) return null;
    // A battery renewed already is not sold again: what is left to do is to clear the trail and read what comes back.
    const renewed = (s.docket.history ?? []).some((event) => event.event === 'battery-replaced');
    return {
      verdict: verdict(s, {
        action: 'no-part',
        wheelEnd: null,
        cause: 'supply',
        sentence: renewed
          ? 'No part yet: clear every code, drive and read again. What comes back counts.'
          : 'No part yet: charge or renew the battery, clear every code, drive and read again.',
        because: [
          `the supply explains the list of codes: ${chanceInWords(s.shared.supply)}`,
          'codes from low voltage mean nothing until they come back',
        ],
      }),
      step: {
        do: 'no-part',
        label: WORK_IN_WORDS[renewed ? 'none-present' : 'supply'],
        chance: 1,
        expectedCost: a.get('work.supply') * a.get('labour.rate') + a.get('work.extra.supply'),
        then: [],
      },
    };
  },
};

const controllerFailed: Rule = {
  name: 'the controller',
  says: (s) =>
    s.shared.module <= BETTER_THAN_EVEN
      ? null
      : {
          verdict: verdict(s, {
            action: 'no-part',
            wheelEnd: null,
            cause: 'module',
            sentence:
              'No part from the shelf: the brake controller itself has failed. Have it tested and repaired or renewed by a workshop.',
            because: [
              `the brake controller: ${chanceInWords(s.shared.module)}`,
              'meter its supply and grounds before it is condemned',
            ],
          }),
          step: {
            do: 'no-part',
            label: 'have the brake controller tested and renewed by a workshop',
            chance: 1,
            expectedCost: s.a.get('refer.module'),
            then: [],
          },
        },
};

/** The brake lamp without a wheel-speed code that explains it: fluid, pads and park brake first. */
const brakeLamp: Rule = {
  name: 'the brake lamp',
  says: (s) => {
    const lit = complaintsNow(s.docket).includes('lamp.brake');
    const looked = (s.docket.checks ?? []).some((check) => check.check === 'brake.fluid');
    const proven = s.wheelEnd !== null && (s.causes[0]?.probability ?? 0) >= PROVEN;
    if (!lit || looked || proven || s.codes.some((code) => code.role === 'root')) return null;
    return {
      verdict: verdict(s, {
        action: 'check',
        check: 'brake.fluid',
        wheelEnd: null,
        cause: null,
        sentence: 'The brake lamp is lit: look at the fluid, the pads and the park brake first.',
        because: [
          'the brake lamp is not a wheel speed until the brakes themselves are known to be right',
          'it takes a minute, and costs nothing',
        ],
      }),
      step: stepFor('brake.fluid', null),
    };
  },
};

/** Checks by hand, in the order a mechanic makes them who has no reader. */
const BY_HAND: readonly CheckName[] = [
  'bearing.play',
  'bearing.noise',
  'visual.connector',
  'visual.sensor',
  'visual.ring',
  'meter.resistance',
];
const BY_READER: readonly CheckName[] = ['live', 'clear-and-drive', 'visual.connector'];
const WORK_AT_A_WHEEL: ReadonlySet<string> = new Set([
  'brake-work',
  'suspension-work',
  'sensor-replaced',
  'hub-replaced',
  'ring-replaced',
  'axle-shaft-work',
  'connector-repaired',
  'tyre-replaced',
]);

const findTheCorner: Rule = {
  name: 'the corner',
  says: (s) => {
    if (s.wheelEnd !== null && s.plan !== null) return null;
    const { docket } = s;
    const done = new Set((docket.checks ?? []).map((check) => check.check));
    const byHand = docket.reader === 'none' || docket.reader === 'engine';
    const worked = (docket.history ?? []).find(
      (event) => WORK_AT_A_WHEEL.has(event.event) && event.wheelEnd != null && event.cured !== 'yes',
    );
    const hums = complaintsNow(docket).includes('noise.wheel') && !done.has('bearing.play');
    const order: readonly CheckName[] = byHand
      ? worked
        ? ['visual.connector', 'visual.sensor', ...BY_HAND]
        : BY_HAND
      : hums
        ? ['bearing.play', 'bearing.noise', ...BY_READER]
        : BY_READER;
    const check = order.find((each) => !done.has(each)) ?? 'visual.connector';
    const conflict = s.conflicts[0];
    const at = byHand ? (worked?.wheelEnd ?? null) : null;
    const sentence = conflict
      ? `Settle the corner first: ${conflict.because}.`
      : s.echoesOnly
        ? 'These codes are echoes. Read the brake controller itself before selling anything.'
        : at
          ? `Begin where work was last done: ${place(s, at)}. ${capital(CHECK_IN_WORDS[check])}.`
          : byHand
            ? `Find the corner by hand: ${CHECK_IN_WORDS[check]} at each, both sides of an axle against each other.`
            : hums
              ? `Something growls: ${CHECK_IN_WORDS[check]} at each, lifted, before anything is driven.`
              : 'Find the corner first: compare the live wheel speeds, or read the brake controller.';
    return {
      verdict: verdict(s, {
        action: 'check',
        check,
        wheelEnd: at,
        cause: null,
        sentence,
        because: conflict
          ? [conflict.because]
          : [
              'every part is for one corner, and nothing so far tells which',
              ...(s.echoesOnly ? ['other modules only repeat that the brake controller has a fault'] : []),
              ...(byHand ? ['no reader here reaches the brake controller'] : []),
            ],
      }),
      step: stepFor(check, at),
    };
  },
};

/** A growl, complained of or heard, at a wheel nobody has rocked: before anything is sold or driven. */
const rockFirst: Rule = {
  name: 'rock what growls',
  says: (s) => {
    const end = s.wheelEnd;
    if (end === null || end.endsWith('C')) return null;
    const done = checksDone(s.docket, end);
    const growls = (s.docket.checks ?? []).some(
      (check) =>
        check.check === 'bearing.noise' && check.result === 'growl' && (check.wheelEnd ?? end) === end,
    );
    const complained = complaintsNow(s.docket).includes('noise.wheel') && !done.has('bearing.noise');
    if (done.has('bearing.play') || (!growls && !complained)) return null;
    return {
      verdict: verdict(s, {
        action: 'check',
        check: 'bearing.play',
        part: growls ? 'hub-assembly' : null,
        sentence: `${capital(place(s, end))}: it growls. Rock the wheel for play before it is driven, and spin it.`,
        because: [
          wordedCauses(s, end),
          'a growl with play can cost the wheel: this is not about money',
        ].filter(Boolean),
      }),
      step: s.plan?.step.check === 'bearing.play' ? s.plan.step : stepFor('bearing.play', end),
    };
  },
};

/** The part a check is about: the best fix without it, or what its results would sell. */
const likelyPart = (plan: BuiltPlan): PartFix | null => {
  const { fix } = plan.bestFix;
  if (fix?.kind === 'part') return fix;
  return plan.outcomes.reduce<{ fix: PartFix | null; cures: number }>(
    (best, { fix: each, cures }) => (isAlone(each) && cures > best.cures ? { fix: each, cures } : best),
    { fix: null, cures: 0 },
  ).fix;
};

/** The next best part where it costs hardly more: then price, wait and what one keeps decide. */
const closeCall = (
  plan: BuiltPlan,
  fix: Fix,
  money: (amount: number) => string,
  a: Assumptions,
): string[] => {
  const here = plan.outcomes.find((each) => each.fix === fix);
  const rival = plan.outcomes
    .filter(({ fix: each }) => each !== fix && isAlone(each))
    .sort((x, y) => x.cost - y.cost)[0];
  if (!here || rival?.fix.kind !== 'part' || rival.cost - here.cost >= a.get('plan.close-call')) return [];
  return [
    `a close call: the ${partsInWords(rival.fix.part, [])} comes to about ${money(Math.max(0, rival.cost - here.cost))} more on average; the wait, and what the customer means to keep, decide`,
  ];
};

const asPlanned: Rule = {
  name: 'the plan',
  says: (s) => {
    const { plan, a } = s;
    const end = s.wheelEnd;
    if (!plan || end === null) return null;
    const money = (amount: number) => moneyInWords(amount, s.currency);
    const where = capital(place(s, end));
    const odds = wordedCauses(s, end);
    const { choice } = plan;
    const lamp =
      complaintsNow(s.docket).includes('lamp.brake') &&
      !(s.docket.checks ?? []).some((check) => check.check === 'brake.fluid')
        ? ['the brake lamp is lit as well: look at fluid, pads and park brake, it takes a minute']
        : [];
    if (choice.kind === 'check') {
      const check = plan.corner.checks[choice.check]?.check ?? 'live';
      const likely = likelyPart(plan);
      const saves = tens(plan.worth);
      return {
        verdict: verdict(s, {
          action: 'check',
          check,
          part: likely?.part ?? null,
          with: [...(likely?.with ?? [])],
          sentence:
            plan.bestFix.fix === null
              ? `${where}: before anything is sold, ${CHECK_IN_WORDS[check]}. It takes ${plan.minutes(check)} minutes.`
              : `${where}: before selling, ${CHECK_IN_WORDS[check]}. It takes ${plan.minutes(check)} minutes and saves about ${money(saves)} on this job.`,
          because: [
            odds,
            `worth about ${money(saves)} more than it costs: its result may change what to sell`,
          ].filter(Boolean),
          also: lamp,
        }),
        step: plan.step,
        worth: plan.worth,
      };
    }
    const even =
      plan.aboutEven && !DRIVEN.has(plan.aboutEven.check)
        ? [
            `about even: ${plan.aboutEven.minutes} minutes to ${CHECK_IN_WORDS[plan.aboutEven.check]} settle it`,
          ]
        : plan.aboutEven
          ? [
              `about even: ${CHECK_IN_WORDS[plan.aboutEven.check]}, ${plan.aboutEven.minutes} minutes, would settle it`,
            ]
          : [];
    if (choice.kind === 'fix') {
      const outcome = plan.outcomes[choice.fix];
      const fix = outcome?.fix;
      if (fix?.kind === 'part')
        return {
          verdict: verdict(s, {
            action: 'sell',
            part: fix.part,
            with: [...fix.with],
            sentence: `${where}: ${fixInWords(fix)}. ${isAlone(fix) ? 'It cures' : 'Together that cures'} this in ${curesInWords(outcome as FixOutcome)}.`,
            because: [odds, ...exchange(s, end, fix.part), ...closeCall(plan, fix, money, a)].filter(Boolean),
            also: [...even, ...lamp],
          }),
          step: plan.step,
        };
      if (fix)
        return {
          verdict: verdict(s, {
            action: 'no-part',
            sentence:
              fix.cost > 0
                ? `${where}: no part from the shelf. ${capital(WORK_IN_WORDS[fix.work])}.`
                : `${where}: nothing to fit. It was cleared and stays away; read it again if the lamp comes back.`,
            because: [
              odds,
              fix.cost > 0
                ? `that is the cheapest way to cure it: about ${money(fix.cost)}`
                : 'a part would cure nothing that is there now',
            ].filter(Boolean),
            also: [...even, ...lamp],
          }),
          step: plan.step,
        };
    }
    return {
      verdict: verdict(s, {
        action: 'no-part',
        sentence: `${where}: nothing from the shelf is a good bet yet. Have it diagnosed by a workshop that can read every controller.`,
        because: [odds, 'finding it out costs less than what would be fitted in vain'].filter(Boolean),
        also: [...even, ...lamp],
      }),
      step: plan.step,
    };
  },
};

/** A new part that metered bad is exchanged, one tier up; the joint that was just renewed is not the next thing to sell. */
const exchange = (s: Situation, end: WheelEnd, part: PartClass): string[] =>
  (part === 'sensor' || part === 'sender') &&
  (s.docket.checks ?? []).some(
    (check) =>
      check.check === 'meter.resistance' &&
      check.of === 'new-part' &&
      (check.wheelEnd ?? end) === end &&
      typeof check.ohms === 'string',
  )
    ? [
        'the new one is bad from the box: exchange it, one tier up, and meter it with its lead before it is fitted',
      ]
    : [];

/** The rules in the order of their weight: safety, then what would make any part useless, then the corner, then cost. */
export const RULES: readonly Rule[] = [
  brakesFirst,
  whichWheel,
  unsafeWheel,
  supplyFirst,
  controllerFailed,
  brakeLamp,
  findTheCorner,
  rockFirst,
  asPlanned,
];

/** Turns the solved plan into the one sentence to say aloud: the first rule that applies. */
export const decide = (s: Situation): { verdict: Verdict; plan: Plan } => {
  const { plan } = s;
  let said: Said | null = null;
  for (const rule of RULES) {
    said = rule.says(s);
    if (said) break;
  }
  if (!said) throw new Error('no rule of the verdict applies: the corner rule must');
  const { check } = said.verdict;
  return {
    verdict: said.verdict,
    plan: {
      worth: said.worth ?? 0,
      school: s.school,
      step: said.step,
      // Beneath a rule of safety or of order nothing in the plan turns the answer.
      flips: (plan && said.step === plan.step ? plan.flips() : []).map((flip) => ({
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
      next: check ? guideFor(check, plan?.minutes(check) ?? s.a.get(`check.minutes.${check}`)) : null,
    },
  };
};

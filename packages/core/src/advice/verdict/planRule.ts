import { partsThat } from '../../partKinds/partData.ts';
import type { Assumptions } from '../../assumptions/assumptions.ts';
import { WORK_IN_WORDS } from '../../offers/fixes.ts';
import { knownBuild } from '../../plan/askWorth.ts';
import type { BuiltPlan, FixOutcome } from '../../plan/buildPlan.ts';
import { isAlone, type Fix, type PartFix } from '../../plan/fixesAt.ts';
import { fixInWords, partsInWords } from '../../plan/planTree.ts';
import { complaintsNow } from '../../vocabulary/complaints.ts';
import { CHECK_IN_WORDS } from '../../vocabulary/inWords.ts';
import { moneyInWords } from '../../vocabulary/money.ts';
import type { WheelEnd } from '../../vocabulary/wheelEnd.ts';
import type { PartClass } from '../../vocabulary/words.ts';
import {
  capital,
  curesInWords,
  place,
  type Rule,
  type Situation,
  stepFor,
  tens,
  verdict,
  wordedCauses,
} from './situation.ts';

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

export const asPlanned: Rule = {
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
    const { unasked } = plan;
    const even = !unasked
      ? []
      : unasked.saves > 0
        ? [
            `just the part, as the customer wants: ${unasked.minutes} minutes to ${CHECK_IN_WORDS[unasked.check]} would save about ${money(tens(unasked.saves))}`,
          ]
        : [`about even: ${unasked.minutes} minutes to ${CHECK_IN_WORDS[unasked.check]} settle it`];
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

/**
 * What is wrong may be all but certain and the part still unknown: which one brings it depends on how the vehicle is built.
 * Then one asks, or looks it up; handing a cracked ring to another workshop for diagnosis would be dear and slow.
 */
export const howBuiltFirst: Rule = {
  name: 'how it is built',
  says: (s) => {
    const { plan, a, wheelEnd: end } = s;
    if (!plan || end === null || plan.choice.kind !== 'refer') return null;
    const { saves, fixes } = knownBuild(plan);
    if (saves < a.get('plan.tie') || fixes < a.get('plan.build-decides')) return null;
    const likely = likelyPart(plan);
    const check = plan.corner.states.some(({ state }) => state.includes('ring'))
      ? 'visual.ring'
      : 'visual.sensor';
    return {
      verdict: verdict(s, {
        action: 'check',
        // Where the target sits is seen at the ring; whether the sensor is built in, at the sensor.
        check,
        part: likely?.part ?? null,
        sentence: `${capital(place(s, end))}: first find out how it is built there, then sell. Which part brings the cure depends on it.`,
        because: [
          wordedCauses(s, end),
          `look it up by the plate, or see where the sensor and its target sit: it saves about ${moneyInWords(tens(saves), s.currency)} on this job`,
        ].filter(Boolean),
      }),
      step: { ...stepFor(check, end), label: 'find out how it is built there' },
      worth: saves,
    };
  },
};

const SENSORS = partsThat('isSensor');

/** A new part that metered bad is exchanged, one tier up; the joint that was just renewed is not the next thing to sell. */
const exchange = (s: Situation, end: WheelEnd, part: PartClass): string[] =>
  SENSORS.has(part) &&
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

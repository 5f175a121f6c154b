import { mustBeSaid } from '../../safety/mustBeSaid.ts';
import { fixInWords, guideFor } from '../../plan/planTree.ts';
import type { Plan, Verdict } from '../../vocabulary/advice.ts';
import { CHECK_IN_WORDS } from '../../vocabulary/inWords.ts';
import { findTheCorner } from './cornerRule.ts';
import { brakesFirst, rockFirst, unsafeWheel, whichWheel } from './dangerRules.ts';
import { asPlanned, howBuiltFirst } from './planRule.ts';
import { brakeLamp, controllerFailed, supplyFirst } from './sharedRules.ts';
import type { Rule, Said, Situation } from './situation.ts';

/** The rules in the order of their weight: safety, then what would make any part useless, then the corner, then cost. */
const RULES: readonly Rule[] = [
  brakesFirst,
  whichWheel,
  unsafeWheel,
  supplyFirst,
  controllerFailed,
  brakeLamp,
  findTheCorner,
  rockFirst,
  howBuiltFirst,
  asPlanned,
];

/** Turns the solved plan into the one sentence to say aloud: the first rule that applies, and which. */
export const decide = (s: Situation): { verdict: Verdict; plan: Plan; rule: string } => {
  const { plan } = s;
  let said: Said | null = null;
  let saysSafety = false;
  let spoke = '';
  for (const rule of RULES) {
    said = rule.says(s);
    saysSafety = rule.saysSafety === true;
    spoke = rule.name;
    if (said) break;
  }
  if (!said) throw new Error('no rule of the verdict applies: the corner rule must');
  const { check } = said.verdict;
  const safety = saysSafety ? [] : mustBeSaid(s.docket, s.dangers, s.docket.wheelEnd ?? null, s.names);
  return {
    rule: spoke,
    verdict: { ...said.verdict, also: [...said.verdict.also, ...safety] },
    plan: {
      worth: said.worth ?? 0,
      school: s.school,
      step: said.step,
      // Beneath a rule of safety or of order nothing in the plan turns the answer.
      flips: (said.step === plan?.step ? (plan?.flips() ?? []) : []).map((flip) => ({
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
      // What is asked for is an answer, not another look.
      next:
        check && spoke !== howBuiltFirst.name
          ? guideFor(check, plan?.minutes(check) ?? s.a.get(`check.minutes.${check}`))
          : null,
    },
  };
};

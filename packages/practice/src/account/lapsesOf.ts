import type { Account, AccountStep, SentWith } from '@hardy/core/words';
import type { Assumptions } from '@hardy/core/trial';
import type { Customer } from '../customer/customer.ts';
import type { Visit } from '../job/visit.ts';

/** What was sold and said beside the parts, as the learner's own docket shows it. */
export interface Sale {
  /** Things that go with the parts, by name, that were left out though they were offered. */
  readonly leftOut: readonly string[];
  readonly sent: SentWith;
  /** What the advice said must be told. */
  readonly cautions: readonly string[];
}

type Lapse = Account['lapses'][number];

/** So many are named. */
const NAMED = 4;
const few = (list: readonly string[]): string =>
  list.length <= NAMED
    ? list.join(', ')
    : `${list.slice(0, NAMED).join(', ')}, and ${list.length - NAMED} more`;

/** What went wrong beside the money, the gravest first. */
export const lapsesOf = (
  { life, rules, manner, budget, minutes }: Customer,
  visit: Visit,
  steps: readonly AccountStep[],
  { leftOut, sent, cautions }: Sale,
  a: Assumptions,
): Lapse[] => {
  const lapses: Lapse[] = [];
  const say = (what: Lapse['what'], words: string) => void lapses.push({ what, words });
  if (visit.unsafe)
    say('safety', 'It drove away on a wheel that had been felt loose. That wheel can come off.');
  for (const { unsafe, better, words } of steps)
    if (unsafe)
      say('safety', `Before "${words}": ${better ?? 'what safety asks for'} came first, whatever it costs.`);
  // Only what was heard gave a reason to rock it: without a hum, that nobody did was luck.
  if (visit.overlooked && !visit.unsafe && (visit.docket.symptoms ?? []).includes('noise.wheel'))
    say('safety', 'It hums, a wheel was loose, and nobody rocked it. Rocking each wheel takes minutes.');
  if (cautions.includes('stop-driving') && !sent.stop)
    say('safety', 'The vehicle must not be driven, and the customer was not told.');
  if (cautions.length > 0 && !sent.sheet)
    say('caution', 'The customer left without the sheet: nobody told them what keeps them safe.');
  const asked = new Set(visit.steps.flatMap(({ deed }) => (deed.kind === 'question' ? [deed.about] : [])));
  const fits = visit.steps.some(({ deed }) => deed.kind === 'parts' || deed.kind === 'work');
  if (fits && life.past.length > 0 && !asked.has('history'))
    say('question', 'Nobody asked what was done to it lately. Something was, and it tells where to look.');
  if (fits && manner === 'vague' && !asked.has('lamps'))
    say('question', '"Some yellow light" was taken as said. Ask which one, and when it comes on.');
  if (fits && rules.codes === 'can be read' && !visit.steps.some(({ deed }) => deed.kind === 'read'))
    say('question', 'A reader was on the shelf and the controller was never asked.');
  for (const { deed, regret, words } of steps)
    if (deed.kind === 'check' && regret >= a.get('practice.wasted-from'))
      say('check', `"${words}" could not change enough to be worth its minutes.`);
  if (leftOut.length > 0) say('companion', `Left out, and needed on this job: ${few(leftOut)}.`);
  if (visit.minutes > minutes)
    say('time', `It took ${Math.round(visit.minutes)} minutes; the customer had ${minutes}.`);
  if (visit.cost > budget)
    say(
      'money',
      `It came to ${Math.round(visit.cost)} in all; the customer had ${budget}. A dearer job is fine where it was said beforehand.`,
    );
  return lapses;
};
